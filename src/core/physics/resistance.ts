/** Temperature coefficient of copper at 20 °C, per kelvin (P: IEC 60028). */
export const COPPER_COEFFICIENT = 0.00393;
const AT_20 = 293.15;

/**
 * Resistance at 20 °C, Ω, of a copper winding read as `ohms` at `temperature` K: R/(1 + 0.00393·(T − 20 °C)).
 * Valid for windings from −40 to 200 °C; throws RangeError outside. Source (P): IEC 60028.
 */
export function at20(ohms: number, temperature: number): number {
  if (!(ohms >= 0)) throw new RangeError('a resistance is not under zero');
  if (!(temperature >= 233 && temperature <= 474)) throw new RangeError('a winding lies between −40 and 200 °C');
  return ohms / (1 + COPPER_COEFFICIENT * (temperature - AT_20));
}

/** What a winding of `ohms20` Ω at 20 °C reads at `temperature` K. */
export const atTemperature = (ohms20: number, temperature: number): number => ohms20 / at20(1, temperature);
