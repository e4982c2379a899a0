import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { holdOf } from '../../../test/hold-cases.ts';
import type { Profile } from '../engine/profile.ts';

const two: Profile = { strokes: 'two', cylinders: 2, indicator: 'fitted', thermostat: 'fitted' };
const HOT = 273.15 + 95;
const LIMIT = 273.15 + 90;
const run = (b: Bench): ReturnType<typeof holdOf> => holdOf(b, 'run');
const done = (b: Bench): (boolean | undefined)[] | undefined => run(b)?.needs.map((n) => n.done);
const began = (): Bench => new Bench(two).read('cooling.source', 'tank').read('run.event', 'start');
const ended = (b: Bench, outcome: 'ran' | 'stopped' = 'ran'): Bench =>
  b.wait(0.2).read('run.event', 'stop').read('run.outcome', outcome).read('run.minutes', 12);
/** Run again, and good. */
const good = (b: Bench): Bench =>
  ended(
    b
      .wait(0.5)
      .read('run.event', 'start')
      .wait(0.05)
      .read('run.stream', 'strong')
      .read('run.lamp', 'none')
      .read('run.temperature', 333)
  );

describe('what holds an engine after its run', () => {
  it('the head at its limit, in the run or by hand at the check, and nothing under it', () => {
    for (const [kelvin, held] of [
      [LIMIT - 1, false],
      [LIMIT, true],
      [HOT, true]
    ] as const) {
      expect(run(began().wait(0.05).read('run.temperature', kelvin)) !== undefined).toBe(held);
      expect(run(new Bench(two).read('cooling.head', kelvin)) !== undefined).toBe(held);
    }
    expect(run(new Bench(two).read('cooling.head', 'unknown'))).toBeUndefined();
    expect(run(new Bench(two).read('cooling.head', HOT))?.because).toMatch(/passed its limit/);
  });
  it('hot once, and good on the next run: the cause is still to be written down', () => {
    for (const b of [
      good(ended(began().wait(0.05).read('run.stream', 'strong').read('run.temperature', HOT))),
      good(new Bench(two).read('cooling.source', 'tank').read('cooling.head', HOT))
    ]) {
      expect(run(b)?.because).toMatch(/over its limit once, and its cause is not recorded/);
      expect(done(b)).toEqual([false, true]);
      expect(run(b.read('run.cause', 'the screen, cleared'))).toBeUndefined();
    }
  });
  it('a cause written down before it was hot explains nothing', () => {
    const b = ended(began().read('run.cause', 'muffs').wait(0.05).read('run.temperature', HOT));
    expect(done(b)).toEqual([false, false]);
  });
  it.each([
    ['temperature', /ran hot/],
    ['stream', /stream was gone/],
    ['lamp', /lamp or horn/]
  ] as const)('stopped for %s, and nothing else noted', (reason, because) => {
    const b = ended(began(), 'stopped').read('run.reason', reason);
    expect(run(b)?.because).toMatch(because);
    expect(run(b)?.because).toMatch(/not run again since/);
    expect(run(good(b))?.because).toMatch(/once, and its cause is not recorded/);
  });
  it('stopped for fuel or a leak is no trouble of water or lamp', () => {
    for (const reason of ['fuel', 'leak', 'other'] as const)
      expect(run(ended(began(), 'stopped').read('run.reason', reason))).toBeUndefined();
    // A reason that stands from a run before says nothing of one that ran well.
    const b = good(ended(began(), 'stopped').read('run.reason', 'stream').read('run.cause', 'muffs'));
    expect(run(b)).toBeUndefined();
  });
  it('no stream past its half minute, whoever wrote it down; not before', () => {
    expect(run(began().wait(0.05).read('run.stream', 'none'))?.because).toMatch(/no stream in the first run/);
    expect(run(began().read('run.stream', 'strong'))).toBeUndefined();
    const noted = new Bench(two).read('cooling.stream', 'none').read('run.outcome', 'ran');
    expect(run(noted)?.because).toMatch(/no stream/);
    expect(run(new Bench(two).read('run.outcome', 'ran'))).toBeUndefined();
  });
  it('an outlet found blocked after it explains a missing stream, and no heat', () => {
    const dry = ended(began().wait(0.05).read('run.stream', 'none'), 'stopped').read('run.reason', 'stream');
    expect(run(good(dry.read('cooling.outlet', 'blocked')))).toBeUndefined();
    const hot = ended(began().wait(0.05).read('run.stream', 'none').read('run.temperature', HOT));
    expect(run(good(hot.read('cooling.outlet', 'blocked')))?.because).toMatch(/over its limit once/);
    const clear = ended(began().wait(0.05).read('run.stream', 'none'), 'stopped').read('run.reason', 'stream');
    expect(run(good(clear.read('cooling.outlet', 'clear')))?.because).toMatch(/cause is not recorded/);
    const before = new Bench(two).read('cooling.source', 'tank').read('cooling.outlet', 'blocked').wait(1);
    const later = ended(before.read('run.event', 'start').wait(0.05).read('run.stream', 'none'), 'stopped');
    expect(run(good(later.read('run.reason', 'stream')))?.because).toMatch(/cause is not recorded/);
  });
  it('a lamp that came and is said to be "unknown" later came', () => {
    const b = began().wait(0.05).read('run.lamp', 'came').read('run.lamp', 'unknown');
    expect(run(b)?.because).toMatch(/lamp or horn came on/);
    expect(run(began().wait(0.05).read('run.lamp', 'unknown'))).toBeUndefined();
    expect(run(began().wait(0.05).read('run.lamp', 'none'))).toBeUndefined();
  });
  it('of several the latest without a cause is said', () => {
    const b = ended(began().wait(0.05).read('run.lamp', 'came')).read('run.cause', 'a sender');
    expect(
      run(good(ended(b.wait(1).read('run.event', 'start').wait(0.05).read('run.temperature', HOT))))?.because
    ).toMatch(/over its limit once/);
  });
});

describe('water on a plug, and noises', () => {
  const wet = (): Bench => ended(began()).read('run.plugAfter', 'wet', { cylinder: 1 });
  it('a dry plug later mends nothing; the way in written down or mended does', () => {
    expect(holdOf(wet(), 'jacket')?.needs).toMatchObject([{ done: false, items: ['run.cause'] }]);
    expect(holdOf(wet().read('run.plugAfter', 'dry', { cylinder: 1 }), 'jacket')).toBeDefined();
    expect(holdOf(wet().read('run.cause', 'the gasket, renewed'), 'jacket')).toBeUndefined();
    expect(holdOf(wet().done('head-gasket'), 'jacket')).toBeUndefined();
    expect(
      holdOf(began().read('run.cause', 'fuel').read('run.plugAfter', 'wet', { cylinder: 1 }), 'jacket')
    ).toBeDefined();
    expect(holdOf(ended(began()).read('run.plugAfter', 'dry', { cylinder: 1 }), 'jacket')).toBeUndefined();
  });
  it('a noise by its place; a tick of the valves holds nothing', () => {
    const noise = (place: 'head' | 'valves' | 'leg'): ReturnType<typeof holdOf> =>
      holdOf(ended(began().wait(0.05).read('run.noise', place)), 'noise');
    expect(noise('head')?.because).toMatch(/rod or a gear that lets go/);
    expect(noise('leg')?.needs).toMatchObject([{ done: false, items: ['run.cause'] }]);
    expect(noise('valves')).toBeUndefined();
    expect(holdOf(ended(began(), 'stopped').read('run.reason', 'noise'), 'noise')?.because).toMatch(
      /stopped for a noise/
    );
  });
  it('heard once, and not on the next run: what made it was never found', () => {
    const b = good(ended(began().wait(0.05).read('run.noise', 'head'))).read('run.noise', 'none');
    expect(holdOf(b, 'noise')?.because).toMatch(/not heard again/);
  });
});
