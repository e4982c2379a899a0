import type { Context } from '$core/findings/context.ts';
import type { Procedure } from '$core/procedures/procedure.ts';
import { progressOf, type Progress } from '$core/procedures/progress.ts';
import { proceduresOf } from '$core/procedures/register.ts';

/** A procedure that a job is from the inside, and how far it has got. */
export interface Inside {
  readonly p: Procedure;
  readonly at: Progress;
}

export const insidesOf = (c: Context, job: string): Inside[] =>
  proceduresOf(job, c.survey.engine).map((p) => ({ p, at: progressOf(c, p) }));
