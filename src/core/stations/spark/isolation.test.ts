import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contextOf } from '../../findings/context.ts';
import { eliminate } from '../../findings/elimination.ts';
import { Bench } from '../../../../test/case.ts';
import { lockTree } from '../turn/lock.ts';
import { isolation } from './isolation.ts';

const dead = (ignition: 'points' | 'cdi' | 'digital' | 'coil-on-plug', cylinders = 2): Bench => {
  const b = new Bench({ strokes: 'two', cylinders, ignition }).read('spark.lanyard', 'yes');
  for (let k = 1; k <= cylinders; k++) b.read('spark.result', 'none', { cylinder: k });
  return b;
};
const now = (b: Bench) => isolation(contextOf(b.survey, new Date('2026-05-03'), 'us'))!;

describe('cranking speed', () => {
  const none = (conditions: object): Bench =>
    [1, 2].reduce(
      (b, cylinder) => b.read('spark.result', 'none', { cylinder, conditions: { path: 'tester', ...conditions } }),
      new Bench({ strokes: 'two', cylinders: 2, ignition: 'cdi' }).read('spark.lanyard', 'yes')
    );
  const left = (b: Bench): string => b.said('spark.all');
  it('noted and fast enough, it is not asked for again', () => {
    expect(left(none({}))).toMatch(/slow cranking/);
    expect(left(none({ rpm: 420 }))).not.toMatch(/slow cranking/);
    expect(left(none({ rpm: 420 }).read('spark.brisk', 'unknown'))).not.toMatch(/slow cranking/);
  });
  it('fast on a weak battery, or noted at one of two only, it stays', () => {
    expect(left(none({ rpm: 420, volts: 9 }))).not.toMatch(/^No spark anywhere: a common part. Left: stop/);
    const one = none({}).read('spark.result', 'none', { cylinder: 1, conditions: { path: 'tester', rpm: 420 } });
    expect(left(one)).toMatch(/slow cranking/);
  });
});

describe('isolation of a spark that is nowhere', () => {
  it('takes possibilities away one answer at a time, cheapest first', () => {
    const b = dead('cdi');
    expect(now(b).next?.item).toBe('spark.brisk');
    b.read('spark.brisk', 'yes');
    expect(now(b).next?.item).toBe('spark.groundWire');
    b.read('spark.groundWire', 'still');
    expect(now(b).next?.item).toBe('spark.stopWire');
    b.read('spark.stopWire', 'still').read('spark.chargeTest', 'within');
    expect(
      now(b)
        .parts.filter((p) => p.state === 'open')
        .map((p) => p.id)
    ).toEqual(['trigger', 'pack']);
    b.read('spark.triggerTest', 'within');
    expect(now(b).found).toMatchObject({ id: 'pack', by: 'elimination' });
    expect(b.said('spark.part')).toMatch(/by elimination\. Dear: prove it/);
  });
  it('unknown clears nobody and does not stand in the way of the next trial', () => {
    const b = dead('cdi').read('spark.brisk', 'unknown');
    expect(now(b).next?.item).toBe('spark.groundWire');
    expect(now(b).parts.find((p) => p.id === 'speed')?.state).toBe('open');
  });
  it('after the work a re-check asks everything anew: what was mended is not accused again', () => {
    const b = dead('cdi').read('spark.stopWire', 'returns');
    for (const cylinder of [1, 2]) b.read('spark.result', 'none', { cylinder, round: 2 });
    expect(now(b).found).toBeUndefined();
    expect(now(b).next?.item).toBe('spark.lanyard');
    expect(b.ids()).not.toContain('spark.stop:fault');
  });
  it('an answer that accuses ends it', () => {
    const b = dead('cdi').read('spark.stopWire', 'returns');
    expect(now(b).found).toMatchObject({ id: 'stop', by: 'answer' });
    expect(now(b).next).toBeUndefined();
    expect(b.ids()).toContain('spark.stop:fault');
  });
  it('points are cleaned before a coil is bought; a box is fed before it is blamed', () => {
    const b = dead('points', 1).read('spark.groundWire', 'still').read('spark.stopWire', 'still');
    expect(now(b).next?.item).toBe('spark.pointsClean');
    b.read('spark.pointsClean', 'returns');
    expect(b.said('spark.part')).toMatch(/it is the points/);
    expect(now(dead('digital').read('spark.brisk', 'yes')).next?.item).toBe('spark.supply');
  });
  it('one cylinder dead asks for swaps, and the fault that moves is the part', () => {
    const b = new Bench({ cylinders: 3, ignition: 'cdi' })
      .read('spark.lanyard', 'yes')
      .read('spark.result', 'good', { cylinder: 1 })
      .read('spark.result', 'none', { cylinder: 2 })
      .read('spark.result', 'good', { cylinder: 3 });
    expect(now(b).next?.item).toBe('spark.plugSwap');
    b.read('spark.plugSwap', 'stays').read('spark.leadSwap', 'moves');
    expect(b.said('spark.own')).toMatch(/Cylinder 2 has no spark: it is its lead or cap/);
  });
  it('there is none while there is spark', () => {
    expect(isolation(contextOf(new Bench({ cylinders: 1 }).survey, new Date(), 'us'))).toBeUndefined();
  });
  it('whatever is answered in whatever order, it ends, and never clears everything silently', () => {
    const items = [
      'brisk',
      'supply',
      'groundWire',
      'stopWire',
      'pointsClean',
      'condenserSwap',
      'keyLook',
      'chargeTest',
      'triggerTest',
      'packSwap'
    ] as const;
    const answers: Record<string, readonly string[]> = {
      brisk: ['yes', 'no'],
      supply: ['yes', 'no'],
      keyLook: ['sound', 'sheared'],
      chargeTest: ['within', 'outside'],
      triggerTest: ['within', 'outside']
    };
    fc.assert(
      fc.property(
        fc.constantFrom('points', 'cdi', 'digital', 'coil-on-plug'),
        fc.array(fc.tuple(fc.constantFrom(...items), fc.boolean()), { maxLength: 12 }),
        (kind, list) => {
          const b = dead(kind as 'cdi');
          for (const [item, first] of list)
            b.read(`spark.${item}`, (answers[item] ?? ['still', 'returns'])[first ? 0 : 1] as never);
          const found = now(b);
          const open = found.parts.filter((p) => p.state === 'open').length;
          expect(Boolean(found.next) || Boolean(found.found) || open === 0 || open > 1).toBe(true);
          if (found.next) expect(found.next.why.length).toBeGreaterThan(20);
          expect(b.said('spark')).not.toMatch(/undefined/);
        }
      ),
      { numRuns: 60 }
    );
  });
  it('the last part left is found without an answer', () => {
    const parts = [
      { id: 'a' as const, label: 'a' },
      { id: 'b' as const, label: 'b' }
    ];
    const trials = [
      { item: 'turn.lockLeg' as const, why: '', minutes: 1, clears: { still: ['a' as const] }, accuses: {} }
    ];
    expect(eliminate(parts, trials, () => 'still').found).toEqual({ id: 'b', label: 'b', by: 'elimination' });
  });
});

describe('the lock tree', () => {
  const tree = (b: Bench) => lockTree(contextOf(b.survey, new Date('2026-05-03'), 'us'));
  it('plugs, neutral, pinion, leg, and only then the bores', () => {
    const b = new Bench({ starting: 'electric', shift: 'shift' })
      .read('turn.plugs', 'in')
      .read('turn.result', 'locked');
    const asked: string[] = [];
    for (const [item, value] of [
      ['turn.plugs', 'out'],
      ['turn.lockNeutral', 'still'],
      ['turn.lockPinion', 'still'],
      ['turn.lockLeg', 'still']
    ] as const) {
      asked.push(tree(b)!.next!.item);
      b.read(item, value as never);
    }
    expect(asked).toEqual(['turn.plugs', 'turn.lockNeutral', 'turn.lockPinion', 'turn.lockLeg']);
    expect(tree(b)!.found).toMatchObject({ id: 'head', by: 'elimination' });
    expect(b.said('turn.locked')).toMatch(/bores, rings or bearings/);
  });
  it('a rope engine has no pinion, a direct drive no gear to be in', () => {
    const parts = tree(new Bench({ starting: 'rope', shift: 'direct' }).read('turn.result', 'locked'))!.parts.map(
      (p) => p.id
    );
    expect(parts).toEqual(['liquid', 'leg', 'head']);
  });
  it('is put away when it turns again', () => {
    expect(
      tree(new Bench().read('turn.result', 'locked').read('turn.plugs', 'out').read('turn.result', 'free'))
    ).toBeUndefined();
  });
  it('nothing is asked of an engine that turns', () => {
    expect(tree(new Bench().read('turn.result', 'bumps'))).toBeUndefined();
  });
});
