import { ZERO_CELSIUS } from '../units/factors.ts';
/** Densities at 0 °C, kg/m³ (P: CRC Handbook of Chemistry and Physics). */
export const WATER_DENSITY_0C = 999.84;
export const ICE_DENSITY_0C = 916.7;

/** Share by which water grows when it freezes: 0.0907. */
export const FREEZING_EXPANSION = WATER_DENSITY_0C / ICE_DENSITY_0C - 1;

/** Freezing points, K. Sea water at 35 g/kg (P: UNESCO / TEOS-10). Brackish: half way, taken by the safe side. */
const freezing = { fresh: ZERO_CELSIUS, brackish: ZERO_CELSIUS - 0.9, salt: ZERO_CELSIUS - 1.9 } as const;

/** Freezing point, K, of the water in question; unknown water is taken as fresh, which freezes first. */
export const freezingPoint = (water: 'fresh' | 'brackish' | 'salt' | 'unknown' | undefined): number =>
  water === undefined || water === 'unknown' ? freezing.fresh : freezing[water];

/**
 * Free air, m³, that a closed case needs so that `water` m³ may freeze in it without pressing on the walls.
 * Valid for water >= 0; throws RangeError below.
 */
export function roomForIce(water: number): number {
  if (!(water >= 0)) throw new RangeError('a volume of water cannot be negative');
  return water * FREEZING_EXPANSION;
}
