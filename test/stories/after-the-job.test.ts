import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { moves, readyToRun } from './all-good.ts';
import { four } from './engines.ts';

const C = (c: number): number => c + 273.15;

describe('work that was done, and something else shows', () => {
  const run = (b: Bench, volts: number): Bench =>
    b
      .wait(1)
      .read('run.event', 'start')
      .read('run.stream', 'strong')
      .read('run.rpm', 3000)
      .read('run.volts', volts)
      .read('run.outcome', 'ran')
      .read('run.minutes', 12)
      .read('run.event', 'stop');
  const why = (b: Bench): string =>
    b
      .assessed()
      .steps.find((s) => s.id === 'charging')!
      .why.join(' ');
  it('no charge before, too much after: nothing shows “again”, and it is not simply done once more', () => {
    const after = run(run(readyToRun(four), 12.1).done('charging'), 15.7);
    expect(after.ids()).toContain('run.overcharge:fault');
    expect(why(after)).toMatch(/something else shows now than what it was for/);
    expect(why(after)).not.toMatch(/shows again/);
  });
  it('no charge before and none after shows again', () => {
    expect(why(run(run(readyToRun(four), 12.1).done('charging'), 12.1))).toMatch(/what it was for shows again/);
  });
});

describe('lash that was set, of a valve that still blows', () => {
  const blows = (b: Bench, share: number): Bench =>
    b.read('compression.leakdown', share, { cylinder: 3 }).read('compression.escape', ['exhaust'], { cylinder: 3 });
  const low = (): Bench => {
    const b = readyToRun(four, 'neglected', ['compression']);
    for (const reading of [120, 118])
      b.wait(0.1).psi(([1, 2, 3, 4] as const).map((k) => [k, k === 3 ? reading : 180] as const));
    return blows(b, 0.4).read('compression.lashEx', 0, { cylinder: 3 });
  };
  it('its own lash was measured since: nobody is asked for that of the other valve first', () => {
    const b = blows(low().done('lash').read('compression.lashEx', 0.3e-3, { cylinder: 3 }), 0.38);
    expect(moves(b).join()).not.toMatch(/Valve lash/);
  });
  it('measured at the other valve only, it is asked for', () => {
    const b = blows(low().done('lash').read('compression.lashIn', 0.2e-3, { cylinder: 3 }), 0.38);
    expect(moves(b)[0]).toBe('Valve lash of cylinder 3');
  });
});

describe('a weak stream while the head is on its way up', () => {
  const started = (): Bench =>
    readyToRun(four, 'neglected', ['cooling']).wait(1).read('run.event', 'start').read('run.stream', 'weak');
  const heat = (b: Bench, celsius: number): Bench =>
    b.read('run.temperature', C(celsius), { conditions: { spot: 'head' } });
  it('one reading after two minutes stays nowhere, and names no outlet instead of the pump', () => {
    const b = heat(started(), 55);
    expect(b.ids()).toContain('cooling.outlet:cannot-tell');
    expect(b.said('cooling.outlet')).toMatch(/still warming and says nothing about the pump/);
  });
  it('nor do two that lie close with a steep climb between them', () => {
    const b = heat(heat(started(), 50), 60);
    expect(b.said('cooling.outlet')).toMatch(/still warming/);
  });
  it('nor is it one that stays where it was because the run was ended', () => {
    const b = heat(started(), 55).read('run.event', 'stop');
    for (const ended of [b, b.read('run.outcome', 'unknown'), b.read('run.outcome', 'died')])
      expect(ended.said('cooling')).not.toMatch(/stays at|not to the pump/);
  });
  it('told to have run for long, it did settle', () => {
    const b = heat(started(), 60).read('run.event', 'stop').read('run.outcome', 'ran').read('run.minutes', 12);
    expect(b.said('cooling.outlet')).toMatch(/outlet or its line, not to the pump/);
  });
  it('two that agree do', () => {
    const b = heat(heat(heat(started(), 45).wait(0.1), 60), 60.5);
    expect(b.said('cooling.outlet')).toMatch(/outlet or its line, not to the pump/);
  });
  it('so does one of a head that has run for a while', () => {
    expect(heat(started().wait(0.1), 60).said('cooling.outlet')).toMatch(/outlet or its line/);
  });
});
