import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { jobs, moves, ran, ranWell, readyToRun, runWell } from './all-good.ts';
import { two } from './engines.ts';

/** Water on a plug after a run is one fact, whether it is told of the run or read off the plug that came out. */
const read = (b: Bench, wet: number | undefined): Bench => {
  for (const cylinder of [1, 2, 3]) b.read('plugs.read', [cylinder === wet ? 'water' : 'normal'], { cylinder });
  return b;
};
const smoked = (b = readyToRun(two)): Bench => ran(b, 'ran', (x) => x.read('run.smoke', 'keeps'));
const dried = (b: Bench): Bench =>
  b
    .read('turn.water', 'none')
    .read('plugs.hole', 'clean', { cylinder: 2 })
    .done('plugs')
    .read('plugs.read', ['normal'], { cylinder: 2 });
const tight = (b: Bench): Bench => {
  for (const cylinder of [1, 2, 3]) b.read('compression.leakdown', 0.06, { cylinder });
  return b;
};

describe('water on a plug that came out after a run', () => {
  it('is water that gets in: held, looked for, and not run again', () => {
    const b = read(ranWell(two), 2);
    expect(b.ids()).toContain('run.plug-wet:fault');
    expect(b.holds()).toContain('jacket');
    expect(jobs(b)).toContain('water-in');
    expect(b.assessed().ready).toBe(false);
  });
  it('stays so when the plug is clean and the hole is dry, and the rain is not blamed', () => {
    const b = dried(read(ranWell(two), 2));
    expect(b.holds()).toContain('jacket');
    expect(b.said('plugs.water-was')).toBe('');
    expect(moves(b)[0]).toMatch(/^Leak-down, the water jacket watched/);
  });
  it('smoke with it is steam: no mixture is asked for, and no cause is to be guessed', () => {
    const b = read(smoked(), 2);
    expect(b.said('run.smoke')).toContain('it is steam');
    const list = tight(dried(b))
      .assessed()
      .moves.map((m) => m.title);
    expect(list.join(' | ')).not.toMatch(/Mixture in use|Find the cause|the water jacket watched/);
    expect(list[0]).toMatch(/Find where water gets into the cylinder/);
  });
  it('dry after the next run, with nothing mended: it comes again', () => {
    const b = read(runWell(dried(read(ranWell(two), 2))), undefined);
    expect(b.said('run.plug-wet')).toContain('no cause was found');
    expect(b.holds()).toContain('jacket');
  });
  it('its way in mended, and dry plugs after the next run: closed', () => {
    const b = read(runWell(dried(read(smoked(), 2)).done('water-in')), undefined).read('run.smoke', 'none');
    expect(b.ids().filter((f) => /plug-wet|run\.smoke/.test(f) && f.endsWith(':fault'))).toEqual([]);
    expect(b.holds()).not.toContain('jacket');
  });
  it('is so too where how it went was written down after its plugs were read, and not where it never caught', () => {
    const started = () =>
      readyToRun(two).read('run.event', 'start').wait(0.15).read('run.stream', 'strong').read('run.event', 'stop');
    const late = read(started(), 2).read('run.outcome', 'ran').read('run.minutes', 9);
    expect(late.ids()).toContain('run.plug-wet:fault');
    expect(read(started(), 2).ids()).toContain('run.plug-wet:fault');
    expect(read(started(), 2).read('run.outcome', 'failed').ids()).not.toContain('run.plug-wet:fault');
    const coughed = readyToRun(two).read('run.event', 'start').read('run.outcome', 'died').read('run.minutes', 0.2);
    expect(read(coughed, 2).ids()).not.toContain('run.plug-wet:fault');
  });
  it('is of that run only: weeks later, after a start that failed, or on an engine that still dries, it is not', () => {
    expect(read(ranWell(two).wait(24 * 20), 2).ids()).not.toContain('run.plug-wet:fault');
    const failed = readyToRun(two).read('run.event', 'start').read('run.outcome', 'failed').read('run.event', 'stop');
    expect(read(failed, 2).ids()).not.toContain('run.plug-wet:fault');
    expect(read(readyToRun(two), 2).ids()).not.toContain('run.plug-wet:fault');
  });
});
