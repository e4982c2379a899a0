import { known } from '../../engine/profile.ts';
import { ruleNumber } from '../../house-rules/rules.ts';
import type { Context } from '../../findings/context.ts';
import { ranAfter, runs } from '../../findings/ran.ts';
import { isAfter } from '../../units/instant.ts';

const HOUR = 3_600_000;

/**
 * Oil in each bore, m³, where some was put in and is still there at an instant, by default for good: it is gone once the engine
 * ran, and has run off a day later (C; the house's hours to the next day).
 */
export const boreOil = (c: Context, at?: string): number | undefined => {
  const last = c.record.all('plugs.oil').findLast((r) => !at || !isAfter(r.at, at));
  const oil = known(last?.value);
  if (!last || typeof oil !== 'number' || oil <= 0) return undefined;
  const gone = at ? oilGone(c, last.at, at) : ranAfter(c, last.at);
  return gone ? undefined : oil;
};

/** Whether oil that was in the bores at one instant is gone at a later one: burnt off by a run, or run off by the next day. */
export const oilGone = (c: Context, from: string, at: string): boolean =>
  isAfter(at, from) &&
  (runs(c).some((r) => isAfter(r.at, from) && isAfter(at, r.at)) ||
    Date.parse(at) - Date.parse(from) >= ruleNumber(c.rules, 'nextDay') * HOUR);

/** Whether it ran since readings were taken with oil in the bores. */
export const oilBurntOff = (c: Context, readAt: string): boolean => ranAfter(c, readAt);
