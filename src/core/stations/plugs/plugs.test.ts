import { describe, expect, it } from 'vitest';
import { Bench } from '../../../../test/case.ts';
import { meaningOf } from './meaning.ts';

const pair = { strokes: 'two', cylinders: 2, starting: 'electric' } as const;

describe('plugs', () => {
  it('oily means one thing on a two-stroke and another on a four-stroke', () => {
    expect(meaningOf('oily', { strokes: 'two' }).means).toBe('oily-two');
    expect(meaningOf('oily', { strokes: 'four' }).means).toBe('oily-four');
  });
  it('water on a plug stops everything until the hole is dry', () => {
    const b = new Bench(pair)
      .read('plugs.read', ['water'], { cylinder: 2 })
      .read('plugs.read', ['normal'], { cylinder: 1 });
    expect(b.ids()).toContain('plugs.water.2:fault');
    expect(b.said('plugs.water')).toMatch(/Nothing spins/);
  });
  it('mixed-up plugs speak for nobody', () => {
    const b = new Bench(pair).read('plugs.order', 'no').read('plugs.read', ['black'], { cylinder: 1 });
    expect(b.ids()).toContain('plugs.order:cannot-tell');
  });
  it('all read well is sound; one not read is said', () => {
    const b = new Bench(pair).read('plugs.read', ['normal'], { cylinder: 1 });
    expect(b.said('plugs.missing')).toMatch(/Plug 2 not read/);
    expect(b.read('plugs.read', ['dry'], { cylinder: 2 }).ids()).toContain('plugs.good:sound');
  });
  it('a gap is only judged by the manual', () => {
    const b = new Bench(pair).read('plugs.gap', 1.4e-3, { cylinder: 1 });
    expect(b.ids()).toContain('plugs.gap.1:cannot-tell');
    b.survey = { ...b.survey, engine: { ...b.survey.engine, manual: { 'plugs.gap': { value: 1e-3, page: '3-2' } } } };
    expect(b.ids()).toContain('plugs.gap.1:watch');
  });
  it('dry bores after years are oiled first by the default rule, and by nobody who says never', () => {
    const old = new Bench(pair, 'long-stored', { yearsIdle: 6 }).read('plugs.read', ['dry'], { cylinder: 1 });
    expect(old.said('plugs.dry-bores')).toMatch(/oil the bores before the first spin/);
    old.survey = { ...old.survey, houseRules: { schools: { boreOil: 'never' } } };
    expect(old.said('plugs.dry-bores')).toBe('');
    const oiled = new Bench(pair, 'long-stored', { yearsIdle: 6 }).read('plugs.oil', 3e-6);
    expect(oiled.said('plugs.dry-bores')).toBe('');
  });
  it('water in a cylinder comes out before oil goes in', () => {
    const wet = new Bench(pair, 'long-stored', { yearsIdle: 6 }).read('plugs.read', ['water'], { cylinder: 1 });
    expect(wet.said('plugs.dry-bores')).toBe('');
    const dry = wet.read('turn.water', 'none').read('plugs.hole', 'clean', { cylinder: 1 });
    expect(dry.said('plugs.dry-bores')).toMatch(/oil the bores/);
  });
  it('oil in the bores makes readings marked dry doubtful', () => {
    const b = new Bench(pair).read('plugs.oil', 4e-6).psi([
      [1, 120],
      [2, 121]
    ]);
    expect(b.said('compression.bores')).toMatch(/mark them oiled/);
  });
  it('a starter that turns from the battery but not through its circuit is the circuit', () => {
    const b = new Bench(pair).read('plugs.starterCircuit', 'nothing');
    expect(b.ids()).toContain('plugs.starter:cannot-tell');
    expect(b.read('plugs.starterDirect', 'turns').said('plugs.starter')).toMatch(/not through its circuit/);
    expect(b.read('plugs.starterDirect', 'slow').said('plugs.starter')).toMatch(/straight from the battery too/);
  });
  it('what is in the hole is said with what to do', () => {
    const b = new Bench(pair).read('plugs.hole', 'water', { cylinder: 1 });
    expect(b.said('plugs.hole-water')).toMatch(/turn by hand until no more comes/);
    expect(b.assessed().steps.map((s) => s.id)).toContain('empty-cylinders');
  });
});

describe('plugs that were mixed up', () => {
  it('an oily one is of no cylinder, and raises no suspect of one', () => {
    const of = (order: 'yes' | 'no'): Bench => {
      const b = new Bench({ strokes: 'four', cylinders: 3, ignition: 'cdi' }).read('plugs.order', order);
      b.read('plugs.read', ['oily'], { cylinder: 1 });
      for (const cylinder of [2, 3]) b.read('plugs.read', ['normal'], { cylinder });
      return b;
    };
    expect(of('yes').said('plugs.read')).toMatch(/^Plug 1 is oily/);
    expect(of('no').said('plugs.read')).toMatch(/^One of the plugs is oily/);
    const raised = (b: Bench): number =>
      b.assessed().advice.suspects.filter((s) => s.evidence.some((e) => e.sign.startsWith('plug-oily'))).length;
    expect(raised(of('yes'))).toBeGreaterThan(0);
    expect(raised(of('no'))).toBe(0);
  });
});
