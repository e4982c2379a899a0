import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cooledPressure,
  detectableDrop,
  dropRate,
  fadingRate,
  holeOfLeak,
  leakRate,
  minutesToShow,
  smallestLeak
} from './case-test.ts';
import { coolingFlow, treatedAfter } from './flows.ts';
import { changesTo, leftAfter, residueShare } from './residue.ts';
import { carbonMonoxide, minutesUntil } from './shed-air.ts';
import { blendViscosity, drainMinutes, massFraction, usualGearOil, viscosityAt } from './viscosity.ts';
import { secondsUntil, warmUp } from './warm-up.ts';

const psi = 6894.757;
const C = (t: number): number => t + 273.15;

describe('viscosity (ASTM D341)', () => {
  it.each([
    [40, 150],
    [100, 15],
    [20, 536],
    [10, 1184],
    [0, 2991]
  ])('the usual gear oil at %i °C is %f mm²/s', (celsius, v) => {
    expect(Math.abs(viscosityAt(C(celsius), ...usualGearOil) / v - 1)).toBeLessThan(0.002);
  });
  it('draining 20 min at 20 °C takes 44 at 10 °C and 112 at 0 °C', () => {
    expect(drainMinutes(C(10), 20)).toBeCloseTo(44, 0);
    expect(drainMinutes(C(0), 20)).toBeCloseTo(112, 0);
  });
  it('petrol in oil by the Refutas index: 6 % by mass 7.17, 6 % by volume 7.52 mm²/s', () => {
    const blend = (mass: number) =>
      blendViscosity([
        { mass, viscosity: 0.4 },
        { mass: 1 - mass, viscosity: 10.5 }
      ]);
    expect(blend(0.06)).toBeCloseTo(7.17, 2);
    expect(blend(massFraction(0.06, 0.74, 0.86))).toBeCloseTo(7.52, 2);
    expect(blend(0)).toBeCloseTo(10.5, 9);
    expect(() => blendViscosity([{ mass: 0.5, viscosity: 10 }])).toThrow(RangeError);
  });
});

describe('case test (ideal gas)', () => {
  it('10 psi at 20 °C cooling 2 K reads 9.83', () => {
    expect(cooledPressure(10 * psi, C(20), C(18)) / psi).toBeCloseTo(9.83, 2);
  });
  it('250 mL losing 0.5 psi in 5 min leaks 1.70 mL/min, a hole of about 12 µm', () => {
    const rate = leakRate(250e-6, 0.5 * psi, 5);
    expect(rate * 1e6).toBeCloseTo(1.7, 2);
    expect(holeOfLeak(rate, 10 * psi) * 1e6).toBeCloseTo(12, 0);
  });
  it('a 0.5 psi gauge: 0.336 psi count, 0.672 are surely seen, and so much leak in 5, 10, 30 min', () => {
    const { counts, surely } = detectableDrop(0.5 * psi);
    expect(counts / psi).toBeCloseTo(0.336, 3);
    expect(surely / psi).toBeCloseTo(0.672, 3);
    expect([5, 10, 30].map((t) => +(smallestLeak(250e-6, 0.5 * psi, t) * 1e6).toFixed(2))).toEqual([2.28, 1.14, 0.38]);
    expect(minutesToShow(250e-6, 0.5 * psi, 1.14e-6)).toBeCloseTo(10, 1);
  });
  it('rounded readings always hold the true rate inside their interval', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        fc.double({ min: 8, max: 12, noNaN: true }),
        fc.integer({ min: 2, max: 12 }),
        (rate, start, n) => {
          const list = Array.from({ length: n }, (_, k) => ({
            minutes: k * 2,
            pressure: Math.round((start - rate * k * 2) / 0.5) * 0.5 * psi
          }));
          const found = dropRate(list, 0.5 * psi);
          expect(found.consistent).toBe(true);
          expect(found.low / psi).toBeLessThanOrEqual(rate + 1e-9);
          expect(found.high / psi).toBeGreaterThanOrEqual(rate - 1e-9);
        }
      )
    );
  });
  it('temperature is taken out before the rate, and a jump that no steady leak makes is said', () => {
    const cooling = [0, 10, 20].map((minutes) => ({
      minutes,
      pressure: cooledPressure(10 * psi, C(20), C(20 - minutes / 5)),
      temperature: C(20 - minutes / 5)
    }));
    const found = dropRate(cooling, 0.1 * psi);
    expect(found.low).toBeLessThanOrEqual(0);
    expect(found.high).toBeGreaterThanOrEqual(0);
    const jump = [10, 10, 9, 9, 10].map((p, k) => ({ minutes: 5 * k, pressure: p * psi }));
    expect(dropRate(jump, 0.1 * psi).consistent).toBe(false);
    expect(() => dropRate([{ minutes: 1, pressure: 1 }], 1)).toThrow(RangeError);
    expect(() => leakRate(0, 1, 1)).toThrow(RangeError);
  });
});

describe('a case that loses most of what was put on it', () => {
  it('the true first rate lies inside, for a fine gap and for a hole, as the gauge rounds it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(1, 0.5),
        fc.double({ min: 0.01, max: 0.08, noNaN: true }),
        fc.double({ min: 20e3, max: 70e3, noNaN: true }),
        (law, share, start) => {
          // dp/dt = −c·pⁿ in closed form.
          const rate = share * start;
          const c = rate / start ** law;
          const at = (t: number): number =>
            law === 1 ? start * Math.exp(-c * t) : Math.max(0, Math.sqrt(start) - (c * t) / 2) ** 2;
          const step = 0.25 * psi;
          const list = [0, 5, 10, 20, 30].map((minutes) => ({
            minutes,
            pressure: Math.round(at(minutes) / step) * step
          }));
          const found = fadingRate(list, step);
          expect(found.consistent).toBe(true);
          expect(found.low).toBeLessThanOrEqual(1.001 * rate);
          expect(found.high).toBeGreaterThanOrEqual(0.999 * rate);
        }
      ),
      // The start itself is read to a division: seen wrong where it was taken as exact.
      { examples: [[1, 0.03269632337033321, 21546.115625]], numRuns: 300 }
    );
  });
  it('one that fell once and then stood still is no such leak; a vacuum counts as what stands off the outside air', () => {
    const fell = [10, 10, 6, 6, 6].map((p, k) => ({ minutes: 5 * k, pressure: p * psi }));
    expect(fadingRate(fell, 0.1 * psi).consistent).toBe(false);
    const vacuum = [0, 5, 10, 20].map((minutes) => ({ minutes, pressure: -25e3 * Math.exp(-0.05 * minutes) }));
    expect(fadingRate(vacuum, 100).low).toBeGreaterThan(1000);
    expect(() => fadingRate([{ minutes: 1, pressure: 1 }], 1)).toThrow(RangeError);
  });
});

describe('what stays in the sump', () => {
  it('15 % each time: 2.25 % after two changes, 0.34 after three, 0.05 after four', () => {
    expect([2, 3, 4].map((n) => +(100 * leftAfter(n, 0.15)).toFixed(2))).toEqual([2.25, 0.34, 0.05]);
    expect(changesTo(0.01, 0.15)).toBe(3);
    expect(changesTo(0.15, 0.15)).toBe(1);
    expect(residueShare(2.55, 3)).toBeCloseTo(0.15, 9);
    expect(() => residueShare(1, 0)).toThrow(RangeError);
  });
});

describe('air in the shed (NIOSH)', () => {
  it('500 g/h in 100 m³ with one change: 143 ppm after 2 min, 349 after 5', () => {
    expect(carbonMonoxide(500, 100, 1, 2)).toBeCloseTo(143, 0);
    expect(carbonMonoxide(500, 100, 1, 5)).toBeCloseTo(349, 0);
  });
  it('the time to a level undoes the level, and may never come', () => {
    expect(minutesUntil(349, 500, 100, 1)).toBeCloseTo(5, 1);
    expect(minutesUntil(200, 1, 100, 10)).toBeUndefined();
    expect(minutesUntil(200, 500, 100, 0)).toBeCloseTo((60 * 200 * 1.145 * 100) / 500_000, 6);
  });
});

describe('flows', () => {
  it('1.5 L/h and 25 K ask for 2.29 L/min of cooling water', () => {
    expect(coolingFlow(1.5e-3, 25) * 1000).toBeCloseTo(2.29, 2);
  });
  it('treated fuel needs twice what stands in line, bulb, filter and bowl', () => {
    expect(treatedAfter(0.4e-3, 1.6e-3)).toBeCloseTo(30, 9);
  });
});

describe('warm-up', () => {
  const run = (minutes: number, noise: () => number, tau = 240, [from, to] = [15, 62]) =>
    Array.from({ length: minutes * 4 + 1 }, (_, k) => ({
      seconds: 15 * k,
      temperature: from! + (to! - from!) * (1 - Math.exp((-15 * k) / tau)) + noise()
    }));
  it('finds start, plateau and time constant of a clean curve', () => {
    const fit = warmUp(
      run(10, () => 0),
      { sigma: 0.2 }
    )!;
    expect(fit.plateau).toBeCloseTo(62, 0);
    expect(fit.start).toBeCloseTo(15, 0);
    expect(Math.abs(fit.tau / 240 - 1)).toBeLessThan(0.05);
    expect(secondsUntil({ start: 15, plateau: 62, tau: 240 }, 50)).toBeCloseTo(240 * Math.log(47 / 12), 6);
    expect(secondsUntil({ start: 15, plateau: 62, tau: 240 }, 90)).toBeUndefined();
  });
  it('sets no upper limit early, and says nothing in the first minute', () => {
    expect(warmUp(run(1, () => 0).slice(0, 4))).toBeUndefined();
    expect(
      warmUp(
        run(1, () => 0),
        { sigma: 1 }
      )!.high
    ).toBeUndefined();
  });
});
