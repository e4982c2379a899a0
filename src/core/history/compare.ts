import { contextOf } from '../findings/context.ts';
import { beforeAfter, type BeforeAfter } from './before-after.ts';
import { roundOf } from '../record/current.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import type { System } from '../units/index.ts';

/**
 * Two assessments of the same engine side by side: the last round of the earlier one against the last round of the
 * later one, with the same care for conditions and instruments as before and after a repair.
 */
export function beforeAfterOf(earlier: SurveyFile, later: SurveyFile, now: Date, units: System): BeforeAfter[] {
  const lastRound = (s: SurveyFile, round: number) => {
    const newest = new Map<string, number>();
    const key = (r: { what: string; cylinder?: number | undefined }): string => `${r.what}|${r.cylinder ?? ''}`;
    for (const r of s.readings) newest.set(key(r), Math.max(newest.get(key(r)) ?? 0, roundOf(r)));
    return s.readings
      .filter((r) => roundOf(r) === newest.get(key(r)))
      .map((r) => ({
        ...r,
        id: `${round}-${r.id}`,
        ...(r.supersedes ? { supersedes: `${round}-${r.supersedes}` } : {}),
        round
      }));
  };
  const both: SurveyFile = { ...later, readings: [...lastRound(earlier, 1), ...lastRound(later, 2)] };
  return beforeAfter(contextOf(both, now, units));
}
