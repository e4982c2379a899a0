import { contextOf } from '../findings/context.ts';
import { known } from '../engine/profile.ts';
import type { Reading } from '../record/reading.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { isAfter } from '../units/instant.ts';
import { flowMark } from './flow.ts';

/** What a lay-up leaves in an engine until it is brought back: its items, and the answers that last over a winter. */
const lasts: Readonly<Record<string, readonly unknown[] | 'any'>> = {
  'plugs.oil': 'any',
  'turn.plugs': ['in', 'out'],
  'fuel.stabilised': ['yes', 'no'],
  'fuel.tank': ['drained', 'not-fitted'],
  'fuel.line': ['drained', 'not-fitted'],
  'fuel.bowl': ['drained', 'not-fitted']
};

/** An assessment in which the engine was laid up: by its kind, or by the short job. */
export const wasLaidUp = (s: SurveyFile): boolean =>
  s.assessment.kind === 'lay-up' || (s.steps ?? []).some((m) => m.step === flowMark('lay-up'));

/**
 * What the lay-up left, as readings for the assessment that follows it, each with the moment it was made and "lay-up" as its source: oil in
 * the bores above all, which nobody sees from outside and which bends a rod. Nothing where it was run since, or was no lay-up.
 */
export function leftByLayUp(survey: SurveyFile, now: Date): Omit<Reading, 'id'>[] {
  if (!wasLaidUp(survey)) return [];
  const c = contextOf(survey, now, 'metric');
  const ran = c.record.all('run.outcome').findLast((r) => r.value === 'ran');
  const by = `lay-up of ${survey.assessment.startedAt.slice(0, 10)}`;
  const left = Object.entries(lasts).flatMap(([what, answers]): Omit<Reading, 'id'>[] => {
    const r = c.record.last(what as Reading['what']);
    if (!r || r.value === 'unknown' || (ran && isAfter(ran.at, r.at))) return [];
    if (answers !== 'any' && !answers.includes(r.value)) return [];
    return [{ at: r.at, by, what: r.what, value: r.value }];
  });
  const oil = left.find((r) => r.what === 'plugs.oil');
  const poured = oil && (known(oil.value as number) ?? 0) > 0;
  // Nobody lays an engine up with open plug holes: where it was not noted, they are in.
  if (poured && !left.some((r) => r.what === 'turn.plugs'))
    left.push({ at: oil.at, by, what: 'turn.plugs', value: 'in' });
  return left.filter((r) => r.what !== 'turn.plugs' || poured);
}
