import { describe, expect, it } from 'vitest';
import { crank, USUAL_VALVE, type CrankingTest } from './cranking.ts';
import { GAS_CONSTANT as R, HEAT_CAPACITY_P, HEAT_CAPACITY_V, HEAT_RATIO } from './gas.ts';
import { holeArea, holeDiameter, orificeFlow, CRITICAL_RATIO, flowNumber } from './orifice.ts';
import { boreArea, clearanceOf, pistonFromTop } from './slider-crank.ts';

/** The package ships its source beside its build and the compiler would check that, so only what is used is described here. */
interface Odex {
  Solver: new (n: number) => {
    absoluteTolerance: number;
    relativeTolerance: number;
    maxSteps: number;
    solve(f: (t: number, y: number[]) => number[], from: number, y0: number[], to: number): { y: number[] };
  };
}
const odex = 'odex';
const { Solver } = (await import(/* @vite-ignore */ odex)) as Odex;

const psi = 6894.757;
const degree = Math.PI / 180;
/** The engine of the reference runs: trapped 147.156 mL, clearance 22.6394 mL. */
const cylinder = { bore: 0.066, stroke: 0.06, rod: 0.12, closing: 95 * degree, ratio: 6.5 };
const reference: CrankingTest = {
  cylinder,
  rpm: 300,
  pulls: 6,
  ambient: 101_325,
  temperature: 293,
  heat: 217.167,
  gauge: 6e-6,
  valve: 2e-6
};

describe('the cylinder', () => {
  it('has the volumes its shape gives', () => {
    expect(clearanceOf(cylinder) * 1e6).toBeCloseTo(22.6394, 4);
    expect(clearanceOf(cylinder) * 6.5e6).toBeCloseTo(147.156, 3);
  });
  it('moves as a slider-crank does: the whole stroke at half a turn', () => {
    expect(pistonFromTop(Math.PI, 0.06, 0.12)).toBeCloseTo(0.06, 12);
    expect(pistonFromTop(0, 0.06, 0.12)).toBe(0);
  });
  it('refuses shapes that cannot be', () => {
    expect(() => clearanceOf({ ...cylinder, ratio: 1 })).toThrow(RangeError);
    expect(() => clearanceOf({ ...cylinder, rod: 0.02 })).toThrow(RangeError);
    expect(() => crank({ ...reference, rpm: 0 })).toThrow(RangeError);
  });
});

describe('against closed forms', () => {
  it.each([4, 6, 6.5, 9, 11])('adiabatic and without a gauge it reaches p_a·r^1.4 at ratio %f (handbook)', (ratio) => {
    const { peak } = crank({ cylinder: { ...cylinder, ratio }, rpm: 300, pulls: 1 });
    expect(Math.abs((peak + 101_325) / (101_325 * ratio ** 1.4) - 1)).toBeLessThan(1e-6);
  });
  it('ratio 6 gives 165.9 psi gauge', () => {
    expect(crank({ cylinder: { ...cylinder, ratio: 6 }, rpm: 300, pulls: 1 }).peak / psi).toBeCloseTo(165.86, 2);
  });
  it('keeps its mass to 1e-12 without a leak', () => {
    expect(Math.abs(crank({ ...reference, gauge: 0, heat: 400 }).massKept - 1)).toBeLessThan(1e-12);
  });
  /** p = p0·[1 + (γ−1)/2·0.68473·CdA·√(R·T0)·t/V]^(−2γ/(γ−1)), adiabatic choked blow-down (P: gas dynamics). */
  it('a fixed volume blows down as the closed form says', () => {
    const V = 22.6394e-6;
    const area = holeArea(1e-3);
    let [m, T] = [(1e6 * V) / (R * 600), 600];
    const dt = 1e-5;
    const seen: number[] = [];
    const rate = (mass: number, temperature: number): [number, number] => {
      const out = orificeFlow(area, (mass * R * temperature) / V, temperature, 101_325);
      return [
        -out,
        (-out * HEAT_CAPACITY_P * temperature + out * HEAT_CAPACITY_V * temperature) / (mass * HEAT_CAPACITY_V)
      ];
    };
    for (let k = 1; k <= 2000; k++) {
      const [a, b] = rate(m, T);
      const [c, d] = rate(m + 0.5 * dt * a, T + 0.5 * dt * b);
      m += dt * c;
      T += dt * d;
      if (k === 500 || k === 1000 || k === 2000) seen.push((m * R * T) / V);
    }
    const closed = [5e-3, 10e-3, 20e-3].map(
      (t) =>
        1e6 *
        (1 + ((HEAT_RATIO - 1) / 2) * 0.68473 * area * Math.sqrt(R * 600) * (t / V)) **
          ((-2 * HEAT_RATIO) / (HEAT_RATIO - 1))
    );
    [946_495, 896_237, 804_598].forEach((p, k) => {
      expect(Math.abs(closed[k]! / p - 1)).toBeLessThan(1e-5);
      expect(Math.abs(seen[k]! / p - 1)).toBeLessThan(1e-5);
    });
  });
  it('air chokes at 0.528 (ISO 9300), and the flow number is smooth and falling above', () => {
    expect(CRITICAL_RATIO).toBeCloseTo(0.5283, 4);
    expect(flowNumber(0.2)).toBeCloseTo(0.68473, 5);
    for (let r = 0.53; r < 1; r += 0.001) expect(flowNumber(r + 0.001)).toBeLessThanOrEqual(flowNumber(r));
    expect(flowNumber(1)).toBe(0);
    expect(holeDiameter(holeArea(1.3e-3))).toBeCloseTo(1.3e-3, 12);
  });
});

describe('the reference runs', () => {
  it.each([
    ['tight', {}, [92.92, 127.62, 141.06, 146.3, 148.35, 149.15]],
    ['1 mm hole', { leak: holeArea(1e-3) }, [78.05, 103.99, 113.32, 116.75, 118.02, 118.5]],
    ['2 mm hole', { leak: holeArea(2e-3) }, [48.2, 59.76, 63.13, 64.18, 64.51, 64.62]],
    ['8 mL adapter', { dead: 8e-6 }, [73.29, 94.83, 101.37, 103.37, 103.98, 104.16]],
    ['1 mm and 4 mL', { leak: holeArea(1e-3), dead: 4e-6 }, [69.6, 90.16, 96.71, 98.84, 99.54, 99.77]]
  ])('%s, to 0.1 %%', (_name, more, needle) => {
    crank({ ...reference, ...more }).needle.forEach((p, k) =>
      expect(Math.abs(p / psi / needle[k]! - 1)).toBeLessThan(1e-3)
    );
  });
  it('a leak makes the first pull a larger share of the plateau', () => {
    const share = (leak: number): number => {
      const { needle } = crank({ ...reference, leak, pulls: 10 });
      return needle[0]! / needle[9]!;
    };
    expect(share(0)).toBeCloseTo(0.62, 2);
    expect(share(holeArea(2e-3))).toBeCloseTo(0.75, 2);
  });
  it.each([
    [1, 2],
    [6, 4],
    [20, 9]
  ])('a gauge of %i mL stands still after about %i pulls', (mL, pulls) => {
    const { needle } = crank({ ...reference, gauge: mL * 1e-6, pulls: 24 });
    const last = needle[23]!;
    expect(needle[pulls - 1]! / last).toBeGreaterThan(0.96);
    expect(needle[Math.max(0, pulls - 2)]! / last).toBeLessThan(0.985);
  });
});

/** The same balance written again from its equations, without any of the module's code, for an independent solver. */
function solvedByOdex(leak: number, rtol: number): number[] {
  const omega = (300 * Math.PI) / 30;
  const area = boreArea(cylinder.bore);
  const clearance = clearanceOf(cylinder);
  const [cv, cp] = [R / 0.4, (1.4 * R) / 0.4];
  const flow = (a: number, up: number, T: number, down: number): number => {
    const r = Math.max(down / up, (2 / 2.4) ** 3.5);
    const psiOf = (q: number): number => Math.sqrt(7 * (q ** (2 / 1.4) - q ** (2.4 / 1.4)));
    return ((a * up) / Math.sqrt(R * T)) * (r < 0.999 ? psiOf(r) : (psiOf(0.999) * (1 - r)) / 0.001);
  };
  const needle: number[] = [];
  let gaugeMass = (101_325 * 6e-6) / (R * 293);
  for (let pull = 0; pull < 6; pull++) {
    const rates = (t: number, [m, U, g]: number[]): number[] => {
      const angle = -cylinder.closing + omega * t;
      const x = pistonFromTop(angle, cylinder.stroke, cylinder.rod);
      const s = Math.sin(angle) * 0.03;
      const dx = omega * (s + (s * 0.03 * Math.cos(angle)) / Math.sqrt(0.12 ** 2 - s * s));
      const V = clearance + area * x;
      const T = U! / (m! * cv);
      const p = (m! * R * T) / V;
      const out = leak > 0 ? (p >= 101_325 ? flow(leak, p, T, 101_325) : -flow(leak, 101_325, 293, p)) : 0;
      const pg = (g! * R * 293) / 6e-6;
      const into = p > pg ? flow(USUAL_VALVE, p, T, pg) : 0;
      const loss = 217.167 * (2 * area + Math.PI * cylinder.bore * (clearance / area + x)) * (T - 293);
      return [-out - into, -p * area * dx - loss - out * cp * (out > 0 ? T : 293) - into * cp * T, into];
    };
    const solver = new Solver(3);
    solver.absoluteTolerance = 1e-14;
    solver.relativeTolerance = rtol;
    solver.maxSteps = 200_000;
    const m0 = (101_325 * (clearance * 6.5)) / (R * 293);
    const { y } = solver.solve(rates, 0, [m0, m0 * cv * 293, gaugeMass], (2 * cylinder.closing) / omega);
    gaugeMass = y[2]!;
    needle.push((gaugeMass * R * 293) / 6e-6 - 101_325);
  }
  return needle;
}

describe('against odex, an independent solver (Hairer’s extrapolation code)', () => {
  it.each([
    ['tight', 0],
    ['1 mm', holeArea(1e-3)]
  ])('%s: agrees to 0.001 psi at a fine step', (_name, leak) => {
    const fine = crank({ ...reference, leak, step: 0.01 }).needle;
    solvedByOdex(leak, 1e-8).forEach((p, k) => expect(Math.abs(p - fine[k]!) / psi).toBeLessThan(1e-3));
  });
});
