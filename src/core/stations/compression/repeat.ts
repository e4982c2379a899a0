import type { Context } from '../../findings/context.ts';
import { judgeSpread } from '../../physics/spread.ts';
import { overheated, ranWithoutOilUnread } from '../run/overheated.ts';
import { boreOil } from '../plugs/oil-in-bores.ts';
import { comparedRows, DOUBT, readInSoak, type Comparison } from './compare.ts';
import { floorOf, reachesAnyway } from './floor.ts';
import { unreadSinceHeadOff } from './head-off.ts';
import { deadVolume } from './measure.ts';
import type { Repeat } from './facts.ts';
import { leakDownRows, leakDownSays, speaks } from './leakdown-rows.ts';
import { lowSinceTight, wholeBank } from './low-bank.ts';
import { oddHigh } from './odd-high.ts';
import { oilOnLow } from './wet.ts';

const entropy = (p: number): number => (p <= 0 || p >= 1 ? 0 : -(p * Math.log2(p) + (1 - p) * Math.log2(1 - p)));

/** How much less uncertain "over the limit or not" would be after one more reading of a cylinder that came out the same. */
function gain(found: Comparison, cylinder: number): number {
  const more = found.rows.map((r) =>
    r.cylinder === cylinder ? { ...r, u: r.u * Math.sqrt(r.readings.length / (r.readings.length + 1)) } : r
  );
  return entropy(found.overLimit!) - entropy(judgeSpread(more, found.limit.value).overLimit);
}

/**
 * Which single repeat would settle most. What makes readings wrong comes before what makes them uncertain; after that,
 * the cylinder whose repeat takes most doubt out of the verdict. P: expected entropy; the order is common practice (C).
 */
export function singleRepeat(c: Context, found: Comparison): Repeat {
  const { instrument, conditions, order, missing, voided } = found;
  const rows = comparedRows(found);
  if (overheated(c) || ranWithoutOilUnread(c)) return { kind: 'heated' };
  const [nothing] = voided;
  if (nothing)
    return nothing.why === 'throttle' ? { kind: 'throttle' } : { kind: nothing.why, cylinder: nothing.cylinder };
  const lowest = rows.reduce((a, b) => (b.mean < a.mean ? b : a));
  const best = rows.reduce((a, b) => (b.mean > a.mean ? b : a));
  if (conditions.throttle !== 'open') return { kind: 'throttle' };
  if (readInSoak(c, found)) return { kind: 'soaked' };
  const high = found.rows.find((r) => r.high && r.readings.length < 2);
  if (high) return { kind: 'high', cylinder: high.cylinder };
  const scattered = found.rows.find((r) => r.scattered);
  if (scattered) return { kind: 'scatter', cylinder: scattered.cylinder };
  const adapter = deadVolume(instrument) > 0;
  if (adapter && (rows.length === 1 || found.overLimit === undefined || found.overLimit > DOUBT))
    return { kind: 'adapter', cylinder: lowest.cylinder };
  if (order?.confounded) return { kind: 'order' };
  if ((found.weak || found.tires !== undefined) && !reachesAnyway(found, floorOf(c, found)))
    return { kind: 'cranking', starter: c.survey.engine.profile.starting === 'electric' };
  if (found.unlike.length) return { kind: 'unlike', ...found.unlike[0]! };
  if (missing.length) return { kind: 'missing', cylinder: missing[0]!, missing };
  const before = unreadSinceHeadOff(c);
  if (before.length) return { kind: 'head-off', cylinders: before };
  if (rows.length === 1)
    return rows[0]!.readings.length < 2
      ? { kind: 'single', cylinder: rows[0]!.cylinder }
      : { kind: 'leak-down-instead' };
  const overLimit = found.overLimit!;
  if (overLimit < DOUBT && rows.every((r) => r.readings.length > 0))
    return { kind: 'none', limit: found.limit, doubt: DOUBT };
  const low = rows.filter((r) => r.low).map((r) => r.cylinder);
  const { leaking, tight } = leakDownSays(c);
  if (overLimit > 1 - DOUBT && low.length && low.every((k) => leaking.has(k))) return { kind: 'heard', low };
  if (overLimit > 1 - DOUBT && low.length && low.every((k) => tight.has(k))) {
    const bank = wholeBank(c, low, tight);
    const once = rows.find((r) => r.low && !bank && !lowSinceTight(c, r.cylinder, r.at));
    return once
      ? { kind: 'lowest', cylinder: once.cylinder }
      : { kind: 'tight', low, valves: c.survey.engine.profile.strokes === 'four' };
  }
  const odd = oddHigh(c, found);
  if (odd)
    return odd.again
      ? { kind: 'look-in', cylinder: odd.row.cylinder }
      : { kind: 'odd-high', cylinder: odd.row.cylinder };
  if (lowest.readings.length < 2)
    return { kind: oilOnLow(c, found, lowest, best) ? 'leak-down' : 'lowest', cylinder: lowest.cylinder };
  if (best.readings.length < 2 && overLimit <= 1 - DOUBT) return { kind: 'best', cylinder: best.cylinder };
  const heard = leakDownRows(c)
    .filter(speaks)
    .map((r) => r.cylinder);
  if (overLimit > 1 - DOUBT && low.length && low.every((k) => heard.includes(k))) return { kind: 'heard', low };
  if (overLimit > 1 - DOUBT) {
    const oiled = boreOil(c, found.at) !== undefined || conditions.bores === 'oiled';
    const wet = oiled || found.wet.some((w) => w.cylinder === lowest.cylinder);
    return { kind: wet ? 'leak-down' : 'wet-test', cylinder: lowest.cylinder };
  }
  const ranked = rows
    .map((r) => ({ cylinder: r.cylinder, gain: gain(found, r.cylinder) }))
    .sort((a, b) => b.gain - a.gain);
  return { kind: 'most-doubt', cylinder: ranked[0]!.cylinder, overLimit };
}
