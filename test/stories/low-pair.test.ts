import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { jobs, moves } from './all-good.ts';
import { four, two } from './engines.ts';

/** Two neighbours low in both orders, and what is said of them until their gasket is new and they are read again. */
const pair = (): Bench =>
  new Bench(four)
    .psi([
      [1, 175],
      [2, 95],
      [3, 92],
      [4, 172]
    ])
    .psi([
      [4, 172],
      [3, 93],
      [2, 96],
      [1, 174]
    ]);
const heard = (): Bench =>
  pair().read('compression.leakdown', 0.45, { cylinder: 2 }).read('compression.escape', ['neighbour'], { cylinder: 2 });

describe('neighbours that are low', () => {
  it('say what is looked at next as the next step does: air, and no lash before it', () => {
    expect(pair().said('compression.low')).toMatch(/so is the one beside it. Leak-down next/);
    expect(pair().said('compression.low')).not.toMatch(/lash/i);
    expect(moves(pair()).filter((t) => !/safe/.test(t))[0]).toMatch(/Leak-down of cylinder 2/);
  });
  it('one that is low by itself has its lash looked at first', () => {
    const b = new Bench(four);
    for (let k = 0; k < 2; k++)
      b.psi([
        [1, 175],
        [2, 95],
        [3, 172],
        [4, 172]
      ]);
    expect(b.said('compression.low')).toMatch(/Valve lash first/);
  });
  it('air out of the other’s hole speaks for both', () => {
    expect(heard().said('compression.low.3')).toMatch(/its air was heard/);
  });
  it('the gasket renewed, both readings are of before: read again, nothing is suspected between them', () => {
    const b = heard().done('head-gasket');
    expect(b.said('compression.low.2')).toMatch(/before the work on it: read it again/);
    expect(b.ids()).toContain('compression.low.2:watch');
    expect(b.said('compression.neighbours')).toBe('');
    expect(b.ids().join()).not.toMatch(/compression\.[^,]*:fault/);
    expect(moves(b)).toContain('Prove it: cylinders alike, tight and without bubbles in the water');
  });
  it('low again after it, that proves no gasket: neither read once nor repeated', () => {
    const b = heard().done('head-gasket');
    const state = (): string | undefined => b.assessed().steps.find((x) => x.id === 'head-gasket')?.state;
    for (const condition of ['watch', 'fault']) {
      b.psi([
        [1, 175],
        [2, 96],
        [3, 93],
        [4, 172]
      ]);
      expect(b.ids()).toContain(`compression.low.2:${condition}`);
      expect(state()).toBe('done');
    }
  });
});

describe('every bore sealed by oil alike', () => {
  const wet = (years: number): Bench => {
    const b = new Bench(two, 'long-stored', { yearsIdle: years }).psi([
      [1, 82],
      [2, 80],
      [3, 84]
    ]);
    [118, 116, 119].forEach((p, k) =>
      b.read('compression.pressure', p * 6894.757, {
        cylinder: k + 1,
        conditions: { throttle: 'open', bores: 'oiled', dose: 2e-6 }
      })
    );
    return b;
  };
  it('of an engine that stood: read again dry after a soak or the run, and nothing is opened for it', () => {
    expect(wet(9).ids()).toContain('compression.wet-all:cannot-tell');
    expect(moves(wet(9))).toContain('Compression again, dry: after a day’s soak, or its first run');
    expect(jobs(wet(9)).join()).not.toMatch(/overhaul|head-gasket/);
  });
  it('of one that ran: air says whether it passes', () => {
    const list = wet(0).assessed().moves;
    expect(list.find((m) => m.items?.includes('compression.leakdown'))?.class).toBe(5);
  });
});

describe('a low cylinder that was soaked, and its air read after the oil had its day', () => {
  const soaked = (after: number): Bench => {
    const b = new Bench(two);
    for (let k = 0; k < 2; k++)
      b.psi([
        [1, 120],
        [2, 121],
        [3, 40]
      ]);
    const air = (share: number): Bench =>
      b.read('compression.leakdown', share, { cylinder: 3 }).read('compression.escape', ['crankcase'], { cylinder: 3 });
    air(0.6).done('soak').wait(25);
    return air(after);
  };
  it('that leaks as it did is condemned by its air: no needle is waited for', () => {
    expect(soaked(0.6).said('compression.low.3')).not.toMatch(/soaked since/);
    expect(moves(soaked(0.6)).join()).not.toMatch(/after the soak|a day later/);
  });
  it('that came tight is read by the needle once more', () => {
    expect(soaked(0.05).ids()).toContain('compression.low.3:cannot-tell');
    expect(moves(soaked(0.05)).join()).toMatch(/Compression again of cylinder 3/);
  });
  it('read by the needle within that day, marked dry: nothing is sound by it, it is read again a day after', () => {
    const b = new Bench(two);
    for (let k = 0; k < 2; k++)
      b.psi([
        [1, 120],
        [2, 121],
        [3, 60]
      ]);
    b.done('soak').wait(2);
    const again = (): Bench =>
      b.psi([
        [1, 120],
        [2, 121],
        [3, 113]
      ]);
    expect(again().ids()).toContain('compression.in-soak:cannot-tell');
    const state = (): string | undefined => b.judged().stations.find((s) => s.id === 'compression')?.condition;
    expect(state()).not.toBe('sound');
    expect(b.ids()).not.toContain('compression.alike:sound');
    expect(b.assessed().moves.find((m) => /a day after the soak/.test(m.title))?.kind).toBe('wait');
    b.wait(25);
    expect(again().ids()).not.toContain('compression.in-soak:cannot-tell');
  });
  it('a leak-down that nobody could tell does no work', () => {
    const b = new Bench(two);
    for (let k = 0; k < 2; k++)
      b.psi([
        [1, 120],
        [2, 121],
        [3, 60]
      ]);
    b.read('compression.leakdown', 'unknown', { cylinder: 3 });
    expect(jobs(b)).toContain('leak-down');
  });
});
