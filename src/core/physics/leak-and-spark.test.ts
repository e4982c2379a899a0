import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { breakdownVoltage, crankedTemperature, gapJumped } from './breakdown.ts';
import { bandOn, holeOfLeakDown, leakDownOfHole, publishedTester } from './leak-down.ts';
import { at20, atTemperature } from './resistance.ts';

const psi = 6894.757;

describe('leak-down through an 0.040 in restrictor at 80 psi (FAA AC 43.13-1B)', () => {
  it.each([
    [0.5, 1.6],
    [0.75, 7.7],
    [1.016, 22.8],
    [1.5, 64.1],
    [2, 87.5]
  ])('a hole of %f mm shows %f %%', (mm, percent) => {
    expect(100 * leakDownOfHole(mm * 1e-3)).toBeCloseTo(percent, 1);
  });
  it('hole and share undo each other, on any tester', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.95, noNaN: true }),
        fc.double({ min: 30 * psi, max: 120 * psi, noNaN: true }),
        fc.double({ min: 0.3e-3, max: 3e-3, noNaN: true }),
        (share, supply, restrictor) => {
          const tester = { supply, restrictor };
          expect(leakDownOfHole(holeOfLeakDown(share, tester), tester)).toBeCloseTo(share, 5);
        }
      )
    );
  });
  it('nothing leaks at no drop; the same hole shows less on a larger restrictor', () => {
    expect(holeOfLeakDown(0)).toBe(0);
    const larger = { ...publishedTester, restrictor: 0.06 * 25.4e-3 };
    expect(bandOn(0.2, larger)).toBeLessThan(0.1);
    expect(bandOn(0.2, publishedTester)).toBeCloseTo(0.2, 6);
  });
  it('refuses what cannot be', () => {
    expect(() => holeOfLeakDown(1)).toThrow(RangeError);
    expect(() => holeOfLeakDown(0.1, { supply: 0, restrictor: 1e-3 })).toThrow(RangeError);
    expect(() => leakDownOfHole(-1)).toThrow(RangeError);
  });
});

describe('breakdown of air (Kuffel, Zaengl & Kuffel, High Voltage Engineering, uniform field)', () => {
  it.each([
    [1, 31.08],
    [0.1, 4.56]
  ])('pressure × gap of %f bar·cm breaks down at %f kV', (x, kV) => {
    // 24.36·0.1 + 6.72·√0.1 = 4.5611
    expect(breakdownVoltage(1e5, x * 1e-2) / 1000).toBeCloseTo(kV, 2);
  });
  it('9 bar and 1 mm: 28.3 kV at 293 K and 17.6 kV at the 504 K of compression', () => {
    const hot = crankedTemperature(293, { ratio: 6.5 });
    expect(hot).toBeCloseTo(504, 0);
    expect(breakdownVoltage(9e5, 1e-3) / 1000).toBeCloseTo(28.3, 1);
    expect(breakdownVoltage(9e5, 1e-3, hot) / 1000).toBeCloseTo(17.6, 1);
  });
  it.each([
    [15, 4.28],
    [20, 5.98],
    [30, 9.49]
  ])('%f kV jump %f mm of open air', (kV, mm) => {
    expect(gapJumped(kV * 1000) * 1000).toBeCloseTo(mm, 2);
  });
  it('gap and voltage undo each other', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05e-3, max: 20e-3, noNaN: true }),
        fc.double({ min: 5e4, max: 2e6, noNaN: true }),
        fc.double({ min: 250, max: 700, noNaN: true }),
        (gap, p, T) => {
          expect(gapJumped(breakdownVoltage(p, gap, T), p, T)).toBeCloseTo(gap, 9);
        }
      )
    );
  });
  it('the pressures alone tell the temperature where no ratio is known', () => {
    expect(crankedTemperature(293, { pressures: 6.5 ** 1.29 })).toBeCloseTo(crankedTemperature(293, { ratio: 6.5 }), 9);
    expect(() => breakdownVoltage(0, 1e-3)).toThrow(RangeError);
    expect(() => gapJumped(-1)).toThrow(RangeError);
  });
});

describe('copper windings (IEC 60028)', () => {
  it.each([
    [10, 0.9607],
    [20, 1],
    [35, 1.059]
  ])('at %i °C a winding reads %f of its value at 20 °C', (celsius, share) => {
    expect(atTemperature(1, celsius + 273.15)).toBeCloseTo(share, 4);
    expect(at20(share, celsius + 273.15)).toBeCloseTo(1, 4);
  });
  it('refuses an impossible winding', () => {
    expect(() => at20(-1, 293)).toThrow(RangeError);
    expect(() => at20(1, 600)).toThrow(RangeError);
  });
});
