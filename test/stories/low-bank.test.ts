import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import type { Bench } from '../case.ts';
import { compareAll } from '../../src/core/stations/compression/compare.ts';
import { singleRepeat } from '../../src/core/stations/compression/repeat.ts';
import { moves, readyToRun } from './all-good.ts';
import { four } from './engines.ts';

const six: Profile = { ...four, cylinders: 6, layout: 'v', displacement: 2.5e-3 };

describe('cylinders of a V that read low and hold their air', () => {
  const tight = (low: readonly number[], profile: Profile = { ...six, camDrive: 'belt' }): Bench => {
    const b = readyToRun(profile, 'neglected', ['compression', 'turn']);
    b.read('turn.result', 'free').read('turn.bumps', 6);
    for (let c = 1; c <= 6; c++) b.psi([[c, low.includes(c) ? 125 : 180]]);
    for (let c = 1; c <= 6; c++) b.read('compression.leakdown', 0.06, { cylinder: c });
    return b;
  };
  it('the whole of one bank: how its valves are timed comes first, and no cylinder is read once more', () => {
    const b = tight([2, 4, 6]);
    expect(b.said('compression.low.2')).toMatch(/All of its bank \(2, 4 and 6\) reads so/);
    const said = moves(b).join('\n');
    expect(said).not.toMatch(/Compression again/);
    const { context } = b.assessed();
    expect(singleRepeat(context, compareAll(context)!).kind).toBe('tight');
    expect(said.indexOf('Timing belt and its marks')).toBeGreaterThan(-1);
    expect(said.indexOf('Timing belt and its marks')).toBeLessThan(said.indexOf('Valve lash'));
  });
  it('with a chain, whose marks have no look of their own, the lash is next and the sentence says the rest', () => {
    const b = tight([1, 3, 5], { ...six, camDrive: 'chain' });
    expect(b.said('compression.low.1')).toMatch(/by the marks of its drive/);
    expect(moves(b).join()).toMatch(/Valve lash/);
  });
  it('two of a bank, or some of both, are each their own', () => {
    for (const low of [
      [2, 4],
      [1, 2],
      [1, 2, 4, 6]
    ])
      for (const c of low)
        expect([low, tight(low).said(`compression.low.${c}`)]).not.toEqual([
          low,
          expect.stringMatching(/All of its bank/)
        ]);
  });
});

describe('the sheet says the same as the list of what to do now', () => {
  const sheet = (b: Bench): string => {
    const { context } = b.assessed();
    return singleRepeat(context, compareAll(context)!).kind;
  };
  const lone = (): Bench => {
    const b = readyToRun(four, 'neglected', ['compression']);
    for (const c of [1, 2, 3, 4]) b.psi([[c, c === 3 ? 120 : 180]]);
    return b;
  };
  const air = (b: Bench): Bench => {
    for (const c of [1, 2, 3, 4]) b.read('compression.leakdown', 0.05, { cylinder: c });
    return b;
  };
  it('low once, then tight: it is read again', () => {
    const b = air(lone());
    expect(moves(b)[0]).toMatch(/^Compression again of cylinder 3/);
    expect(sheet(b)).toBe('lowest');
  });
  it('low twice before it was found tight: once more after it', () => {
    const b = air(lone().psi([[3, 119]]));
    expect(moves(b)[0]).toMatch(/^Compression again of cylinder 3/);
    expect(sheet(b)).toBe('lowest');
  });
  it('and low once more: no reading tells more, and no oil is put in', () => {
    const b = air(lone()).psi([[3, 119]]);
    expect(moves(b).join()).not.toMatch(/Compression again|Wet test/);
    expect(sheet(b)).toBe('tight');
  });
});
