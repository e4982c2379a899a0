import { describe, expect, it } from 'vitest';
import { PSI } from '../../src/core/units/factors.ts';
import { Bench } from '../case.ts';

/** What work wipes off, and what a reading says was put right: kinds that drawn engines brought to light. */
const twin = { strokes: 'two', cylinders: 2, ignition: 'cdi', displacement: 430e-6, supply: 'bulb' } as const;

describe('what burnt on a plug tells of the engine', () => {
  const wet = () =>
    new Bench({ ...twin, fuelSystem: 'carburettor' })
      .read('plugs.read', ['normal'], { cylinder: 1 })
      .read('plugs.read', ['fuel', 'black'], { cylinder: 2 });
  const suspected = (b: Bench): string[] =>
    b
      .assessed()
      .advice.suspects.filter((s) => s.raised && !s.mended)
      .map((s) => s.id);
  const cleaned = () =>
    wet().done('plugs').read('plugs.read', ['normal'], { cylinder: 1 }).read('plugs.read', ['normal'], { cylinder: 2 });
  it('choke and float are looked at before the plug is only cleaned', () => {
    const titles = wet()
      .assessed()
      .moves.map((m) => m.title);
    expect(titles.indexOf('Move choke and primer by hand')).toBeGreaterThanOrEqual(0);
    expect(titles.indexOf('Bulb firm: does it flood?')).toBeGreaterThanOrEqual(0);
    expect(titles.indexOf('Clean or renew the plugs')).not.toBe(0);
  });
  it('a cleaned plug that reads clean clears nothing but itself, until the engine has fired on it', () => {
    expect(suspected(wet())).toEqual(expect.arrayContaining(['float', 'choke']));
    expect(suspected(cleaned())).toEqual(expect.arrayContaining(['float', 'choke']));
    const ran = cleaned()
      .read('run.event', 'start')
      .read('run.outcome', 'ran')
      .read('plugs.read', ['normal'], { cylinder: 1 })
      .read('plugs.read', ['normal'], { cylinder: 2 });
    expect(suspected(ran)).not.toContain('float');
  });
  it('cleaned without a look at its cause it still asks for one, and the plugs are not called sound', () => {
    expect(cleaned().ids()).toContain('plugs.cleaned.2:cannot-tell');
    expect(cleaned().ids()).not.toContain('plugs.good:sound');
    const titles = cleaned()
      .assessed()
      .moves.map((m) => m.title);
    expect(titles[0]).toBe('Spark of cylinder 2');
    const sparked = cleaned().read('spark.result', 'good', { cylinder: 2 });
    expect(sparked.ids().join()).not.toMatch(/plugs\.cleaned/);
  });
  it('where every plug was wet it asks for the choke that feeds them all', () => {
    const both = () =>
      wet()
        .read('plugs.read', ['fuel'], { cylinder: 1 })
        .done('plugs')
        .read('plugs.read', ['normal'], { cylinder: 1 })
        .read('plugs.read', ['normal'], { cylinder: 2 });
    expect(both().ids()).toContain('plugs.cleaned.2:cannot-tell');
    const titles = both()
      .assessed()
      .moves.map((m) => m.title);
    expect(titles.slice(0, 2)).toContain('Move choke and primer by hand');
    expect(both().read('fuel.choke', 'free').ids().join()).not.toMatch(/plugs\.cleaned/);
  });
  it('one that reads wet again after its cleaning speaks of choke and float, not of the plug', () => {
    const again = wet().done('plugs').read('plugs.read', ['fuel', 'black'], { cylinder: 2 });
    expect(suspected(again)).toEqual(expect.arrayContaining(['float', 'choke']));
    expect(again.assessed().steps.find((s) => s.id === 'plugs')?.state).toBe('proved');
  });
  it('a choke that was moved says nothing of what is in the tank', () => {
    const b = new Bench({ ...twin, fuelSystem: 'carburettor' }).read('fuel.choke', 'free');
    expect(b.assessed().moves.map((m) => m.title)).toContain('Look into the tank');
  });
});

describe('a gear case that leaks on fresh washers', () => {
  const stage = (b: Bench, drop: number): Bench => {
    for (const [k, minutes] of [0, 5, 10, 20].entries()) {
      if (k) b.wait((minutes - [0, 5, 10, 20][k - 1]!) / 60 - 1 / 60);
      b.read('gear.casePressure', 10 * PSI - drop * k, { conditions: { stage: 'high' } });
    }
    return b;
  };
  const leaking = () => stage(new Bench({ ...twin, gearCapacity: 0.4e-3 }).read('gear.first', 'milky'), 8000);
  const washers = (b: Bench) => b.assessed().advice.suspects.find((s) => s.id === 'plug-washers');
  it('does not leak at its washers', () => {
    expect(washers(leaking())).toMatchObject({ mended: false, raised: true });
    const again = stage(leaking().read('gear.washers', 'yes'), 8000);
    expect(washers(again)?.mended ?? true).toBe(true);
    // What it showed before the washers still speaks against the seals.
    const seal = (b: Bench): number =>
      b.assessed().advice.suspects.find((s) => s.id === 'seal-driveshaft')!.probability;
    expect(seal(again)).toBeGreaterThan(seal(leaking()));
  });
});

it('gear oil at the hub is not filled over: the drained case is tested first', () => {
  const b = new Bench({ ...twin, gearCapacity: 0.4e-3 })
    .read('look.hub', 'cream')
    .read('gear.first', 'oil')
    .read('gear.look', 'clear')
    .read('gear.drained', 0.4e-3)
    .read('gear.magnet', 'paste');
  const titles = b.assessed().moves.flatMap((m) => (m.waits ? [] : [m.title]));
  const [test, refill] = ['Case test, low stage first, shafts turned', 'Refilled, for a stand run or for service'].map(
    (t) => titles.indexOf(t)
  );
  expect(test).toBeGreaterThanOrEqual(0);
  expect(refill === -1 || test! < refill!).toBe(true);
});
