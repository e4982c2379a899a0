import { describe, expect, it } from 'vitest';
import { Bench } from '../case.ts';
import { four, two } from './engines.ts';

/** Oil goes in and comes out: what is in it now is what the stick and the level hole say, never the jug alone. */
const sump = { ...four, sumpWithFilter: 2.8e-3, sumpWithoutFilter: 2.6e-3 };
const below = (profile = sump): Bench =>
  new Bench(profile).read('oil.level', 'yes').read('oil.waited', 900).read('oil.dip', 'below').read('oil.dip', 'below');
const first = (b: Bench): string => b.assessed().moves.find((m) => m.station === 'oil')?.title ?? '';

describe('engine oil', () => {
  it('topped up from below the mark, nobody is told to pour a whole sump', () => {
    const b = below().read('oil.poured', 0.3e-3);
    expect(b.said('oil.')).not.toMatch(/to go/);
    expect(b.said('oil.poured')).toMatch(/not dipped since/);
    expect(first(b)).toBe('Wait, dip twice');
  });

  it('drained, it is filled before anything else; what is to go is told by the tally', () => {
    const b = below().read('oil.drained', 2.5e-3);
    expect(b.ids()).toContain('oil.unfilled:watch');
    expect(first(b)).toMatch(/^Fill the engine oil/);
    expect(b.holds()).toContain('oil');
    expect(b.read('oil.poured', 1e-3).said('oil.poured')).toMatch(/to go/);
  });

  it('some drawn off to bring it down is not a drained sump', () => {
    const b = new Bench(sump).read('oil.level', 'yes').read('oil.dip', 'above').read('oil.dip', 'above');
    b.read('oil.drained', 0.3e-3);
    expect(b.ids()).not.toContain('oil.unfilled:watch');
    expect(b.said('oil.poured')).toMatch(/drawn off/);
    expect(first(b)).toBe('Wait, dip twice');
  });

  it('drawn off in several goes until it is empty, it is drained', () => {
    const b = new Bench(sump).read('oil.dip', 'above').read('oil.dip', 'above');
    b.read('oil.drained', 0.9e-3).read('oil.drained', 0.9e-3);
    expect(b.ids()).toContain('oil.unfilled:watch');
  });

  it('poured into an engine whose sump nobody knows, it is dipped before it counts', () => {
    const b = new Bench(four).read('oil.drained', 2.5e-3).read('oil.poured', 2.5e-3);
    expect(b.ids()).toContain('oil.poured:cannot-tell');
    b.read('oil.level', 'yes').read('oil.waited', 900).read('oil.dip', 'between').read('oil.dip', 'between');
    expect(b.ids().filter((id) => id.startsWith('oil.') && !id.endsWith(':sound'))).toEqual([]);
  });
});

describe('gear oil', () => {
  it('some pumped into a drained case is no full case', () => {
    const b = new Bench(two).read('gear.drained', 0.5e-3).read('gear.poured', 0.3e-3);
    expect(b.holds()).toContain('gear-case');
    b.read('gear.poured', 0.2e-3).read('gear.levelHole', 'bubbleFree');
    expect(b.holds()).not.toContain('gear-case');
  });

  it('out of the level hole at half its capacity: air is trapped under it, and it stays held', () => {
    const b = new Bench(two).read('gear.drained', 0.5e-3).read('gear.poured', 0.2e-3);
    expect(b.read('gear.levelHole', 'bubbleFree').holds()).toContain('gear-case');
  });

  it('a case of unknown capacity is full by the level hole', () => {
    const { gearCapacity: _, ...unknown } = two;
    const b = new Bench(unknown).read('gear.drained', 0.5e-3).read('gear.poured', 0.4e-3);
    expect(b.ids()).toContain('gear.poured:cannot-tell');
    expect(b.holds()).toContain('gear-case');
    expect(b.read('gear.levelHole', 'bubbleFree').holds()).not.toContain('gear-case');
  });
});
