import { SEA_LEVEL_PRESSURE } from './atmosphere.ts';

/** Polytropic exponent of cranking with wall losses (M: 1.3 between isothermal 1.0 and adiabatic 1.4). */
export const CRANKING_EXPONENT = 1.3;

export interface Cylinder {
  /** Trapped volume with clearance, m³. */
  readonly volume: number;
  /** Compression ratio, volume over clearance. */
  readonly ratio: number;
}

/**
 * Gauge pressure, Pa, that cranking can reach when a dead volume `dead` (m³) between chamber and check valve is added.
 * p = p_a · ((V + d)/(V_c + d))^n − p_a (P: polytropic law; exponent M). Throws RangeError on impossible shapes.
 */
export function crankingPressure(c: Cylinder, dead = 0, ambient = SEA_LEVEL_PRESSURE): number {
  if (!(c.volume > 0 && c.ratio > 1 && dead >= 0))
    throw new RangeError('needs volume > 0, ratio > 1, dead volume >= 0');
  const clearance = c.volume / c.ratio;
  return ambient * ((c.volume + dead) / (clearance + dead)) ** CRANKING_EXPONENT - ambient;
}

export interface WithoutAdapter {
  readonly best: number;
  readonly low: number;
  readonly high: number;
}

/**
 * What a gauge pressure (Pa) read through dead volume `dead` would have been with none: absolute pressures scale with
 * the polytropic factors. The interval spans ratio ±1 and trapped volume 0.7 to 1 of what is known (M), since a
 * two-stroke traps less than its swept volume and the ratio on paper is rarely the ratio in the metal.
 */
export function withoutAdapter(read: number, c: Cylinder, dead: number, ambient = SEA_LEVEL_PRESSURE): WithoutAdapter {
  const undo = (volume: number, ratio: number): number => {
    const cylinder = { volume, ratio };
    const factor =
      (crankingPressure(cylinder, 0, ambient) + ambient) / (crankingPressure(cylinder, dead, ambient) + ambient);
    return (read + ambient) * factor - ambient;
  };
  const corners = [0.7, 1].flatMap((share) => [-1, 1].map((d) => undo(c.volume * share, Math.max(2, c.ratio + d))));
  return { best: undo(c.volume * 0.85, c.ratio), low: Math.min(...corners), high: Math.max(...corners) };
}
