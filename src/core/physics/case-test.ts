import { SEA_LEVEL_PRESSURE } from './atmosphere.ts';
import { GAS_CONSTANT } from './gas.ts';
import { flowNumber, HOLE_DISCHARGE } from './orifice.ts';

/** One reading of a pressure test: minutes from its start, Pa gauge (vacuum below zero), K where it was read. */
export interface CaseReading {
  readonly minutes: number;
  readonly pressure: number;
  readonly temperature?: number;
}

/** What a tight case reads after its air went from `t1` to `t2` K: p₂ = (p₁ + p_a)·T₂/T₁ − p_a (P: ideal gas). */
export const cooledPressure = (pressure: number, t1: number, t2: number, ambient = SEA_LEVEL_PRESSURE): number =>
  ((pressure + ambient) * t2) / t1 - ambient;

/**
 * Leak, m³ of outside air a minute, from a drop of `drop` Pa in `minutes` in a case of `volume` m³: V·Δp/(p_a·t)
 * (P: ideal gas at one temperature). Throws RangeError on no volume or no time.
 */
export function leakRate(volume: number, drop: number, minutes: number, ambient = SEA_LEVEL_PRESSURE): number {
  if (!(volume > 0 && minutes > 0)) throw new RangeError('needs a volume and a time above zero');
  return (volume * drop) / (ambient * minutes);
}

/** Diameter, m, of the hole that leaks `rate` m³/min of outside air at `pressure` Pa gauge (Cd 0.8; P: ISO 9300). */
export function holeOfLeak(rate: number, pressure: number, temperature = 293, ambient = SEA_LEVEL_PRESSURE): number {
  const [up, down] = pressure >= 0 ? [pressure + ambient, ambient] : [ambient, pressure + ambient];
  const mass = ((ambient / (GAS_CONSTANT * temperature)) * Math.max(0, rate)) / 60;
  const area = (mass * Math.sqrt(GAS_CONSTANT * temperature)) / (up * flowNumber(down / up));
  return Math.sqrt((4 * area) / (Math.PI * HOLE_DISCHARGE));
}

/** One-sided 5 % point of the normal distribution. */
const FIVE_PERCENT = 1.645;

/**
 * Between two readings rounded to `step` Pa: the drop that must show before it counts (wrong one time in twenty), and the
 * drop that is surely seen (missed one time in twenty). σ = step/√12 each (P: uniform rounding).
 */
export function detectableDrop(step: number): { readonly counts: number; readonly surely: number } {
  const counts = FIVE_PERCENT * Math.SQRT2 * (step / Math.sqrt(12));
  return { counts, surely: 2 * counts };
}

/** Smallest leak, m³/min, that a gauge of this step surely shows within `minutes`. */
export const smallestLeak = (volume: number, step: number, minutes: number, ambient = SEA_LEVEL_PRESSURE): number =>
  leakRate(volume, detectableDrop(step).surely, minutes, ambient);

/** Minutes to hold in all until a leak of `rate` m³/min would surely have shown. */
export const minutesToShow = (volume: number, step: number, rate: number, ambient = SEA_LEVEL_PRESSURE): number =>
  leakRate(volume, detectableDrop(step).surely, 1, ambient) / rate;

export interface DropRate {
  /** Pa a minute; a falling pressure is above zero. Nothing where no steady rate passes through every reading. */
  readonly low: number;
  readonly high: number;
  readonly consistent: boolean;
}

/** Readings brought to the temperature of the first that has one. */
function atOneTemperature(list: readonly CaseReading[], ambient: number): { minutes: number; pressure: number }[] {
  const base = list.find((r) => r.temperature !== undefined)?.temperature;
  return list.map((r) => ({
    minutes: r.minutes,
    pressure:
      base !== undefined && r.temperature !== undefined
        ? cooledPressure(r.pressure, r.temperature, base, ambient)
        : r.pressure
  }));
}

/** A leak loses in proportion to what is above the outside air through a fine gap, to its root through a hole (P: laminar and turbulent flow). */
const LAWS = [1, 0.75, 0.5] as const;

/**
 * The rate at which a case began to lose, Pa/min, where it loses so much that the loss itself grows less: as for `dropRate`, but the
 * rate follows what is left, to a power between a half and one. Pressure or vacuum, by what stands off the outside air. A case that
 * fell once and then stood still is no such leak. Throws RangeError under two moments.
 */
export function fadingRate(list: readonly CaseReading[], step: number, ambient = SEA_LEVEL_PRESSURE): DropRate {
  const flat = atOneTemperature(list, ambient).map((r) => ({ ...r, pressure: Math.abs(r.pressure) }));
  if (flat.length < 2 || flat.at(-1)!.minutes <= flat[0]!.minutes)
    throw new RangeError('a rate needs two readings at two moments');
  const start = flat[0]!.pressure;
  const half = step / 2;
  const fits = LAWS.flatMap((law) => {
    // Time to fall from a to b where dp/dt = −c·pⁿ, times c.
    const passed = (a: number, b: number): number =>
      a <= b ? 0 : law === 1 ? Math.log(a / b) : (a ** (1 - law) - b ** (1 - law)) / (1 - law);
    let [low, high] = [0, Infinity];
    for (const [i, a] of flat.entries())
      for (const b of flat.slice(i + 1)) {
        const t = b.minutes - a.minutes;
        if (t <= 0 || a.pressure <= step) continue;
        const bottom = b.pressure - half;
        low = Math.max(low, passed(a.pressure - half, b.pressure + half) / t);
        // Empty by the second reading: it may have been so long before.
        if (bottom > 0) high = Math.min(high, passed(a.pressure + half, bottom) / t);
      }
    if (low > high) return [];
    // What stood there at first is known to half a division, too.
    const [least, most] = [Math.max(0, start - half) ** law, (start + half) ** law];
    return [{ low: low * least, high: (Number.isFinite(high) ? high : low) * most }];
  });
  if (!fits.length) return { low: 0, high: 0, consistent: false };
  return {
    low: Math.min(...fits.map((f) => f.low)),
    high: Math.max(...fits.map((f) => f.high)),
    consistent: true
  };
}

/**
 * The rates of fall, Pa/min, that pass inside the rounding band (± step/2) of every reading: for each pair the difference
 * over the time between, ± one step. Least squares would cover the truth only a third of the time for slow leaks.
 * Readings are brought to the first one's temperature before. Throws RangeError under two moments.
 */
export function dropRate(list: readonly CaseReading[], step: number, ambient = SEA_LEVEL_PRESSURE): DropRate {
  const flat = atOneTemperature(list, ambient);
  let [low, high] = [-Infinity, Infinity];
  for (const [i, a] of flat.entries())
    for (const b of flat.slice(i + 1)) {
      const t = b.minutes - a.minutes;
      if (t <= 0) continue;
      low = Math.max(low, (a.pressure - b.pressure - step) / t);
      high = Math.min(high, (a.pressure - b.pressure + step) / t);
    }
  if (!Number.isFinite(low)) throw new RangeError('a rate needs two readings at two moments');
  return low <= high ? { low, high, consistent: true } : { low: high, high: low, consistent: false };
}
