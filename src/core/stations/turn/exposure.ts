import type { Context } from '../../findings/context.ts';
import { goodRuns } from '../../findings/ran.ts';
import { ruleNumber } from '../../house-rules/rules.ts';
import { drowned } from '../../record/drowned.ts';
import { compareInstants, isAfter, type Instant } from '../../units/instant.ts';

/** Kept under fresh water an engine rusts this much slower than in air, share (M: air is what does it). */
const UNDER_WATER = 0.1;

/** What lying about has done to a drowned engine since it came out. */
export interface Exposure {
  /** Share of the time that the house allows which is used up; over one, corrosion has begun. */
  readonly spent: number;
  /** Share used up in an hour as it lies now; nothing once it was stopped. */
  readonly perHour: number;
  /** Hours in air, not under water. */
  readonly inAir: number;
  /** When oil took the water's place inside: from then on nothing runs out. */
  readonly stoppedAt?: Instant;
  /** Salt, brackish or unknown water, not rinsed out. */
  readonly salt: boolean;
  readonly kept: boolean;
}

/**
 * Exposure from coming out of the water: hours in air after salt or fresh water, slowed under fresh water, by fresh water's
 * hours once the salt is rinsed out, stopped when the water inside was displaced. Nothing where nobody knows when it came out.
 * Hours are house rules (C/M).
 */
export function exposure(c: Context): Exposure | undefined {
  const { recoveredAt, water } = c.survey.engine.history;
  if (!drowned(c) || !recoveredAt || recoveredAt === 'unknown') return undefined;
  const perHour = (salt: boolean): number => 1 / ruleNumber(c.rules, salt ? 'drownedSalt' : 'drownedFresh');
  const stops = [
    ...c.record.all('turn.dried').filter((r) => r.value === 'yes'),
    ...c.record.all('turn.pass').filter((r) => r.value === 'clear'),
    ...goodRuns(c)
  ].map((r) => r.at);
  const stoppedAt = stops.reduce<Instant | undefined>((a, x) => (a && isAfter(x, a) ? a : x), undefined);
  const now = c.now.toISOString();
  const end = stoppedAt && compareInstants(stoppedAt, now) < 0 ? stoppedAt : now;
  let [at, salt, kept, spent, inAir]: [Instant, boolean, boolean, number, number] = [
    recoveredAt,
    water !== 'fresh',
    false,
    0,
    0
  ];
  const passTo = (next: Instant): void => {
    const hours = Math.max(0, (Date.parse(next) - Date.parse(at)) / 3.6e6);
    spent += hours * perHour(salt) * (kept ? UNDER_WATER : 1);
    if (!kept) inAir += hours;
    if (hours > 0) at = next;
  };
  for (const r of c.record.all('safe.rinsed').filter((x) => x.value !== 'unknown' && !isAfter(x.at, end))) {
    passTo(r.at);
    kept = r.value === 'kept';
    if (r.value !== 'no') salt = false;
  }
  passTo(end);
  return {
    spent,
    perHour: stoppedAt === undefined ? perHour(salt) * (kept ? UNDER_WATER : 1) : 0,
    inAir,
    salt,
    kept: kept && stoppedAt === undefined,
    ...(stoppedAt === undefined ? {} : { stoppedAt })
  };
}
