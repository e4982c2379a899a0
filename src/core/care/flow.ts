import type { Context } from '../findings/context.ts';
import type { Hold } from '../holds/hold.ts';
import type { CareId } from './intervals.ts';
import { procedureMark, progressOf, type Progress } from '../procedures/progress.ts';
import type { Procedure } from '../procedures/procedure.ts';

/** A short job on one page: a procedure with holds of its own, and what it counts as when it is done. */
export interface Flow extends Procedure {
  readonly marks: 'flow';
  /** Holds that matter to it; the others are not its business. */
  readonly holds: readonly string[];
  readonly counts: readonly CareId[];
}

/** A procedure as a short job, under the name that its marks have always had. */
export const shortJob = (
  p: Procedure,
  as: Pick<Flow, 'holds' | 'counts'> & Partial<Pick<Flow, 'id' | 'title' | 'means'>>
): Flow => ({ ...p, ...as, marks: 'flow' });

/** The mark under which a short job, or one of its steps, stands in the record. */
export const flowMark = (flow: string, step?: string): string => procedureMark({ id: flow, marks: 'flow' }, step);

export interface FlowState extends Progress {
  /** Its own holds that are raised and not overridden: finished or not, the engine does not go back on it. */
  readonly held: readonly Hold[];
}

/** How far a short job has got, and what holds it. */
export const flowState = (c: Context, flow: Flow, holds: readonly Hold[]): FlowState => ({
  // An assessment that is a lay-up is at it from its beginning.
  ...progressOf(c, flow, c.survey.assessment.kind === flow.id ? c.survey.assessment.startedAt : undefined),
  held: holds.filter((h) => flow.holds.includes(h.id) && !h.override && !h.standing)
});

/** The flow a single-job assessment was opened for. */
export const flowOf = (survey: {
  readonly steps?: readonly { readonly step: string }[] | undefined;
}): string | undefined =>
  /^flow\.([a-z-]+)$/.exec(survey.steps?.find((s) => /^flow\.[a-z-]+$/.test(s.step))?.step ?? '')?.[1];
