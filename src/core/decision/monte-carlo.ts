import { randomLcg } from 'd3-random';
import { pertDraw } from '../physics/pert.ts';
import type { Job } from '../plan/bill.ts';

export interface Draws {
  /** Total cost of each draw, cr, ascending. */
  readonly costs: Float64Array;
  /** Hands of each draw, minutes, ascending. */
  readonly minutes: Float64Array;
  readonly mean: number;
  readonly deviation: number;
}

/**
 * Draws the cost of putting an engine right. Works are there or not by their probability, independently of each other;
 * `seed` in [0, 1) makes it reproducible. Throws on a probability outside 0 to 1.
 */
export function drawCosts(jobs: readonly Job[], rate: number, draws: number, seed: number): Draws {
  const random = randomLcg(seed);
  const plan = jobs.map((j) =>
    j.works.map((w) => {
      if (!(w.probability >= 0 && w.probability <= 1)) throw new RangeError(`${w.label}: a probability is from 0 to 1`);
      return { p: w.probability, parts: pertDraw(w.parts, random), minutes: pertDraw(w.minutes, random) };
    })
  );
  const costs = new Float64Array(draws);
  const minutes = new Float64Array(draws);
  let sum = 0;
  let squares = 0;
  for (let k = 0; k < draws; k++) {
    let parts = 0;
    let hands = 0;
    for (const job of plan) {
      let longest = 0;
      for (const w of job)
        if (w.p >= 1 || random() < w.p) {
          parts += w.parts();
          longest = Math.max(longest, w.minutes());
        }
      hands += longest;
    }
    const cost = parts + (hands / 60) * rate;
    costs[k] = cost;
    minutes[k] = hands;
    sum += cost;
    squares += cost * cost;
  }
  const mean = sum / draws;
  const deviation = Math.sqrt(Math.max(0, squares / draws - mean * mean));
  return { costs: costs.sort(), minutes: minutes.sort(), mean, deviation };
}

/** Quantile of an ascending list; p from 0 to 1. */
export const quantile = (sorted: Float64Array, p: number): number =>
  sorted.length ? sorted[Math.min(sorted.length - 1, Math.floor(p * sorted.length))]! : 0;

/** Share of draws over a sum. */
export function shareOver(sorted: Float64Array, sum: number): number {
  let lo = 0;
  let hi = sorted.length;
  while (lo < hi) {
    const mid = (lo + hi) >> 1;
    if (sorted[mid]! > sum) hi = mid;
    else lo = mid + 1;
  }
  return sorted.length ? 1 - lo / sorted.length : 0;
}

/** How often each of equal steps of cost came up, for a chart. */
export function histogram(
  sorted: Float64Array,
  bins: number
): { readonly from: number; readonly to: number; readonly n: number }[] {
  const top = Math.max(1, quantile(sorted, 0.995));
  const width = top / bins;
  const out = Array.from({ length: bins }, (_, k) => ({ from: k * width, to: (k + 1) * width, n: 0 }));
  for (const c of sorted) out[Math.min(bins - 1, Math.floor(c / width))]!.n++;
  return out;
}
