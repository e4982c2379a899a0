import { ruleNumber } from '../house-rules/rules.ts';
import type { Context } from '../findings/context.ts';
import { exposure } from '../stations/turn/exposure.ts';

export interface DrownedClock {
  /** Hours left before rust is assumed; below zero when the time is past. */
  readonly hoursLeft: number;
  readonly until: Date;
  readonly sentence: string;
  readonly school: string;
}

/**
 * The clock of a drowned engine, from coming out of the water: slowed under fresh water, by fresh water's hours once rinsed,
 * and gone once the water inside was displaced with oil. Hours are house rules (C/M).
 * Nothing when the engine was not under water, nobody knows when it came out, or nothing runs out any more.
 */
export function drownedClock(c: Context): DrownedClock | undefined {
  const { history } = c.survey.engine;
  const e = c.survey.assessment.kind === 'drowned' ? exposure(c) : undefined;
  if (!e || e.stoppedAt !== undefined) return undefined;
  // To a thousandth of a second: sums of shares are not exact.
  const hoursLeft = Math.round(((1 - e.spent) / e.perHour) * 3.6e6) / 3.6e6;
  const until = new Date(c.now.getTime() + hoursLeft * 3.6e6);
  const allowed = ruleNumber(c.rules, e.salt ? 'drownedSalt' : 'drownedFresh');
  const water =
    history.water === 'fresh'
      ? 'fresh'
      : !e.salt
        ? 'fresh water once the salt is rinsed out'
        : history.water === 'salt'
          ? 'salt'
          : history.water === 'brackish'
            ? 'brackish'
            : 'unknown, taken as salt';
  return {
    hoursLeft,
    until,
    sentence:
      (e.kept ? 'Kept under fresh water: the clock is slowed until it comes out again. ' : '') +
      (hoursLeft > 0
        ? 'Work on it now, or keep it under fresh water rather than in air.'
        : 'The time is past: assume corrosion has begun and look at every bearing surface.'),
    school: `act within ${allowed} h of ${water}${water.includes('water') ? '' : ' water'} (house rule)`
  };
}
