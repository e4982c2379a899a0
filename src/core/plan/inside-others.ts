import { isJobId, jobOf } from '../jobs/register.ts';
import type { JobRule } from '../jobs/job.ts';
import type { StepMark } from '../record/reading.ts';
import { latestOf } from '../units/instant.ts';
import type { Step } from './plan.ts';

const withinOf = (step: string): readonly string[] => (isJobId(step) ? (jobOf(step).within ?? []) : []);

/** The latest word on a job: its own, or that of a job in which it is done as well. */
export const markOf = (
  { id, within = [] }: JobRule & { id: string },
  marks: ReadonlyMap<string, StepMark>
): StepMark | undefined =>
  latestOf([
    ...[marks.get(id)].flatMap((m) => m ?? []),
    ...within.map((w) => marks.get(w)).flatMap((m) => (m?.state === 'done' ? m : []))
  ]);

/** A job that is done inside another one of the list stands there, with what asks for it; failed in it, it stands by itself. */
export function insideOthers(list: readonly Step[], marks: ReadonlyMap<string, StepMark>): Step[] {
  const wholeOf = (s: Step): Step | undefined =>
    marks.has(s.id) || s.failed
      ? undefined
      : list.find((x) => withinOf(s.id).includes(x.id) && (x.state === 'open' || s.state !== 'open'));
  // What comes after it comes after the whole.
  const renamed = (ids: readonly string[]): string[] => [
    ...new Set(
      ids.map((id) => {
        const part = list.find((x) => x.id === id);
        return (part && wholeOf(part)?.id) ?? id;
      })
    )
  ];
  return list
    .filter((s) => !wholeOf(s))
    .map((s) => {
      const inside = list.filter((x) => s.state === 'open' && x.state === 'open' && wholeOf(x) === s);
      return {
        ...s,
        why: [...s.why, ...inside.flatMap((x) => x.why)],
        found: [...s.found, ...inside.flatMap((x) => x.found)],
        after: renamed(s.after),
        follows: renamed(s.follows)
      };
    });
}
