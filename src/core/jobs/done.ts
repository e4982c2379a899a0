import type { StepMark } from '../record/reading.ts';
import { isAfter, latestOf } from '../units/instant.ts';
import type { Context } from '../findings/context.ts';
import { jobs } from './register.ts';

/** When each job was last marked done; one opened again is not. */
export function doneAt(c: Context): Map<string, string> {
  const last = new Map<string, { at: string; state: string }>();
  for (const m of c.survey.steps ?? []) if (!isAfter(last.get(m.step)?.at ?? m.at, m.at)) last.set(m.step, m);
  return new Map([...last].filter(([, m]) => m.state === 'done').map(([step, m]) => [step, m.at]));
}

/** Jobs that are behind us: marked done, or done by what the readings themselves say. */
export function mendedSteps(c: Context): Set<string> {
  return new Set([...doneAt(c).keys(), ...jobs.filter((r) => r.met?.(c)).map((r) => r.id)]);
}

/** The latest mark on a job. */
export const lastMark = (marks: readonly StepMark[], step: string): StepMark | undefined =>
  latestOf(marks.filter((m) => m.step === step));
