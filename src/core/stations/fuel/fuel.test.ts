import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Profile } from '../../engine/profile.ts';
import { contextOf, type Context } from '../../findings/context.ts';
import { Bench } from '../../../../test/case.ts';
import { askedMix } from './asked-mix.ts';
import { stabilising, tankFix } from './correct.ts';
import { fuelLine, lineState } from './line.ts';
import { fuelTree } from './symptoms.ts';

const at = (b: Bench): Context => contextOf(b.survey, new Date('2026-05-03'), 'metric');
const ids = (p: Profile): string[] => fuelLine(p).map((x) => x.id);
const premix: Profile = { strokes: 'two', lubrication: 'premix', premixRatio: 50 };

describe('fuel of an unknown age', () => {
  it('asks for a jar until there was one', () => {
    const b = new Bench({ strokes: 'two' }).read('fuel.kind', 'plain');
    expect(b.said('fuel.age')).toMatch(/a jar sample first/);
    expect(b.read('fuel.jar', 'clear').said('fuel.age')).toMatch(/shows water and varnish, not age/);
  });
});

describe('the line from tank to cylinder', () => {
  it('has the parts of its kind of supply, in the order fuel takes', () => {
    expect(ids({ supply: 'gravity', fuelSystem: 'carburettor' })).toEqual([
      'tank',
      'vent',
      'tap',
      'filter',
      'bowl',
      'choke'
    ]);
    expect(ids({ supply: 'bulb' })).toContain('bulb');
    expect(ids({ supply: 'pressurised' })).not.toContain('vent');
    expect(ids({ supply: 'pressurised' })).not.toContain('pump');
    expect(ids({})).toEqual(ids({ supply: 'bulb' }));
  });
  it('an injected engine has a vapour separator and no choke', () => {
    const line = fuelLine({ supply: 'bulb', fuelSystem: 'electronic' });
    expect(line.find((x) => x.id === 'bowl')!.label).toBe('Vapour separator');
    expect(line.some((x) => x.id === 'choke')).toBe(false);
  });
  it('each answer colours its part; unknown is cannot tell, not sound', () => {
    const b = new Bench({ supply: 'bulb' })
      .read('fuel.vent', 'closed')
      .read('fuel.filter', 'clogged')
      .read('fuel.pump', 'unknown');
    const of = (id: string): string => lineState(at(b)).find((s) => s.part.id === id)!.condition;
    expect([of('vent'), of('filter'), of('pump'), of('hose')]).toEqual([
      'watch',
      'fault',
      'cannot-tell',
      'not-looked-at'
    ]);
    expect(b.said('fuel.part-filter')).toBe('Filters: clogged: it starves at speed.');
    expect(b.assessed().steps.map((s) => s.id)).toContain('fuel-filter');
  });
  it('old fuel along the line is said once, by its age, and not part by part', () => {
    const b = new Bench({ supply: 'bulb' }).read('fuel.tank', 'old').read('fuel.line', 'old').read('fuel.bowl', 'old');
    expect(b.ids().filter((i) => i.startsWith('fuel.part'))).toEqual([]);
  });
});

describe('line vacuum', () => {
  const inHg = 3386.389;
  it('over the limit at speed is a blockage that grows with flow', () => {
    const b = new Bench().read('fuel.vacuumIdle', 1 * inHg).read('fuel.vacuumSpeed', 7 * inHg);
    expect(b.said('fuel.vacuum')).toMatch(
      /7\.0 inHg of vacuum at the pump.*grows with speed: pick-up, anti-siphon valve or filter/
    );
  });
  it('idle alone cannot tell; low at speed is sound; the manual’s figure wins', () => {
    expect(new Bench().read('fuel.vacuumIdle', inHg).ids()).toContain('fuel.vacuum:cannot-tell');
    const b = new Bench().read('fuel.vacuumSpeed', 3 * inHg);
    expect(b.ids()).toContain('fuel.vacuum:sound');
    b.survey = { ...b.survey, engine: { ...b.survey.engine, manual: { 'fuel.vacuum': { value: 2 * inHg } } } };
    expect(b.ids()).toContain('fuel.vacuum:fault');
  });
  // Source: hydrostatics, ρ·g·h with 740 kg/m³: 1 m of petrol is 7.26 kPa, 2.14 inHg.
  it('names what the lift alone explains', () => {
    const f = new Bench()
      .read('fuel.vacuumSpeed', 3 * inHg)
      .read('fuel.lift', 1)
      .judged()
      .findings.find((x) => x.id === 'fuel.vacuum')!;
    expect(f.because.inputs.join()).toMatch(/lift of 1\.0 m alone: 2\.1 inHg/);
  });
});

describe('what starves it', () => {
  const dying = (p: Profile = { supply: 'bulb', fuelSystem: 'carburettor' }): Bench =>
    new Bench(p).read('fuel.dies', 'minutes');
  it('is asked only where it dies or runs on choke only', () => {
    expect(fuelTree(at(new Bench()))).toBeUndefined();
    expect(fuelTree(at(new Bench().read('fuel.dies', 'no')))).toBeUndefined();
    expect(fuelTree(at(new Bench().read('fuel.chokeOnly', 'yes')))).toBeDefined();
  });
  it('begins with a look into the tank, and ends there if it is empty', () => {
    const b = dying();
    expect(fuelTree(at(b))!.next!.item).toBe('fuel.level');
    expect(fuelTree(at(b.read('fuel.level', 'empty')))!.found!.id).toBe('empty');
  });
  it('squeezing that revives it leaves pump or air; a tight line leaves the pump', () => {
    const b = dying()
      .read('fuel.level', 'full')
      .read('fuel.vent', 'open')
      .read('fuel.bulb', 'firm')
      .read('fuel.floods', 'no')
      .read('fuel.revived', 'yes');
    const open = (): string[] =>
      fuelTree(at(b))!
        .parts.filter((p) => p.state === 'open')
        .map((p) => p.id);
    expect(open()).toEqual(['air', 'filter', 'pump']);
    b.read('fuel.filter', 'clean').read('fuel.couplings', 'tight');
    expect(fuelTree(at(b))!.found).toMatchObject({ id: 'pump', by: 'elimination' });
    expect(b.ids()).toContain('fuel.starved-pump:fault');
  });
  it('sucked flat is upstream of the bulb', () => {
    const b = dying().read('fuel.level', 'full').read('fuel.vent', 'open').read('fuel.bulb', 'flat');
    expect(fuelTree(at(b))!.found!.id).toBe('upstream');
  });
  it('runs on choke only is lean: the jet, or air', () => {
    const b = new Bench({ supply: 'bulb', fuelSystem: 'carburettor' }).read('fuel.chokeOnly', 'yes');
    expect(
      fuelTree(at(b))!
        .parts.filter((p) => p.state === 'open')
        .map((p) => p.id)
    ).toEqual(['air', 'jet']);
  });
  it('a gravity tank has neither bulb nor pump to blame; unknown answers move on', () => {
    const b = dying({ supply: 'gravity', fuelSystem: 'carburettor' });
    expect(fuelTree(at(b))!.parts.map((p) => p.id)).not.toContain('pump');
    b.read('fuel.level', 'unknown');
    expect(fuelTree(at(b))!.next!.item).toBe('fuel.vent');
  });
});

describe('the tank at hand', () => {
  const tank = (litres: number, mix?: number): Bench => {
    const b = new Bench(premix).read('fuel.tankHas', litres / 1000);
    return mix === undefined ? b : b.read('fuel.tankOil', 'mixed').read('fuel.tankMix', mix);
  };
  it('no sum without a ratio or without fuel; none for a sump', () => {
    expect(askedMix(at(new Bench({ lubrication: 'sump' })))).toBeUndefined();
    expect(askedMix(at(new Bench({ lubrication: 'premix' })))).toBeUndefined();
    expect(tankFix(at(new Bench(premix)))).toBeUndefined();
  });
  // Source: premix tables, 50:1 is 20 mL a litre, 100:1 is 10.
  it('ten litres at 100:1 to become 50:1 want 99 mL, and a 25 mL cup makes it 100 on the safe side', () => {
    const fix = tankFix(at(tank(10, 100).read('fuel.cup', 25e-6)))!;
    expect(fix.oil * 1e6).toBeCloseTo((10_000 * (100 / 101)) / 50 - 10_000 / 101, 6);
    expect(fix.pour!.oil * 1e6).toBeCloseTo(100, 6);
    expect(fix.pour!.error).toBeGreaterThanOrEqual(0);
    expect(fix.pour!.ratio).toBeLessThanOrEqual(50);
  });
  it('plain fuel wants all of it; an unknown mixture gives a range, judged as plain', () => {
    const plain = tankFix(at(tank(10).read('fuel.tankOil', 'plain')))!;
    expect(plain.oil * 1e6).toBeCloseTo(200, 6);
    expect(plain.least).toBeUndefined();
    const unknown = tankFix(at(tank(10)))!;
    expect(unknown.oil).toBeCloseTo(plain.oil, 12);
    expect(unknown.least).toBe(0);
  });
  it('too rich already: no oil, but how much plain fuel would thin it', () => {
    const fix = tankFix(at(tank(10, 25)))!;
    expect(fix.oil).toBe(0);
    expect(fix.moreFuel * 1000).toBeCloseTo((10 / 26) * 50 - (10 * 25) / 26, 6);
  });
  it('after years the first tank is asked one step more oil, by the house’s school', () => {
    const idle = new Bench(premix, 'long-stored', { yearsIdle: 6 })
      .read('fuel.tankHas', 0.01)
      .read('fuel.tankOil', 'plain');
    expect(tankFix(at(idle))!.asked.ratio).toBe(40);
    idle.survey = { ...idle.survey, houseRules: { schools: { firstTank: 'maker' } } };
    expect(tankFix(at(idle))!.asked.ratio).toBe(50);
  });
  it('whatever is in the tank and in the hand, the pour never makes it leaner than asked', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 60, noNaN: true }),
        fc.double({ min: 10, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.integer({ min: 1, max: 200 }),
        (litres, mix, fresh, cup) => {
          const fix = tankFix(
            at(
              tank(litres, mix)
                .read('fuel.freshAdd', fresh / 1000)
                .read('fuel.cup', cup * 1e-6)
            )
          )!;
          expect(fix.pour!.ratio).toBeLessThanOrEqual(50 + 1e-6);
          expect(fix.pour!.error).toBeGreaterThanOrEqual(-1e-9);
        }
      )
    );
  });
});

describe('oil poured into a tank that had too little', () => {
  const engine = { strokes: 'two', lubrication: 'premix', premixRatio: 50 } as const;
  const lean = (): Bench =>
    new Bench(engine).read('fuel.tankHas', 10e-3).read('fuel.tankOil', 'mixed').read('fuel.tankMix', 100);
  it('is counted by what the tank holds', () => {
    expect(lean().ids()).toContain('fuel.mix:fault');
    // 10 L at 100:1 hold 99 mL of oil in 9.9 L of fuel; with 99 mL more that is 50:1.
    const b = lean().read('fuel.oilAdded', 99e-6);
    expect(b.ids()).toContain('fuel.mix:sound');
    expect(b.holds()).not.toContain('premix');
  });
  it('too little of it stays too little, fresh fuel to go in counts as in it', () => {
    expect(lean().read('fuel.oilAdded', 40e-6).ids()).toContain('fuel.mix:fault');
    expect(lean().read('fuel.freshAdd', 10e-3).read('fuel.oilAdded', 99e-6).holds()).toContain('premix');
  });
  it('into a tank of which nobody knows how much it holds, nothing is computed', () => {
    const b = new Bench(engine).read('fuel.tankOil', 'mixed').read('fuel.tankMix', 100).read('fuel.oilAdded', 99e-6);
    expect(b.holds()).toContain('premix');
  });
});

describe('stabiliser', () => {
  const b = (): Bench =>
    new Bench()
      .read('fuel.tankHas', 16e-3)
      .read('fuel.doseOil', 30e-6)
      .read('fuel.dosePer', 12e-3)
      .read('fuel.lineVolume', 420e-6)
      .read('fuel.idleFlow', 1.6e-3 / 3600);
  it('doses by its label and runs until twice the line’s volume went through', () => {
    const s = stabilising(at(b()));
    expect(s.dose! * 1e6).toBeCloseTo(40, 9);
    expect(s.minutes).toBeCloseTo((2 * 0.42 * 60) / 1.6, 9);
    expect(s.counts).toBe(s.minutes);
  });
  it('a shop that runs it for a fixed time sees both, and its own counts', () => {
    const x = b();
    x.survey = { ...x.survey, houseRules: { schools: { stabiliser: 'fixed' } } };
    expect(stabilising(at(x))).toMatchObject({ counts: 10, fixed: [5, 10] });
    expect(stabilising(at(x)).minutes).toBeGreaterThan(30);
  });
  it('nothing known gives nothing, not zero', () => {
    expect(stabilising(at(new Bench()))).toMatchObject({ counts: undefined });
  });
});
