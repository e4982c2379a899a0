import { DOUBT } from './compare.ts';
import { PSI } from '../../units/factors.ts';
import { listed, type Context, cylindersSaid } from '../../findings/context.ts';
import { judgeSpread } from '../../physics/spread.ts';
import { boreOil } from '../plugs/oil-in-bores.ts';
import type { Comparison } from './compare.ts';
import { leakDownRows } from './leakdown.ts';

export interface Repeat {
  /** The one thing to measure next, in one sentence. */
  readonly sentence: string;
  readonly because: string;
  readonly cylinder?: number;
}

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
  const { instrument, conditions, order, rows, missing } = found;
  const lowest = rows.reduce((a, b) => (b.mean < a.mean ? b : a));
  const best = rows.reduce((a, b) => (b.mean > a.mean ? b : a));
  const range = instrument.range;
  const over = range === undefined ? undefined : rows.find((r) => Math.max(...r.readings) >= range);
  if (conditions.throttle !== 'open')
    return {
      sentence: 'Repeat with the throttle wide open.',
      because: 'shut, a cylinder cannot breathe and every reading is low'
    };
  if (over)
    return {
      sentence: `Repeat cylinder ${over.cylinder} with a gauge of a larger range.`,
      because: 'a needle at its stop is not a reading',
      cylinder: over.cylinder
    };
  const adapter = instrument.valve !== 'plug end' && (instrument.adapterVolume ?? 0) > 0;
  if (adapter && (rows.length === 1 || found.overLimit === undefined || found.overLimit > DOUBT))
    return {
      sentence: `Repeat cylinder ${lowest.cylinder} without the adapter, the valve at the plug end.`,
      because: 'the adapter alone may explain it, and nothing else separates the two',
      cylinder: lowest.cylinder
    };
  if (order?.confounded)
    return {
      sentence: 'Repeat all in the reverse order with a charged battery.',
      because: 'the low ones came last while cranking tired'
    };
  if (found.unlike.length) {
    const first = found.unlike[0]!;
    return {
      sentence: `Repeat cylinder ${first.cylinder} like the others.`,
      because: `it was read under other conditions (${first.why})`,
      cylinder: first.cylinder
    };
  }
  if (missing.length)
    return {
      sentence: `Read cylinder ${missing[0]}.`,
      because: `cylinders are compared with each other, and ${listed(missing)} ${missing.length > 1 ? 'have' : 'has'} no reading`,
      cylinder: missing[0]!
    };
  const fell = rows.find((r) => r.series.some((s) => falls(s, found.instrument.resolution)));
  if (fell)
    return {
      sentence: `Repeat cylinder ${fell.cylinder} with another gauge.`,
      because: 'the needle fell between two pulls, which a sound check valve does not allow',
      cylinder: fell.cylinder
    };
  if (rows.length === 1)
    return rows[0]!.readings.length < 2
      ? { sentence: 'Repeat it once.', because: 'one reading cannot be doubted', cylinder: rows[0]!.cylinder }
      : {
          sentence: 'No repeat would tell more; leak-down would.',
          because: 'a single cylinder has no neighbour to be compared with'
        };
  const overLimit = found.overLimit!;
  if (overLimit < DOUBT && rows.every((r) => r.readings.length > 0))
    return {
      sentence: 'No repeat is needed.',
      because: `the chance that the spread is over ${found.limit.said} is under ${Math.round(100 * DOUBT)} %`
    };
  if (lowest.readings.length < 2)
    return {
      sentence: `Repeat cylinder ${lowest.cylinder}.`,
      because: 'a low reading is doubted before it is believed',
      cylinder: lowest.cylinder
    };
  if (best.readings.length < 2)
    return {
      sentence: `Repeat cylinder ${best.cylinder}.`,
      because: 'the others are measured against it, and it was read once',
      cylinder: best.cylinder
    };
  const low = rows.filter((r) => r.low).map((r) => r.cylinder);
  const heard = leakDownRows(c).map((r) => r.cylinder);
  if (overLimit > 1 - DOUBT && low.length && low.every((k) => heard.includes(k)))
    return {
      sentence: 'No repeat would tell more here.',
      because: `${cylindersSaid(low)} ${low.length > 1 ? 'are' : 'is'} low beyond doubt and leak-down has been heard: what it points to is opened next`
    };
  if (overLimit > 1 - DOUBT) {
    const dose = boreOil(c) !== undefined || conditions.bores === 'oiled';
    return found.wet.some((w) => w.cylinder === lowest.cylinder) || dose
      ? {
          sentence: `Leak-down on cylinder ${lowest.cylinder}: no repeat of this test tells more.`,
          because: 'it is low beyond doubt, and where the air comes out names the part',
          cylinder: lowest.cylinder
        }
      : {
          sentence: `Wet test on cylinder ${lowest.cylinder}, with a measured dose.`,
          because: 'it is low beyond doubt; oil separates rings from valve, gasket and crown',
          cylinder: lowest.cylinder
        };
  }
  const ranked = rows
    .map((r) => ({ cylinder: r.cylinder, gain: gain(found, r.cylinder) }))
    .sort((a, b) => b.gain - a.gain);
  const first = ranked[0]!;
  return {
    sentence: `Repeat cylinder ${first.cylinder} once more.`,
    because: `of all cylinders its repeat takes most doubt out of the verdict (${Math.round(100 * overLimit)} % over the limit as it stands)`,
    cylinder: first.cylinder
  };
}

/** Whether a needle fell from one pull to the next by more than its own step. */
export const falls = (needle: readonly number[], step = PSI): boolean =>
  needle.some((p, k) => k > 0 && p < needle[k - 1]! - 1.01 * step);
