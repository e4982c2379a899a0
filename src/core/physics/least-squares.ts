import { levenbergMarquardt } from 'ml-levenberg-marquardt';

export interface LeastSquares {
  readonly parameters: readonly number[];
  /** Sum of squared residuals over u². */
  readonly chi2: number;
  /** Covariance of the parameters for unit weight 1/u². */
  readonly covariance: readonly (readonly number[])[];
  /** Whether every start came to the same optimum (1 % of a parameter's size, or of its deviation where that is more). */
  readonly agreed: boolean;
}

export interface Problem {
  /** The curve for a set of parameters, one value a datum. */
  readonly curve: (parameters: readonly number[]) => ArrayLike<number>;
  readonly observed: readonly number[];
  readonly u: number;
  readonly starts: readonly (readonly number[])[];
  readonly low: readonly number[];
  readonly high: readonly number[];
  /** Steps for the differences of the Jacobian, one a parameter. */
  readonly steps: readonly number[];
}

const chi2At = (p: Problem, at: readonly number[]): number => {
  const curve = p.curve(at);
  return p.observed.reduce((sum, y, k) => sum + ((y - curve[k]!) / p.u) ** 2, 0);
};

/**
 * The package keeps steps that made things worse and stops on an absolute error only, so it is run in short stretches.
 * It squares and inverts its weights in one place and not in the other, so the data go in already divided by u.
 */
function descend(p: Problem, start: readonly number[]): { at: readonly number[]; chi2: number } {
  let at = start;
  let chi2 = chi2At(p, at);
  for (let stretch = 0; stretch < 6; stretch++) {
    const found = levenbergMarquardt(
      { x: p.observed.map((_, k) => k), y: p.observed.map((y) => y / p.u) },
      (parameters: number[]) => {
        const curve = p.curve(parameters);
        return (k: number) => curve[k]! / p.u;
      },
      {
        initialValues: [...at],
        minValues: [...p.low],
        maxValues: [...p.high],
        gradientDifference: [...p.steps],
        damping: 1e-3,
        maxIterations: 2,
        errorTolerance: 1e-8
      }
    ).parameterValues;
    const now = chi2At(p, found);
    if (!(now < chi2 - 1e-3 * Math.max(1, chi2))) return now < chi2 ? { at: found, chi2: now } : { at, chi2 };
    [at, chi2] = [found, now];
  }
  return { at, chi2 };
}

function jacobian(p: Problem, at: readonly number[]): number[][] {
  return at.map((x, i) => {
    const step = p.steps[i]!;
    const up = x + step <= p.high[i]! ? x + step : x;
    const down = x - step >= p.low[i]! ? x - step : x;
    const [a, b] = [up, down].map((v) => p.curve(at.map((y, k) => (k === i ? v : y))));
    return p.observed.map((_, k) => (a![k]! - b![k]!) / (up - down));
  });
}

/** Inverse of a symmetric matrix of one or two rows, which is all that is fitted here; nothing where it is singular. */
function inverse(m: readonly (readonly number[])[]): number[][] {
  const [a, b] = [m[0]![0]!, m[0]![1] ?? 0];
  if (m.length === 1) return [[1 / a]];
  const d = m[1]![1]!;
  const det = a * d - b * b;
  return [
    [d / det, -b / det],
    [-b / det, a / det]
  ];
}

/**
 * Weighted least squares by Levenberg–Marquardt from every start, the best kept, with its covariance u²·(JᵀJ)⁻¹ and
 * whether the starts agree. One or two parameters; `steps` are absolute. Throws RangeError on other shapes.
 */
export function leastSquares(p: Problem): LeastSquares {
  if (p.low.length < 1 || p.low.length > 2) throw new RangeError('fits one or two parameters');
  const ends = p.starts.map((s) => descend(p, s));
  const best = ends.reduce((a, b) => (b.chi2 < a.chi2 ? b : a));
  const J = jacobian(p, best.at);
  const normal = J.map((a) => J.map((b) => a.reduce((sum, x, k) => sum + (x * b[k]!) / p.u ** 2, 0)));
  const covariance = inverse(normal);
  const agreed = ends.every((e) =>
    e.at.every((x, i) => {
      const deviation = Math.sqrt(Math.abs(covariance[i]![i]!));
      return Math.abs(x - best.at[i]!) <= Math.max(0.01 * Math.abs(best.at[i]!), deviation, p.steps[i]!);
    })
  );
  return { parameters: best.at, chi2: best.chi2, covariance, agreed };
}
