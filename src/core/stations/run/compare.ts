import type { Context } from '../../findings/context.ts';
import { say } from '../../units/index.ts';
import { heatingOf, mainTrack, spots, type Run } from './runs.ts';

export interface RunsBeside {
  readonly sentence: string;
  readonly verdict: 'same' | 'cooler' | 'hotter' | 'cannot-tell';
}

/** Where a run ends, with its interval: the steady part, else the forecast. */
function endOf(c: Context, run: Run): { spot: string; low: number; high: number; at: number } | undefined {
  const track = mainTrack(run);
  if (!track) return undefined;
  const h = heatingOf(c, track);
  if (h.steady)
    return {
      spot: track.spot,
      at: h.steady.at,
      low: h.steady.at - 2 * h.steady.error,
      high: h.steady.at + 2 * h.steady.error
    };
  return h.fit?.high === undefined
    ? undefined
    : { spot: track.spot, at: h.fit.plateau, low: h.fit.low, high: h.fit.high };
}

/** Two runs beside each other, at one place only; a difference inside both intervals is none. */
export function compareRuns(c: Context, before: Run, after: Run): RunsBeside {
  const [a, b] = [endOf(c, before), endOf(c, after)];
  const [ta, tb] = [mainTrack(before), mainTrack(after)];
  if (ta && tb && ta.spot !== tb.spot)
    return {
      verdict: 'cannot-tell',
      sentence: `Taken at two places, ${spots[ta.spot]} and ${spots[tb.spot]}: not comparable. Take the next one at the same spot.`
    };
  if (!a || !b)
    return { verdict: 'cannot-tell', sentence: 'One of the two was too short to say where it would have ended.' };
  const t = (k: number): string => say(k, 'temperature', c.units);
  if (a.low <= b.high && b.low <= a.high)
    return { verdict: 'same', sentence: `No difference that these readings can tell: ${t(a.at)} and ${t(b.at)}.` };
  return b.at < a.at
    ? {
        verdict: 'cooler',
        sentence: `Cooler than before: ${t(b.at)} after ${t(a.at)}, beyond what the readings scatter.`
      }
    : {
        verdict: 'hotter',
        sentence: `Hotter than before: ${t(b.at)} after ${t(a.at)}, beyond what the readings scatter.`
      };
}
