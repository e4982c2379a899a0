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

export interface WarmUpKnown {
  /** The reading's standard deviation, K; from the residuals where it is not known. */
  readonly sigma?: number;
  /** The temperature it started at: a cold engine has the air's. Fitted where it is not known. */
  readonly start?: number;
}

const LOG_LOW = Math.log(20);
const LOG_HIGH = Math.log(7200);
/** Time constants tried over the whole range, and again between those that come close. */
const GRID = 48;
const Z = 1.959964;

/** Two-sided 95 % point of Student's t, squared (P: Abramowitz & Stegun 26.7.5; within 1 % from three degrees on). */
export function t95squared(freedom: number): number {
  const g1 = (Z ** 3 + Z) / 4;
  const g2 = (5 * Z ** 5 + 16 * Z ** 3 + 3 * Z) / 96;
  const g3 = (3 * Z ** 7 + 19 * Z ** 5 + 17 * Z ** 3 - 15 * Z) / 384;
  return (Z + g1 / freedom + g2 / freedom ** 2 + g3 / freedom ** 3) ** 2;
}

interface Line {
  readonly tau: number;
  readonly rss: number;
  readonly plateau: number;
  readonly start: number;
  /** The residual grows by (change of plateau)²/`spread`. */
  readonly spread: number;
}

/** Best plateau for one time constant: with τ fixed the model is a straight line in x = e^(−t/τ). */
function line(samples: readonly WarmSample[], tau: number, known: number | undefined): Line {
  const n = samples.length;
  let [x, xx, y, yy, xy] = [0, 0, 0, 0, 0];
  // Centred on the first reading: sums of squares of kelvins would eat the digits.
  const base = known ?? samples[0]!.temperature;
  for (const p of samples) {
    const e = Math.exp(-p.seconds / tau);
    const u = known === undefined ? e : 1 - e;
    const v = p.temperature - base;
    x += u;
    xx += u * u;
    y += v;
    yy += v * v;
    xy += u * v;
  }
  if (known !== undefined) {
    const rise = xx > 1e-12 ? xy / xx : 0;
    return { tau, rss: Math.max(0, yy - rise * xy), plateau: base + rise, start: base, spread: 1 / xx };
  }
  const sxx = xx - (x * x) / n;
  const sxy = xy - (x * y) / n;
  const b = sxx > 1e-12 ? sxy / sxx : 0;
  const a = (y - b * x) / n;
  const rss = Math.max(0, yy - (y * y) / n - b * sxy);
  return { tau, rss, plateau: base + a, start: base + a + b, spread: 1 / n + (x / n) ** 2 / sxx };
}

/**
 * Fits T(t) = T_a + (T_∞ − T_a)(1 − e^(−t/τ)) to a warm-up and gives the plateau with its 95 % interval by profile
 * likelihood: for a fixed τ the model is linear, so log τ is searched and at each τ the plateaus that stay within the
 * limit are known in closed form. A linearised interval is too narrow early (91 % at 3 min).
 *
 * Needs five samples over a minute; gives nothing before, or where it does not heat. Sources (P): first-order heating;
 * profile likelihood with χ² of one degree of freedom where σ is known, Student's t where it comes from the residuals.
 */
export function warmUp(samples: readonly WarmSample[], known: WarmUpKnown = {}): WarmUp | undefined {
  const n = samples.length;
  const span = n ? samples[n - 1]!.seconds - samples[0]!.seconds : 0;
  if (n < 5 || !(span >= 60)) return undefined;
  const tried = (from: number, to: number): Line[] =>
    Array.from({ length: GRID }, (_, k) =>
      line(samples, Math.exp(from + ((to - from) * k) / (GRID - 1)), known.start)
    ).filter((f) => f.plateau >= f.start);
  const coarse = tried(LOG_LOW, LOG_HIGH);
  if (!coarse.length) return undefined;
  const freedom = n - (known.start === undefined ? 3 : 2);
  const least = (list: readonly Line[]): Line => list.reduce((p, q) => (q.rss < p.rss ? q : p));
  const s2of = (best: Line): number =>
    known.sigma === undefined ? Math.max(best.rss / Math.max(1, freedom), 1e-6) : known.sigma ** 2;
  const limitOf = (best: Line): number =>
    best.rss + (known.sigma === undefined ? t95squared(freedom) : Z * Z) * s2of(best);
  const step = (LOG_HIGH - LOG_LOW) / (GRID - 1);
  const first = least(coarse);
  const near = coarse.filter((f) => f.rss <= limitOf(first));
  const fine = tried(
    Math.max(LOG_LOW, Math.log(near[0]!.tau) - step),
    Math.min(LOG_HIGH, Math.log(near.at(-1)!.tau) + step)
  );
  const best = least([first, ...fine]);
  const limit = limitOf(best);
  const rising = [...coarse, ...fine];
  let [low, high] = [Infinity, -Infinity];
  for (const f of rising) {
    if (f.rss > limit) continue;
    const reach = Math.sqrt((limit - f.rss) * f.spread);
    low = Math.min(low, f.plateau - reach);
    high = Math.max(high, f.plateau + reach);
  }
  const open = coarse.at(-1)!.rss <= limit;
  return {
    start: best.start,
    plateau: best.plateau,
    tau: best.tau,
    low,
    ...(open ? {} : { high }),
    sigma: Math.sqrt(s2of(best))
  };
}

/** Seconds from the start at which this curve reaches `limit`; nothing where its plateau lies under it. */
export function secondsUntil(fit: Pick<WarmUp, 'start' | 'plateau' | 'tau'>, limit: number): number | undefined {
  if (fit.start >= limit) return 0;
  return fit.plateau > limit ? fit.tau * Math.log((fit.plateau - fit.start) / (fit.plateau - limit)) : undefined;
}
