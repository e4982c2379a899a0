/** Conversion factors that more than the table of units needs. P: NIST SP 811 (2008), appendix B. */

/** One pound-force per square inch, Pa. */
export const PSI = 6894.757;
/** 0 °C, K. */
export const ZERO_CELSIUS = 273.15;
