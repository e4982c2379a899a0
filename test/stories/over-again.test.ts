import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

describe('oil over its mark, drawn down, and over it again', () => {
  const above = (b: Bench): Bench =>
    b.read('oil.level', 'yes').read('oil.waited', 900).read('oil.dip', 'above').wait(0.05).read('oil.dip', 'above');
  const overfilled = (): Bench =>
    above(readyToRun({ ...four, fuelSystem: 'carburettor' }, 'neglected', ['oil']))
      .read('oil.smell', 'oil')
      .read('oil.look', 'clean');
  const FLOODS = /does it flood/;

  it('is drawn down first: overfilled costs no look at the carburettor', () => {
    expect(jobs(overfilled())).toContain('oil-level');
    expect(moves(overfilled()).filter((m) => FLOODS.test(m))).toEqual([]);
  });
  it('over it again, what fills it is looked for before it is drawn down once more', () => {
    const b = above(overfilled().done('oil-level').wait(0.3)).read('oil.smell', 'oil').read('oil.look', 'clean');
    const list = moves(b);
    const floods = list.findIndex((m) => FLOODS.test(m));
    expect(floods).toBeGreaterThanOrEqual(0);
    expect(floods).toBeLessThan(list.findIndex((m) => /^Once more: bring the engine oil right/.test(m)));
  });
});

describe('noise that is still there once the leg was opened for it', () => {
  const noisy = (b: Bench): Bench =>
    b.read('turn.plugs', 'out').read('turn.result', 'free').read('turn.feel', ['noise']);
  const opened = (): Bench =>
    noisy(
      noisy(readyToRun(two, 'neglected', ['turn']))
        .read('turn.roughNeutral', 'still')
        .read('turn.roughPinion', 'still')
        .read('turn.roughLeg', 'smooth')
        .done('metal')
        .wait(3)
    );
  it('is placed anew: what was tried before is of the leg as it was', () => {
    expect(opened().ids()).toContain('turn.feel:watch');
    expect(moves(opened())[0]).toMatch(/^Rough/);
  });
  it('placed there again, the work has failed and is not proved over and over', () => {
    const b = noisy(
      opened().read('turn.roughNeutral', 'still').read('turn.roughPinion', 'still').read('turn.roughLeg', 'smooth')
    );
    expect(b.assessed().steps.find((s) => s.id === 'metal')?.state).toBe('open');
    expect(moves(b).filter((m) => /^Prove it: turns free/.test(m))).toEqual([]);
  });
  it('heard where nobody noted the plugs, it is heard all the same', () => {
    const b = new Bench(two).read('turn.result', 'free').read('turn.feel', ['noise']);
    expect(b.ids()).toEqual(expect.arrayContaining(['turn.feel:watch', 'turn.nobumps:cannot-tell']));
  });
});
