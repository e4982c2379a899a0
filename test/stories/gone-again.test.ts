import { describe, expect, it } from 'vitest';
import { allItems, type ItemId } from '../../src/core/stations/items.ts';
import { stationIds } from '../../src/core/stations/register.ts';
import { unmendedKinds } from '../../src/core/stations/unmended.ts';
import { askingKinds } from '../../src/core/advice/asks.ts';
import { Bench } from '../case.ts';
import { caseStages } from '../case-test.ts';
import { doBy } from '../../src/core/jobs/do-by.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

const again = (b: Bench): string[] => b.ids().filter((f) => f.includes('.again-'));
const pairs = [
  ['look.case', 'stain', 'sound', two, 'gear-case'],
  ['look.hoses', 'cracked', 'supple', two, undefined],
  ['fuel.jar', 'layers', 'clear', two, 'fuel'],
  ['oil.look', 'milky', 'clean', four, 'oil'],
  ['cooling.housing', 'melted', 'good', two, undefined],
  ['spark.keyLook', 'sheared', 'sound', two, undefined],
  ['turn.belt', 'slack', 'sound', { ...four, camDrive: 'belt' }, 'belt'],
  // Figures as well as words.
  ['cooling.cracked', 2, 0, two, undefined],
  ['cooling.missing', 1, 0, two, undefined],
  ['gear.water', 30e-6, 0, two, undefined],
  ['fuel.jarWater', 0.2, 0, two, undefined]
] as const;

describe('what does not go away by itself, and is gone at the next look', () => {
  it.each(pairs)('%s %s, then %s: a doubt, and its hold stays', (item, bad, good, profile, hold) => {
    const what = item as ItemId;
    const b = new Bench(profile)
      .read('fuel.age', 0.1)
      .read(what, bad as never)
      .read(what, good as never);
    expect(again(b)).toHaveLength(1);
    if (hold) expect(b.judged().holds.find((h) => h.id === hold && !h.standing)).toBeDefined();
    expect(b.assessed().moves.some((m) => m.kind === 'repeat' && m.items?.includes(what))).toBe(true);
    // A second good look closes it.
    expect(again(b.read(what, good as never))).toEqual([]);
  });
  it.each(pairs)('%s %s, corrected or looked at in a new round: none', (item, bad, good, profile) => {
    const what = item as ItemId;
    const b = new Bench(profile).read(what, bad as never);
    expect(again(b.read(what, good as never, { supersedes: b.survey.readings.at(-1)!.id }))).toEqual([]);
    const anew = new Bench(profile).read(what, bad as never).read(what, good as never, { round: 2 });
    expect(again(anew)).toEqual([]);
  });
  it('what was done between explains it: the job, or the reading that is the work', () => {
    expect(again(new Bench(two).read('look.hoses', 'cracked').done('hoses').read('look.hoses', 'supple'))).toEqual([]);
    const drained = new Bench(two).read('fuel.jar', 'layers').read('fuel.tank', 'drained').read('fuel.jar', 'clear');
    expect(again(drained)).toEqual([]);
    const untold = new Bench(two).read('fuel.jar', 'layers').read('fuel.tank', 'unknown').read('fuel.jar', 'clear');
    expect(again(untold)).toHaveLength(1);
  });
  it('of one cylinder and of one bank only', () => {
    const b = new Bench({ ...two, cylinders: 2 }).read('plugs.hole', 'scored', { cylinder: 1 });
    b.read('plugs.hole', 'clean', { cylinder: 2 });
    expect(again(b)).toEqual([]);
    expect(again(b.read('plugs.hole', 'clean', { cylinder: 1 }))).toEqual(['plugs.again-hole.1:cannot-tell']);
    const v = new Bench({ ...two, cylinders: 6, layout: 'v' });
    v.read('cooling.thermostatPan', 'shut', { conditions: { bank: 'port' } });
    v.read('cooling.thermostatPan', 'good', { conditions: { bank: 'starboard' } });
    expect(again(v)).toEqual([]);
  });
  it('a valve without lash that has some at the next look, and none set it', () => {
    const b = new Bench(four).read('compression.lashEx', 0, { cylinder: 2 });
    b.read('compression.lashEx', 0.2e-3, { cylinder: 2 });
    expect(again(b)).toEqual(['compression.again-lashEx.2:cannot-tell']);
    const set = new Bench(four).read('compression.lashEx', 0, { cylinder: 2 }).done('lash');
    expect(again(set.read('compression.lashEx', 0.2e-3, { cylinder: 2 }))).toEqual([]);
  });
  it('a leak that was said is not taken back by a word', () => {
    const b = caseStages(new Bench(two)).read('gear.pressureTest', 'leaked').read('gear.pressureTest', 'held');
    expect(b.ids().filter((f) => f.startsWith('gear.test') && f.endsWith(':fault'))).toHaveLength(1);
    expect(b.ids()).not.toContain('gear.test:sound');
  });
  it('no stream once, and a strong one later, asks for its cause before it goes back', () => {
    const b = new Bench(two).read('cooling.stream', 'none').read('cooling.stream', 'strong');
    expect(b.holds()).toContain('run');
    expect(b.read('run.cause', 'weed at the intake').holds()).not.toContain('run');
  });
  it('every item that declares such answers has them among its own, and its doubt asks for something', () => {
    for (const { kind, item } of stationIds.flatMap(unmendedKinds)) {
      const declared = allItems[item];
      if (declared.kind === 'choice' || declared.kind === 'several')
        expect(declared.options.map((o) => o.value)).toEqual(
          expect.arrayContaining([...(declared.stays as { answers: string[] }).answers])
        );
      else
        expect(Object.keys(declared.stays!)).toEqual(
          expect.arrayContaining([expect.stringMatching(/^(over|atMost|alike)$/)])
        );
      expect(askingKinds).toContain(kind);
    }
  });
});

describe('metal that hung on the magnet, and is wiped off', () => {
  const seen = (metal: 'slivers' | 'pieces', rules: Bench['survey']['houseRules'] = {}): Bench => {
    const b = readyToRun(two).read('gear.magnet', metal);
    b.survey = { ...b.survey, houseRules: rules };
    return b.wait(24);
  };
  it.each(['slivers', 'pieces'] as const)('%s, then none: the case is opened for them all the same', (metal) => {
    const b = seen(metal).read('gear.magnet', 'unknown').read('gear.magnet', 'paste').read('gear.magnet', 'clean');
    expect(b.holds()).toContain('gear-chips');
    expect(b.ids()).toContain('gear.metal:fault');
    expect(b.said('gear.metal')).toMatch(/wiped off, they are not explained/);
  });
  it('a clean magnet after fresh oil explains nothing either', () => {
    const b = seen('pieces').read('gear.refill', 'stand').wait(2).read('gear.magnet', 'clean');
    expect(b.holds()).toContain('gear-chips');
  });
  it('opened for them, or explained, they are through; and what hangs there after that is new', () => {
    const opened = seen('pieces').done('metal').wait(1).read('gear.magnet', 'clean');
    expect(opened.holds()).not.toContain('gear-chips');
    const told = seen('pieces').read('gear.explained', 'yes').read('gear.magnet', 'clean');
    expect(told.holds()).not.toContain('gear-chips');
    expect(told.ids()).toContain('gear.metal:sound');
    expect(told.wait(48).read('gear.magnet', 'slivers').holds()).toContain('gear-chips');
  });
  it('a house that keeps changing oil over slivers is done when fresh oil leaves none; over pieces it is not', () => {
    const keep = { schools: { magnetMetal: 'keep' } } as const;
    const changed = (b: Bench): Bench => b.read('gear.refill', 'service').wait(2).read('gear.magnet', 'clean');
    expect(changed(seen('slivers', keep)).ids()).toContain('gear.metal:sound');
    expect(seen('slivers', keep).read('gear.magnet', 'clean').ids()).not.toContain('gear.metal:sound');
    expect(changed(seen('pieces', keep)).holds()).toContain('gear-chips');
  });
  it('burnt oil is changed and looked at again; burnt in fresh oil, the case is opened and not filled a third time', () => {
    const drained = (): Bench =>
      readyToRun(two, 'neglected', ['gear'])
        .read('gear.first', 'oil')
        .read('gear.drained', 500e-6)
        .read('gear.look', 'burnt');
    const filled = (b: Bench): Bench =>
      b
        .done('gear-refill')
        .read('gear.slots', 'good')
        .read('gear.washers', 'yes')
        .read('gear.refill', 'service')
        .wait(6);
    const once = drained().read('gear.magnet', 'paste');
    expect(jobs(once)).toContain('gear-refill');
    filled(once);
    expect(once.ids()).toContain('gear.burnt-before:watch');
    expect(jobs(once)).not.toContain('gear-refill');
    expect(doBy(once.judged().context).map((d) => d.id)).toContain('by-burnt');
    once.read('gear.look', 'burnt');
    expect(once.ids()).toContain('gear.burnt-again:fault');
    expect(jobs(once)).toContain('metal');
    expect(moves(once).join(' | ')).not.toMatch(/Once more: refill/);
    // A third filling hides nothing; the case opened does end it.
    expect(filled(once).ids()).toContain('gear.burnt-again:fault');
    expect(once.done('metal').wait(1).ids()).not.toContain('gear.burnt-again:fault');
    expect(filled(drained()).read('gear.look', 'clear').ids().join(' ')).not.toMatch(/gear\.burnt/);
    // A drop poured in changes no oil.
    expect(jobs(drained().wait(0.1).read('gear.poured', 20e-6))).toContain('gear-refill');
  });
  it('a belt renewed is work, and contradicts nothing', () => {
    const b = new Bench({ ...four, camDrive: 'belt' }).read('turn.belt', 'slack').read('turn.belt', 'renewed');
    expect(again(b)).toEqual([]);
    expect(b.holds()).not.toContain('belt');
  });
});
