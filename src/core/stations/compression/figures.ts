import { PSI } from '../../units/factors.ts';
import { withOilInterval } from '../../physics/wet-dose.ts';
import { atSeaLevel } from '../../physics/atmosphere.ts';
import type { Context } from '../../findings/context.ts';
import { say } from '../../units/index.ts';
import { absolute } from './absolute.ts';
import { compare } from './compare.ts';
import { expectedRange } from './expected.ts';
import { cylinderOf } from './shape.ts';

/** A computed figure beside the readings: Pa gauge, with its range where there is one. */
export interface Figure {
  readonly id: 'sea-level' | 'without-adapter' | 'wet-dose' | 'expected';
  readonly label: string;
  readonly cylinder?: number;
  readonly value?: number;
  readonly low?: number;
  readonly high?: number;
  readonly says: string;
}

/** What the compression readings come to: at sea level, without the adapter, the oil's own share of a wet test, what is expected. */
export function compressionFigures(c: Context): Figure[] {
  const found = compare(c);
  if (!found) return [];
  const step = found.instrument.resolution ?? PSI;
  const p = (pa: number): string => say(pa, 'pressure', c.units, step);
  const abs = absolute(c, found);
  const list: Figure[] = [];
  if (abs.altitudeKnown)
    for (const r of found.rows) {
      const value = atSeaLevel(r.mean, abs.ambient);
      list.push({
        id: 'sea-level',
        label: 'At sea level',
        cylinder: r.cylinder,
        value,
        says: `${p(r.mean)} here would be ${p(value)} at sea level`
      });
    }
  else
    list.push({
      id: 'sea-level',
      label: 'At sea level',
      value: abs.best,
      says: 'altitude not recorded: taken as sea level'
    });
  if (abs.adapter) {
    const { best, low, high, dead } = abs.adapter;
    list.push({
      id: 'without-adapter',
      label: 'Lowest, without the adapter',
      value: best,
      low,
      high,
      says: `the adapter’s ${say(dead, 'volume', c.units)} alone takes it down; without it about ${p(best)} (${p(low)} to ${p(high)})`
    });
  }
  const cylinder = cylinderOf(c);
  for (const wet of found.wet) {
    const dry = found.rows.find((r) => r.cylinder === wet.cylinder);
    const oil = dry && cylinder && wet.dose !== undefined ? withOilInterval(dry.mean, cylinder, wet.dose) : undefined;
    if (!dry || !oil) continue;
    list.push({
      id: 'wet-dose',
      label: 'Wet, the oil’s own share taken off',
      cylinder: wet.cylinder,
      value: wet.mean - oil.best,
      low: wet.mean - oil.high,
      high: wet.mean - oil.low,
      says: `${p(wet.mean - dry.mean)} over dry, ${p(oil.best - dry.mean)} of it (${p(oil.low - dry.mean)} to ${p(oil.high - dry.mean)}) the oil’s own volume`
    });
  }
  const expected = expectedRange(c);
  if (expected)
    list.push({
      id: 'expected',
      label: 'Expected of this engine',
      low: expected.low,
      high: expected.high,
      says: `${p(expected.low)} to ${p(expected.high)} by the cranking model (${expected.from}); under it is a question, never a fault`
    });
  return list;
}
