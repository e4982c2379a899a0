import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { Bench } from '../case.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

const belted: Profile = { ...four, camDrive: 'belt' };
const psi = (b: Bench, list: readonly (readonly [number, number])[]): Bench => b.wait(0.1).psi(list);
const of = (b: Bench, start: string): string[] => b.ids().filter((f) => f.startsWith(start));
const tight = (b: Bench, cylinders: readonly number[]): Bench =>
  cylinders.reduce((x, cylinder) => x.read('compression.leakdown', 0.05, { cylinder }), b);

describe('every cylinder low, and every one tight', () => {
  const low = (profile: Profile): Bench => {
    const b = readyToRun(profile, 'neglected', ['compression', 'turn']);
    const all = ([1, 2, 3, 4] as const).map((k) => [k, 70] as const);
    return tight(psi(psi(b, all), all), [1, 2, 3, 4]);
  };
  it('a belt drives its valves: it is not sound before the marks were seen', () => {
    const b = low(belted);
    expect(of(b, 'compression.figure')).toEqual(['compression.figure:cannot-tell']);
    expect(b.said('compression.figure')).toMatch(/marks of its belt/);
    expect(moves(b).slice(0, 2)).toContain('Timing belt and its marks');
    expect(of(b.read('turn.belt', 'sound'), 'compression.figure')).toEqual(['compression.figure:sound']);
  });
  it('nobody could tell of the belt: asked once, and proved by nothing', () => {
    const b = low(belted).read('turn.belt', 'unknown');
    expect(of(b, 'compression.figure')).toEqual(['compression.figure:cannot-tell']);
    expect(moves(b).slice(0, 2)).not.toContain('Timing belt and its marks');
  });
  it('a belt that had jumped was set: the needle is read again, and what it reads then counts', () => {
    const b = low(belted).read('turn.belt', 'slack').wait(1).done('belt').read('turn.belt', 'renewed');
    expect(of(b, 'compression.figure')).toEqual(['compression.figure-belt:cannot-tell']);
    expect(moves(b)[0]).toBe('Compression again, its belt on the marks');
    const again = psi(
      b,
      ([1, 2, 3, 4] as const).map((k) => [k, 175])
    );
    expect(of(again, 'compression.figure')).toEqual([]);
  });
  it('one of them told by neither gauge nor air: nobody says that every one is tight', () => {
    const b = readyToRun({ ...four, camDrive: 'gears' }, 'neglected', ['compression']);
    const some = tight(
      psi(
        psi(b, [
          [1, 70],
          [2, 70]
        ]),
        [
          [1, 70],
          [2, 70]
        ]
      ),
      [1, 2]
    );
    expect(of(some, 'compression.figure')).toEqual(['compression.figure:cannot-tell']);
    expect(some.said('compression.figure')).not.toMatch(/every cylinder tight/);
  });
  it('gears turn them: what the gauge read low was the gauge or the cranking', () => {
    expect(of(low({ ...four, camDrive: 'gears' }), 'compression.figure')).toEqual(['compression.figure:sound']);
  });
});

describe('one that is low and tight', () => {
  const low = (profile: Profile, cylinders: number): Bench => {
    const list = Array.from({ length: cylinders }, (_, k) => [k + 1, k === 1 ? 80 : 175] as const);
    const b = readyToRun({ ...profile, cylinders }, 'neglected', ['compression', 'turn']).read('turn.result', 'free');
    return tight(psi(psi(b, list), list), [2]);
  };
  it('is read once more after the air, and not for ever', () => {
    const b = low(belted, 4);
    expect(moves(b)[0]).toMatch(/^Compression again of cylinder 2/);
    psi(b, [[2, 81]]);
    expect(moves(b).join('\n')).not.toMatch(/^Compression again/m);
    expect(moves(b)[0]).toBe('Valve lash of cylinder 2');
    b.read('compression.lashIn', 2e-4, { cylinder: 2 }).read('compression.lashEx', 2e-4, { cylinder: 2 });
    expect(moves(b)[0]).toBe('Timing belt and its marks');
    b.read('turn.belt', 'sound');
    expect(moves(b)[0]).toBe('Every piston’s depth at top');
  });
  it('of a two-stroke: no lash and no valves, but how far its piston rises', () => {
    const b = psi(low(two, 3), [[2, 81]]);
    expect(b.said('compression.low.2')).not.toMatch(/valve|lash/i);
    expect(moves(b)[0]).toBe('Every piston’s depth at top');
    expect(moves(b)).not.toContain('Listen where the air comes out of cylinder 2');
  });
  it('is repaired for nothing', () => {
    expect(jobs(psi(low(two, 3), [[2, 81]])).filter((j) => j !== 'pump')).toEqual([]);
  });
});

describe('a leak of which nobody said where it comes out', () => {
  it('is listened to before anything is opened, and then named', () => {
    const list = [
      [1, 175],
      [2, 80],
      [3, 174],
      [4, 176]
    ] as const;
    const b = psi(psi(readyToRun(belted, 'neglected', ['compression']), list), list);
    b.read('compression.leakdown', 0.4, { cylinder: 2 });
    expect(b.said('compression.low.2')).toMatch(/listen where it comes out/);
    expect(moves(b)[0]).toBe('Listen where the air comes out of cylinder 2');
    b.read('compression.escape', ['exhaust'], { cylinder: 2 });
    expect(b.said('compression.low.2')).toMatch(/its air was heard/);
    expect(moves(b)[0]).toBe('Valve lash of cylinder 2');
  });
});

describe('a low needle, and why was seen through the plug hole', () => {
  const low = (hole: 'clean' | 'holed' | 'scored'): Bench =>
    psi(
      readyToRun(two, 'neglected', ['compression', 'plugs'])
        .read('plugs.read', ['normal'], { cylinder: 1 })
        .read('plugs.read', ['white'], { cylinder: 2 })
        .read('plugs.read', ['normal'], { cylinder: 3 })
        .read('plugs.hole', hole, { cylinder: 2 }),
      [
        [1, 118],
        [2, 30],
        [3, 119]
      ]
    );
  it('a holed crown: it is not read once more', () => {
    expect(of(low('holed'), 'compression.low')).toEqual(['compression.low.2:fault']);
    expect(moves(low('holed')).join('\n')).not.toMatch(/Compression again of cylinder 2/);
    expect(moves(low('holed')).slice(0, 2)).toContain('Leak-down of cylinder 2, and where the air comes out');
  });
  it.each(['clean', 'scored'] as const)('%s: doubted first, as ever', (hole) => {
    expect(of(low(hole), 'compression.low')).toEqual(['compression.low.2:watch']);
    expect(moves(low(hole))[0]).toMatch(/^Compression again of cylinder 2/);
  });
});

describe('a belt that has jumped, on an engine whose valves meet its pistons', () => {
  it('whatever asks to turn it by hand waits for its marks', () => {
    const b = readyToRun({ ...belted, interference: 'yes' })
      .read('run.event', 'start')
      .wait(0.1)
      .read('run.noise', 'head')
      .read('run.outcome', 'ran')
      .read('run.event', 'stop');
    expect(moves(b).slice(0, 3).join('\n')).toMatch(/^Turned by hand/m);
    b.read('turn.belt', 'slack');
    expect(moves(b)[0]).toMatch(/^Timing belt/);
    const turning = b.assessed().moves.filter((m) => /^Turned by hand|depth at top/.test(m.title));
    expect(turning.map((m) => m.waits)).toEqual(turning.map(() => 'First: the marks of the timing belt.'));
  });
});
