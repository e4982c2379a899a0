import { PSI } from '../units/factors.ts';
import type { Reading } from '../record/reading.ts';
import type { DimensionName } from '../units/dimension.ts';

export interface Estimate {
  readonly mean: number;
  /** Standard uncertainty from repeats and resolution; the instrument's own error is left out, the same one twice shares it. */
  readonly u: number;
}

/** How far a single measurement repeats by hand, as a share, where it was not repeated (M). */
const REPEATS = 0.03;
/** Finest step read where the instrument does not say, SI (M). */
const steps: Partial<Record<DimensionName, number>> = {
  pressure: PSI,
  temperature: 1,
  voltage: 0.1,
  length: 1e-4
};
/** Two means further apart than so many standard uncertainties are called different. */
const FACTOR = 2;

/** Mean of one round and how sure it is. P: GUM (JCGM 100:2008), type A from repeats and a rectangular step. */
export function estimateOf(readings: readonly Reading[], dimension: DimensionName): Estimate {
  const values = readings.map((r) => r.value).filter((v) => typeof v === 'number');
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  const scatter =
    values.length > 1
      ? Math.sqrt(values.reduce((s, v) => s + (v - mean) ** 2, 0) / (values.length - 1))
      : dimension === 'temperature'
        ? 1
        : REPEATS * Math.abs(mean);
  const step = readings.at(-1)?.instrument?.resolution ?? steps[dimension] ?? 0;
  return { mean, u: Math.hypot(scatter, step / Math.sqrt(12)) / Math.sqrt(values.length) };
}

/** Whether two rounds differ beyond what repeats, resolution and, with another instrument, its accuracy leave open. */
export function differ(a: Estimate, b: Estimate, from: Reading, to: Reading): boolean {
  const same = (from.instrument?.name ?? '') === (to.instrument?.name ?? '');
  const own = (r: Reading): number => (same ? 0 : (r.instrument?.accuracy ?? 0) * (r.instrument?.range ?? 0));
  return Math.abs(a.mean - b.mean) > FACTOR * Math.hypot(a.u, b.u, own(from), own(to));
}
