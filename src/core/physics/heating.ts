import { warmUp, type WarmSample, type WarmUp, type WarmUpKnown } from './warm-up.ts';

export interface Heating {
  /** The part of the run that the fit speaks of. */
  readonly from: number;
  readonly fit?: WarmUp;
  /** The thermostat opened here, seconds: what came before was another circuit. */
  readonly opened?: number;
  /** Mean of the last minutes where the temperature no longer climbs, with its standard error, K. */
  readonly steady?: { readonly at: number; readonly error: number };
}

/** Samples looked at for a break, and for the fit; more are averaged into as many. */
const COARSE = 70;
const FINE = 240;
/** Samples on either side of a break, and how much better two curves must explain the run than one. */
const SIDE = 5;
const BETTER = 0.5;

/** At most `most` samples, each the mean of its neighbours: for a search that needs the shape, not every row. */
export function thinned(samples: readonly WarmSample[], most: number): WarmSample[] {
  const per = Math.ceil(samples.length / most);
  if (per <= 1) return [...samples];
  const out: WarmSample[] = [];
  for (let k = 0; k < samples.length; k += per) {
    const part = samples.slice(k, k + per);
    const mean = (f: (p: WarmSample) => number): number => part.reduce((s, p) => s + f(p), 0) / part.length;
    out.push({ seconds: mean((p) => p.seconds), temperature: mean((p) => p.temperature) });
  }
  return out;
}

const squares = (list: readonly WarmSample[], fit: WarmUp | undefined): number => {
  const mean = list.reduce((s, p) => s + p.temperature, 0) / list.length;
  const at = (t: number): number => (fit ? fit.plateau - (fit.plateau - fit.start) * Math.exp(-t / fit.tau) : mean);
  return list.reduce((s, p) => s + (p.temperature - at(p.seconds)) ** 2, 0);
};
const rssOf = (list: readonly WarmSample[]): number => squares(list, warmUp(list));

/**
 * The moment at which the circuit changed: one curve does not explain the run, and two do. A thermostat that opens holds
 * the temperature, or drops it. Nothing where one curve is as good.
 */
function breakOf(samples: readonly WarmSample[]): number | undefined {
  const list = thinned(samples, COARSE);
  const n = list.length;
  if (n < 2 * SIDE + 3) return undefined;
  const whole = rssOf(list);
  let best: { k: number; rss: number } | undefined;
  const step = Math.max(1, Math.floor(n / 14));
  for (let k = SIDE; k <= n - SIDE; k += step) {
    const rss = rssOf(list.slice(0, k)) + rssOf(list.slice(k));
    if (!best || rss < best.rss) best = { k, rss };
  }
  // Three numbers more have to earn their keep: half the residual at least, and beyond what noise of 1 K explains.
  return best && best.rss < BETTER * whole && whole - best.rss > 4 * Math.max(0.25, best.rss / n)
    ? list[best.k]!.seconds
    : undefined;
}

/** A warm-up with its thermostat: what the last circuit heads for, and whether it has got there. */
export function heating(samples: readonly WarmSample[], known: WarmUpKnown = {}): Heating {
  const opened = breakOf(samples);
  const from = opened ?? samples[0]?.seconds ?? 0;
  const part = thinned(opened === undefined ? samples : samples.filter((p) => p.seconds >= opened), FINE);
  const fit = warmUp(
    part.map((p) => ({ ...p, seconds: p.seconds - from })),
    opened === undefined || known.sigma === undefined ? (opened === undefined ? known : {}) : { sigma: known.sigma }
  );
  const end = samples.at(-1)?.seconds ?? 0;
  const last = part.filter((p) => p.seconds >= Math.max(from, end - 180));
  const steady = steadyOf(last);
  return {
    from,
    ...(opened === undefined ? {} : { opened }),
    ...(fit ? { fit } : {}),
    ...(steady ? { steady } : {})
  };
}

/** Under this slope it is level whatever its error, K/s (M: a fifth of a kelvin a minute). */
const LEVEL = 0.2 / 60;

/** Level over at least two minutes: the slope cannot be told from none and is under a kelvin a minute, or is next to nothing. */
function steadyOf(list: readonly WarmSample[]): Heating['steady'] {
  const n = list.length;
  if (n < 5 || list[n - 1]!.seconds - list[0]!.seconds < 120) return undefined;
  const mx = list.reduce((s, p) => s + p.seconds, 0) / n;
  const my = list.reduce((s, p) => s + p.temperature, 0) / n;
  const sxx = list.reduce((s, p) => s + (p.seconds - mx) ** 2, 0);
  const b = list.reduce((s, p) => s + (p.seconds - mx) * (p.temperature - my), 0) / sxx;
  const rest = list.reduce((s, p) => s + (p.temperature - my - b * (p.seconds - mx)) ** 2, 0) / Math.max(1, n - 2);
  const error = Math.sqrt(rest / sxx);
  const slope = Math.abs(b);
  return slope < LEVEL || (slope < 2.5 * error && slope < 1 / 60) ? { at: my, error: Math.sqrt(rest / n) } : undefined;
}
