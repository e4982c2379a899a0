import { randomBeta } from 'd3-random';

/** Low, likely, high of an estimate, in one unit. */
export type Three = readonly [low: number, likely: number, high: number];

/**
 * PERT-beta: mean (a + 4m + b)/6; the beta's exponents are 1 + 4(m − a)/(b − a) and 1 + 4(b − m)/(b − a).
 * P: Malcolm, Roseboom, Clark & Fazar 1959; Vose 2008 for the exponents. A range of no width is a number.
 */
export const pertShape = ([a, m, b]: Three): { alpha: number; beta: number } | undefined =>
  b > a ? { alpha: 1 + (4 * (m - a)) / (b - a), beta: 1 + (4 * (b - m)) / (b - a) } : undefined;

export const pertMean = ([a, m, b]: Three): number => (a + 4 * m + b) / 6;

/** Variance of the PERT-beta: (mean − a)(b − mean)/7, exact for these exponents. */
export const pertVariance = (t: Three): number => ((pertMean(t) - t[0]) * (t[2] - pertMean(t))) / 7;

/** Draws from an estimate by a source of numbers in [0, 1). */
export function pertDraw(t: Three, random: () => number): () => number {
  const shape = pertShape(t);
  if (!shape) return () => t[0];
  const draw = randomBeta.source(random)(shape.alpha, shape.beta);
  return () => t[0] + (t[2] - t[0]) * draw();
}
