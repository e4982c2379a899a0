import { contextOf } from '../findings/context.ts';
import { known } from '../engine/profile.ts';
import type { Reading } from '../record/reading.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { thrownOut } from '../stations/turn/plugs-out.ts';
import { isAfter } from '../units/instant.ts';
import { lastMarks } from '../jobs/done.ts';
import { flowMark } from './flow.ts';
import { boreDose, measuredBores } from './flows-season.ts';

/** What a lay-up leaves in an engine until it is brought back: its items, and the answers that last over a winter. */
const lasts: Readonly<Record<string, readonly unknown[] | 'any'>> = {
  'plugs.oil': 'any',
  'turn.plugs': ['in', 'out'],
  'fuel.stabilised': ['yes', 'no'],
  'fuel.tank': ['drained', 'not-fitted'],
  'fuel.line': ['drained', 'not-fitted'],
  'fuel.bowl': ['drained', 'not-fitted']
};

/** A dose of measured oil where the engine's size is not known, m³ (M). */
const USUAL_DOSE = 5e-6;

/** How what was carried over is marked. */
const SOURCE = 'lay-up of ';

/** An assessment in which the engine was laid up: by its kind, or by the short job; or one that such a lay-up was carried into. */
export const wasLaidUp = (s: SurveyFile): boolean =>
  s.assessment.kind === 'lay-up' ||
  (s.steps ?? []).some((m) => m.step === flowMark('lay-up')) ||
  // Carried into a short job of the winter.
  s.readings.some((r) => r.by?.startsWith(SOURCE));

/**
 * What the lay-up left, as readings for the assessment that follows it, each with the moment it was made and "lay-up" as its source: oil in
 * the bores above all, which nobody sees from outside and which bends a rod. Nothing where it was run since, or was no lay-up.
 */
export function leftByLayUp(survey: SurveyFile, now: Date): Omit<Reading, 'id'>[] {
  if (!wasLaidUp(survey)) return [];
  const c = contextOf(survey, now, 'metric');
  const ran = c.record.all('run.outcome').findLast((r) => r.value === 'ran');
  const by = `${SOURCE}${survey.assessment.startedAt.slice(0, 10)}`;
  const left = Object.entries(lasts).flatMap(([what, answers]): Omit<Reading, 'id'>[] => {
    const r = c.record.last(what as Reading['what']);
    if (!r || r.value === 'unknown' || (ran && isAfter(ran.at, r.at))) return [];
    if (answers !== 'any' && !answers.includes(r.value)) return [];
    if (what === 'plugs.oil' && thrownOut(c, r.at)) return [];
    return [{ at: r.at, by: r.by?.startsWith(SOURCE) ? r.by : by, what: r.what, value: r.value }];
  });
  // Ticked by hand, and how much was not written down: it is there all the same.
  const ticked = lastMarks(survey).get(flowMark('lay-up', 'bores'));
  if (
    ticked?.state === 'done' &&
    measuredBores(c) &&
    !c.record.last('plugs.oil') &&
    !(ran && isAfter(ran.at, ticked.at))
  )
    left.push({ at: ticked.at, by: `${by}, amount not noted`, what: 'plugs.oil', value: boreDose(c) ?? USUAL_DOSE });
  const oil = left.find((r) => r.what === 'plugs.oil');
  const poured = oil && (known(oil.value as number) ?? 0) > 0;
  // Nobody lays an engine up with open plug holes: where it was not noted, they are in.
  if (poured && !left.some((r) => r.what === 'turn.plugs'))
    left.push({ at: oil.at, by: oil.by ?? by, what: 'turn.plugs', value: 'in' });
  return left.filter((r) => r.what !== 'turn.plugs' || poured);
}
