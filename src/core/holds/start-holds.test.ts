import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { caseTest } from '../../../test/case-test.ts';
import { four, holdOf, twin } from '../../../test/hold-cases.ts';

const ran = (b: Bench, idles: 'kicks' | 'even'): Bench =>
  b.read('run.event', 'start').wait(0.1).read('run.idles', idles).read('run.event', 'stop').read('run.outcome', 'ran');

describe('the flywheel', () => {
  it('seen shifted, its key is renewed; kicked back, its mark is looked at', () => {
    const shifted = holdOf(new Bench(twin).read('spark.keyLook', 'sheared'), 'flywheel')!;
    expect(shifted.because).toMatch(/mark is shifted/);
    expect(shifted.needs).toMatchObject([{ text: 'key renewed, the mark where it belongs', items: ['spark.keyLook'] }]);
    const kicked = holdOf(ran(new Bench(twin), 'kicks'), 'flywheel')!;
    expect(kicked.because).toMatch(/not looked at since/);
    expect(kicked.needs).toMatchObject([{ text: 'the flywheel’s mark looked at', done: false }]);
  });
  it('a look before the kick lifts nothing; one after it does, where it is sound', () => {
    expect(holdOf(ran(new Bench(twin).read('spark.keyLook', 'sound'), 'kicks'), 'flywheel')).toBeDefined();
    expect(holdOf(ran(new Bench(twin), 'kicks').read('spark.keyLook', 'sound'), 'flywheel')).toBeUndefined();
    expect(holdOf(ran(new Bench(twin), 'kicks').read('spark.keyLook', 'sheared'), 'flywheel')?.because).toMatch(
      /shifted/
    );
    expect(holdOf(ran(new Bench(twin), 'even'), 'flywheel')).toBeUndefined();
  });
  it('another part that a trial found is no flywheel', () => {
    expect(holdOf(new Bench(twin).read('spark.stopWire', 'returns'), 'flywheel')).toBeUndefined();
  });
});

describe('an empty sump', () => {
  it('says whether it came empty or was drained', () => {
    const fresh = new Bench(four, 'new-engine' as never);
    expect(holdOf(fresh, 'oil')?.because).toMatch(/new engine comes without engine oil/);
    const drained = new Bench(four).read('oil.drained', 2e-3);
    expect(holdOf(drained, 'oil')?.because).toMatch(/sump is drained/);
  });
});

describe('gear oil that is missing', () => {
  const low = (mL: number): ReturnType<typeof holdOf> =>
    holdOf(
      new Bench({ ...twin, gearCapacity: 500e-6 }).read('gear.look', 'dark').read('gear.drained', mL * 1e-6),
      'gear-water'
    );
  it('says how much of it was in the case, where that was measured', () => {
    expect(low(150)?.because).toMatch(/^Only 30 % of its oil/);
    expect(low(480)).toBeUndefined();
    expect(holdOf(new Bench(twin).read('gear.first', 'nothing'), 'gear-water')?.because).toMatch(/little or no oil/);
  });
  it('asks for the test until it held, then for the oil', () => {
    const b = new Bench({ ...twin, gearCapacity: 500e-6 }).read('gear.look', 'milky').read('gear.drained', 480e-6);
    const items = (x: Bench): readonly string[] | undefined => holdOf(x, 'gear-water')!.needs[1]!.items;
    expect(items(b)).toEqual(['gear.casePressure']);
    expect(items(caseTest(b))).toEqual(['gear.refill']);
  });
});

describe('water where it does not belong', () => {
  it('in a cylinder that never drowned, until the hole is dry and none comes', () => {
    const b = new Bench(twin).read('plugs.hole', 'water', { cylinder: 1 });
    expect(holdOf(b, 'liquid')?.because).toMatch(/water in cylinder 1/);
    b.read('turn.plugs', 'out').read('turn.water', 'some');
    b.read('plugs.hole', 'clean', { cylinder: 1 });
    expect(holdOf(b, 'liquid')?.because).toMatch(/still comes out/);
    expect(holdOf(b.read('turn.water', 'none'), 'liquid')).toBeUndefined();
  });
  it('of an engine that drowned its own hold says it', () => {
    const b = new Bench(twin, 'drowned', { submerged: 'yes' }).read('plugs.hole', 'water', { cylinder: 1 });
    expect(holdOf(b, 'liquid')).toBeUndefined();
  });
  it('in the oil of a four-stroke, and of nothing else', () => {
    expect(holdOf(new Bench(four).read('oil.look', 'milky'), 'milky-oil')?.blocks).toEqual(['crank', 'start']);
    expect(holdOf(new Bench(four).read('oil.look', 'clean'), 'milky-oil')).toBeUndefined();
    const sunk = new Bench(four, 'drowned', { submerged: 'yes' }).read('oil.look', 'milky');
    expect(holdOf(sunk, 'milky-oil')).toBeUndefined();
    expect(holdOf(new Bench(twin).read('oil.look' as never, 'milky' as never), 'milky-oil')).toBeUndefined();
  });
});

describe('a belt', () => {
  it.each(['cracked', 'slack', 'oily'] as const)(
    '%s holds the crank, but of an engine that clears its valves',
    (is) => {
      const belt = (interference?: 'yes' | 'no'): ReturnType<typeof holdOf> =>
        holdOf(
          new Bench({ ...four, camDrive: 'belt', ...(interference ? { interference } : {}) }).read('turn.belt', is),
          'belt'
        );
      expect(belt('yes')?.blocks).toContain('crank');
      expect(belt()).toBeDefined();
      expect(belt('no')).toBeUndefined();
    }
  );
  it.each(['sound', 'renewed'] as const)('%s holds nothing', (is) => {
    expect(
      holdOf(new Bench({ ...four, camDrive: 'belt', interference: 'yes' }).read('turn.belt', is), 'belt')
    ).toBeUndefined();
  });
  it('not looked at holds nothing by this hold', () => {
    expect(holdOf(new Bench({ ...four, camDrive: 'belt', interference: 'yes' }), 'belt')).toBeUndefined();
  });
});
