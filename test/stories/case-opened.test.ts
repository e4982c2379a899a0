import { describe, expect, it } from 'vitest';
import { PSI } from '../../src/core/units/factors.ts';
import type { CaseStage } from '../../src/core/stations/gear/case-test.ts';
import { Bench } from '../case.ts';
import { moves, readyToRun } from './all-good.ts';
import { two } from './engines.ts';

/** Seals that were put in since hold nothing that was read before them: the whole test is made again, and not the stage that leaked alone. */
const begins: Readonly<Record<CaseStage, number>> = { low: 4, high: 10, vacuum: -4 };
const stage = (b: Bench, at: CaseStage, ends = begins[at], turned = true): Bench => {
  const on = { conditions: { stage: at } };
  b.read('gear.casePressure', Math.abs(begins[at]) * PSI, on);
  if (turned) b.read('gear.caseTurned', 'yes', on);
  return b.wait(0.5).read('gear.casePressure', Math.abs(ends) * PSI, on);
};
const held = (b: Bench): Bench => stage(stage(stage(b, 'low'), 'high'), 'vacuum');
const milky = (): Bench =>
  readyToRun(two, 'neglected', ['gear'])
    .read('gear.first', 'oil')
    .read('gear.look', 'milky')
    .read('gear.drained', 480e-6)
    .read('gear.magnet', 'paste');
const ids = (b: Bench): string[] => b.ids().filter((id) => /^gear\.(test|case|water)/.test(id));

describe('a case that leaked at its high stage and was resealed', () => {
  const resealed = (): Bench =>
    stage(stage(stage(milky(), 'low'), 'vacuum'), 'high', 5)
      .read('gear.caseBubbles', ['propshaft'])
      .done('reseal')
      .wait(1);

  it('high held after it is one stage of three', () => {
    const b = stage(resealed(), 'high');
    expect(ids(b)).toContain('gear.test-open:cannot-tell');
    expect(ids(b)).toContain('gear.water:fault');
    expect(moves(b)[0]).toBe('Case test: the low stage now');
    expect(b.holds()).toContain('gear-water');
  });
  it('every stage held, it is tight', () => {
    expect(ids(held(resealed()))).toEqual(expect.arrayContaining(['gear.test:sound']));
  });
  it('shafts that were turned before the new seals were not turned in them', () => {
    const b = stage(stage(stage(resealed(), 'low', 4, false), 'high'), 'vacuum');
    expect(ids(b)).not.toContain('gear.test:sound');
    expect(moves(b)[0]).toBe('Case test: turn both shafts at the low stage');
  });
  it('fresh washers touch no seal: the stage that leaked is enough', () => {
    const b = stage(stage(stage(milky(), 'low'), 'vacuum'), 'high', 5);
    b.read('gear.caseBubbles', ['plugs']).read('gear.washers', 'yes');
    expect(ids(stage(b, 'high'))).toContain('gear.test:sound');
  });
});

describe('a case that held its test and was opened after it', () => {
  const opened = (): Bench =>
    held(milky()).read('gear.pressureTest', 'held').read('gear.magnet', 'slivers').done('metal');

  it('does not stand as tested: every stage again before it starts', () => {
    const b = opened();
    expect(ids(b)).toContain('gear.test-opened:cannot-tell');
    expect(ids(b)).not.toContain('gear.test:sound');
    expect(b.said('gear.test-opened')).toMatch(/was opened, and not tested since/);
    expect(moves(b)).toContain('Case test, low stage first, shafts turned');
    expect(b.assessed().ready).toBe(false);
  });
  it('tested again it does', () => {
    const b = held(opened().wait(1));
    expect(ids(b).filter((id) => id.startsWith('gear.test'))).toEqual(['gear.test:sound']);
  });
  it('one that was never tested is tested before it starts', () => {
    const b = milky().read('gear.magnet', 'slivers').done('metal');
    expect(ids(b)).toContain('gear.test-opened:cannot-tell');
  });
  it('a leak that was found before it is none until it is seen again, and no proof either', () => {
    const b = stage(milky(), 'high', 5).done('metal');
    expect(ids(b)).toContain('gear.case-high:fault');
    expect(ids(stage(b.wait(1), 'high'))).not.toContain('gear.case-high:fault');
  });
});
