import { errorFunction } from 'simple-statistics';
import { rootOf } from './root.ts';

/** A reading reduced to its best value and standard uncertainty, same unit for both. */
export interface Estimate {
  readonly mean: number;
  readonly u: number;
}

const phi = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
/** Beyond six deviations the rest of the curve is under 1e-9, and the sum below takes thousands of these. */
const normalCdf = (z: number): number => (z > 6 ? 1 : z < -6 ? 0 : 0.5 * (1 + errorFunction(z / Math.SQRT2)));

/** Simpson's rule over mean ± 6 u of one estimate, of density × f. */
function expectOver(e: Estimate, f: (x: number) => number): number {
  const steps = 48;
  const h = 12 / steps;
  let sum = 0;
  for (let k = 0; k <= steps; k++) {
    const z = -6 + k * h;
    sum += (k === 0 || k === steps ? 1 : k % 2 ? 4 : 2) * phi(z) * f(e.mean + z * e.u);
  }
  return (sum * h) / 3;
}

/** P(every other lies between floor(x) and x, when estimate i is the highest, at x), summed over who is highest. */
function probabilityWithin(list: readonly Estimate[], floor: (x: number) => number): number {
  let total = 0;
  const best = list.reduce((a, b) => (b.mean > a.mean ? b : a));
  for (const top of list) {
    // One that would have to rise eight deviations to be the highest adds nothing.
    if (best.mean - top.mean > 8 * Math.hypot(best.u, top.u)) continue;
    total += expectOver(top, (x) => {
      let product = 1;
      for (const other of list) {
        if (other === top) continue;
        if (product === 0) break;
        product *= Math.max(0, normalCdf((x - other.mean) / other.u) - normalCdf((floor(x) - other.mean) / other.u));
      }
      return product;
    });
  }
  return Math.min(1, Math.max(0, total));
}

/**
 * Probability that the true spread (highest − lowest)/highest of independent normal estimates is at most `s`.
 * Exact up to quadrature (1e-5); every `u` must be above zero. Source (P): distribution of the range by conditioning on the maximum.
 */
export const spreadCdf = (list: readonly Estimate[], s: number): number => probabilityWithin(list, (x) => (1 - s) * x);

/**
 * Probability that a range at least as wide as observed would come from cylinders that are all alike,
 * given their uncertainties. Above 0.05 the difference is not one this instrument can resolve.
 */
export function probabilityAlike(list: readonly Estimate[]): number {
  if (list.length < 2) return 1;
  const means = list.map((e) => e.mean);
  const range = Math.max(...means) - Math.min(...means);
  const alike = list.map((e) => ({ mean: 0, u: e.u }));
  return 1 - probabilityWithin(alike, (x) => x - range);
}

export interface Spread {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** Spread of the means with its central 95 % interval, shares of the highest. Needs two estimates or more. */
export function spreadOf(list: readonly Estimate[]): Spread {
  if (list.length < 2) throw new RangeError('a spread needs two cylinders or more');
  const means = list.map((e) => e.mean);
  const best = Math.max(...means);
  const value = (best - Math.min(...means)) / best;
  const reach = (6 * Math.max(...list.map((e) => e.u))) / best;
  const [floor, roof] = [Math.max(0, value - reach), Math.min(1, value + reach)];
  // The distribution is smooth: half a dozen evaluations give three digits.
  const quantile = (p: number): number => {
    if (spreadCdf(list, floor) >= p) return floor;
    return rootOf((s) => spreadCdf(list, s) - p, floor, roof, 5e-4, 2e-4);
  };
  return { value, low: quantile(0.025), high: quantile(0.975) };
}

/**
 * Standard deviation of one reading, pooled from repeats and a prior worth `priorDof` repeats:
 * s² = (ν₀σ₀² + Σ(nᵢ−1)sᵢ²)/(ν₀ + Σ(nᵢ−1)) (P: pooled variance; the prior is M).
 */
export function pooledDeviation(groups: readonly (readonly number[])[], prior: number, priorDof = 3): number {
  let squares = priorDof * prior * prior;
  let dof = priorDof;
  for (const group of groups) {
    if (group.length < 2) continue;
    const mean = group.reduce((a, b) => a + b, 0) / group.length;
    squares += group.reduce((sum, v) => sum + (v - mean) ** 2, 0);
    dof += group.length - 1;
  }
  return Math.sqrt(squares / dof);
}

export interface SpreadJudgement {
  readonly spread: Spread;
  /** Probability that the true spread is over the limit. */
  readonly overLimit: number;
  /** Probability of so wide a range if all were alike. */
  readonly alike: number;
}

const kept = new Map<string, SpreadJudgement>();
const KEEP = 256;

/**
 * Spread, chance over a limit and chance of being alike, together. The same readings are judged again with every page
 * and every keystroke elsewhere, so the last few hundred answers are kept; they depend on nothing but the arguments.
 */
export function judgeSpread(list: readonly Estimate[], limit: number): SpreadJudgement {
  const key = `${limit}|${list.map((e) => `${e.mean},${e.u}`).join('|')}`;
  const known = kept.get(key);
  if (known) return known;
  const answer = { spread: spreadOf(list), overLimit: 1 - spreadCdf(list, limit), alike: probabilityAlike(list) };
  if (kept.size >= KEEP) kept.delete(kept.keys().next().value ?? '');
  kept.set(key, answer);
  return answer;
}
