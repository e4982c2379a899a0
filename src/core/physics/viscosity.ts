/** A viscosity known at a temperature: mm²/s at K. */
export interface ViscosityPoint {
  readonly viscosity: number;
  readonly temperature: number;
}

const walther = (v: number): number => Math.log10(Math.log10(v + 0.7));

/**
 * Kinematic viscosity, mm²/s, at `temperature` K of an oil known at two temperatures:
 * log₁₀ log₁₀(ν + 0.7) = A − B·log₁₀ T. Good for 2 to 2·10⁷ mm²/s above the pour point. Throws RangeError outside.
 * Source (P): ASTM D341 (Walther).
 */
export function viscosityAt(temperature: number, a: ViscosityPoint, b: ViscosityPoint): number {
  if (!(a.viscosity > 1 && b.viscosity > 1 && temperature > 150 && a.temperature !== b.temperature))
    throw new RangeError('needs two viscosities over 1 mm²/s at two temperatures');
  const slope = (walther(a.viscosity) - walther(b.viscosity)) / (Math.log10(b.temperature) - Math.log10(a.temperature));
  const log = walther(a.viscosity) - slope * (Math.log10(temperature) - Math.log10(a.temperature));
  return 10 ** (10 ** log) - 0.7;
}

/** A gear oil of the usual grade (C): 150 mm²/s at 40 °C, 15 at 100 °C. */
export const usualGearOil = [
  { viscosity: 150, temperature: 313.15 },
  { viscosity: 15, temperature: 373.15 }
] as const;

/** Minutes a case drains that takes `base` minutes at 20 °C: the time goes with the viscosity (P: laminar flow). */
export const drainMinutes = (temperature: number, base: number, oil = usualGearOil): number =>
  (base * viscosityAt(temperature, ...oil)) / viscosityAt(293.15, ...oil);

const blendIndex = (v: number): number => 14.534 * Math.log(Math.log(v + 0.8)) + 10.975;

/**
 * Viscosity, mm²/s, of a blend by the Refutas index; parts as mass fractions that add up to 1, viscosities at one
 * temperature. Source (P): Refutas (Maples, Petroleum Refinery Process Economics). Throws RangeError on other fractions.
 */
export function blendViscosity(parts: readonly { readonly mass: number; readonly viscosity: number }[]): number {
  const sum = parts.reduce((s, p) => s + p.mass, 0);
  if (Math.abs(sum - 1) > 1e-6 || parts.some((p) => p.mass < 0 || p.viscosity <= 0.2))
    throw new RangeError('mass fractions add up to 1, viscosities lie over 0.2 mm²/s');
  const index = parts.reduce((s, p) => s + p.mass * blendIndex(p.viscosity), 0);
  return Math.exp(Math.exp((index - 10.975) / 14.534)) - 0.8;
}

/** Mass fraction of a part that is `volume` of the blend by volume; densities in one unit. */
export const massFraction = (volume: number, density: number, other: number): number =>
  (volume * density) / (volume * density + (1 - volume) * other);

/**
 * Share by volume of a thinner that brings `fresh` down to `blend`, mm²/s at one temperature: the Refutas blend solved for the
 * share. Zero where the blend is not thinner than the fresh oil. Densities in one unit.
 * @example dilutedShare(7.17, 10.5, 0.33, 0.74, 0.86) // 0.060
 * @throws RangeError where the blend is thinner than the thinner itself
 */
export function dilutedShare(
  blend: number,
  fresh: number,
  thinner: number,
  thinnerDensity: number,
  freshDensity: number
): number {
  if (blend >= fresh) return 0;
  if (blend <= thinner) throw new RangeError('a blend is not thinner than its thinnest part');
  const mass = (blendIndex(fresh) - blendIndex(blend)) / (blendIndex(fresh) - blendIndex(thinner));
  return (mass * freshDensity) / (mass * freshDensity + (1 - mass) * thinnerDensity);
}
