import { describe, expect, it } from 'vitest';
import { PSI } from '../../src/core/units/factors.ts';
import type { Conditions } from '../../src/core/record/reading.ts';
import { Bench } from '../case.ts';
import { moves, ranWell, readyToRun } from './all-good.ts';
import { magneto, open, two } from './engines.ts';

const bad = (b: Bench, station: string): string[] =>
  b.ids().filter((f) => f.startsWith(`${station}.`) && !f.endsWith(':sound') && f !== 'spark.timing:cannot-tell');

/** Read again, an hour later. */
function pressed(b: Bench, psi: readonly number[], conditions: Conditions): Bench {
  b.wait(1);
  psi.forEach((p, k) => b.read('compression.pressure', p * PSI, { cylinder: k + 1, conditions }));
  return b;
}

describe('sound once, wide open, and read otherwise since', () => {
  it.each([{ bores: 'dry', engine: 'cold' }, {}] as const)(
    'one cylinder low where nobody noted the throttle %o',
    (c) => {
      const b = pressed(ranWell(two), [125, 44, 125], c);
      expect(bad(b, 'compression')).toEqual(['compression.unlike.2:cannot-tell']);
      expect(moves(b)[0]).toMatch(/^Compression again/);
    }
  );
  it('a single, too: whether its throttle stood open nobody knows, and what it gave before it does not give', () => {
    const b = pressed(ranWell({ ...magneto, lubrication: 'premix', premixRatio: 50 }), [50], {
      bores: 'dry',
      engine: 'cold'
    });
    expect(bad(b, 'compression')).toEqual(['compression.unlike.1:cannot-tell']);
  });
  it('nothing at all while it was warm is no matter of the warmth', () => {
    const warm = { ...open.conditions, engine: 'warm' } as const;
    expect(bad(pressed(ranWell(two), [10], warm), 'compression')).toEqual(['compression.unlike.1:cannot-tell']);
    expect(bad(pressed(ranWell(two), [115], warm), 'compression')).toEqual([]);
  });
  it('the low test first, and then the one wide open that it asks for: explained', () => {
    const b = readyToRun(two, 'neglected', ['compression']);
    pressed(b, [100, 80, 100], { bores: 'dry', engine: 'cold' });
    pressed(b, [125, 124, 125], open.conditions);
    expect(bad(b, 'compression').filter((f) => f.includes('unlike'))).toEqual([]);
  });
});

describe('water that comes out hot', () => {
  /** A run whose water was measured where it comes out, K. */
  const run = (...kelvin: readonly number[]): Bench => {
    const b = readyToRun(two).read('run.event', 'start').wait(0.03).read('run.stream', 'strong');
    for (const t of kelvin) b.wait(0.05).read('run.temperature', t, { conditions: { spot: 'stream' } });
    return b;
  };
  const ended = (b: Bench): Bench =>
    b.read('run.outcome', 'ran').read('run.minutes', 12).read('run.event', 'stop').wait(0.1);
  it('past the limit of a head it says that the head is: stopped, held, and asked for', () => {
    const b = run(330, 345, 372);
    expect(moves(b)[0]).toBe('Stop it now');
    expect(ended(b).holds()).toContain('run');
    expect(bad(b, 'cooling')).toContain('cooling.hot:fault');
  });
  it('below it, it says nothing of the head: neither that it is cool, nor that it never got warm', () => {
    const b = ended(run(300, 305, 310));
    expect(bad(b, 'run')).toEqual([]);
    expect(b.ids().filter((f) => f.startsWith('cooling.hot'))).toEqual([]);
  });
});

describe('seen since all was good, and looked into', () => {
  it('cream at the hub: the gear oil as it is now, then the case under pressure', () => {
    const b = ranWell(two).read('look.hub', 'cream');
    expect(moves(b).slice(0, 2)).toEqual(['Lower gear plug a crack open', 'Case test, low stage first, shafts turned']);
    expect(moves(b.read('gear.first', 'oil'))[0]).toBe('Case test, low stage first, shafts turned');
  });
  it.each([
    ['spark.leadLook', 'lead'],
    ['spark.coilLook', 'coil']
  ] as const)('%s corroded: bright metal, and the spark again, once', (item, part) => {
    const b = ranWell(two).read(item, 'corroded', { cylinder: 2 });
    expect(moves(b)[0]).toBe(`Bright metal at the ${part} of cylinder 2, then spark again`);
    b.read('spark.result', 'good', { cylinder: 2, conditions: { path: 'tester', light: 'shade' } });
    expect(moves(b).join(' | ')).not.toMatch(/Bright metal/);
    const before = readyToRun(two, 'neglected', ['spark']).read(item, 'corroded', { cylinder: 2 });
    expect(moves(before).join(' | ')).not.toMatch(/Bright metal/);
  });
  it.each([
    ['spark.chargeTest', 'Charge coil'],
    ['spark.triggerTest', 'Trigger']
  ] as const)('%s outside, and it sparks: the figure, cold', (item, part) => {
    expect(moves(ranWell(two).read(item, 'outside'))[0]).toBe(`${part}, cold: its resistance, its temperature noted`);
  });
  it('a high reading on a mountain is said at sea level, where its limit is', () => {
    const b = readyToRun(two, 'neglected', ['compression']).read('safe.altitude', 3000);
    for (const cylinder of [1, 2, 3]) b.read('compression.pressure', 190 * PSI, { cylinder, ...open });
    expect(b.said('compression.high')).toMatch(/190 psi, 2\d\d psi at sea level, more than/);
  });
});
