import { SEA_LEVEL_PRESSURE } from './atmosphere.ts';
import { GAS_CONSTANT as R, HEAT_CAPACITY_P as CP, HEAT_CAPACITY_V as CV } from './gas.ts';
import { orificeFlow } from './orifice.ts';
import { boreArea, clearanceOf, pistonFromTop, type CylinderShape } from './slider-crank.ts';

/** One compression test: cylinder, gauge and cranking. SI throughout; areas are Cd·A. */
export interface CrankingTest {
  readonly cylinder: CylinderShape;
  readonly rpm: number;
  readonly pulls: number;
  /** Ambient pressure, Pa, and temperature, K, of air and walls. */
  readonly ambient?: number;
  readonly temperature?: number;
  /** Wall heat transfer at standard pressure, W/(m²·K); scales with ambient pressure. */
  readonly heat?: number;
  /** Leak out of the cylinder, Cd·A in m². */
  readonly leak?: number;
  /** Volume between chamber and check valve, m³. */
  readonly dead?: number;
  /** Volume behind the check valve, m³, and the valve's Cd·A, m². No volume: no gauge. */
  readonly gauge?: number;
  readonly valve?: number;
  /** Largest step, degrees. */
  readonly step?: number;
}

export interface CrankingResult {
  /** Needle after each pull, Pa gauge. */
  readonly needle: readonly number[];
  /** Highest pressure in the cylinder of the last pull, Pa gauge. */
  readonly peak: number;
  /** Mass at the end of the last pull, relative to the mass it closed with, plus what left; 1 when nothing is lost. */
  readonly massKept: number;
}

/** Effective area of an ordinary gauge's check valve, m² (M). */
export const USUAL_VALVE = 2e-6;
const DEGREE = Math.PI / 180;

interface Table {
  /** Volume and wall area at every half step, and how far one half and one whole step cool the gas by expansion alone. */
  readonly volume: Float64Array;
  readonly wall: Float64Array;
  readonly half: Float64Array;
  readonly whole: Float64Array;
  readonly steps: number;
}

/** What depends on shape and step alone; the last few are kept. */
const tables = new Map<string, Table>();

function tableOf(c: CylinderShape, dead: number, step: number): Table {
  const key = `${c.bore},${c.stroke},${c.rod},${c.closing},${c.ratio},${dead},${step}`;
  const kept = tables.get(key);
  if (kept) return kept;
  const area = boreArea(c.bore);
  const clearance = clearanceOf(c);
  const steps = Math.ceil((2 * c.closing) / (step * DEGREE));
  const volume = new Float64Array(2 * steps + 1);
  const wall = new Float64Array(2 * steps + 1);
  for (let j = 0; j <= 2 * steps; j++) {
    const x = pistonFromTop(-c.closing + (j * c.closing) / steps, c.stroke, c.rod);
    volume[j] = clearance + dead + area * x;
    wall[j] = 2 * area + Math.PI * c.bore * (clearance / area + x);
  }
  // With U = m·cv·T and pV = mRT, the piston's work keeps m·T·V^(R/cv) along a step; the rest is integrated on top of it.
  const cool = (from: number, to: number): number => (volume[from]! / volume[to]!) ** (R / CV);
  const half = Float64Array.from({ length: steps }, (_, k) => cool(2 * k, 2 * k + 1));
  const whole = Float64Array.from({ length: steps }, (_, k) => cool(2 * k, 2 * k + 2));
  if (tables.size >= 32) tables.delete(tables.keys().next().value ?? '');
  const made = { volume, wall, half, whole, steps };
  tables.set(key, made);
  return made;
}

/**
 * Simulates cranking one cylinder against a compression gauge with a check valve. Each turn closes on ambient gas; then
 * mass and energy balance with wall loss h·(p_a/101325)·A·(T − T_wall), isentropic leak to ambient with backflow, and
 * one-way flow into the gauge, which stays at wall temperature. Runge–Kutta of order four at one degree or less
 * (0.06 % of a run at 0.05°).
 *
 * Valid for 30 to 2000 rpm and ratios up to about 15. Throws RangeError on impossible shapes.
 * Sources (P): first law for an open system; slider-crank; isentropic orifice, ISO 9300. Heat transfer coefficient M.
 */
export function crank(test: CrankingTest): CrankingResult {
  const { cylinder, rpm, pulls } = test;
  const ambient = test.ambient ?? SEA_LEVEL_PRESSURE;
  const wallT = test.temperature ?? 293;
  if (!(rpm > 0 && pulls >= 1 && ambient > 0 && wallT > 0))
    throw new RangeError('needs rpm, pulls, ambient pressure and temperature above zero');
  const h = ((test.heat ?? 0) * ambient) / SEA_LEVEL_PRESSURE;
  const leak = test.leak ?? 0;
  const gauge = test.gauge ?? 0;
  const valve = gauge > 0 ? (test.valve ?? USUAL_VALVE) : 0;
  const { volume, wall, half, whole, steps } = tableOf(cylinder, test.dead ?? 0, test.step ?? 1);
  const dt = (2 * cylinder.closing) / steps / ((rpm * Math.PI) / 30);
  const perGaugeMass = gauge > 0 ? (R * wallT) / gauge : 0;

  // Rates of mass, of m·T apart from the piston's work, and of gauge mass, at one place of the crank.
  let dm = 0;
  let dx = 0;
  let dg = 0;
  const rates = (j: number, m: number, x: number, g: number): void => {
    const T = x / m;
    const p = (x * R) / volume[j]!;
    let heat = -h * wall[j]! * (T - wallT);
    dm = 0;
    dg = 0;
    if (leak > 0) {
      const out = p >= ambient ? orificeFlow(leak, p, T, ambient) : -orificeFlow(leak, ambient, wallT, p);
      dm -= out;
      heat -= out * CP * (out > 0 ? T : wallT);
    }
    const pg = g * perGaugeMass;
    if (valve > 0 && p > pg) {
      dg = orificeFlow(valve, p, T, pg);
      dm -= dg;
      heat -= dg * CP * T;
    }
    dx = heat / CV;
  };

  const needle: number[] = [];
  const start = (ambient * volume[0]!) / (R * wallT);
  let gaugeMass = gauge > 0 ? ambient / perGaugeMass : 0;
  let peak = ambient;
  let massKept = 1;
  for (let pull = 0; pull < pulls; pull++) {
    let m = start;
    let x = start * wallT;
    let left = 0;
    peak = ambient;
    for (let k = 0; k < steps; k++) {
      const j = 2 * k;
      const c1 = half[k]!;
      const c2 = whole[k]!;
      rates(j, m, x, gaugeMass);
      const m1 = dm;
      const x1 = dx;
      const g1 = dg;
      rates(j + 1, m + 0.5 * dt * m1, (x + 0.5 * dt * x1) * c1, gaugeMass + 0.5 * dt * g1);
      const m2 = dm;
      const x2 = dx / c1;
      const g2 = dg;
      rates(j + 1, m + 0.5 * dt * m2, (x + 0.5 * dt * x2) * c1, gaugeMass + 0.5 * dt * g2);
      const m3 = dm;
      const x3 = dx / c1;
      const g3 = dg;
      rates(j + 2, m + dt * m3, (x + dt * x3) * c2, gaugeMass + dt * g3);
      const flow = (dt / 6) * (m1 + 2 * (m2 + m3) + dm);
      m += flow;
      left -= flow;
      x = (x + (dt / 6) * (x1 + 2 * (x2 + x3) + dx / c2)) * c2;
      gaugeMass += (dt / 6) * (g1 + 2 * (g2 + g3) + dg);
      const p = (x * R) / volume[j + 2]!;
      if (p > peak) peak = p;
      // Past top and under the gauge nothing more reaches the needle this turn.
      if (gauge > 0 && 2 * k > steps && p <= gaugeMass * perGaugeMass) break;
    }
    massKept = (m + left) / start;
    needle.push((gauge > 0 ? gaugeMass * perGaugeMass : peak) - ambient);
  }
  return { needle, peak: peak - ambient, massKept };
}
