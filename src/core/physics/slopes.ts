/** A group of data with a level of its own: x values, one list a predictor, beside y. */
export interface Stretch {
  readonly x: readonly (readonly number[])[];
  readonly y: readonly number[];
}
export interface Slope {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** What is believed of the scatter before any data: a standard deviation, and how many data that belief weighs. */
export interface Scatter {
  readonly sigma: number;
  readonly weighs: number;
}

/**
 * Student's t for a two-sided 95 % interval. Exact for one and two degrees of freedom, else the Cornish-Fisher expansion.
 * P: Abramowitz & Stegun 26.7.5; table 26.10 for the check.
 * @example studentT(5) // 2.57
 */
export function studentT(freedom: number): number {
  if (!(freedom > 0)) throw new RangeError('degrees of freedom above zero');
  if (freedom === 1) return Math.tan(0.475 * Math.PI);
  if (freedom === 2) return Math.sqrt(2 / (4 * 0.975 * 0.025) - 2);
  const z = 1.959963985;
  const g1 = (z ** 3 + z) / 4;
  const g2 = (5 * z ** 5 + 16 * z ** 3 + 3 * z) / 96;
  const g3 = (3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / 384;
  const g4 = (79 * z ** 9 + 776 * z ** 7 + 1482 * z ** 5 - 1920 * z ** 3 - 945 * z) / 92160;
  return z + g1 / freedom + g2 / freedom ** 2 + g3 / freedom ** 3 + g4 / freedom ** 4;
}

/** Data with their group's mean taken out, one row a datum. */
function centred(stretches: readonly Stretch[], predictors: number): { rows: number[][]; y: number[] } {
  const rows: number[][] = [];
  const y: number[] = [];
  for (const s of stretches) {
    const n = s.y.length;
    if (!n) continue;
    const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / n;
    const mx = Array.from({ length: predictors }, (_, k) => mean(s.x.map((r) => r[k]!)));
    const my = mean(s.y);
    s.x.forEach((r) => rows.push(r.map((v, k) => v - mx[k]!)));
    s.y.forEach((v) => y.push(v - my));
  }
  return { rows, y };
}

/**
 * One or two slopes shared by stretches of data that each have a level of their own (oil was added or changed between them), by least
 * squares. The scatter is that of the data and of what is known of it before, by the conjugate scaled inverse chi-square. 95 %
 * intervals; nothing where the data cannot tell the slopes.
 * P: within-group regression; Gelman et al., Bayesian Data Analysis, 3.2 for the scatter.
 */
export function slopes(stretches: readonly Stretch[], predictors: 1 | 2, scatter: Scatter): Slope[] | undefined {
  const used = stretches.filter((s) => s.y.length > 1);
  const { rows, y } = centred(used, predictors);
  const dot = (a: number, b: number): number => rows.reduce((sum, r) => sum + r[a]! * r[b]!, 0);
  const dotY = (a: number): number => rows.reduce((sum, r, k) => sum + r[a]! * y[k]!, 0);
  const [aa, bb, ab] = predictors === 2 ? [dot(0, 0), dot(1, 1), dot(0, 1)] : [dot(0, 0), 1, 0];
  const determinant = aa * bb - ab * ab;
  // Idle and load in one proportion throughout: nobody can tell them apart.
  if (!(aa > 0) || !(bb > 0) || determinant < 1e-3 * aa * bb) return undefined;
  const inverse = [
    [bb / determinant, -ab / determinant],
    [-ab / determinant, aa / determinant]
  ] as const;
  const right = predictors === 2 ? [dotY(0), dotY(1)] : [dotY(0), 0];
  const values = Array.from({ length: predictors }, (_, k) => inverse[k]![0] * right[0]! + inverse[k]![1] * right[1]!);
  const residual = rows.reduce((sum, r, k) => sum + (y[k]! - r.reduce((s, v, j) => s + v * values[j]!, 0)) ** 2, 0);
  const free = Math.max(0, y.length - used.length - predictors);
  const sigma = Math.sqrt((scatter.weighs * scatter.sigma ** 2 + residual) / (scatter.weighs + free));
  const t = studentT(scatter.weighs + free);
  return values.map((value, k) => {
    const reach = t * sigma * Math.sqrt(inverse[k]![k]!);
    return { value, low: value - reach, high: value + reach };
  });
}
