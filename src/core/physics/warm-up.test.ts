import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { heating, thinned } from './heating.ts';
import { secondsUntil, t95squared, warmUp, type WarmSample } from './warm-up.ts';

/** Numbers that look random and are the same each time. */
function noise(seed: number): () => number {
  let s = seed;
  const next = (): number => {
    s = (s * 1664525 + 1013904223) % 4294967296;
    return (s + 0.5) / 4294967296;
  };
  return () => Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());
}
const curve =
  (from = 15, to = 62, tau = 240) =>
  (s: number): number =>
    to - (to - from) * Math.exp(-s / tau);
const run = (minutes: number, at: (s: number) => number, sigma = 0, seed = 7): WarmSample[] => {
  const n = noise(seed);
  return Array.from({ length: minutes * 4 + 1 }, (_, k) => ({
    seconds: 15 * k,
    temperature: at(15 * k) + (sigma ? sigma * n() : 0)
  }));
};

describe('Student’s t, squared', () => {
  // Source: Abramowitz & Stegun, table 26.10 (two-sided 95 %), squared.
  it.each([
    [3, 3.182],
    [5, 2.571],
    [9, 2.262],
    [20, 2.086],
    [120, 1.98]
  ])('%i degrees of freedom', (freedom, t) => {
    expect(Math.sqrt(t95squared(freedom)) / t).toBeCloseTo(1, 1);
    expect(Math.abs(Math.sqrt(t95squared(freedom)) / t - 1)).toBeLessThan(0.012);
  });
});

describe('the warm-up fit', () => {
  const covered = (minutes: number, known: (k: number) => Parameters<typeof warmUp>[1], runs = 800): number => {
    let hit = 0;
    for (let k = 0; k < runs; k++) {
      const fit = warmUp(run(minutes, curve(), 1, 1000 + 17 * k), known(k))!;
      if (fit.low <= 62 && 62 <= (fit.high ?? Infinity)) hit += 1;
    }
    return hit / runs;
  };
  it.each([3, 5, 8])('covers the plateau about 95 times in a hundred at %i min, noise unknown', (minutes) => {
    const share = covered(minutes, () => ({}));
    expect(share).toBeGreaterThan(0.925);
    expect(share).toBeLessThan(0.985);
  });
  it('covers as well where the start and the noise are known', () => {
    expect(covered(4, () => ({ start: 15, sigma: 1 }))).toBeGreaterThan(0.92);
  });
  it('narrows as it runs: half-widths of the interval with 15 s samples and 1 K, near 23, 12, 7 and 5 K', () => {
    const half = (minutes: number, start?: number): number => {
      const list = Array.from({ length: 200 }, (_, k) =>
        warmUp(run(minutes, curve(), 1, 300 + 13 * k), { sigma: 1, ...(start === undefined ? {} : { start }) })!
      ).flatMap((f) => (f.high === undefined ? [] : [(f.high - f.low) / 2]));
      return list.sort((a, b) => a - b)[Math.floor(list.length / 2)]!;
    };
    expect(Math.abs(half(3, 15) - 22.8)).toBeLessThan(3);
    expect(Math.abs(half(4) - 11.7)).toBeLessThan(3);
    expect(Math.abs(half(5) - 7)).toBeLessThan(1.2);
    expect(Math.abs(half(6) - 4.6)).toBeLessThan(0.8);
  });
  it('sets no upper limit while the curve is still straight', () => {
    expect(warmUp(run(2, (s) => 15 + s / 10))!.high).toBeUndefined();
  });
  it('gives nothing under five readings or a minute, or where it cools', () => {
    expect(warmUp(run(10, curve()).slice(0, 4))).toBeUndefined();
    expect(warmUp([0, 5, 10, 15, 20].map((seconds) => ({ seconds, temperature: 20 + seconds })))).toBeUndefined();
    expect(
      warmUp(
        run(6, (s) => 60 - s / 20),
        { start: 60 }
      )
    ).toBeUndefined();
  });
  it('times the limit by the curve, and not where the plateau lies under it', () => {
    const fit = { start: 15, plateau: 110, tau: 300 };
    expect(secondsUntil(fit, 90)).toBeCloseTo(300 * Math.log(95 / 20), 9);
    expect(secondsUntil(fit, 120)).toBeUndefined();
    expect(secondsUntil({ ...fit, start: 95 }, 90)).toBe(0);
  });
  it('does not mind the scale: kelvins and degrees give the same plateau', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.double({ min: -50, max: 300, noNaN: true }), (seed, shift) => {
        const a = warmUp(run(6, curve(), 1, seed))!;
        const b = warmUp(run(6, (s) => curve()(s) + shift, 1, seed))!;
        expect(b.plateau - shift).toBeCloseTo(a.plateau, 4);
        expect(b.low - shift).toBeCloseTo(a.low, 4);
      }),
      { numRuns: 40 }
    );
  });
  it('two readings at one moment, and none after the other, break nothing', () => {
    const twice = run(5, curve(), 1).flatMap((s) => [s, { ...s, temperature: s.temperature + 0.5 }]);
    expect(warmUp(twice)!.plateau).toBeGreaterThan(50);
    expect(warmUp(Array.from({ length: 9 }, () => ({ seconds: 60, temperature: 30 })))).toBeUndefined();
  });
});

describe('a thermostat in the run', () => {
  const held = (s: number): number => Math.min(60, curve(15, 95, 300)(s));
  it('splits the window where it opens, and finds the level after it', () => {
    const h = heating(run(14, held, 0.7));
    expect(h.opened).toBeGreaterThan(120);
    expect(h.opened).toBeLessThan(330);
    expect(h.steady!.at).toBeCloseTo(60, 0);
  });
  it('finds no break in a plain warm-up nineteen times in twenty', () => {
    const broken = Array.from({ length: 100 }, (_, k) => heating(run(4 + (k % 8), curve(), 1, 50 + 31 * k))).filter(
      (h) => h.opened !== undefined
    );
    expect(broken.length).toBeLessThanOrEqual(5);
  });
  it('is level only when the slope cannot be told from none', () => {
    expect(heating(run(4, curve(), 0.5)).steady).toBeUndefined();
    expect(heating(run(20, curve(), 0.5)).steady!.at).toBeCloseTo(62, 0);
  });
  it('thins a long record into means, first and last part kept', () => {
    const long = run(60, curve(), 1);
    const thin = thinned(long, 50);
    expect(thin.length).toBeLessThanOrEqual(50);
    expect(thin[0]!.seconds).toBeLessThan(60);
    expect(thin.at(-1)!.seconds).toBeGreaterThan(3400);
    expect(thinned(long.slice(0, 20), 50)).toEqual(long.slice(0, 20));
  });
});
