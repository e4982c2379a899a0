import type { Context } from '../findings/context.ts';
import type { StepMark } from '../record/reading.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { isAfter, latestBy } from '../units/instant.ts';
import { doneByHand } from './by-hand.ts';
import { jobs } from './register.ts';

/** The latest mark on each step, by its name. */
export const lastMarks = (survey: SurveyFile): Map<string, StepMark> => latestBy(survey.steps ?? [], (m) => m.step);

/**
 * Whether a mark says that work was done. The single steps of a procedure or a short job ("procedure.pump-kit.leg-off") say how far
 * work has got, not that anything was mended.
 */
export const isWork = (m: StepMark): boolean => m.state === 'done' && m.step.split('.').length < 3;

/** When each job was last done, by its mark or by what was put right by hand; one opened again is not. */
export function doneAt(c: Context): Map<string, string> {
  const out = new Map([...lastMarks(c.survey)].filter(([, m]) => m.state === 'done').map(([step, m]) => [step, m.at]));
  for (const { job, at } of doneByHand(c.survey)) if (job && isAfter(at, out.get(job))) out.set(job, at);
  for (const { id, within = [] } of jobs)
    for (const whole of within) {
      const at = out.get(whole);
      if (at !== undefined && isAfter(at, out.get(id))) out.set(id, at);
    }
  return out;
}

/** Jobs that are behind us: marked done, or done by what the readings themselves say. */
export const mendedSteps = (c: Context): Set<string> =>
  new Set([...doneAt(c).keys(), ...jobs.filter((r) => r.met?.(c)).map((r) => r.id)]);
