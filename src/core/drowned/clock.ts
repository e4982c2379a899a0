import { ruleNumber } from '../house-rules/rules.ts';
import type { Context } from '../findings/context.ts';

export interface DrownedClock {
  /** Hours left before rust is assumed; below zero when the time is past. */
  readonly hoursLeft: number;
  readonly until: Date;
  readonly sentence: string;
  readonly school: string;
}

/**
 * The clock of a drowned engine, from coming out of the water; kept under fresh water it stands still.
 * Hours are house rules (C/M). Nothing when the engine was not under water or nobody knows when it came out.
 */
export function drownedClock(c: Context): DrownedClock | undefined {
  const { history } = c.survey.engine;
  if (c.survey.assessment.kind !== 'drowned' || !history.recoveredAt || history.recoveredAt === 'unknown')
    return undefined;
  const salt = history.water !== 'fresh';
  const allowed = ruleNumber(c.rules, salt ? 'drownedSalt' : 'drownedFresh');
  const out = new Date(history.recoveredAt);
  const until = new Date(out.getTime() + allowed * 3.6e6);
  const hoursLeft = (until.getTime() - c.now.getTime()) / 3.6e6;
  const water =
    history.water === 'fresh'
      ? 'fresh'
      : history.water === 'salt'
        ? 'salt'
        : history.water === 'brackish'
          ? 'brackish'
          : 'unknown, taken as salt';
  const kept = c.record.value('safe.rinsed') === 'kept';
  return {
    hoursLeft,
    until,
    sentence:
      (kept ? 'Kept under fresh water: the clock is slowed until it comes out again. ' : '') +
      (hoursLeft > 0
        ? 'Work on it now, or keep it under fresh water rather than in air.'
        : 'The time is past: assume corrosion has begun and look at every bearing surface.'),
    school: `act within ${allowed} h of ${water} water (house rule)`
  };
}
