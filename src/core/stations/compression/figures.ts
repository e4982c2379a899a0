import { atSeaLevel } from '../../physics/atmosphere.ts';
import { withOilInterval } from '../../physics/wet-dose.ts';
import type { Context } from '../../findings/context.ts';
import { absolute } from './absolute.ts';
import { compare } from './compare.ts';
import { expectedRange, type Expected } from './expected.ts';
import { cylinderOf } from './shape.ts';

interface Interval {
  readonly best: number;
  readonly low: number;
  readonly high: number;
}

/** A computed figure beside the readings: Pa gauge, with its range where there is one; `sayFigure` words it. */
export type Figure =
  | { readonly id: 'sea-level'; readonly cylinder: number; readonly here: number; readonly value: number }
  | { readonly id: 'altitude-unknown'; readonly value: number }
  | {
      readonly id: 'without-adapter';
      readonly value: number;
      readonly low: number;
      readonly high: number;
      /** m³ before the check valve. */
      readonly dead: number;
    }
  | {
      readonly id: 'wet-dose';
      readonly cylinder: number;
      readonly value: number;
      readonly low: number;
      readonly high: number;
      readonly rise: number;
      /** How much of the rise is the oil's own volume. */
      readonly oil: Interval;
    }
  | { readonly id: 'expected'; readonly low: number; readonly high: number; readonly from: Expected['from'] };

/** What the compression readings come to: at sea level, without the adapter, the oil's own share of a wet test, what is expected. */
export function compressionFigures(c: Context): Figure[] {
  const found = compare(c);
  if (!found) return [];
  const abs = absolute(c, found);
  const list: Figure[] = abs.altitudeKnown
    ? found.rows.map((r) => ({
        id: 'sea-level',
        cylinder: r.cylinder,
        here: r.mean,
        value: atSeaLevel(r.mean, abs.ambient)
      }))
    : [{ id: 'altitude-unknown', value: abs.best }];
  if (abs.adapter) {
    const { best, low, high, dead } = abs.adapter;
    list.push({ id: 'without-adapter', value: best, low, high, dead });
  }
  const cylinder = cylinderOf(c);
  for (const wet of found.wet) {
    const dry = found.rows.find((r) => r.cylinder === wet.cylinder);
    const oil = dry && cylinder && wet.dose !== undefined ? withOilInterval(dry.mean, cylinder, wet.dose) : undefined;
    if (!dry || !oil) continue;
    list.push({
      id: 'wet-dose',
      cylinder: wet.cylinder,
      value: wet.mean - oil.best,
      low: wet.mean - oil.high,
      high: wet.mean - oil.low,
      rise: wet.mean - dry.mean,
      oil: { best: oil.best - dry.mean, low: oil.low - dry.mean, high: oil.high - dry.mean }
    });
  }
  const expected = expectedRange(c);
  if (expected) list.push({ id: 'expected', low: expected.low, high: expected.high, from: expected.from });
  return list;
}
