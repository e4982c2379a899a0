import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { flowById } from './flows.ts';
import { leftByLayUp } from './left-by-lay-up.ts';
import { contextOf } from '../findings/context.ts';

const now = new Date('2027-04-01T10:00:00Z');
const twin = { strokes: 'two', cylinders: 2, starting: 'electric' } as const;
const laid = (): Bench =>
  new Bench(twin, 'lay-up').read('fuel.stabilised', 'yes').read('fuel.bowl', 'drained').read('plugs.oil', 8e-6);
/** The assessment of the spring that follows. */
const spring = (before: Bench): Bench => {
  const b = new Bench(twin, 'spring-return');
  b.survey = { ...b.survey, readings: leftByLayUp(before.survey, now).map((r, k) => ({ ...r, id: `l${k}` })) };
  return b;
};

describe('what a lay-up leaves', () => {
  it('is known to the next spring: oil in the bores holds the starter until plugs are out and it was turned by hand', () => {
    const b = spring(laid());
    expect(b.survey.readings.map((r) => [r.what, r.value])).toEqual([
      ['plugs.oil', 8e-6],
      ['fuel.stabilised', 'yes'],
      ['fuel.bowl', 'drained'],
      ['turn.plugs', 'in']
    ]);
    expect(b.survey.readings.every((r) => r.by?.startsWith('lay-up of'))).toBe(true);
    expect(b.holds()).toContain('bore-oil');
    b.wait(4000).read('turn.plugs', 'out');
    b.read('turn.result', 'bumps');
    expect(b.holds()).not.toContain('bore-oil');
  });
  it('the spring sheet says how much, and what fuel it stood with', () => {
    const c = contextOf(spring(laid()).survey, now, 'metric');
    const text = flowById('spring')!
      .steps(c)
      .map((s) => s.text)
      .join(' ');
    expect(text).toMatch(/8(\.0)? mL of oil were put into each bore/);
    expect(text).toMatch(/stood with treated fuel/);
    const none = contextOf(new Bench(twin, 'spring-return').survey, now, 'metric');
    expect(
      flowById('spring')!
        .steps(none)
        .map((s) => s.text)
        .join(' ')
    ).toMatch(/Was oil put into the bores\?/);
  });
  it('nothing of it once it was run, of what is unknown, of fresh fuel, or of another kind of assessment', () => {
    expect(leftByLayUp(laid().read('run.outcome', 'ran').survey, now)).toEqual([]);
    expect(leftByLayUp(new Bench(twin, 'lay-up').read('plugs.oil', 'unknown' as never).survey, now)).toEqual([]);
    expect(
      leftByLayUp(new Bench(twin, 'lay-up').read('fuel.tank', 'fresh').read('turn.plugs', 'in').survey, now)
    ).toEqual([]);
    expect(leftByLayUp(new Bench(twin, 'neglected').read('plugs.oil', 8e-6).survey, now)).toEqual([]);
  });
  it('oil that was ticked off without an amount is there all the same, where the house measures it in', () => {
    const ticked = (school: string): Bench => {
      const b = new Bench({ ...twin, displacement: 400e-6 }, 'lay-up').done('flow.lay-up.bores');
      b.survey = { ...b.survey, houseRules: { schools: { boreProtection: school as 'spray' } } };
      return b;
    };
    const left = leftByLayUp(ticked('measured').survey, now);
    expect(left.map((r) => r.what)).toEqual(['plugs.oil', 'turn.plugs']);
    expect(left[0]!.value).toBeCloseTo(4e-6, 12);
    expect(left[0]!.by).toMatch(/amount not noted/);
    expect(leftByLayUp(ticked('spray').survey, now)).toEqual([]);
  });
  it('goes on through the short jobs of a winter, and ends when it was thrown out', () => {
    const winter = spring(laid());
    const next = leftByLayUp(winter.survey, now);
    expect(next.map((r) => r.what)).toContain('plugs.oil');
    expect(next.every((r) => r.by === winter.survey.readings[0]!.by)).toBe(true);
    winter.wait(4000).read('turn.plugs', 'out').read('turn.result', 'bumps');
    expect(leftByLayUp(winter.survey, now).map((r) => r.what)).not.toContain('plugs.oil');
  });
  it('a lay-up that was a short job counts as one', () => {
    const b = new Bench(twin, 'single-job').read('plugs.oil', 8e-6).done('flow.lay-up');
    expect(leftByLayUp(b.survey, now).map((r) => r.what)).toContain('plugs.oil');
  });
});
