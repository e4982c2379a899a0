import { changesTo, leftAfter, residueShare } from '../physics/residue.ts';
import { carbonMonoxide, CO_CEILING, CO_DANGEROUS, minutesUntil } from '../physics/shed-air.ts';
import { coolingFlow, COOLING_SHARE, treatedAfter } from '../physics/flows.ts';
import { say } from '../units/index.ts';
import type { Sum } from './sum.ts';

const percent = (x: number): string => `${(100 * x).toFixed(x < 0.01 ? 2 : 1)} %`;

export const oilResidue: Sum = {
  title: 'Oil changes after water',
  about: 'How much of what was in the sump is left after each change, and how many changes it takes.',
  fields: [
    { id: 'fill', label: 'Sump holds', dimension: 'tank', standard: { metric: '3 L', us: '3.2 qt' } },
    { id: 'drained', label: 'Came out', dimension: 'tank', standard: { metric: '2.55 L', us: '2.7 qt' } },
    { id: 'target', label: 'No more left than', dimension: 'share', standard: { metric: '1 %', us: '1 %' } }
  ],
  run: (v, units) => {
    if (!(v.fill! > 0)) throw new RangeError('A sump holds more than nothing.');
    if (v.drained! > 1.2 * v.fill!)
      throw new RangeError('More came out than the sump holds: fuel or water was on top of it. Take what it holds.');
    if (!(v.target! > 0 && v.target! < 1)) throw new RangeError('A share between 0 and 100 %.');
    const share = residueShare(v.drained!, v.fill!);
    if (share >= 1) throw new RangeError('Nothing came out; no number of changes helps.');
    const n = changesTo(v.target!, share);
    return {
      figure: `${n} ${n === 1 ? 'change' : 'changes'}`,
      says: `leave ${percent(leftAfter(n, share))} of it, since ${percent(share)} stays behind each time: ${say(n * v.fill!, 'tank', units)} of oil. Cheap oil first, the good one last.`,
      rows: [1, 2, 3, 4].map((k) => [`after ${k}`, `${percent(leftAfter(k, share))} left`])
    };
  },
  formula: 'left = rⁿ, r = 1 − drained/fill',
  source: 'Dilution (P). Where nobody measured, about 15 % stays behind (M).'
};

export const shedAir: Sum = {
  title: 'Air in the shed',
  about: 'Why an engine is never run indoors, open door or not. An argument, never a permission.',
  fields: [
    { id: 'room', label: 'Shed', dimension: 'tank', standard: { metric: '100000 L', us: '100000 L' } },
    { id: 'changes', label: 'Air changes an hour', dimension: 'mixture', standard: { metric: '1', us: '1' } },
    { id: 'minutes', label: 'Run for', dimension: 'minutes', standard: { metric: '5 min', us: '5 min' } }
  ],
  run: (v) => {
    const of = (grams: number): number => carbonMonoxide(grams, v.room!, v.changes!, v.minutes!);
    const reach = (grams: number): string => {
      const m = minutesUntil(CO_DANGEROUS, grams, v.room!, v.changes!);
      return m === undefined ? 'not reached' : `${m < 10 ? m.toFixed(1) : Math.round(m)} min`;
    };
    return {
      figure: `${Math.round(of(500))} ppm`,
      says: `of carbon monoxide, between ${Math.round(of(200))} and ${Math.round(of(1000))} by the engine. The ceiling is ${CO_CEILING} ppm; ${CO_DANGEROUS} is immediately dangerous to life. Run it outdoors.`,
      rows: [200, 500, 1000].map((g) => [`${g} g/h at idle`, `${CO_DANGEROUS} ppm after ${reach(g)}`])
    };
  },
  formula: 'c = G/(V·n)·(1 − e^(−n·t)); 1 ppm = 1.145 mg/m³',
  source:
    'NIOSH Pocket Guide (P); one well-mixed room (P); 200 to 1000 g/h for a small two-stroke at idle from memory (M).'
};

export const stabiliser: Sum = {
  title: 'Stabiliser: how long to run',
  about:
    'Until treated fuel has reached the engine. The fixed five to ten minutes of the trade stand beside it; what is calculated counts.',
  fields: [
    {
      id: 'held',
      label: 'Line, bulb, filter and bowl hold',
      dimension: 'volume',
      standard: { metric: '400 mL', us: '13.5 oz' }
    },
    { id: 'flow', label: 'Burns at idle, in an hour', dimension: 'tank', standard: { metric: '1.5 L', us: '0.4 gal' } }
  ],
  run: (v) => {
    if (!(v.flow! > 0)) throw new RangeError('An engine that runs burns something.');
    const minutes = treatedAfter(v.held!, v.flow!);
    return {
      figure: `${Math.ceil(minutes)} min`,
      says: `at idle, twice what stands in the way. ${minutes > 10 ? 'The usual ten minutes would not have reached the engine.' : 'The usual five to ten minutes are enough here.'}`
    };
  },
  formula: 't = 2·volume/flow',
  source: 'Displacement with a factor of two (M); fixed times are common practice (C).'
};

export const coolingWater: Sum = {
  title: 'Cooling water needed',
  about:
    'What must flow through the head to carry away its heat. The indicator stream is a bleed of it, never the whole.',
  fields: [
    { id: 'flow', label: 'Burns at idle, in an hour', dimension: 'tank', standard: { metric: '1.5 L', us: '0.4 gal' } },
    { id: 'in', label: 'Water in', dimension: 'temperature', standard: { metric: '15 °C', us: '59 °F' } },
    { id: 'out', label: 'Water out', dimension: 'temperature', standard: { metric: '40 °C', us: '104 °F' } }
  ],
  run: (v, units) => {
    if (!(v.out! > v.in!)) throw new RangeError('The water leaves warmer than it comes in.');
    return {
      figure: say(coolingFlow(v.flow!, v.out! - v.in!) / 60, 'flow', units),
      says: `through the head, if ${Math.round(100 * COOLING_SHARE)} % of the fuel’s heat goes into it.`
    };
  },
  formula: 'flow = fuel·32 MJ/L·0.3/(4186 J/(kg·K)·ΔT)',
  source: 'Heat balance with handbook constants (P); the share of 0.3 from memory (M).'
};
