/** Standard pressure at sea level, Pa (P: ISO 2533:1975). */
export const SEA_LEVEL_PRESSURE = 101_325;

/**
 * Standard atmospheric pressure, Pa, at an altitude in metres.
 * Valid from −500 m to 11 000 m (troposphere); throws RangeError outside.
 * Source (P): ISO 2533:1975 / ICAO Doc 7488, closed form for the troposphere.
 */
export function pressureAtAltitude(metres: number): number {
  if (!(metres >= -500 && metres <= 11_000)) throw new RangeError(`altitude ${metres} m is outside −500 to 11 000 m`);
  return SEA_LEVEL_PRESSURE * (1 - 2.25577e-5 * metres) ** 5.25588;
}

/**
 * What a gauge pressure (Pa) read under ambient pressure `ambient` (Pa) would have been at sea level.
 * Cranking multiplies absolute pressure, so absolute pressures scale (P: gas law; M: that the polytropic exponent stays).
 */
export function atSeaLevel(gauge: number, ambient: number): number {
  if (!(ambient > 0)) throw new RangeError('ambient pressure must be above zero');
  return ((gauge + ambient) * SEA_LEVEL_PRESSURE) / ambient - SEA_LEVEL_PRESSURE;
}
