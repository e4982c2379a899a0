import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { moves, ranWell, readyToRun } from './all-good.ts';
import { two } from './engines.ts';

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
