import { SEA_LEVEL_PRESSURE } from './atmosphere.ts';

/** Temperature at which the breakdown law is written, K. */
export const BREAKDOWN_REFERENCE = 293;
/** Exponent of heating by cranking compression: T = T_a·r^0.29 (M: between isothermal and adiabatic). */
export const CRANKING_HEATING = 0.29;

/** Pressure × gap in bar·cm, brought to 293 K: what counts is how many molecules lie in the gap. */
const product = (pressure: number, gap: number, temperature: number): number => {
  if (!(pressure > 0 && gap >= 0 && temperature > 0))
    throw new RangeError('needs pressure and temperature above zero, and a gap not under zero');
  return (pressure / 1e5) * (gap / 1e-2) * (BREAKDOWN_REFERENCE / temperature);
};

/**
 * Voltage, V, at which air breaks down between flat electrodes: 24.36·x + 6.72·√x kV, x in bar·cm at 293 K.
 * Pressure Pa absolute, gap m, temperature K. Good from about 0.01 to 10 bar·cm; pointed electrodes fire lower.
 * Source (P): Kuffel, Zaengl & Kuffel, High Voltage Engineering, uniform field in air.
 */
export function breakdownVoltage(pressure: number, gap: number, temperature = BREAKDOWN_REFERENCE): number {
  const x = product(pressure, gap, temperature);
  return 1000 * (24.36 * x + 6.72 * Math.sqrt(x));
}

/** Gap, m, that this voltage (V) just jumps: the law solved for √x. Throws RangeError under zero volts. */
export function gapJumped(voltage: number, pressure = SEA_LEVEL_PRESSURE, temperature = BREAKDOWN_REFERENCE): number {
  if (!(voltage >= 0)) throw new RangeError('a voltage is not under zero');
  const root = (-6.72 + Math.sqrt(6.72 ** 2 + (4 * 24.36 * voltage) / 1000)) / (2 * 24.36);
  return (root * root) / product(pressure, 1, temperature);
}

/**
 * Temperature, K, of the gas at top while cranking: by the ratio where it is known, T_a·r^0.29, else by the pressures,
 * T_a·(p/p_a)^(0.29/1.29). Source (P): polytropic law; exponent M.
 */
export const crankedTemperature = (ambientT: number, by: { ratio: number } | { pressures: number }): number =>
  'ratio' in by
    ? ambientT * by.ratio ** CRANKING_HEATING
    : ambientT * by.pressures ** (CRANKING_HEATING / (1 + CRANKING_HEATING));
