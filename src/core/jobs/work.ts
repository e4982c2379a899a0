import { contextOf, type Context, type Work } from '../findings/context.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import type { LeakFitter } from '../physics/cranking-fit.ts';
import type { System } from '../units/index.ts';
import type { ItemId } from '../items/register.ts';
import { isAfter, type Instant } from '../units/instant.ts';
import { doneByHand } from './by-hand.ts';
import { isWork } from './done.ts';
import { workFrom, type DoneWork } from './done-work.ts';
import type { JobRule, Opening } from './job.ts';
import { isJobId, jobOf, type JobId } from './register.ts';

/** What it runs through: opened, it may run otherwise than before (C). */
const THROUGH: ReadonlySet<string> = new Set(['head', 'carburettor', 'flywheel', 'leg']);

/** Whether only a run shows that a job was done right. */
export const seenRunning = ({ seenRunning: runs, opens }: JobRule): boolean =>
  runs ?? opens?.some((part) => THROUGH.has(part)) ?? false;

/**
 * What is taken apart with a part, and put together again (C): the joint of the shift rod comes apart with the leg; with the head the
 * gasket over every cylinder, the lash of its valves, and the belt that drives them.
 */
const APART: Readonly<Partial<Record<Opening, readonly ItemId[]>>> = {
  head: [
    'compression.pressure',
    'compression.pulls',
    'compression.leakdown',
    'compression.lashIn',
    'compression.lashEx',
    'turn.belt'
  ],
  leg: ['turn.neutral', 'turn.forward', 'turn.reverse']
};

/** The jobs that were marked done, by their marks; a mark that was taken back to open later is none. */
export function doneWork(survey: SurveyFile): DoneWork[] {
  const marks = survey.steps ?? [];
  return marks.flatMap((m): DoneWork[] => {
    const stands =
      m.state === 'done' && !marks.some((o) => o.step === m.step && o.state === 'open' && isAfter(o.at, m.at));
    // A look that is written as a job changes nothing on the engine.
    if (!stands || !isJobId(m.step) || jobOf(m.step).finds) return [];
    const rule = jobOf(m.step);
    const { proof, alters, renews, wipes, opens = [], apart = [] } = rule;
    const disturbs = [...(rule.opened?.(survey, m.at) ?? opens), ...apart].flatMap((part) => APART[part] ?? []);
    return [
      {
        at: m.at,
        proof: { station: proof.station, ...(proof.reads ? { reads: proof.reads } : {}) },
        ...(alters ? { alters } : {}),
        ...(renews ? { renews } : {}),
        ...(disturbs.length ? { disturbs } : {}),
        ...(wipes ? { wipes } : {}),
        ...(seenRunning(rule) ? { seenRunning: true as const } : {})
      }
    ];
  });
}

/** To have run it again is no work on it. */
export const RUN_AGAIN = 'run-again' satisfies JobId;

/** Whether anything was mended after an instant: a job marked done, or something put right by hand. */
export const mendedAfter = (survey: SurveyFile, at: Instant, but: readonly string[] = []): boolean =>
  (survey.steps ?? []).some((s) => isWork(s) && !but.includes(s.step) && isAfter(s.at, at)) ||
  doneByHand(survey).some((d) => isAfter(d.at, at));

/** Whether a job that changes the engine was done after an instant, or something put right by hand; to run it again is none. */
export const workedSince = (survey: SurveyFile, at: Instant): boolean =>
  (survey.steps ?? []).some(
    (s) => s.state === 'done' && isAfter(s.at, at) && s.step !== RUN_AGAIN && isJobId(s.step) && !jobOf(s.step).finds
  ) || doneByHand(survey).some((d) => isAfter(d.at, at));

/** When work was done, by what it changes. */
export const workOf = (survey: SurveyFile): Work => workFrom([...doneWork(survey), ...doneByHand(survey)]);

/** The context of a survey with the work that was done on it, as every judgement of it is given. */
export const contextWithWork = (survey: SurveyFile, now: Date, units: System, fitLeaks?: LeakFitter): Context =>
  contextOf(survey, now, units, fitLeaks, workOf(survey));
