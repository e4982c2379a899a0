import { describe, expect, it } from 'vitest';
import type { HouseRules } from '../house-rules/rules.ts';
import { houseRulesSchema } from '../house-rules/rules.ts';
import { judge } from '../judge.ts';
import { itemIds } from '../stations/items.ts';
import { Bench } from '../../../test/case.ts';
import { weighing } from '../diagnosis/weighing.ts';
import { advise } from './advice.ts';
import { changesBetween } from './changes.ts';
import { deficitLikelihood } from '../diagnosis/evidence/compression.ts';
import { suspectKinds } from '../diagnosis/knowledge/index.ts';
import { chanceOf } from '../diagnosis/suspects.ts';

const twin = {
  strokes: 'two',
  cylinders: 2,
  fuelSystem: 'carburettor',
  ignition: 'cdi',
  starting: 'rope',
  supply: 'bulb',
  indicator: 'fitted',
  thermostat: 'fitted'
} as const;
const advice = (b: Bench) => advise(b.judged());
const p = (b: Bench, id: string): number => {
  const w = weighing(b.judged().context, b.judged().findings);
  return w.belief.posterior[w.model.suspects.findIndex((s) => s.id === id)]!;
};
const withRules = (b: Bench, rules: HouseRules) =>
  judge({ ...b.survey, houseRules: rules }, new Date('2026-05-03T08:00:00Z'), 'us');

describe('evidence', () => {
  it('unknown, not fitted and not looked at carry none', () => {
    const none = new Bench(twin);
    const unknown = new Bench(twin)
      .read('gear.first', 'unknown')
      .read('turn.result', 'unknown')
      .read('fuel.bulb', 'not-fitted')
      .read('spark.result', 'unknown', { cylinder: 1 });
    for (const id of ['seal-propshaft', 'bores-rusted', 'bulb-valve', 'stop-circuit'])
      expect(p(unknown, id)).toBeCloseTo(p(none, id), 12);
    expect(advice(unknown).weighed).toBe(0);
  });
  it('everything unknown is advice all the same: nothing raised, a check to begin with', () => {
    const b = new Bench({}, 'neglected');
    for (const what of itemIds) if (what.startsWith('safe.')) b.read(what, 'unknown' as never);
    const a = advice(b);
    expect(a.suspects.every((s) => !s.raised)).toBe(true);
    expect(b.assessed().moves[0]).toBeDefined();
  });
  it('a reading taken before the job that cures it no longer counts, and the suspect is quiet after', () => {
    const b = new Bench(twin)
      .read('gear.first', 'milky')
      .read('gear.look', 'milky')
      .read('gear.pressureTest', 'leaked')
      .read('gear.caseBubbles', ['propshaft']);
    expect(p(b, 'seal-propshaft')).toBeGreaterThan(0.8);
    b.done('reseal');
    expect(p(b, 'seal-propshaft')).toBeLessThan(0.05);
    expect(advice(b).suspects.find((s) => s.id === 'seal-propshaft')).toBeUndefined();
    b.read('gear.pressureTest', 'leaked', { round: 2 });
    expect(p(b, 'seal-propshaft')).toBeGreaterThan(0.01);
  });
  it('a low cylinder counts by how low it is against what the readings scatter', () => {
    const ratio = (d: number, u = 0.02): number => deficitLikelihood(d, u)[0] / deficitLikelihood(d, u)[1];
    expect(ratio(0.02)).toBeLessThan(0.05);
    expect(ratio(0.4)).toBeGreaterThan(1000);
    for (const [less, more] of [
      [0.05, 0.1],
      [0.1, 0.15],
      [0.15, 0.3]
    ] as const)
      expect(ratio(more)).toBeGreaterThan(ratio(less));
    // A poor gauge tells less.
    expect(ratio(0.16, 0.08)).toBeLessThan(ratio(0.16, 0.01));
  });
  it('on one cylinder the gauge alone never convicts: its kind’s floor only leans', () => {
    const b = new Bench({ strokes: 'two', cylinders: 1 }).psi([[1, 55]]);
    const a = advice(b);
    expect(a.suspects.filter((s) => s.raised && !s.artefact && s.chance === 'likely')).toEqual([]);
  });
});

describe('suspects', () => {
  it('weights: what a reading is worth is what goes when it is left out', () => {
    const b = new Bench(twin)
      .read('cooling.stream', 'weak')
      .read('cooling.screen', 'clear')
      .read('cooling.outlet', 'shut');
    const outlet = advice(b).suspects.find((s) => s.id === 'outlet')!;
    expect(outlet.chance).toBe('likely');
    const weight = outlet.evidence.find((e) => e.sign === 'outlet-blocked')!;
    expect(weight.strength).toBe('strongly');
    const without = new Bench(twin).read('cooling.stream', 'weak').read('cooling.screen', 'clear');
    const odds = (x: number): number => Math.log(x / (1 - x));
    expect(odds(p(b, 'outlet')) - odds(p(without, 'outlet'))).toBeCloseTo(weight.weight, 6);
  });
  it('readings that say the same share their weight; what adds little beside the rest is still named', () => {
    const b = new Bench({ ...twin, cylinders: 4, layout: 'inline' });
    for (let k = 0; k < 2; k++) b.psi([[1, 118], [2, 70], [3, 71], [4, 117]]); // prettier-ignore
    for (const c of [2, 3])
      b.read('compression.leakdown', 0.45, { cylinder: c }).read('compression.escape', ['neighbour'], { cylinder: c });
    const gasket = advice(b).suspects.find((s) => s.id === 'head-gasket.2-3')!;
    const said = [...gasket.evidence.map((w) => w.says), ...gasket.fits].join('; ');
    for (const c of [2, 3]) {
      expect(said).toContain(`cylinder ${c}: its compression is low`);
      expect(said).toContain(`cylinder ${c}: air comes out at its neighbour`);
    }
  });
  it('one cause explains another away', () => {
    const weak = new Bench(twin).read('cooling.stream', 'weak');
    const both = new Bench(twin).read('cooling.stream', 'weak').read('cooling.outlet', 'shut');
    expect(p(weak, 'impeller')).toBeGreaterThan(p(new Bench(twin), 'impeller'));
    expect(p(both, 'impeller')).toBeLessThan(p(weak, 'impeller'));
  });
  it('words follow the figures', () => {
    expect([chanceOf(0.5), chanceOf(0.49), chanceOf(0.12), chanceOf(0.11)]).toEqual([
      'likely',
      'possible',
      'possible',
      'unlikely'
    ]);
  });
  it('taking one reading away changes the order, and says why', () => {
    const with_ = new Bench(twin).read('cooling.stream', 'weak').read('cooling.outlet', 'shut');
    const without = new Bench(twin).read('cooling.stream', 'weak');
    const said = changesBetween(advice(with_), advice(without));
    expect(said.join(' ')).toMatch(
      /Indicator outlet or its line blocked: was likely, now possible \(no longer: the stream outlet was blocked\)/
    );
    expect(changesBetween(advice(with_), advice(with_))).toEqual([]);
  });
  it('six cylinders have their own suspects, two banks theirs, and a two-stroke no valves', () => {
    const { model } = weighing(new Bench({ ...twin, cylinders: 6, layout: 'v' }).judged().context, []);
    const ids = model.suspects.map((s) => s.id);
    expect(ids.filter((i) => i.startsWith('rings-stuck.'))).toHaveLength(6);
    expect(ids).toContain('head-gasket.3-5');
    expect(ids).not.toContain('head-gasket.3-4');
    expect(ids.filter((i) => i.startsWith('pack-bank.'))).toHaveLength(2);
    expect(ids.some((i) => i.startsWith('valve-leaks'))).toBe(false);
    expect(model.suspects.find((s) => s.id === 'head-gasket.3-5')!.label).toBe('head gasket between cylinders 3 and 5');
  });
});

describe('readings that do not fit', () => {
  it('are named, with the first one to be repeated', () => {
    const b = new Bench({ strokes: 'two', cylinders: 1, ignition: 'cdi' }, 'spring-return')
      .read('turn.result', 'gritty')
      .read('turn.feel', [])
      .read('gear.first', 'water')
      .read('gear.look', 'clear')
      .read('gear.pressureTest', 'held');
    const { contradictions } = advice(b);
    expect(contradictions.length).toBeGreaterThan(0);
    expect(contradictions[0]!.sentence).toMatch(/(do not fit one another: .*Repeat the first|Look at it once more)\.$/);
  });
  it('there are none where everything is sound', () => {
    const b = new Bench(twin)
      .read('turn.result', 'bumps')
      .read('gear.first', 'oil')
      .read('gear.look', 'clear')
      .read('fuel.jar', 'clear');
    expect(advice(b).contradictions).toEqual([]);
  });
});

describe('house rules over the knowledge', () => {
  const weak = (): Bench => new Bench(twin).read('cooling.stream', 'weak');
  const of = (rules: HouseRules, id = 'impeller'): number => {
    const j = withRules(weak(), rules);
    const w = weighing(j.context, j.findings);
    return w.belief.posterior[w.model.suspects.findIndex((s) => s.id === id)]!;
  };
  it('a strength of 0 cuts the link, 1 is as good as certain, and neither breaks anything', () => {
    const cut = of({ knowledge: { strengths: { 'impeller>stream-weak': 0 } } });
    const sure = of({ knowledge: { strengths: { 'impeller>stream-weak': 1 } } });
    expect(cut).toBeLessThan(of({}));
    expect(sure).toBeGreaterThan(of({}));
    for (const prior of [0, 1]) {
      const a = advise(
        withRules(weak(), {
          knowledge: { priors: { impeller: prior, outlet: prior }, strengths: { 'outlet>stream-weak': 1 } }
        })
      );
      expect(JSON.stringify(a)).not.toMatch(/NaN|null|Infinity/);
    }
  });
  it('all strengths at 1 and every sign the other way is a contradiction with a name, never a number that is none', () => {
    const strengths = Object.fromEntries(
      suspectKinds.flatMap((s) =>
        Object.values(s.shows)
          .flat()
          .map((x) => [`${s.id}>${x}`, 1])
      )
    );
    const priors = Object.fromEntries(suspectKinds.map((s) => [s.id, 1]));
    const b = weak()
      .read('gear.first', 'oil')
      .read('turn.result', 'bumps')
      .read('spark.result', 'good', { cylinder: 1 })
      .read('cooling.outlet', 'clear');
    const a = advise(withRules(b, { knowledge: { strengths, priors } }));
    expect(JSON.stringify(a)).not.toMatch(/NaN|Infinity/);
    for (const s of a.suspects) expect(s.probability).toBeLessThanOrEqual(1);
  });
  it('only differences are kept, and a name that is gone after an upgrade does no harm', () => {
    const rules = { knowledge: { priors: { 'no-such-suspect': 0.4 }, strengths: { 'impeller>no-such-sign': 0.4 } } };
    expect(houseRulesSchema.safeParse(rules).success).toBe(true);
    expect(of(rules)).toBeCloseTo(of({}), 12);
    expect(houseRulesSchema.safeParse({ knowledge: { priors: { impeller: 1.2 } } }).success).toBe(false);
  });
});
