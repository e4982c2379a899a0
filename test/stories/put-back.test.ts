import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import type { Profile } from '../../src/core/engine/profile.ts';
import { jobs, moves, ranWell, readyToRun } from './all-good.ts';
import { four, two, v6 } from './engines.ts';

/** What was taken apart and put together again is tried again before the engine goes back. */
const SHIFT = 'Shift through by hand, the leg back on';
const shifted = (b: Bench, forward: 'follows' | 'no' = 'follows'): Bench =>
  b.read('turn.neutral', 'spins').read('turn.forward', forward).read('turn.reverse', 'follows');

describe('the leg was off since it was shifted', () => {
  it.each(['pump', 'leg-water', 'splines', 'reseal'] as const)('for %s: shifted again before it runs', (job) => {
    const b = readyToRun(two).done(job).wait(1);
    expect(b.ids()).toContain('turn.leg-was-off:cannot-tell');
    expect(moves(b)).toContain(SHIFT);
    expect(shifted(b).ids()).not.toContain('turn.leg-was-off:cannot-tell');
  });
  it('half of it is not all of it', () => {
    const b = readyToRun(two).done('pump').wait(1).read('turn.forward', 'follows');
    expect(b.ids()).toContain('turn.leg-was-off:cannot-tell');
  });
  it('tried on the run, it was tried', () => {
    const b = ranWell(two).done('pump').wait(1);
    expect(b.read('run.gears', 'both').ids()).not.toContain('turn.leg-was-off:cannot-tell');
  });
  it('work that leaves the leg where it is asks for nothing', () => {
    for (const job of ['carburettor', 'plugs', 'thermostat'] as const)
      expect(readyToRun(two).done(job).wait(1).ids()).not.toContain('turn.leg-was-off:cannot-tell');
  });
  it('a gear that was missing before is missing still, and is said as that', () => {
    const b = shifted(readyToRun(two), 'no').done('pump').wait(1);
    expect(b.ids()).toContain('turn.gear:fault');
    expect(b.ids()).not.toContain('turn.leg-was-off:cannot-tell');
  });
});

describe('tight and shut, and worked on after it', () => {
  const over = (b: Bench): { condition: string; sentence: string } =>
    b.assessed().gates.find((g) => g.id === 'handover')!;
  const lookedOver = (): Bench => ranWell(two).read('run.tight', 'yes').read('run.counters', 'not-fitted').wait(0.1);

  it('is looked over once more', () => {
    expect(over(lookedOver()).sentence).not.toMatch(/worked on since/);
    for (const job of ['hoses', 'plugs', 'gear-refill'] as const)
      expect(over(lookedOver().done(job)).sentence).toMatch(/^It was worked on since it was looked over/);
    expect(over(lookedOver().done('hoses').wait(1).read('run.tight', 'yes')).sentence).not.toMatch(/worked on since/);
  });
  it('a run, a search and a second look open nothing', () => {
    for (const step of ['run-again', 'case-test', 'second-look.valves'])
      expect(over(lookedOver().done(step)).sentence).not.toMatch(/worked on since/);
  });
});

describe('the head was off', () => {
  const BELT = 'Timing belt: two turns by hand, marks in line';
  const belted: Profile = { ...four, camDrive: 'belt', interference: 'yes' };
  const all = [1, 2, 3, 4] as const;
  const read = (b: Bench, cylinders: readonly number[] = all, psi = 150): Bench =>
    b.psi(cylinders.map((k) => [k, psi] as const));
  const lifted = (job: string, profile: Profile = { ...four, camDrive: 'chain' }): Bench =>
    read(readyToRun(profile, 'neglected', ['compression']))
      .done(job)
      .wait(job === 'valves' ? 1 : 400);

  it.each(['head-gasket', 'valves', 'overhaul'] as const)('%s: every cylinder under it is read again', (job) => {
    const b = read(lifted(job), [1, 2]);
    expect(b.ids()).toContain('compression.head-was-off:cannot-tell');
    expect(b.said('compression.head-was-off')).toContain('cylinders 3 and 4');
    expect(b.ids()).not.toContain('compression.alike:sound');
    expect(moves(b)[0]).toBe('Compression of every cylinder, the head back on');
    expect(read(b, [3]).said('compression.head-was-off')).toContain('cylinder 4 was read');
    expect(read(b, [4]).ids()).not.toContain('compression.head-was-off:cannot-tell');
  });
  it('a cylinder that was never read is missing, and was not read before', () => {
    const b = readyToRun({ ...four, camDrive: 'chain' }, 'neglected', ['compression']);
    read(read(b, [1, 2, 3]).done('head-gasket').wait(1), [1]);
    expect(b.said('compression.head-was-off')).toContain('cylinders 2 and 3');
    expect(b.said('compression.missing')).toContain('Cylinder 4');
  });
  it('of a V, the bank whose head it was', () => {
    const b = readyToRun(v6).done('head-gasket').wait(1);
    expect(read(b, [1, 3], 125).said('compression.head-was-off')).toContain('cylinder 5 was read');
    expect(read(b, [5], 125).ids()).not.toContain('compression.head-was-off:cannot-tell');
  });
  it('with none read again, the proof of the work asks for it, once', () => {
    const b = lifted('head-gasket');
    expect(moves(b)[0]).toMatch(/^Prove it: cylinders alike/);
    expect(moves(b)).not.toContain('Compression of every cylinder, the head back on');
  });
  it('its belt is on its marks before anything cranks it', () => {
    const b = lifted('head-gasket', belted);
    expect(b.ids()).toContain('turn.belt-was-off:cannot-tell');
    expect(b.holds()).toContain('belt');
    expect(moves(b)[0]).toBe(BELT);
    b.read('turn.belt', 'unknown');
    expect(b.holds()).toContain('belt');
    expect(moves(b)).not.toContain(BELT);
    b.read('turn.belt', 'sound');
    expect(b.holds()).not.toContain('belt');
    expect(b.ids()).toContain('turn.belt:sound');
  });
  it('a belt whose valves meet no piston holds nothing and is looked at', () => {
    const b = lifted('valves', { ...belted, interference: 'no' });
    expect(b.holds()).not.toContain('belt');
    expect(moves(b)).toContain(BELT);
  });
  it('chains, and work that leaves the head on, ask for no belt', () => {
    expect(lifted('head-gasket').ids()).not.toContain('turn.belt-was-off:cannot-tell');
    expect(lifted('lash', belted).wait(0).ids()).not.toContain('turn.belt-was-off:cannot-tell');
    expect(readyToRun(two).done('head-gasket').wait(1).ids()).not.toContain('turn.belt-was-off:cannot-tell');
  });
  it('a lash that was measured is measured again; one that never was is asked of nobody', () => {
    const lash = (b: Bench): Bench =>
      b.read('compression.lashIn', 2e-4, { cylinder: 1 }).read('compression.lashEx', 3e-4, { cylinder: 1 });
    const b = lash(readyToRun({ ...four, camDrive: 'chain' }, 'neglected', ['compression']))
      .done('valves')
      .wait(1);
    expect(read(b).ids()).toContain('compression.lash-before:cannot-tell');
    expect(moves(b)).toContain('Valve lash, the head back on');
    expect(lash(b).ids()).not.toContain('compression.lash-before:cannot-tell');
    expect(read(lifted('valves')).ids()).not.toContain('compression.lash-before:cannot-tell');
  });
  it('air that was heard at a valve before it was ground asks for nothing more', () => {
    const b = readyToRun({ ...four, camDrive: 'chain' }, 'neglected', ['compression'])
      .psi([1, 2, 3, 4].map((k) => [k, k === 1 ? 95 : 150]))
      .psi([4, 3, 2, 1].map((k) => [k, k === 1 ? 95 : 150]))
      .read('compression.leakdown', 0.4, { cylinder: 1 })
      .read('compression.escape', ['exhaust'], { cylinder: 1 })
      .done('valves')
      .wait(1);
    expect(b.ids()).not.toContain('compression.leakdown.1:fault');
    expect(jobs(b)).not.toContain('air-cause');
    expect(moves(b)[0]).toMatch(/^Prove it/);
  });
});

describe('“unknown”, said after work, proves nothing', () => {
  it('the shift with the leg back on', () => {
    const b = readyToRun(two).done('pump').wait(1);
    for (const item of ['turn.neutral', 'turn.forward', 'turn.reverse'] as const) b.read(item, 'unknown');
    expect(b.ids()).toContain('turn.leg-was-off:cannot-tell');
    expect(moves(b)).not.toContain(SHIFT);
  });
});

describe('while work goes on by itself', () => {
  const now = (b: Bench): string[] => b.assessed().moves.flatMap((m) => (m.waits || m.class < 3 ? [] : [m.title]));
  it('a power head that is away is neither run, cranked nor handed over', () => {
    const b = ranWell(two).done('overhaul');
    expect(now(b).join(' | ')).not.toMatch(/Run it|Start lock|Hand-over|Prove it/);
    expect(now(b).join(' | ')).toMatch(/Wait: overhaul/);
  });
  it('and it is back when what proves it is read; the leg alone is shifted meanwhile', () => {
    expect(now(ranWell(two).done('bent-rod').wait(5).read('turn.forward', 'follows')).join(' | ')).toMatch(
      /Wait: send/
    );
    const b = ranWell(two)
      .done('overhaul')
      .wait(48)
      .psi([[1, 118]]);
    expect(now(b)[0]).toBe('Compression of every cylinder, the head back on');
    expect(now(b).join(' | ')).not.toMatch(/Wait: overhaul/);
  });
  it('water ways that soak are not run through; grease that works in keeps nobody from a run', () => {
    expect(now(ranWell(two).done('descale')).join(' | ')).not.toMatch(/Run it|Prove it on a run/);
    expect(now(ranWell(two).done('descale').wait(2)).join(' | ')).toMatch(/Run it again/);
    expect(now(readyToRun(two).done('structure')).join(' | ')).toMatch(/First run on water/);
  });
});
