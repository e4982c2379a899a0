import { describe, expect, it } from 'vitest';
import { surveyOf } from '../../demo/build.ts';
import { scenario } from '../../demo/scenario/index.ts';
import { assess } from '../../src/core/assess.ts';
import { Bench } from '../case.ts';

const scenarioOf = (tag: string) =>
  surveyOf(
    scenario.find((e) => e.identity.tag === tag)!,
    new Date('2026-06-01T10:00:00.000Z')
  );

const twin = {
  strokes: 'two',
  cylinders: 2,
  fuelSystem: 'carburettor',
  supply: 'bulb',
  ignition: 'cdi',
  starting: 'electric',
  shift: 'shift'
} as const;
const open = (b: Bench): string[] =>
  b
    .assessed()
    .steps.filter((s) => s.state === 'open')
    .map((s) => s.id);
const lineWork = ['pick-up', 'fuel-line', 'fuel-filter', 'fuel-pump', 'fuel-choke', 'fuel-open', 'hoses', 'bulb'];

describe('one part found is one part mended', () => {
  it.each([
    ['fuel.vent', 'closed', 'fuel-open'],
    ['fuel.vent', 'blocked', 'fuel-open'],
    ['fuel.shutoff', 'stuck', 'fuel-open'],
    ['fuel.pickup', 'blocked', 'pick-up'],
    ['fuel.couplings', 'leak', 'fuel-line'],
    ['fuel.filter', 'clogged', 'fuel-filter'],
    ['fuel.pump', 'weak', 'fuel-pump'],
    ['fuel.choke', 'stuck', 'fuel-choke']
  ] as const)('%s %s asks for %s and for nothing else along the line', (item, value, job) => {
    const b = new Bench(twin).read(item, value as never);
    expect(open(b).filter((id) => lineWork.includes(id))).toEqual([job]);
  });
  it('a filter renewed clears no pump', () => {
    const chance = (b: Bench, id: string): number =>
      b.assessed().advice.suspects.find((s) => s.id === id)?.probability ?? 0;
    const b = new Bench(twin).read('fuel.filter', 'clogged').read('fuel.revived', 'yes');
    const before = chance(b, 'fuel-pump');
    b.done('fuel-filter').read('fuel.filter', 'clean');
    expect(chance(b, 'fuel-pump')).toBeGreaterThan(before - 0.1);
    expect(chance(b, 'filter')).toBeLessThan(0.2);
  });
  it('drained with its filter, no filter is asked for besides', () => {
    const b = new Bench(twin, 'long-stored', { yearsIdle: 4 }).read('fuel.age', 48).read('fuel.filter', 'water');
    expect(open(b)).toContain('fuel-drain');
    expect(open(b)).not.toContain('fuel-filter');
    b.done('fuel-drain').read('fuel.tank', 'fresh').read('fuel.line', 'fresh').read('fuel.bowl', 'fresh');
    expect(open(b)).not.toContain('fuel-filter');
  });
  it('held back on a portable tank as well: the filter is looked at, then hose and coupling', () => {
    const b = new Bench(twin).read('fuel.vacuumSpeed', 40_000).read('fuel.vacuumPortable', 40_000);
    expect(b.ids()).toContain('fuel.vacuum-engine-side:fault');
    expect(open(b).filter((id) => lineWork.includes(id))).toEqual([]);
    expect(b.assessed().moves.some((m) => m.title === 'Fuel filters')).toBe(true);
    expect(open(b.read('fuel.filter', 'clean'))).toContain('fuel-line');
  });
  it('a battery that falls is charged and loaded before its starter is looked at', () => {
    const b = new Bench(twin).read('plugs.volts', 9.2);
    expect(open(b)).toContain('battery');
    expect(open(b)).not.toContain('starter');
    expect(open(b.done('battery').read('plugs.volts', 11.2))).not.toContain('battery');
  });
});

describe('what locked it and is out of its way is no rust', () => {
  const locked = (): Bench =>
    new Bench(twin, 'long-stored', { yearsIdle: 4 }).read('turn.plugs', 'out').read('turn.result', 'locked');
  it.each([
    ['a gear that was engaged', 'turn.lockNeutral', 'free', []],
    ['the pinion in its ring', 'turn.lockPinion', 'free', ['pinion']]
  ] as const)('%s: turned free, nothing is soaked and no day is waited for', (_, item, answer, work) => {
    const b = locked();
    if (item !== 'turn.lockNeutral') b.read('turn.lockNeutral', 'still');
    b.read(item, answer);
    expect(open(b)).not.toContain('soak');
    expect(b.holds()).toContain('locked');
    for (const job of work) {
      expect(open(b)).toContain(job);
      b.done(job);
    }
    b.read('turn.result', 'free');
    expect(b.ids()).toContain('turn.free:sound');
    expect(b.holds()).not.toContain('locked');
    expect(open(b)).not.toContain('soak');
  });
  it('turned free with the pinion pulled back and nothing done to it, the pinion is not forgotten', () => {
    const b = locked().read('turn.lockNeutral', 'still').read('turn.lockPinion', 'free').read('turn.result', 'free');
    expect(b.ids()).toContain('turn.pinion:watch');
    expect(b.ids()).not.toContain('turn.free:sound');
    expect(open(b)).toContain('pinion');
    expect(open(b)).not.toContain('soak');
    expect(b.done('pinion').read('turn.result', 'free').ids()).toContain('turn.free:sound');
  });
  it('found nowhere outside, it is soaked and turned again the next day, as before', () => {
    const b = locked().read('turn.lockNeutral', 'still').read('turn.lockPinion', 'still').read('turn.lockLeg', 'still');
    expect(open(b)).toContain('soak');
    b.done('soak').wait(24).read('turn.result', 'free');
    expect(b.holds()).toContain('locked');
  });
  it('locked once more after it came free, it is searched for again', () => {
    const b = locked().read('turn.lockNeutral', 'free').read('turn.result', 'free').read('turn.result', 'locked');
    expect(b.holds()).toContain('locked');
    expect(b.read('turn.result', 'free').holds()).toContain('locked');
  });
  it('locked in the leg it stays held, and the power head is not soaked for it while it is locked', () => {
    const b = locked().read('turn.lockNeutral', 'still').read('turn.lockPinion', 'still').read('turn.lockLeg', 'free');
    expect(open(b)).not.toContain('soak');
    expect(open(b)).toContain('metal');
    expect(b.holds()).toContain('locked');
  });
});

it('the coil of another cylinder, found after the first was renewed, is the next thing to do as the first was', () => {
  const three = { ...twin, cylinders: 3 } as const;
  const b = new Bench(three).read('spark.lanyard', 'yes');
  const spark = (cylinder: number, value: 'good' | 'none'): Bench =>
    b.read('spark.result', value, { cylinder, conditions: { path: 'tester', light: 'shade' } });
  const coilOf = (cylinder: number): Bench => {
    for (const [item, value] of [
      ['spark.plugSwap', 'stays'],
      ['spark.leadLook', 'whole'],
      ['spark.leadSwap', 'stays'],
      ['spark.coilSwap', 'moves']
    ] as const)
      b.read(item, value, { cylinder });
    return b;
  };
  const job = (): number | undefined => b.assessed().moves.find((m) => m.job === 'coil')?.class;
  spark(1, 'good');
  spark(2, 'none');
  spark(3, 'good');
  coilOf(2);
  expect(job()).toBe(5);
  b.done('coil');
  spark(2, 'good').wait(30);
  spark(1, 'none');
  coilOf(1);
  expect(job()).toBe(5);
});

describe('work in the order in which it holds', () => {
  const four = {
    strokes: 'four',
    cylinders: 1,
    fuelSystem: 'carburettor',
    supply: 'gravity',
    starting: 'rope',
    decompression: 'fitted'
  } as const;
  const titles = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);
  it('what lets fuel into the oil is mended before the oil is changed', () => {
    const b = new Bench(four)
      .read('oil.level', 'yes')
      .read('oil.dip', 'above')
      .read('oil.smell', 'strong')
      .read('oil.dip', 'above')
      .read('fuel.floods', 'yes');
    const steps = b.assessed().steps;
    expect(steps.find((s) => s.id === 'oil-level')?.after).toContain('bowl');
    expect(b.assessed().advice.suspects.find((s) => s.id === 'float')?.chance).toBe('likely');
    b.done('bowl').read('fuel.floods', 'no');
    expect(b.assessed().steps.find((s) => s.id === 'oil-level')?.after).toEqual([]);
  });
  it('what other work along the line cannot have changed is not asked for again', () => {
    const b = new Bench(four).read('plugs.read', ['fuel'], { cylinder: 1 }).read('fuel.choke', 'stuck');
    b.read('fuel.floods', 'yes').done('bowl').read('fuel.floods', 'no');
    expect(titles(b)).not.toContain('Move choke and primer by hand');
    expect(open(b)).toContain('fuel-choke');
    b.done('fuel-choke');
    expect(b.assessed().moves[0]!.id).toBe('proof:fuel-choke');
  });
  it('where its own lever lets pressure go, leak-down comes before oil in the bore', () => {
    const first = (decompression: 'fitted' | 'not-fitted'): string =>
      titles(
        new Bench({ ...four, decompression }, 'long-stored', { yearsIdle: 3 }).psi([
          [1, 62],
          [1, 63]
        ])
      ).find((t) => /^Leak-down|^Oil the bore,/.test(t))!;
    expect(first('fitted')).toMatch(/^Leak-down/);
    expect(first('not-fitted')).toMatch(/^Oil the bore/);
  });
});

describe('before it goes back', () => {
  const titles = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);
  it('a battery that fell is not forgotten because another one held', () => {
    const b = new Bench(twin).read('plugs.volts', 8.8).read('plugs.volts', 11.1);
    expect(b.ids()).toContain('plugs.battery:watch');
    expect(open(b)).toContain('battery');
    expect(b.said('plugs.battery')).toMatch(/fell to 8.8 V.*held 11.1 V/);
    b.done('battery').read('plugs.volts', 11.3);
    expect(b.ids().filter((id) => id.startsWith('plugs.battery'))).toEqual([]);
    expect(new Bench({ ...twin, starting: 'rope' }).read('plugs.volts', 8.8).read('plugs.volts', 11.1).ids()).toEqual(
      []
    );
  });
  it('rope, choke and filter are tried on every engine that has them, once', () => {
    const rope = { ...twin, starting: 'rope' } as const;
    const three = ['Pull the rope, look at its dog', 'Move choke and primer by hand', 'Fuel filters'];
    expect(titles(new Bench(rope))).toEqual(expect.arrayContaining(three));
    const b = new Bench(rope).read('plugs.rope', 'good').read('fuel.choke', 'unknown').read('fuel.filter', 'clean');
    for (const t of three) expect(titles(b)).not.toContain(t);
    expect(titles(new Bench({ ...twin, fuelSystem: 'electronic' }))).not.toContain('Pull the rope, look at its dog');
    expect(titles(new Bench({ ...twin, fuelSystem: 'electronic' }))).not.toContain('Move choke and primer by hand');
    expect(titles(new Bench(rope).done('fuel-filter'))).not.toContain('Fuel filters');
  });
  it('with every gate open it is signed, and nothing more is tried', () => {
    const { moves, ready } = assess(scenarioOf('Swift'), new Date('2026-06-01T10:00:00.000Z'), 'metric');
    expect(ready).toBe(true);
    expect(moves[0]!.kind).toBe('release');
  });
  it('dead by itself with everything along the line seen good, another tank and hose come before the specialist', () => {
    const b = new Bench(twin).read('run.outcome', 'died').read('fuel.dies', 'minutes');
    for (const [item, value] of [
      ['fuel.level', 'full'],
      ['fuel.vent', 'open'],
      ['fuel.bulb', 'firm'],
      ['fuel.revived', 'no'],
      ['fuel.vacuumSpeed', 3000],
      ['fuel.floods', 'no'],
      ['fuel.bowlLook', 'clean'],
      ['fuel.jets', 'clear'],
      ['fuel.filter', 'clean']
    ] as const)
      b.read(item, value as never);
    // Cold by then, its spark says nothing any more of how it died.
    expect(titles(b.wait(1))[0]).toBe('Run it on a portable tank');
  });
});
