import type { Context } from '../../findings/context.ts';
import { heatingOf } from './heating-of.ts';
import { mainTrack, type Run } from './runs.ts';
import type { Spot } from './spots.ts';
import { NEVER_WARM } from './warming.ts';

/** Two runs beside each other: where each ends, K, and the places that were read. */
export interface RunsBeside {
  readonly verdict: 'same' | 'cooler' | 'hotter' | 'cannot-tell';
  readonly before?: number;
  readonly after?: number;
  /** The one before never got warm, and this one did: what is hotter is what it lacked. */
  readonly warmNow?: true;
  /** Where two places were read, and nothing can be compared. */
  readonly places?: readonly [Spot, Spot];
}

/** Where a run ends, with its interval: the steady part, else the forecast. */
function endOf(c: Context, run: Run): { low: number; high: number; at: number } | undefined {
  const track = mainTrack(run);
  if (!track) return undefined;
  const h = heatingOf(c, track);
  if (h.steady)
    return { at: h.steady.at, low: h.steady.at - 2 * h.steady.error, high: h.steady.at + 2 * h.steady.error };
  return h.fit?.high === undefined ? undefined : { at: h.fit.plateau, low: h.fit.low, high: h.fit.high };
}

/** Two runs beside each other, at one place only; a difference inside both intervals is none. */
export function compareRuns(c: Context, before: Run, after: Run): RunsBeside {
  const [a, b] = [endOf(c, before), endOf(c, after)];
  const [ta, tb] = [mainTrack(before), mainTrack(after)];
  if (ta && tb && ta.spot !== tb.spot) return { verdict: 'cannot-tell', places: [ta.spot, tb.spot] };
  if (!a || !b) return { verdict: 'cannot-tell' };
  const ends = { before: a.at, after: b.at };
  if (a.low <= b.high && b.low <= a.high) return { verdict: 'same', ...ends };
  if (b.at < a.at) return { verdict: 'cooler', ...ends };
  const neverWarm =
    c.survey.engine.profile.thermostat === 'fitted' &&
    before.hottest !== undefined &&
    before.hottest.temperature < NEVER_WARM.under &&
    before.minutes >= NEVER_WARM.minutes;
  return { verdict: 'hotter', ...ends, ...(neverWarm && b.at >= NEVER_WARM.under ? { warmNow: true } : {}) };
}
