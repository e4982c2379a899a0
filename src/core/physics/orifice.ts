import { GAS_CONSTANT, HEAT_RATIO as k } from './gas.ts';

/** Below this ratio of pressures the flow is choked: (2/(γ+1))^(γ/(γ−1)) = 0.528 for air (P: ISO 9300). */
export const CRITICAL_RATIO = (2 / (k + 1)) ** (k / (k - 1));
/** Above this ratio the law is made linear in the pressure difference: its slope is infinite at 1, which is stiff (M). */
const LINEAR_ABOVE = 0.999;

/** ψ² = 2γ/(γ−1)·(r^(2/γ) − r^((γ+1)/γ)), with r^((γ−1)/γ) taken out so that one power does for both (γ = 7/5: a⁵ − a⁶). */
function subsonic(r: number): number {
  const a = r ** ((k - 1) / k);
  const a2 = a * a;
  return Math.sqrt(((2 * k) / (k - 1)) * a2 * a2 * a * (1 - a));
}
const CHOKED = subsonic(CRITICAL_RATIO);
const AT_LINEAR = subsonic(LINEAR_ABOVE);

/**
 * ψ is smooth in √(1 − r), so a table in that variable is good to 1e-7 and spares a power in the innermost loop of the
 * cranking model.
 */
const CELLS = 2048;
const WIDEST = Math.sqrt(1 - CRITICAL_RATIO);
const table = Float64Array.from({ length: CELLS + 2 }, (_, k) =>
  subsonic(Math.max(0, 1 - ((k * WIDEST) / CELLS) ** 2))
);

/**
 * Flow number ψ of an isentropic orifice at a ratio of pressures `r` = p_down/p_up in 0…1: mass flow is
 * CdA·p_up/√(R·T_up)·ψ. Source (P): isentropic nozzle flow, ISO 9300.
 */
export function flowNumber(r: number): number {
  if (r <= CRITICAL_RATIO) return CHOKED;
  if (r >= LINEAR_ABOVE) return (AT_LINEAR * (1 - r)) / (1 - LINEAR_ABOVE);
  const place = (Math.sqrt(1 - r) * CELLS) / WIDEST;
  const k = place | 0;
  const low = table[k]!;
  return low + (table[k + 1]! - low) * (place - k);
}

/** Mass flow, kg/s, through `area` (Cd·A, m²) from `up` (Pa absolute, K) to `down` (Pa absolute); `up` ≥ `down`. */
export const orificeFlow = (area: number, up: number, temperature: number, down: number): number =>
  ((area * up) / Math.sqrt(GAS_CONSTANT * temperature)) * flowNumber(down / up);

/** Discharge coefficient of a small sharp hole (M: 0.6 to 0.9; only Cd·A is ever identified). */
export const HOLE_DISCHARGE = 0.8;

/** Effective area Cd·A, m², of a round hole of diameter d, m. */
export const holeArea = (diameter: number): number => (HOLE_DISCHARGE * Math.PI * diameter * diameter) / 4;
/** Diameter, m, of the round hole with effective area Cd·A, m². */
export const holeDiameter = (area: number): number => Math.sqrt((4 * Math.max(0, area)) / (Math.PI * HOLE_DISCHARGE));
