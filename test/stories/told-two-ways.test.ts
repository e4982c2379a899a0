import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { Bench } from '../case.ts';
import { jobs, moves, ran, readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

/** One thing can be told in more than one place: it is the same thing wherever it was told. */
const stopped = (more: (b: Bench) => Bench, b = readyToRun(two)): Bench =>
  more(b.read('run.event', 'start').wait(0.1).read('run.stream', 'strong').wait(0.02))
    .read('run.outcome', 'stopped')
    .read('run.event', 'stop')
    .wait(0.05);
const first = (b: Bench): string | undefined => moves(b)[0];

describe('what a run was stopped for, and what it showed', () => {
  it('stopped because the stream was gone: no stream, and its line is next', () => {
    const told = stopped((b) => b.read('run.stream', 'none'));
    const reason = stopped((b) => b.read('run.reason', 'stream'));
    expect(first(reason)).toBe(first(told));
    expect(reason.said('cooling.stream')).toMatch(/^No stream/);
    expect(reason.holds()).toContain('run');
  });
  it('a stream that came since takes it back', () => {
    const b = stopped((x) => x.read('run.reason', 'stream')).read('cooling.stream', 'strong');
    expect(b.said('cooling.stream')).not.toMatch(/^No stream/);
    expect(b.holds()).toContain('run');
  });
  it('stopped for the lamp: the lamp came on, and a thermometer is next', () => {
    const told = stopped((b) => b.read('run.lamp', 'came'));
    const reason = stopped((b) => b.read('run.reason', 'lamp'));
    expect(first(reason)).toBe(first(told));
    expect(reason.ids()).toContain('run.lamp:fault');
    expect(jobs(reason)).not.toContain('heat-sender');
  });
  it('told both ways it came once; a run that went well since had none, and its cause is still asked for', () => {
    const both = stopped((b) => b.read('run.lamp', 'came').read('run.reason', 'lamp'));
    expect(both.ids().filter((f) => f.startsWith('run.lamp'))).toEqual(['run.lamp:fault']);
    const again = ran(
      stopped((b) => b.read('run.reason', 'lamp')),
      'ran'
    );
    expect(again.said('run.lamp')).toMatch(/not since/);
    expect(again.holds()).toContain('run');
  });
  it('stopped for a leak of nobody knows what: it may be fuel, and which it was is a word', () => {
    const b = stopped((x) => x.read('run.reason', 'leak'));
    expect(b.holds()).toContain('fuel-escapes');
    expect(first(b)).toBe('Say what leaked: fuel, oil or water');
    // Where it comes from says not what it is, and unknown says nothing.
    expect(b.read('run.leaks', 'unknown').read('run.leakAt', 'pump').holds()).toContain('fuel-escapes');
    b.read('run.leaks', 'water');
    expect(b.holds()).not.toContain('fuel-escapes');
    expect(moves(b).join(' | ')).not.toMatch(/Say what leaked/);
  });
  it('stopped for smoke: how it smoked comes before its cause', () => {
    const b = stopped((x) => x.read('run.reason', 'smoke'));
    expect(first(b)).toMatch(/^Say how it smoked/);
    expect(first(b.read('run.smoke', 'keeps'))).toMatch(/A plug out after the run/);
  });
  it('stopped with no stream, or too hot, nobody is asked how it ran', () => {
    for (const b of [
      stopped((x) => x.read('run.stream', 'none')),
      stopped((x) => x.read('run.temperature', 400, { conditions: { spot: 'head' } }))
    ])
      expect(moves(b).join(' | ')).not.toMatch(/Say how it ran/);
    expect(moves(stopped((x) => x)).join(' | ')).toMatch(/Say how it ran/);
  });
});

describe('a gear case that was filled, and is found without oil', () => {
  it('nothing at the cracked plug: drained, and tested anew, whatever a test of before said', () => {
    const b = readyToRun(two).read('gear.first', 'nothing');
    expect(b.ids()).toContain('gear.nothing:cannot-tell');
    expect(moves(b).slice(0, 2)).toEqual([
      'Drain and measure the gear oil, look for metal',
      'Case test, low stage first, shafts turned'
    ]);
  });
  it('filled once more it is not cured by a test that was made before it lost its oil', () => {
    const b = readyToRun(two).read('gear.drained', 40e-6).read('gear.washers', 'yes').read('gear.refill', 'service');
    expect(b.holds()).toContain('gear-water');
    expect(moves(b).join(' | ')).toMatch(/Case test/);
  });
});

describe('a case that weeps', () => {
  it('is wiped and watched, then cracked open and tested: it has a next step', () => {
    const b = readyToRun(two, 'neglected', ['gear']).read('look.case', 'weeping');
    expect(moves(b).slice(0, 2).join(' | ')).toMatch(
      /a crack open.*Wiped dry and waited|Wiped dry and waited.*a crack open/
    );
    b.read('look.case', 'weeping').read('gear.first', 'oil');
    expect(moves(b).join(' | ')).not.toMatch(/Wiped dry and waited/);
    expect(moves(b).join(' | ')).toMatch(/Case test/);
  });
});

describe('a shared part that a trial found', () => {
  it('explains why what sparked does not any more: nothing comes and goes', () => {
    const b = readyToRun({ ...four, fuelSystem: 'electronic' });
    for (const cylinder of [1, 2, 3, 4])
      b.read('spark.result', 'none', { cylinder, conditions: { path: 'tester', light: 'shade' } });
    expect(b.ids().join()).toMatch(/spark\.unsteady/);
    b.read('spark.supply', 'no');
    expect(b.ids()).toContain('spark.part-fuse:fault');
    expect(b.ids().join()).not.toMatch(/spark\.unsteady/);
    expect(first(b)).toBe('Mend wires and connectors');
  });
});

describe('fuel that somebody called old', () => {
  it('is drained, and nobody is asked how old it is', () => {
    const b = new Bench(two, 'neglected').read('fuel.level', 'some').read('fuel.tank', 'old');
    expect(b.ids()).toContain('fuel.left-old:fault');
    expect(jobs(b)).toContain('fuel-drain');
    expect(moves(b).join(' | ')).not.toMatch(/How old the fuel is/);
  });
});

describe('metal in the oil of a gear case without a magnet', () => {
  it('is looked for with one that is drawn through the oil', () => {
    const shimmers = (p: Profile): Bench => new Bench(p, 'neglected').read('gear.look', 'metallic');
    const drawn = /^A magnet drawn through the oil/;
    expect(moves(shimmers({ ...two, magnet: 'not-fitted' })).some((m) => drawn.test(m))).toBe(true);
    expect(shimmers({ ...two, magnet: 'not-fitted' }).said('gear.metal')).toMatch(/draw a magnet through it/);
    expect(moves(shimmers({ ...two, magnet: 'drain' })).some((m) => drawn.test(m))).toBe(false);
    expect(moves(shimmers(two).read('gear.magnet', 'not-fitted')).some((m) => drawn.test(m))).toBe(true);
  });
});

describe('what was called good first, and told otherwise later', () => {
  it('a place that leaks, seen after it was called dry: what leaks there is asked', () => {
    const b = ran(readyToRun(two), 'ran', (x) => x.read('run.leaks', 'none')).read('run.leakAt', 'carburettor');
    expect(b.ids()).toContain('run.leak-untold:cannot-tell');
    expect(b.holds()).toContain('fuel-escapes');
    expect(first(b)).toBe('Say what leaks there: fuel, oil or water');
    expect(b.read('run.leaks', 'none').ids()).not.toContain('run.leak-untold:cannot-tell');
  });
  it('an age told after the fresh fill: which fuel is in it, until somebody looked again', () => {
    const b = readyToRun(two).read('fuel.age', 40);
    expect(b.ids()).toContain('fuel.age-doubted:cannot-tell');
    expect(first(b)).toBe('Look into the tank again: fresh fuel, or the old');
    expect(b.read('fuel.tank', 'fresh').ids()).not.toContain('fuel.age-doubted:cannot-tell');
    const old = readyToRun(two).read('fuel.age', 40).read('fuel.tank', 'old');
    expect(old.holds()).toContain('fuel');
    expect(jobs(old)).toContain('fuel-drain');
  });
});
