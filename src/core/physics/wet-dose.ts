import { CRANKING_EXPONENT, type Cylinder } from './adapter.ts';
import { SEA_LEVEL_PRESSURE } from './atmosphere.ts';

export interface OilVolume {
  readonly best: number;
  readonly low: number;
  readonly high: number;
}

/**
 * Gauge pressure, Pa, that a cylinder reading `dry` (Pa gauge) would give with `dose` m³ of oil in it and nothing sealed
 * better: oil is volume, r' = (V − v)/(V_c − v) (P: polytropic law; exponent M). Scales absolute pressure.
 * Throws RangeError when the dose fills the chamber.
 */
export function withOil(dry: number, c: Cylinder, dose: number, ambient = SEA_LEVEL_PRESSURE): number {
  const clearance = c.volume / c.ratio;
  if (!(dose >= 0 && dose < clearance)) throw new RangeError('the dose is larger than the chamber');
  const factor = ((c.volume - dose) / (clearance - dose) / c.ratio) ** CRANKING_EXPONENT;
  return (dry + ambient) * factor - ambient;
}

/** The same with an interval for a ratio known to ±1 only (M); nothing where the dose would fill the smallest chamber. */
export function withOilInterval(
  dry: number,
  c: Cylinder,
  dose: number,
  ambient = SEA_LEVEL_PRESSURE
): OilVolume | undefined {
  const ratios = [Math.max(2, c.ratio - 1), c.ratio, c.ratio + 1];
  if (ratios.some((r) => dose >= c.volume / r)) return undefined;
  const [low, best, high] = ratios.map((ratio) => withOil(dry, { volume: c.volume, ratio }, dose, ambient)) as [
    number,
    number,
    number
  ];
  return { low, best, high };
}
