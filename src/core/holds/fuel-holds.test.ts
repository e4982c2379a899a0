import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { holdOf } from '../../../test/hold-cases.ts';
import type { History, Profile } from '../engine/profile.ts';

const two: Profile = { strokes: 'two', cylinders: 2, supply: 'bulb', fuelSystem: 'carburettor' };
const fuel = (b: Bench): ReturnType<typeof holdOf> => holdOf(b, 'fuel');
const engine = (history: History = {}): Bench => new Bench(two, 'long-stored', history);
/** Every place emptied but one. */
const but = (b: Bench, place: 'tank' | 'line' | 'bowl'): Bench => {
  for (const p of ['tank', 'line', 'bowl'] as const) if (p !== place) b.read(`fuel.${p}`, 'drained');
  return b;
};

describe('what the hold of the fuel is for', () => {
  it.each([
    ['layers', /^There is water in the fuel/],
    ['dark', /varnish/],
    ['cloudy', /cloudy, and has not stood/]
  ] as const)('a jar that is %s', (jar, because) => {
    expect(fuel(engine().read('fuel.age', 1).read('fuel.jar', jar))?.because).toMatch(because);
  });
  it('cloudy once more after it stood is no longer a doubt', () => {
    const b = engine().read('fuel.age', 1).read('fuel.jar', 'cloudy').wait(0.5).read('fuel.jar', 'cloudy');
    expect(fuel(b)?.because).toMatch(/did not clear while it stood/);
    expect(fuel(b)?.needs.map((n) => n.job)).not.toContain('fuel-doubt');
  });
  it('cloudy once asks for a sample that stood, and nothing is drained for it', () => {
    const [need, ...others] = fuel(engine().read('fuel.age', 1).read('fuel.jar', 'cloudy'))!.needs;
    expect(need).toMatchObject({ done: false, station: 'fuel', items: ['fuel.jar'], job: 'fuel-doubt' });
    expect(others).toEqual([]);
  });
  it('water in the bowl, until the bowl is emptied', () => {
    const b = but(engine().read('fuel.age', 1).read('fuel.bowlLook', 'water'), 'bowl');
    expect(fuel(b)?.because).toMatch(/water in the bowl/);
    expect(fuel(b.read('fuel.bowl', 'drained'))).toBeUndefined();
  });
  it('water in the filter, until line and filter are emptied', () => {
    const b = but(engine().read('fuel.age', 1).read('fuel.filter', 'water'), 'line');
    expect(fuel(b)?.because).toMatch(/water in the filter/);
    expect(fuel(b.read('fuel.line', 'drained'))).toBeUndefined();
  });
  it.each([
    ['tank', /still in.*tank/],
    ['line', /still in.*line/],
    ['bowl', /still in.*bowl/]
  ] as const)('old fuel that was seen in the %s alone', (place, because) => {
    expect(fuel(but(engine().read('fuel.age', 1).read(`fuel.${place}`, 'old'), place))?.because).toMatch(because);
  });
  it('by its age alone', () => {
    expect(fuel(engine().read('fuel.age', 40))?.because).toMatch(/past the age/);
    expect(fuel(engine().read('fuel.age', 1))).toBeUndefined();
  });
  it('stands by what the intake told of fuel, and not by how long it stood', () => {
    const standing = (b: Bench): boolean | undefined => b.judged().holds.find((h) => h.id === 'fuel')?.standing;
    expect(standing(engine({ yearsIdle: 9 }))).toBe(true);
    expect(standing(engine({ yearsIdle: 9, fuelLeft: 'ethanol' }))).toBe(false);
    expect(standing(engine({ yearsIdle: 9, fuelLeft: 'plain' }))).toBe(false);
    expect(standing(engine({ yearsIdle: 9, fuelLeft: 'none' }))).not.toBe(false);
    expect(standing(engine({ yearsIdle: 9 }).read('fuel.level', 'full'))).toBe(false);
  });
});

describe('no oil for the cylinders', () => {
  const needs = (profile: Profile, by: (b: Bench) => Bench): readonly (readonly string[] | undefined)[] =>
    holdOf(by(new Bench(profile)), 'premix')!.needs.map((n) => {
      expect(n.done).toBe(false);
      return n.items;
    });
  it('asks of a tank of its own what a tank can show, and of premix the mixture', () => {
    const injected = { ...two, lubrication: 'injection' } as Profile;
    expect(needs(injected, (b) => b.read('fuel.oilTank', 'empty'))).toEqual([
      ['fuel.oilTank', 'fuel.oilMoves', 'fuel.mix']
    ]);
    expect(needs({ ...two, lubrication: 'premix' }, (b) => b.read('fuel.tankOil', 'plain'))).toEqual([['fuel.mix']]);
  });
});
