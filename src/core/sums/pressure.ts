import { crankingPressure, withoutAdapter } from '../physics/adapter.ts';
import { atSeaLevel, pressureAtAltitude } from '../physics/atmosphere.ts';
import { bandOn, holeOfLeakDown } from '../physics/leak-down.ts';
import { withOil, withOilInterval } from '../physics/wet-dose.ts';
import { say } from '../units/index.ts';
import type { Sum, SumField } from './sum.ts';

const swept: SumField = {
  id: 'swept',
  label: 'Swept volume of one cylinder',
  dimension: 'displacement',
  standard: { metric: '210 cc', us: '210 cc' }
};
const ratio: SumField = {
  id: 'ratio',
  label: 'Compression ratio',
  dimension: 'mixture',
  standard: { metric: '6.5', us: '6.5' }
};

const cylinder = (v: Readonly<Record<string, number | undefined>>) => {
  const r = v.ratio!;
  if (!(r > 1)) throw new RangeError('A compression ratio is over 1.');
  if (!(v.swept! > 0)) throw new RangeError('A cylinder has a volume above zero.');
  return { volume: (v.swept! * r) / (r - 1), ratio: r };
};

export const adapter: Sum = {
  title: 'Adapter effect',
  about:
    'What volume between chamber and check valve takes off a compression reading. Volume behind the valve only slows the needle.',
  fields: [
    swept,
    ratio,
    {
      id: 'dead',
      label: 'Volume before the check valve',
      dimension: 'volume',
      standard: { metric: '8 mL', us: '8 mL' }
    },
    { id: 'read', label: 'Read through it', dimension: 'pressure', standard: { metric: '6 bar', us: '90 psi' } }
  ],
  run: (v, units) => {
    const c = cylinder(v);
    const p = (pa: number): string => say(pa, 'pressure', units);
    const found = withoutAdapter(v.read!, c, v.dead!);
    const lost = 1 - crankingPressure(c, v.dead!) / crankingPressure(c);
    return {
      figure: p(found.best),
      says: `without the adapter, between ${p(found.low)} and ${p(found.high)}. It alone takes about ${Math.round(100 * lost)} % off.`,
      rows: [0, 2e-6, 5e-6, 8e-6, 12e-6].map((d) => [
        `${say(d, 'volume', 'metric')} before the valve`,
        p(crankingPressure(c, d))
      ])
    };
  },
  formula: 'p = p_a·((V + d)/(V_c + d))^1.3 − p_a',
  source: 'Polytropic law (P); exponent 1.3, ratio ±1 and trapped share 0.7 to 1 from memory (M).'
};

export const wetDose: Sum = {
  title: 'Wet test dose',
  about: 'How much of the rise of a wet test is only the oil’s own volume. What remains is rings or bore.',
  fields: [
    swept,
    ratio,
    { id: 'dry', label: 'Read dry', dimension: 'pressure', standard: { metric: '6.2 bar', us: '90 psi' } },
    { id: 'dose', label: 'Oil put in', dimension: 'volume', standard: { metric: '2 mL', us: '2 mL' } },
    {
      id: 'wet',
      label: 'Read wet',
      dimension: 'pressure',
      standard: { metric: '6.9 bar', us: '101 psi' },
      optional: true
    }
  ],
  run: (v, units) => {
    const c = cylinder(v);
    const p = (pa: number): string => say(pa, 'pressure', units);
    if (v.dose! >= c.volume / c.ratio)
      throw new RangeError('This dose would fill the chamber. About 1 mL per 100 mL swept, at most 5.');
    const best = withOil(v.dry!, c, v.dose!);
    const range = withOilInterval(v.dry!, c, v.dose!);
    const usual = Math.min(5e-6, v.swept! / 100);
    const alone = `The oil alone lifts it to ${p(best)}${range ? ` (${p(range.low)} to ${p(range.high)})` : ''}. About ${say(usual, 'volume', 'metric', 1e-7)} is the usual dose here.`;
    return v.wet === undefined
      ? { figure: p(best - v.dry!), says: `of rise is the oil’s own volume. ${alone}` }
      : {
          figure: p(v.wet - best),
          says: `of the rise of ${p(v.wet - v.dry!)} is more than the oil’s own volume. ${alone}`
        };
  },
  formula: 'r′ = (V − v)/(V_c − v), p ∝ r′^1.3 on absolute pressure',
  source: 'Polytropic law (P); exponent 1.3 and ratio ±1 from memory (M); dose common practice (C).'
};

export const altitude: Sum = {
  title: 'Compression at altitude',
  about: 'Cranking multiplies the air there is: what a reading up here would be at sea level.',
  fields: [
    { id: 'read', label: 'Read here', dimension: 'pressure', standard: { metric: '6.2 bar', us: '90 psi' } },
    { id: 'height', label: 'Altitude', dimension: 'altitude', standard: { metric: '1500 m', us: '4900 ft' } }
  ],
  run: (v, units) => {
    const ambient = pressureAtAltitude(v.height!);
    const p = (pa: number): string => say(pa, 'pressure', units);
    return {
      figure: p(atSeaLevel(v.read!, ambient)),
      says: `at sea level. The air here stands at ${Math.round(ambient / 100)} hPa.`,
      rows: [0, 500, 1000, 2000, 3000].map((h) => [
        say(h, 'altitude', units),
        `${(pressureAtAltitude(h) / 100).toFixed(1)} hPa, reads ${p(((v.read! + ambient) * pressureAtAltitude(h)) / ambient - pressureAtAltitude(h))}`
      ])
    };
  },
  formula: 'p_sea = (p + p_a)·101325/p_a − 101325; p_a = 101325·(1 − 2.25577e-5·h)^5.25588',
  source: 'ISO 2533 / ICAO Doc 7488 standard atmosphere (P). The weather moves it by ±3 %.'
};

export const leakDown: Sum = {
  title: 'Leak-down and its hole',
  about:
    'The round hole that would make a leak-down tester show this, and what the usual bands become on another restrictor.',
  fields: [
    { id: 'share', label: 'Leak-down shown', dimension: 'share', standard: { metric: '20 %', us: '20 %' } },
    {
      id: 'restrictor',
      label: 'Restrictor hole',
      dimension: 'length',
      standard: { metric: '1.016 mm', us: '0.040 in' }
    },
    { id: 'supply', label: 'Supply', dimension: 'pressure', standard: { metric: '5.52 bar', us: '80 psi' } }
  ],
  run: (v, units) => {
    if (!(v.share! >= 0 && v.share! < 1)) throw new RangeError('Leak-down lies from 0 to under 100 %.');
    const tester = { supply: v.supply!, restrictor: v.restrictor! };
    const hole = holeOfLeakDown(v.share!, tester);
    const share = (s: number): string => say(s, 'share', units);
    return {
      figure: `${(hole * 1000).toFixed(2)} mm`,
      says: `is the equivalent hole (discharge coefficient 0.8 for both). On this tester watch begins at ${share(bandOn(0.1, tester))} and fault at ${share(bandOn(0.2, tester))}.`
    };
  },
  formula: 'A_hole/A_restrictor = p_s·ψ(p_c/p_s)/(p_c·ψ(p_a/p_c))',
  source:
    'FAA AC 43.13-1B: 80 psi through 0.040 in (P, orifice rule to be confirmed); bands 10 and 20 % common practice (C).'
};
