import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { magneto, tester, two } from './engines.ts';

describe('to a bolt only, beside one that sparks through the tester', () => {
  const bolt = (): Bench =>
    readyToRun(two, 'neglected', ['spark'])
      .read('spark.lanyard', 'yes')
      .read('spark.result', 'good', { cylinder: 1, ...tester })
      .read('spark.result', 'none', { cylinder: 2, ...tester })
      .read('spark.result', 'good', { cylinder: 3, ...tester })
      .read('spark.result', 'good', { cylinder: 2, conditions: { path: 'bolt' } });
  it('the ground is tried before it is cleaned', () => {
    expect(moves(bolt())[0]).toMatch(/^Tester on bright metal/);
    expect(jobs(bolt())).not.toContain('ground');
    expect(jobs(bolt().read('spark.groundWire', 'returns'))).toContain('ground');
  });
  it('where nobody could tell, it is not asked for again, and the work is there', () => {
    const b = bolt().read('spark.groundWire', 'unknown');
    expect(moves(b).join()).not.toMatch(/Tester on bright metal/);
    expect(jobs(b)).toContain('ground');
  });
  it('tried in vain it is weak of its own', () => {
    const b = bolt().read('spark.groundWire', 'still');
    expect(b.ids()).toContain('spark.weak.2:fault');
    expect(jobs(b)).not.toContain('ground');
    expect(moves(b)[0]).toMatch(/^Look at lead, cap and coil of cylinder 2/);
  });
  it('a lead that took the fault along has answered it: it is renewed, and no ground is tried', () => {
    const b = bolt().read('spark.leadSwap', 'moves', { cylinder: 2 });
    expect(b.ids()).toContain('spark.own-lead.2:fault');
    expect(b.ids().join()).not.toMatch(/spark\.ground/);
    expect(jobs(b)).toContain('lead');
    expect(moves(b).join()).not.toMatch(/Tester on bright metal/);
  });
  const lone = (): Bench =>
    readyToRun(magneto, 'neglected', ['spark'])
      .read('spark.lanyard', 'yes')
      .read('spark.result', 'none', { cylinder: 1, ...tester })
      .read('spark.result', 'good', { cylinder: 1, conditions: { path: 'bolt' } });
  it('of a single as well: tried, and cleaned where that helps', () => {
    expect(jobs(lone())).not.toContain('ground');
    expect(moves(lone())[0]).toMatch(/^Tester on bright metal/);
    expect(jobs(lone().read('spark.groundWire', 'returns'))).toContain('ground');
    const vain = lone().read('spark.groundWire', 'still');
    expect(vain.ids()).toContain('spark.weak.1:fault');
    expect(jobs(vain)).not.toContain('ground');
  });
  it('of all of them, with the ground tried in vain, it is weak on all: what they share', () => {
    const b = readyToRun(two, 'neglected', ['spark']).read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2, 3]) b.read('spark.result', 'none', { cylinder, ...tester });
    for (const cylinder of [1, 2, 3]) b.read('spark.result', 'good', { cylinder, conditions: { path: 'bolt' } });
    expect(moves(b)[0]).toMatch(/^Tester on bright metal/);
    expect(b.said('spark.ground.1')).not.toMatch(/points/);
    b.read('spark.groundWire', 'still');
    expect(b.ids()).toContain('spark.weak-all:fault');
    expect(jobs(b)).not.toContain('ground');
    expect(moves(b)[0]).toMatch(/^Charge coil/);
    expect(b.said('spark.weak-all')).not.toMatch(/engine ground/);
  });
});
