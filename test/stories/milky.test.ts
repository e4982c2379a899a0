import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { jobs, moves, ran, readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

/** Water in oil: what it explains, and when it counts as cured. */
const milky = (mark: 'above' | 'below' = 'above'): Bench =>
  readyToRun(four, 'neglected', ['oil'])
    .read('oil.level', 'yes')
    .read('oil.waited', 20)
    .read('oil.look', 'milky')
    .read('oil.dip', mark)
    .read('oil.dip', mark)
    .wait(0.3);
const changedAndClear = (): Bench =>
  milky().done('sump-water').wait(0.5).read('oil.look', 'clean').read('oil.dip', 'between').read('oil.dip', 'between');
const gate = (b: Bench): boolean | undefined => b.assessed().gates.find((g) => g.id === 'station.oil')?.passes;

describe('engine oil that is milky', () => {
  it('over the mark, the water is why: nobody is asked what was poured in', () => {
    const b = milky();
    expect(moves(b)[0]).toMatch(/^Drain the sump/);
    expect(moves(b).join(' | ')).not.toMatch(/poured in|after that fill|Smell/);
    expect(b.said('oil.level-milky')).toMatch(/above the high mark.*water in it stands there too/);
  });
  it('dipped once, it is not dipped again before it is drained', () => {
    const b = readyToRun(four, 'neglected', ['oil']).read('oil.dip', 'above').read('oil.look', 'milky');
    expect(moves(b)[0]).toMatch(/^Drain the sump/);
    expect(b.ids()).not.toContain('oil.dip');
    expect(b.holds()).toContain('oil');
  });
  it('under the mark, it is drained and not filled up', () => {
    expect(jobs(milky('below'))).toContain('sump-water');
    expect(jobs(milky('below'))).not.toContain('oil-level');
  });
  it('told to be overfilled, it is that as well', () => {
    const b = milky().read('oil.lastFill', 9e-3).read('oil.lastMark', 'above').read('oil.smell', 'oil');
    expect(b.said('oil.dip')).not.toMatch(/cannot be told/);
  });
  it('ticked as changed, it is no more asked to be drained; who dips it looks at it', () => {
    const b = milky().done('sump-water').wait(0.5);
    expect(b.holds()).not.toContain('milky-oil');
    expect(b.ids()).not.toContain('oil.milky');
    b.read('oil.dip', 'between').read('oil.dip', 'between');
    expect(moves(b)[0]).toBe('Look at the oil once more: is it clear?');
    expect(gate(b)).toBe(false);
    b.read('oil.look', 'unknown');
    expect(gate(b)).toBe(false);
    expect(b.assessed().moves.find((m) => m.title === 'Look at the oil once more: is it clear?')?.class).toBe(9);
  });
  it('clear before a run is not cured: what comes in while it runs shows after one', () => {
    const b = changedAndClear();
    expect(b.said('oil.milky-before')).toMatch(/only after a run/);
    expect(moves(b).join(' | ')).not.toMatch(/Look at the oil once more/);
    ran(b, 'ran');
    expect(moves(b)[0]).toBe('Look at the oil once more: is it clear?');
    expect(gate(b)).toBe(false);
    b.wait(0.2).read('oil.look', 'clean');
    expect(b.said('oil.milky-before')).toBe('');
    expect(gate(b)).toBe(true);
  });
  it('seen milky in the pan, the new oil is looked at after a run all the same', () => {
    const b = readyToRun({ ...four, sumpWithFilter: 4e-3 }, 'neglected', ['oil'])
      .read('oil.drained', 3.9e-3)
      .wait(0.1)
      .read('oil.look', 'milky')
      .wait(0.2)
      .read('oil.poured', 3.8e-3)
      .wait(0.5)
      .read('oil.level', 'yes')
      .read('oil.waited', 20)
      .read('oil.dip', 'between')
      .read('oil.dip', 'between');
    expect(b.ids()).not.toContain('oil.milky');
    expect(moves(b)[0]).toBe('Look at the oil once more: is it clear?');
    b.read('oil.look', 'clean');
    ran(b, 'ran');
    expect(moves(b)[0]).toBe('Look at the oil once more: is it clear?');
    expect(b.wait(0.1).read('oil.look', 'clean').said('oil.milky-before')).toBe('');
  });
  it('milky once more after it was changed, the way in is looked for', () => {
    const b = changedAndClear();
    ran(b, 'ran').wait(0.2).read('oil.look', 'milky');
    expect(moves(b).slice(0, 2)).toContain('Leak-down, the water jacket watched');
    expect(b.holds()).toContain('milky-oil');
  });
});

describe('gear oil of which more came out than the case holds', () => {
  const drained = (m3: number): Bench =>
    readyToRun(two, 'neglected', ['gear'])
      .read('gear.first', 'oil')
      .read('gear.look', 'milky')
      .read('gear.drained', m3);
  it('is not drained any longer: it all came, and the rest is water', () => {
    expect(moves(drained(5.6e-4)).join(' | ')).not.toMatch(/drain longer/);
    expect(moves(drained(5.6e-4))[0]).toMatch(/^Case test/);
    expect(moves(drained(4.2e-4)).join(' | ')).toMatch(/drain longer/);
  });
});

describe('engine oil that rises with nothing poured in', () => {
  const dipped = (from: number | 'between', to: number | 'above'): Bench => {
    const b = readyToRun(four, 'neglected', ['oil'])
      .read('oil.level', 'yes')
      .read('oil.waited', 20)
      .read('oil.look', 'clean');
    const dip = (v: number | 'between' | 'above'): void =>
      void (typeof v === 'number'
        ? b.read('oil.dipAt', v).read('oil.dipAt', v)
        : b.read('oil.dip', v).read('oil.dip', v));
    dip(from);
    ran(b, 'ran').wait(0.5);
    dip(to);
    return b;
  };
  it('is fuel that came in: its own dips say where it stood, and nobody is asked', () => {
    const b = dipped('between', 'above').read('oil.smell', 'strong');
    expect(b.said('oil.dip')).toMatch(/fuel rather than overfilling.*nothing was poured in, and it has risen/);
    expect(moves(b).join(' | ')).not.toMatch(/after that fill|poured in at/);
  });
  it('by no more than two dips differ, it has not risen; filled between, it was the filling', () => {
    expect(dipped(0.0119, 0.0136).said('oil.dip')).not.toMatch(/it has risen/);
    expect(dipped(0.009, 0.0136).said('oil.dip')).toMatch(/it has risen/);
    const filled = dipped('between', 'above')
      .read('oil.poured', 0.5e-3)
      .read('oil.dip', 'above')
      .read('oil.dip', 'above');
    expect(filled.said('oil.dip')).not.toMatch(/it has risen/);
  });
});
