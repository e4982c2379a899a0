/** A temperature in the first run: seconds from the start, K (any one scale works). */
export interface WarmSample {
  readonly seconds: number;
  readonly temperature: number;
}

export interface WarmUp {
  /** Start, plateau and time constant (s) of the best curve. */
  readonly start: number;
  readonly plateau: number;
  readonly tau: number;
  /** Interval of the plateau; `high` is missing while the readings set no upper limit. */
  readonly low: number;
  readonly high?: number;
  readonly sigma: number;
}

const LOG_LOW = Math.log(20);
const LOG_HIGH = Math.log(7200);
const GRID = 96;
/** Half of it is what two log-likelihoods may differ by at 95 % for one parameter (P: χ² with one degree of freedom). */
const CHI2_95 = 3.841;

interface Sums {
  readonly n: number;
  readonly y: number;
  readonly yy: number;
}

/** Residual and best plateau for one time constant: with τ fixed the model is a straight line in x = e^(−t/τ). */
function line(
  samples: readonly WarmSample[],
  tau: number,
  s: Sums
): { rss: number; a: number; b: number; sxx: number; x: number } {
  let [x, xx, xy] = [0, 0, 0];
  for (const p of samples) {
    const e = Math.exp(-p.seconds / tau);
    x += e;
    xx += e * e;
    xy += e * p.temperature;
  }
  const sxx = xx - (x * x) / s.n;
  const sxy = xy - (x * s.y) / s.n;
  const b = sxx > 1e-12 ? sxy / sxx : 0;
  const a = (s.y - b * x) / s.n;
  return { rss: Math.max(0, s.yy - (s.y * s.y) / s.n - b * sxy), a, b, sxx, x: x / s.n };
}

/**
 * Fits T(t) = T_a + (T_∞ − T_a)(1 − e^(−t/τ)) to a warm-up and gives the plateau with its interval by profile likelihood:
 * for a fixed τ the model is linear, so log τ is searched and at each τ the plateaus that stay within the limit are
 * known in closed form. A linearised interval is too narrow early (91 % at 3 min). `sigma` is the reading's standard
 * deviation where it is known, else it comes from the residuals.
 *
 * Needs five samples over a minute; gives nothing before. Sources (P): first-order heating; profile likelihood.
 */
export function warmUp(samples: readonly WarmSample[], sigma?: number): WarmUp | undefined {
  const n = samples.length;
  const span = n ? samples[n - 1]!.seconds - samples[0]!.seconds : 0;
  if (n < 5 || !(span >= 60)) return undefined;
  let [y, yy] = [0, 0];
  for (const p of samples) {
    y += p.temperature;
    yy += p.temperature ** 2;
  }
  const sums = { n, y, yy };
  const at = Array.from({ length: GRID }, (_, k) => {
    const tau = Math.exp(LOG_LOW + ((LOG_HIGH - LOG_LOW) * k) / (GRID - 1));
    return { tau, ...line(samples, tau, sums) };
  });
  // Heating only: the curve comes from below.
  const rising = at.filter((f) => f.b <= 0);
  if (!rising.length) return undefined;
  const best = rising.reduce((p, q) => (q.rss < p.rss ? q : p));
  const s2 = sigma === undefined ? Math.max(best.rss / Math.max(1, n - 3), 1e-6) : sigma * sigma;
  const limit = best.rss + CHI2_95 * s2;
  let [low, high] = [Infinity, -Infinity];
  for (const f of rising) {
    if (f.rss > limit) continue;
    // At this τ the residual grows as (plateau − a)²/(1/n + x̄²/Sxx).
    const reach = Math.sqrt((limit - f.rss) * (1 / n + (f.x * f.x) / f.sxx));
    low = Math.min(low, f.a - reach);
    high = Math.max(high, f.a + reach);
  }
  const open = rising.at(-1)!.rss <= limit;
  return {
    start: best.a + best.b,
    plateau: best.a,
    tau: best.tau,
    low,
    ...(open ? {} : { high }),
    sigma: Math.sqrt(s2)
  };
}

/** Seconds from the start at which this curve reaches `limit`; nothing where its plateau lies under it. */
export function secondsUntil(fit: Pick<WarmUp, 'start' | 'plateau' | 'tau'>, limit: number): number | undefined {
  if (fit.start >= limit) return 0;
  return fit.plateau > limit ? fit.tau * Math.log((fit.plateau - fit.start) / (fit.plateau - limit)) : undefined;
}
