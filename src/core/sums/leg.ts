import { ZERO_CELSIUS } from '../units/factors.ts';
import { detectableDrop, holeOfLeak, leakRate, smallestLeak } from '../physics/case-test.ts';
import { drainMinutes, usualGearOil, viscosityAt } from '../physics/viscosity.ts';
import { say } from '../units/index.ts';
import type { Sum } from './sum.ts';

const rate = (m3PerMin: number): string => `${(m3PerMin * 1e6).toFixed(2)} mL/min`;

export const caseTest: Sum = {
  title: 'Case pressure test',
  about:
    'What a drop means, and the smallest leak this gauge could have shown in this time. Never above 15 psi without the manual’s figure; eye guard on.',
  fields: [
    { id: 'volume', label: 'Air in the case', dimension: 'volume', standard: { metric: '250 mL', us: '8.5 oz' } },
    { id: 'pressure', label: 'Held at', dimension: 'pressure', standard: { metric: '0.69 bar', us: '10 psi' } },
    { id: 'drop', label: 'Dropped by', dimension: 'pressure', standard: { metric: '0.03 bar', us: '0.5 psi' } },
    { id: 'minutes', label: 'In', dimension: 'minutes', standard: { metric: '5 min', us: '5 min' } },
    { id: 'step', label: 'Smallest division', dimension: 'pressure', standard: { metric: '0.03 bar', us: '0.5 psi' } }
  ],
  run: (v, units) => {
    const p = (pa: number): string => say(pa, 'pressure', units, 689);
    if (!(v.step! > 0)) throw new RangeError('A gauge has a division above zero.');
    const { counts, surely } = detectableDrop(v.step!);
    const leak = leakRate(v.volume!, v.drop!, v.minutes!);
    const least = smallestLeak(v.volume!, v.step!, v.minutes!);
    const verdict =
      v.drop! <= counts
        ? `is no more than two readings of this gauge can differ by (${p(counts)}): it proves nothing yet.`
        : v.drop! < surely
          ? `counts, since it is over ${p(counts)}, but a longer hold would say it with more certainty.`
          : 'is a leak beyond what this gauge can make up.';
    return {
      figure: rate(leak),
      says: `a drop of ${p(v.drop!)} ${verdict} It would be a hole of about ${(holeOfLeak(leak, v.pressure!) * 1e6).toFixed(0)} µm. The smallest leak surely shown in this time is ${rate(least)}.`,
      rows: [5, 10, 30, 60].map((m) => [
        `held ${m} min`,
        `shows a leak of ${rate(smallestLeak(v.volume!, v.step!, m))}`
      ])
    };
  },
  formula: 'leak = V·Δp/(p_a·t); a drop counts over 1.645·√2·step/√12 and is surely seen over twice that',
  source: 'Ideal gas, uniform rounding (P). Temperature has to stand still: 2 K take 0.17 psi off 10 psi.'
};

export const drainTime: Sum = {
  title: 'Gear oil: drain time in the cold',
  about:
    'Thick oil takes longer: the time goes with its viscosity. A little tilt at the end; a drained case is labelled CASE EMPTY.',
  fields: [
    { id: 'air', label: 'Case and oil at', dimension: 'temperature', standard: { metric: '10 °C', us: '50 °F' } },
    { id: 'base', label: 'Takes at 20 °C (68 °F)', dimension: 'minutes', standard: { metric: '20 min', us: '20 min' } }
  ],
  run: (v, units) => {
    if (!(v.air! > 233 && v.air! < 373)) throw new RangeError('Between −40 and 100 °C.');
    const minutes = drainMinutes(v.air!, v.base!);
    return {
      figure: `${Math.round(minutes)} min`,
      says: `at ${say(v.air!, 'temperature', units)}, where the usual gear oil stands at ${Math.round(viscosityAt(v.air!, ...usualGearOil))} mm²/s.`,
      rows: [0, 10, 20, 30].map((t) => [
        say(t + ZERO_CELSIUS, 'temperature', units),
        `${Math.round(drainMinutes(t + ZERO_CELSIUS, v.base!))} min`
      ])
    };
  },
  formula: 'log log(ν + 0.7) = A − B·log T through 150 mm²/s at 40 °C and 15 at 100 °C; time ∝ ν',
  source: 'ASTM D341 (P); the grade and the base time are common practice (C).'
};
