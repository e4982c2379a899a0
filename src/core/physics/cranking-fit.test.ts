import { describe, expect, it } from 'vitest';
import { leaksBeyondBest, NARROWEST, type FitConditions, type Observed } from './cranking-fit.ts';
import { crank, type CrankingTest } from './cranking.ts';
import { holeOfLeakDown, leakDownOfHole } from './leak-down.ts';
import { leastSquares } from './least-squares.ts';
import { holeArea } from './orifice.ts';
import { rootOf } from './root.ts';

const psi = 6894.757;
const cylinder = { bore: 0.066, stroke: 0.06, rod: 0.12, closing: (95 * Math.PI) / 180, ratio: 6.5 };
const conditions: FitConditions = {
  shape: cylinder,
  ratioReach: 1,
  rpm: { best: 300, low: 225, high: 375 },
  ambient: 101_325,
  temperature: 293,
  dead: 0,
  resolution: psi
};
const test = (leakMm: number, more: Partial<CrankingTest> = {}): CrankingTest => ({
  cylinder,
  rpm: 300,
  pulls: 6,
  heat: 217,
  gauge: 6e-6,
  leak: holeArea(leakMm * 1e-3),
  ...more
});
const observe = (mm: readonly number[], more: Partial<CrankingTest> = {}, byPull = true): Observed[] =>
  mm.map((hole, k) => {
    const { needle } = crank(test(hole, byPull ? more : { ...more, pulls: 14 }));
    return { cylinder: k + 1, needle: byPull ? needle : needle.slice(-1), byPull, u: 1.5 * psi };
  });

describe('leaks beyond the best cylinder', () => {
  it.each([true, false])('come back from noiseless readings (pull by pull: %s)', (byPull) => {
    const fit = leaksBeyondBest(observe([0, 0.7, 1, 1.6], {}, byPull), conditions);
    expect(fit.best).toBe(1);
    expect(fit.rows.map((r) => Math.round(r.hole * 1e4) / 10)).toEqual([0.7, 1, 1.6]);
    expect(fit.rows.every((r) => r.fits && r.low < r.hole && r.high > r.hole)).toBe(true);
  });
  it('a wrong ratio, another heat loss or a leak common to all costs little; an absolute fit would be far off', () => {
    for (const more of [{ heat: 120 }, { heat: 500 }, { cylinder: { ...cylinder, ratio: 7.3 } }]) {
      const [row] = leaksBeyondBest(observe([0, 1], more), conditions).rows;
      expect(Math.abs(row!.hole * 1e3 - 1)).toBeLessThan(0.13);
    }
    const common = observe([0.5, Math.hypot(0.5, 1)]);
    expect(Math.abs(leaksBeyondBest(common, conditions).rows[0]!.hole * 1e3 - 1)).toBeLessThan(0.1);
  });
  it('never prints an interval under 13 % of the hole, however fine the gauge', () => {
    const fine = observe([0, 1]).map((o) => ({ ...o, u: 1 }));
    const narrow = { ...conditions, rpm: { best: 300, low: 299, high: 301 }, ratioReach: 0.01, resolution: 100 };
    const [row] = leaksBeyondBest(fine, narrow).rows;
    expect(row!.high - row!.hole).toBeGreaterThanOrEqual(NARROWEST * row!.hole * 0.999);
    expect(row!.hole - row!.low).toBeGreaterThanOrEqual(NARROWEST * row!.hole * 0.999);
  });
  it('no leak beyond the best is an interval from nothing', () => {
    const [row] = leaksBeyondBest(observe([0, 0]), conditions).rows;
    expect(row!.low).toBe(0);
    expect(row!.high).toBeGreaterThan(0.2e-3);
  });
  it('tells the volume behind the valve from how the needle built', () => {
    expect(leaksBeyondBest(observe([0, 1], { gauge: 11e-6 }), conditions).gauge * 1e6).toBeCloseTo(11, 0);
  });
  it('a best cylinder beyond what the shape allows raises the ratio instead of failing', () => {
    const strong = observe([0, 1], { cylinder: { ...cylinder, ratio: 10 } });
    const fit = leaksBeyondBest(strong, conditions);
    expect(fit.ratio).toBeGreaterThan(6.5);
    expect(Math.abs(fit.rows[0]!.hole * 1e3 - 1)).toBeLessThan(0.35);
  });
  it('a curve that no steady leak draws is said', () => {
    const [tight, odd] = observe([0, 1]);
    const building = { ...odd!, needle: [20, 35, 55, 80, 105, 118].map((p) => p * psi) };
    expect(leaksBeyondBest([tight!, building], conditions).rows[0]!.fits).toBe(false);
  });
  it('needs two cylinders', () => {
    expect(() => leaksBeyondBest(observe([0]), conditions)).toThrow(RangeError);
  });
  it('the same leak by leak-down and by cranking agrees to 10 %', () => {
    const byAir = holeOfLeakDown(leakDownOfHole(1.2e-3));
    const byCranking = leaksBeyondBest(observe([0, 1.2]), conditions).rows[0]!.hole;
    expect(Math.abs(byCranking / byAir - 1)).toBeLessThan(0.1);
  });
  it('its intervals hold the truth as often as they say, speed, ratio, heat, gauge and noise unknown', () => {
    let seed = 20260;
    const uniform = (): number => (seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648;
    const normal = (): number => Math.sqrt(-2 * Math.log(uniform() + 1e-12)) * Math.cos(2 * Math.PI * uniform());
    let within = 0;
    const draws = 40;
    for (let k = 0; k < draws; k++) {
      const more = {
        rpm: 225 + 150 * uniform(),
        heat: 100 * Math.exp(1.4 * uniform()),
        gauge: (2 + 10 * uniform()) * 1e-6,
        cylinder: { ...cylinder, ratio: 5.5 + 2 * uniform() }
      };
      const truth = 0.3 + 1.7 * uniform();
      const list = observe([0, truth], more).map((o) => {
        const scale = 1 + 0.02 * normal();
        const needle = o.needle.map((p) => Math.round((p * scale) / psi) * psi);
        return { ...o, needle, u: 0.02 * needle.at(-1)! };
      });
      const { rows, best } = leaksBeyondBest(list, conditions);
      if (best === 2) within += truth < 0.5 ? 1 : 0;
      else if (truth >= rows[0]!.low * 1e3 && truth <= rows[0]!.high * 1e3) within++;
    }
    expect(within / draws).toBeGreaterThanOrEqual(0.9);
  });
});

describe('a leak and a dead volume', () => {
  it('cannot be told apart: their effects on the curve are proportional', () => {
    const at = (leak: number, dead: number): number[] => [...crank(test(0, { leak, dead })).needle];
    const [leak, dead] = [holeArea(1e-3), 4e-6];
    const base = at(leak, dead);
    const byLeak = at(leak * 1.05, dead).map((p, k) => p - base[k]!);
    const byDead = at(leak, dead * 1.05).map((p, k) => p - base[k]!);
    const dot = (a: number[], b: number[]): number => a.reduce((s, x, k) => s + x * b[k]!, 0);
    const alike = dot(byLeak, byDead) / Math.sqrt(dot(byLeak, byLeak) * dot(byDead, byDead));
    expect(alike).toBeGreaterThan(0.99);
  });
});

describe('the solvers under it', () => {
  it('least squares finds a straight line’s textbook slope, intercept and covariance', () => {
    const x = [0, 1, 2, 3, 4];
    const fit = leastSquares({
      curve: ([a, b]) => x.map((v) => a! + b! * v),
      observed: [1, 3.1, 4.9, 7.2, 8.8],
      u: 1,
      starts: [
        [0, 0],
        [5, -1]
      ],
      low: [-100, -100],
      high: [100, 100],
      steps: [1e-3, 1e-3]
    });
    // Normal equations: slope Σ(x−x̄)(y−ȳ)/Σ(x−x̄)² = 1.97, intercept ȳ − slope·x̄ = 1.06; var(slope) = 1/Σ(x−x̄)² = 0.1.
    expect(fit.parameters[1]).toBeCloseTo(1.97, 4);
    expect(fit.parameters[0]).toBeCloseTo(1.06, 4);
    expect(fit.covariance[1]![1]).toBeCloseTo(0.1, 6);
    expect(fit.covariance[0]![1]).toBeCloseTo(-0.2, 6);
    expect(fit.agreed).toBe(true);
  });
  it('a root is found, or the nearer end given', () => {
    expect(rootOf((x) => x * x - 2, 0, 2, 1e-12)).toBeCloseTo(Math.SQRT2, 9);
    expect(rootOf((x) => x + 1, 0, 2, 1e-12)).toBe(0);
  });
});
