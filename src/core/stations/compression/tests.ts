import { byTime } from '../../units/instant.ts';
import type { Context } from '../../findings/context.ts';
import type { Reading } from '../../record/reading.ts';
import { weakCrankingAt } from '../plugs/weak-cranking.ts';

/** One compression test, however it was written down. Pa gauge. */
export interface PressureTest extends Reading {
  readonly value: number;
  /** The needle after each pull, where it was read. */
  readonly needle?: readonly number[];
  /** What was said of battery or starter before it, where neither volts nor speed were noted beside it. */
  readonly crankedWeakly?: 'volts' | 'starter';
}

/** Every test, final readings and pull-by-pull series alike, oldest first. */
export function pressureTests(c: Context): PressureTest[] {
  const finals = c.record
    .all('compression.pressure')
    .filter((r) => typeof r.value === 'number' && r.cylinder !== undefined) as PressureTest[];
  const series = c.record
    .all('compression.pulls')
    .filter((r) => Array.isArray(r.value) && r.cylinder !== undefined)
    .map((r) => ({ ...r, value: Math.max(...(r.value as number[])), needle: r.value as number[] }));
  const noted = ({ conditions }: PressureTest): boolean =>
    conditions?.volts !== undefined || conditions?.rpm !== undefined;
  const told = (r: PressureTest): PressureTest => {
    const weak = noted(r) ? undefined : weakCrankingAt(c, r.at);
    return weak ? { ...r, crankedWeakly: weak } : r;
  };
  return [...finals, ...series].map(told).sort((a, b) => byTime(a, b) || (a.id < b.id ? -1 : 1));
}
