import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import type { Bench } from '../case.ts';
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
    expect(b.said('compression.low.2')).toMatch(/So do all of its bank \(2, 4 and 6\)/);
    const said = moves(b).join('\n');
    expect(said).not.toMatch(/Compression again/);
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
          expect.stringMatching(/all of its bank/)
        ]);
  });
});
