import { describe, expect, it } from 'vitest';
import { Bench } from '../../../../test/case.ts';
import type { ItemId } from '../items.ts';

const tester = { conditions: { path: 'tester' as const } };
const looked = (b: Bench, value: 'good' | 'none', cylinders = [1, 2]): Bench => {
  for (const cylinder of cylinders) b.read('spark.result', value, { cylinder, ...tester });
  return b;
};
const twin = (): Bench => new Bench({ strokes: 'two', cylinders: 2, ignition: 'cdi' }).read('spark.lanyard', 'yes');
const spark = (b: Bench): string => b.judged().stations.find((s) => s.id === 'spark')!.condition;
const faults = (b: Bench): string[] => b.ids().filter((f) => f.startsWith('spark.') && f.endsWith(':fault'));

describe('a part that a trial found guilty stays on the list until it is mended', () => {
  it.each([
    ['spark.stopWire', 'returns', 'spark.stop:fault', 'stop-circuit'],
    ['spark.groundWire', 'returns', 'spark.part-ground:fault', 'ground'],
    ['spark.packSwap', 'returns', 'spark.part-pack:fault', 'spark-common'],
    ['spark.keyLook', 'sheared', 'spark.part-key:fault', 'flywheel-key']
  ] as const)('%s %s, then good everywhere', (item, answer, fault, job) => {
    const b = looked(looked(twin(), 'none').read(item as ItemId, answer as never), 'good');
    expect(faults(b)).toEqual([fault]);
    expect(b.ids()).not.toContain('spark.good:sound');
    expect(b.ids().filter((f) => f.startsWith('spark.unsteady'))).toEqual([]);
    expect(b.assessed().steps.map((s) => s.id)).toContain(job);
    expect(spark(looked(b.done(job), 'good'))).toBe('sound');
  });
  it('a coil that was swapped: the fault moved with it, wherever it sparks now', () => {
    const b = looked(twin(), 'none', [1]);
    looked(b, 'good', [2]).read('spark.coilSwap', 'moves');
    looked(b, 'good', [1]);
    expect(faults(b)).toEqual(['spark.own-coil.1:fault']);
    expect(spark(looked(b.done('coil'), 'good'))).toBe('sound');
  });
  it('the same trial with the other answer acquits it; a new round asks anew', () => {
    const b = looked(looked(twin(), 'none').read('spark.stopWire', 'returns').read('spark.stopWire', 'still'), 'good');
    expect(faults(b)).toEqual([]);
    const again = looked(twin(), 'none').read('spark.stopWire', 'returns');
    for (const cylinder of [1, 2]) again.read('spark.result', 'good', { cylinder, round: 2, ...tester });
    expect(faults(again)).toEqual([]);
  });
  describe('spark with the stop wire off, and the lanyard', () => {
    const bare = (): Bench => new Bench({ strokes: 'two', cylinders: 2, ignition: 'cdi' });
    const jobs = (b: Bench): string[] => b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));
    const stop = (b: Bench): string | undefined => b.ids().find((f) => f.startsWith('spark.stop:'));
    it.each(['no', 'unknown', undefined] as const)('lanyard %s: it is set first, and no wire is mended', (lanyard) => {
      const b = lanyard ? bare().read('spark.lanyard', lanyard) : bare();
      looked(b, 'none').read('spark.stopWire', 'returns');
      expect(stop(b)).toBe('spark.stop:cannot-tell');
      expect(jobs(b)).not.toContain('stop-circuit');
      const first = b.assessed().moves.filter((m) => m.station === 'spark' && m.class < 9);
      expect(first.map((m) => m.title)).toEqual(['Spark again: lanyard in, switch on run']);
    });
    it('set, it sparks with the wire on: that was it', () => {
      const b = looked(bare(), 'none').read('spark.stopWire', 'returns').read('spark.lanyard', 'yes');
      expect(stop(looked(b, 'good'))).toBeUndefined();
      expect(jobs(b)).not.toContain('stop-circuit');
    });
    it('set, and none all the same: the stop circuit', () => {
      const out = looked(bare().read('spark.lanyard', 'no'), 'none').read('spark.stopWire', 'returns');
      expect(stop(out.read('spark.lanyard', 'yes'))).toBe('spark.stop:cannot-tell');
      expect(stop(looked(out, 'none'))).toBe('spark.stop:fault');
      expect(jobs(out)).toContain('stop-circuit');
    });
    it('said afterwards to have been in, it was in', () => {
      const b = looked(bare(), 'none').read('spark.stopWire', 'returns').read('spark.lanyard', 'yes');
      expect(stop(b)).toBe('spark.stop:fault');
    });
  });
  it('lanyard and slow cranking are no parts; a fuse that was put in is answered by the spark', () => {
    expect(faults(looked(twin().read('spark.lanyard', 'no').read('spark.brisk', 'no'), 'good'))).toEqual([]);
    expect(faults(twin().read('spark.supply', 'no'))).toEqual(['spark.part-fuse:fault']);
    expect(faults(looked(twin().read('spark.supply', 'no'), 'good'))).toEqual([]);
  });
  it('outside the manual: watched where it sparks, asked where nobody looked, a fault where the spark is poor', () => {
    const outside = (b: Bench): Bench => b.read('spark.chargeTest', 'outside');
    expect(outside(looked(twin(), 'good')).ids()).toContain('spark.part-charge:watch');
    expect(outside(twin()).ids()).toContain('spark.part-charge:cannot-tell');
    expect(outside(looked(twin(), 'none')).ids()).toContain('spark.part-charge:fault');
    expect(outside(twin()).assessed().steps).toEqual([]);
  });
  it('outside the manual, and it dies in use though it sparks at the stand: the figure explains that', () => {
    const b = looked(twin(), 'good').read('spark.triggerTest', 'outside');
    expect(b.ids()).toContain('spark.part-trigger:watch');
    expect(b.read('run.outcome', 'died').ids()).toContain('spark.part-trigger:fault');
  });
});

describe('the flywheel', () => {
  it('shifted, it is not started; the key renewed lifts that', () => {
    const b = looked(twin(), 'good').read('spark.keyLook', 'sheared');
    expect(b.holds()).toContain('flywheel');
    expect(b.done('flywheel-key').holds()).not.toContain('flywheel');
  });
  it('kicked back after its key was seen sound, it is looked at again', () => {
    const b = twin().read('spark.keyLook', 'sound').read('run.idles', 'kicks');
    expect(b.holds()).toContain('flywheel');
    expect(b.read('spark.keyLook', 'sound').holds()).not.toContain('flywheel');
  });
});

describe('windings', () => {
  it('no way through is a fault without any manual, but not where the driver sits in the coil', () => {
    const open = (ignition: 'cdi' | 'coil-on-plug'): string[] =>
      new Bench({ cylinders: 1, ignition }).read('spark.primary', 1e6, { cylinder: 1 }).ids();
    expect(open('cdi')).toContain('spark.primary.1:fault');
    expect(open('coil-on-plug')).toContain('spark.primary.1:cannot-tell');
    expect(new Bench({ cylinders: 1, ignition: 'cdi' }).read('spark.primary', 0.5, { cylinder: 1 }).ids()).toEqual([]);
  });
  it('read again after the work, the old reading is how it was', () => {
    const b = new Bench({ cylinders: 1, ignition: 'cdi' }).read('spark.charge', 1e6);
    expect(b.ids()).toContain('spark.charge:fault');
    expect(b.done('coil').read('spark.charge', 350).ids()).not.toContain('spark.charge:fault');
  });
  it('colour and misses count without a verdict on the spark', () => {
    const b = new Bench({ cylinders: 1 }).read('spark.colour', 'orange', { cylinder: 1 });
    expect(b.read('spark.steady', 'misses', { cylinder: 1 }).ids()).toEqual([
      'spark.colour.1:watch',
      'spark.misses.1:watch'
    ]);
  });
});
