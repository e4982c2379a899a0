import { describe, expect, it } from 'vitest';
import { intervalsOf } from '../../src/core/care/intervals.ts';
import { flows } from '../../src/core/care/flows.ts';
import { procedures } from '../../src/core/procedures/register.ts';
import { contextOf } from '../../src/core/findings/context.ts';
import type { HouseRules } from '../../src/core/house-rules/rules.ts';
import { topicIds, topics } from '../../src/core/house-rules/topics.ts';
import { chooseOffer } from '../../src/core/parts/choose.ts';
import { askedMix } from '../../src/core/stations/fuel/asked-mix.ts';
import { stabilising } from '../../src/core/stations/fuel/correct.ts';
import { asksForKit } from '../../src/core/stations/cooling/pump.ts';
import { protocol } from '../../src/core/drowned/protocol.ts';
import { Bench } from '../case.ts';

const two = {
  strokes: 'two',
  cylinders: 2,
  lubrication: 'premix',
  premixRatio: 50,
  fuelSystem: 'carburettor'
} as const;
const injected = { ...two, fuelSystem: 'electronic' } as const;
const four = { strokes: 'four', cylinders: 2, lubrication: 'sump', fuelSystem: 'carburettor' } as const;

/** Engines on which schools differ: what each of them is about has been recorded on one of these. */
const situations: readonly (() => Bench)[] = [
  () => new Bench(two).psi([1, 2, 2, 1].map((k) => [k, k === 1 ? 120 : 106] as const)),
  () => new Bench(two).psi([1, 2, 2, 1].map((k) => [k, k === 1 ? 120 : 99] as const)),
  () =>
    new Bench(two, 'long-stored', { yearsIdle: 4 }).read('fuel.age', 48).read('plugs.read', ['dry'], { cylinder: 1 }),
  () =>
    new Bench(two, 'long-stored', { yearsIdle: 0.5 }).read('fuel.age', 12).read('plugs.read', ['dry'], { cylinder: 1 }),
  () => new Bench(four, 'drowned').read('plugs.hole', 'water', { cylinder: 1 }),
  () => new Bench(injected),
  () => new Bench({ ...two, ignition: 'points', starting: 'electric' }),
  () => new Bench(four).read('oil.dip', 'above').read('oil.dip', 'above'),
  () => new Bench(two).read('gear.first', 'oil'),
  () =>
    new Bench(two)
      .read('gear.first', 'water')
      .read('gear.look', 'creamy')
      .read('gear.refill', 'stand')
      .read('gear.washers', 'yes'),
  () => new Bench(two).read('gear.magnet', 'slivers'),
  () => new Bench(two).read('gear.magnet', 'paste'),
  () => new Bench(two).read('cooling.impellerAge', 1.5),
  () => new Bench(two, 'neglected', { stored: 'indoors' }).read('cooling.impellerAge', 2.5),
  () => new Bench(two).read('cooling.impellerAge', 5),
  () => new Bench(two).read('cooling.impellerAge', 1).read('cooling.backward', 'yes')
];

const offers = [
  { id: 'a', what: 'pieces', price: 22, source: 'A' },
  { id: 'b', what: 'kit', price: 80, source: 'B' }
] as unknown as Parameters<typeof chooseOffer>[0];

/** All that a judgement says but the name of the school, which would differ by itself. */
function judgement(make: () => Bench, rules: HouseRules): string {
  const b = make();
  b.survey = { ...b.survey, houseRules: rules };
  const a = b.assessed();
  const c = contextOf(b.survey, new Date('2026-05-03'), 'metric');
  return JSON.stringify([
    a.findings.map((f) => [f.id, f.condition, f.sentence]),
    a.holds.map((h) => [h.id, h.because, h.needs, h.blocks]),
    a.steps.map((s) => [s.id, s.how, s.parts]),
    a.gates.map((g) => [g.id, g.condition, g.sentence]),
    [...flows, ...procedures].map((p) => p.steps(c).map((s) => [s.text, s.branch?.map((x) => x.then)])),
    intervalsOf(c, false).map((i) => [i.id, i.hours, i.months]),
    a.steps.map((s) => s.consumables),
    protocol(c).map((s) => s.how),
    askedMix(c)?.ratio,
    stabilising(c),
    chooseOffer(offers, rules, 'metric', { kit: asksForKit(c) }).take
  ]);
}

describe('every school changes what is said or asked', () => {
  for (const topic of topicIds)
    it(topics[topic].topic, () => {
      const choices = Object.keys(topics[topic].choices);
      const heard = new Map<string, string>();
      const said = (choice: string, k: number): string => {
        const key = `${choice} ${k}`;
        const text = heard.get(key) ?? judgement(situations[k]!, { schools: { [topic]: choice } });
        heard.set(key, text);
        return text;
      };
      // Asked engine by engine, and no further than to the first on which the two differ.
      const same = choices.flatMap((a, k) =>
        choices
          .slice(k + 1)
          .flatMap((b) => (situations.every((_, i) => said(a, i) === said(b, i)) ? [`${a} = ${b}`] : []))
      );
      expect(same).toEqual([]);
    });
});
