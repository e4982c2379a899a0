import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { moves } from './all-good.ts';

describe('gear oil drained from a case of which nobody knows what it holds', () => {
  const drained = (volume: number): Bench => new Bench({ strokes: 'two' }).read('gear.drained', volume);

  it('nothing is nothing, whatever it holds', () => {
    expect(drained(0).ids()).toContain('gear.amount:fault');
    expect(drained(0).holds()).toEqual(expect.arrayContaining(['gear-case', 'gear-water']));
    expect(moves(drained(0)).slice(0, 2)).toEqual([
      'Wipe the magnet and name what is on it',
      'Case test, low stage first, shafts turned'
    ]);
  });

  it('a little is not judged without its capacity', () => {
    expect(drained(0.05e-3).ids()).toContain('gear.amount:cannot-tell');
  });

  it('a look that showed none is believed beside it', () => {
    expect(drained(0.02e-3).read('gear.look', 'none').ids()).toContain('gear.amount:fault');
  });
});
