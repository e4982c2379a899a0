import { byTime } from '../../units/instant.ts';
import type { Context } from '../../findings/context.ts';
import type { Reading } from '../../record/reading.ts';

/** One compression test, however it was written down. Pa gauge. */
export interface PressureTest extends Reading {
  readonly value: number;
  /** The needle after each pull, where it was read. */
  readonly needle?: readonly number[];
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
  return [...finals, ...series].sort((a, b) => byTime(a, b) || (a.id < b.id ? -1 : 1));
}
