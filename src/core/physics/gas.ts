/** Air as an ideal gas (P: R and γ of dry air, CRC Handbook; constant over cranking temperatures). */
export const GAS_CONSTANT = 287.05;
export const HEAT_RATIO = 1.4;
export const HEAT_CAPACITY_V = GAS_CONSTANT / (HEAT_RATIO - 1);
export const HEAT_CAPACITY_P = HEAT_RATIO * HEAT_CAPACITY_V;
