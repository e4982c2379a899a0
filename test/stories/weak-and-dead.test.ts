import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { moves, readyToRun } from './all-good.ts';
import { two } from './engines.ts';

/** Cylinder 2 dead through the tester and good to a bolt; cylinder 1 weak, or good. */
const dead = (first: 'weak' | 'good'): Bench => {
  const b = readyToRun(two, 'neglected', ['spark']).read('spark.lanyard', 'yes');
  for (const [cylinder, value] of [
    [1, first],
    [2, 'none'],
    [3, 'good']
  ] as const)
    b.read('spark.result', value, { cylinder, conditions: { path: 'tester', light: 'shade', rpm: 400, volts: 12 } });
  for (const cylinder of [1, 2])
    b.read('spark.leadLook', 'whole', { cylinder })
      .read('spark.coilLook', 'whole', { cylinder })
      .read('spark.stray', 'none', { cylinder });
  return b.read('spark.result', 'good', { cylinder: 2, conditions: { path: 'bolt', light: 'shade' } });
};
const swapLead = (b: Bench) => b.assessed().moves.filter((m) => /Swap its lead/.test(m.title));

describe('a lead swapped on a cylinder that sparks to a bolt only', () => {
  it('has been swapped: what is dead through the tester is dead', () => {
    const b = dead('good');
    for (let k = 0; k < 6 && swapLead(b).length; k++) b.read('spark.leadSwap', 'stays');
    expect(swapLead(b)).toEqual([]);
    expect(b.survey.readings.filter((r) => r.what === 'spark.leadSwap').length).toBeLessThan(2);
  });
});

describe('one cylinder weak beside one that is dead', () => {
  it('is not searched with the trials of the dead one', () => {
    for (const m of dead('weak')
      .assessed()
      .moves.filter((x) => x.id.startsWith('ask:spark.weak:')))
      expect(m.title).not.toMatch(/^Swap its lead/);
    expect(moves(dead('weak')).length).toBeGreaterThan(0);
  });
});

describe('one cylinder that stays dead whatever was swapped and renewed', () => {
  const swapped = (): Bench => {
    const b = dead('good').read('spark.result', 'none', { cylinder: 2, conditions: { path: 'bolt', light: 'shade' } });
    for (const item of ['spark.leadSwap', 'spark.coilSwap', 'spark.plugSwap'] as const)
      b.read(item, 'stays', { cylinder: 2 });
    return b.read('spark.packSwap', 'still').read('spark.triggerTest', 'within').read('spark.chargeTest', 'within');
  };
  it('is somebody else’s, and is not run to see', () => {
    let b = swapped();
    // What else is asked of it is looked at and shows nothing, and the work on it helps nothing.
    for (let k = 0; k < 12; k++) {
      const m = b
        .assessed()
        .moves.find((x) => x.station === 'spark' && !x.waits && x.kind !== 'ask' && !x.id.startsWith('gate'));
      if (!m) break;
      b = m.kind === 'job' ? b.done(m.job!).wait(0.2) : b;
      for (const item of m.items ?? []) if (item !== 'spark.result') b.read(item, 'unknown' as never, { cylinder: 2 });
      b.wait(0.3);
      for (const [cylinder, value] of [
        [1, 'good'],
        [2, 'none'],
        [3, 'good']
      ] as const)
        b.read('spark.result', value, {
          cylinder,
          conditions: { path: 'tester', light: 'shade', rpm: 400, volts: 12 }
        });
    }
    const list = b.assessed().moves;
    const stop = list.find((m) => m.kind === 'ask' && m.station === 'spark');
    expect(stop?.title).toMatch(/cylinder 2 stays without spark|Stop: done .*not cured/);
    expect(list.find((m) => m.id === 'look:run' && !m.waits)).toBeUndefined();
  });
});
