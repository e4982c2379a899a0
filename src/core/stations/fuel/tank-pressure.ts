import { PSI } from '../../units/factors.ts';

/**
 * Least that lifts fuel out of a pressurised tank, and the most that its cap and hoses are made for, Pa (M: one pound to the square
 * inch, and ten).
 */
export const TANK_PRESSURE = { lifts: PSI, holds: 10 * PSI } as const;
/** What a gauge for so little pressure tells, Pa (M). */
export const TANK_GAUGE = PSI / 10;
