import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import type { Profile } from '../engine/profile.ts';
import { decide } from './decide.ts';

const ways = (b: Bench) => decide(b.judged(), 500).ways;
const twin: Profile = { strokes: 'two', cylinders: 2, ignition: 'cdi', steering: 'remote' };

describe('troubles with more than one way out', () => {
  it('a sound engine has none', () => {
    expect(ways(new Bench(twin))).toEqual([]);
  });
  it('a cracked case: mend, weld, another; none of them before the head is known to be worth it', () => {
    const b = new Bench(twin).read('look.case', 'stain');
    expect(ways(b).map((w) => w.id)).toEqual(['mend', 'weld', 'other-case']);
    for (const w of ways(b)) expect(w.closed).toMatch(/First the power head/);
    expect(ways(b).some((w) => w.cheapest)).toBe(false);
    for (const n of [1, 2]) b.psi([[1, 120], [2, 121 - n]]); // prettier-ignore
    for (const cylinder of [1, 2])
      for (let n = 0; n < 2; n++)
        b.read('spark.result', 'good', { cylinder, conditions: { path: 'tester', light: 'shade' } });
    const open = ways(b);
    for (const w of open) expect(w.closed, w.id).toBeUndefined();
    expect(open.filter((w) => w.cheapest).map((w) => w.id)).toEqual(['mend']);
    for (const w of open) {
      expect(w.cost.low).toBeLessThan(w.cost.mean);
      expect(w.cost.mean).toBeLessThan(w.cost.high);
    }
  });
  it('a cylinder that is low keeps the ways of the leg closed', () => {
    const b = new Bench(twin).read('look.case', 'stain');
    for (let n = 0; n < 2; n++) b.psi([[1, 120], [2, 60]]); // prettier-ignore
    for (const cylinder of [1, 2]) b.read('spark.result', 'good', { cylinder, conditions: { path: 'tester' } });
    expect(ways(b)[0]!.closed).toMatch(/First the power head/);
  });
  it('so does a spark that is missing beside good ones, and leak-down that says a valve blows', () => {
    const seen = (): Bench => {
      const b = new Bench({ ...twin, cylinders: 3 }).read('look.case', 'stain').read('spark.lanyard', 'yes');
      for (let n = 0; n < 2; n++) b.psi([1, 2, 3].map((k) => [k, 120] as const));
      for (const cylinder of [1, 2, 3]) b.read('spark.result', 'good', { cylinder, conditions: { path: 'tester' } });
      return b;
    };
    expect(ways(seen())[0]!.closed).toBeUndefined();
    const dead = seen().read('spark.result', 'none', { cylinder: 2, conditions: { path: 'tester' } });
    expect(ways(dead)[0]!.closed).toMatch(/First the power head/);
    const blows = seen().read('compression.leakdown', 0.6, { cylinder: 2 });
    expect(ways(blows)[0]!.closed).toMatch(/First the power head/);
  });
  it('the timing and one tight cylinder of two are no sound head', () => {
    const b = new Bench(twin).read('look.case', 'stain');
    b.survey = { ...b.survey, engine: { ...b.survey.engine, manual: { 'spark.timing': { value: 5 } } } };
    b.read('spark.timing', 5).read('compression.leakdown', 0.04, { cylinder: 1 });
    for (const w of ways(b)) expect(w.closed).toMatch(/First the power head/);
  });
  it('missing controls: bought or a tiller instead; no tiller on a large engine, none asked where there is one', () => {
    const of = (p: Profile) => ways(new Bench({ ...p, absent: ['controls', 'harness'] }));
    expect(of(twin).map((w) => [w.id, w.closed === undefined])).toEqual([
      ['controls', true],
      ['tiller', true]
    ]);
    expect(of({ ...twin, cylinders: 6 }).find((w) => w.id === 'tiller')!.closed).toMatch(/by hand/);
    expect(of({ ...twin, steering: 'tiller' })).toEqual([]);
  });
  it('prices follow the engine’s size and the shop’s rate', () => {
    const b = new Bench(twin).read('look.propeller', 'bent');
    const [shop] = ways(b);
    b.survey = { ...b.survey, houseRules: { numbers: { labourRate: 0 } } };
    expect(ways(b)[0]!.cost.mean).toBeCloseTo((40 + 4 * 70 + 130) / 6, 6);
    const large = new Bench(twin).read('look.propeller', 'bent');
    const { engine } = large.survey;
    large.survey = { ...large.survey, engine: { ...engine, identity: { ...engine.identity, power: 60_000 } } };
    expect(ways(large)[0]!.cost.mean).toBeGreaterThan(shop!.cost.mean);
    expect(shop!.cost.mean - ways(b)[0]!.cost.mean).toBeCloseTo((20 + 4 * 30 + 45) / 6, 6);
  });
});
