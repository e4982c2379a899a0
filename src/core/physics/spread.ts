import { errorFunction } from 'simple-statistics';

/** A reading reduced to its best value and standard uncertainty, same unit for both. */
export interface Estimate {
  readonly mean: number;
  readonly u: number;
}

const phi = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
const normalCdf = (z: number): number => 0.5 * (1 + errorFunction(z / Math.SQRT2));

/** Simpson's rule over mean ± 6 u of one estimate, of density × f. */
function expectOver(e: Estimate, f: (x: number) => number): number {
  const steps = 64;
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
  for (const top of list) {
    total += expectOver(top, (x) => {
      let product = 1;
      for (const other of list) {
        if (other === top) continue;
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
  const quantile = (p: number): number => {
    let [low, high] = [0, 1];
    for (let k = 0; k < 22; k++) {
      const middle = (low + high) / 2;
      if (spreadCdf(list, middle) < p) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  return { value: (best - Math.min(...means)) / best, low: quantile(0.025), high: quantile(0.975) };
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
