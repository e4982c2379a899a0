import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { four } from './engines.ts';

describe('air at a valve of a low cylinder', () => {
  const heard = (...where: ('intake' | 'exhaust')[]): Bench => {
    const b = readyToRun(four, 'neglected', ['compression']);
    for (let k = 0; k < 2; k++) for (const c of [1, 2, 3, 4]) b.psi([[c, c === 2 ? 110 : 180]]);
    return b.read('compression.leakdown', 0.55, { cylinder: 2 }).read('compression.escape', where, { cylinder: 2 });
  };
  const lash = (b: Bench, valve: 'In' | 'Ex', mm: number): Bench =>
    b.read(`compression.lash${valve}`, mm / 1000, { cylinder: 2 });

  it('the lash is asked before any valve is worked on', () => {
    const b = heard('exhaust');
    expect(moves(b)[0]).toBe('Valve lash of cylinder 2');
    expect(jobs(b)).not.toContain('valves');
  });
  it('the lash of the other valve tells nothing of it', () => {
    const b = lash(heard('exhaust'), 'In', 0.2);
    expect(moves(b)[0]).toBe('Valve lash of cylinder 2');
    expect(jobs(b)).not.toContain('valves');
  });
  it('nor does that of another cylinder', () => {
    const b = heard('exhaust').read('compression.lashEx', 0.3e-3, { cylinder: 1 });
    expect(jobs(b)).not.toContain('valves');
  });
  it('one that stands open leaves the valve', () =>
    expect(jobs(lash(heard('exhaust'), 'Ex', 0.3))).toContain('valves'));
  it('heard at both, both are measured', () => {
    const one = lash(heard('intake', 'exhaust'), 'Ex', 0.3);
    expect(jobs(one)).not.toContain('valves');
    expect(jobs(lash(one, 'In', 0.2))).toContain('valves');
  });
  it('one without lash is set, and nothing is ground', () => {
    const b = lash(heard('exhaust'), 'Ex', 0);
    expect(jobs(b)).toContain('lash');
    expect(jobs(b)).not.toContain('valves');
  });
  it('one that nobody could measure is no ground for it either', () => {
    const b = heard('exhaust').read('compression.lashEx', 'unknown', { cylinder: 2 });
    expect(jobs(b)).not.toContain('valves');
    expect(moves(b).length).toBeGreaterThan(0);
  });
});
