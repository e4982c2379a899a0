import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { jobs, moves, ran, readyToRun } from './all-good.ts';
import { two } from './engines.ts';

const injected = { ...two, lubrication: 'injection' } as const;
const LOOK = 'Look into the oil tank';
const MOVES = 'Oil injection: whether its oil moves';
const RUN = 'First run on water, watched';

/** All that belongs to its fuel but its oil. */
const fuelled = (b: Bench): Bench => {
  for (const [k, v] of Object.entries({ level: 'some', age: 0.2, jar: 'clear', tank: 'fresh', bulb: 'firm' }))
    b.read(`fuel.${k}` as 'fuel.level', v as never);
  return b;
};
const fresh = (): Bench => fuelled(readyToRun(injected, 'neglected', ['fuel']));
const fuelGate = (b: Bench): boolean | undefined => b.assessed().gates.find((g) => g.id === 'station.fuel')?.passes;

describe('a two-stroke whose oil has a tank of its own', () => {
  it('is looked into before it runs, and watched while it does', () => {
    const titles = moves(fresh());
    expect(titles.indexOf(LOOK)).toBeGreaterThanOrEqual(0);
    expect(titles.indexOf(LOOK)).toBeLessThan(titles.indexOf(RUN));
    const b = ran(fresh().read('fuel.oilTank', 'full'), 'ran');
    expect(fuelGate(b)).toBe(false);
    expect(moves(b)).toContain(MOVES);
    expect(fuelGate(b.read('fuel.oilMoves', 'moves'))).toBe(true);
  });
  it('nobody could see into it: that lifts nothing and proves nothing', () => {
    const b = fresh().read('fuel.oilTank', 'unknown');
    expect(b.ids()).toContain('fuel.oil-tank:cannot-tell');
    expect(b.holds()).not.toContain('premix');
  });
  it.each(['empty', 'water'] as const)('%s: not started before it was filled and looked into again', (level) => {
    const b = fresh().read('fuel.oilTank', level);
    expect(b.holds()).toContain('premix');
    expect(jobs(b)).toContain('oil-tank');
    expect(moves(b)[0]).toBe('Fill the oil tank, bleed its line');
    b.done('oil-tank');
    expect(b.ids()).toContain('fuel.oil-tank:cannot-tell');
    b.read('fuel.oilTank', 'full');
    expect(b.holds()).not.toContain('premix');
    expect(jobs(b)).not.toContain('oil-tank');
  });
  it('low is filled, and holds nothing', () => {
    const b = fresh().read('fuel.oilTank', 'low');
    expect(b.holds()).not.toContain('premix');
    expect(jobs(b)).toContain('oil-tank');
  });
  it('empty, its fuel mixed: it may be tried on that, and is not signed on it', () => {
    const b = fresh().read('fuel.oilTank', 'empty').read('fuel.mix', 50);
    expect(b.holds()).not.toContain('premix');
    expect(jobs(b)).toContain('oil-tank');
    expect(fuelGate(b)).toBe(false);
  });
  it('water in the oil tank is not made up for by oil in the fuel', () => {
    expect(fresh().read('fuel.oilTank', 'water').read('fuel.mix', 50).holds()).toContain('premix');
  });
  it('found empty after it ran: filled, and its cylinders are read again', () => {
    const b = ran(fresh(), 'ran').read('fuel.oilTank', 'empty');
    expect(b.said('compression.ran-dry')).toMatch(/without its oil/);
    b.done('oil-tank').read('fuel.oilTank', 'full');
    expect(b.said('compression.ran-dry')).toMatch(/without its oil/);
    expect(moves(b).some((m) => /^Compression of every cylinder once more/.test(m) || /does it drag/.test(m))).toBe(
      true
    );
  });
  it('mixed before it ran, an empty oil tank harmed nothing', () => {
    const b = ran(fresh().read('fuel.mix', 50), 'ran').read('fuel.oilTank', 'empty');
    expect(b.said('compression.ran-dry')).toBe('');
  });
  it('found empty and filled before it ran: that run had its oil', () => {
    const b = ran(fresh().read('fuel.oilTank', 'empty').done('oil-tank').read('fuel.oilTank', 'full'), 'ran');
    expect(b.said('compression.ran-dry')).toBe('');
  });
  it('its oil does not move: not run again on plain fuel, mended, watched again', () => {
    const b = ran(fresh().read('fuel.oilTank', 'full'), 'ran').read('fuel.oilMoves', 'still');
    expect(b.holds()).toContain('premix');
    expect(b.said('compression.ran-dry')).toMatch(/without its oil/);
    expect(jobs(b)).toContain('oil-feed');
    expect(b.read('fuel.mix', 50).holds()).not.toContain('premix');
    // What is mixed now helped no run before.
    expect(b.said('compression.ran-dry')).toMatch(/without its oil/);
    b.done('oil-feed').read('fuel.oilMoves', 'moves');
    expect(jobs(b)).not.toContain('oil-feed');
  });
  it('injection taken out: it is asked how it is mixed', () => {
    const b = fresh().read('fuel.oilTank', 'not-fitted');
    expect(b.said('fuel.mix')).toMatch(/Nobody said how much oil/);
    expect(moves(b)).toContain('How much oil is in its fuel, by whoever mixed it');
    expect(moves(b)).not.toContain(LOOK);
    expect(b.read('fuel.tankOil', 'plain').holds()).toContain('premix');
  });
  it('no word of it on a premix engine or a four-stroke', () => {
    for (const p of [
      { ...two, lubrication: 'premix', premixRatio: 50 },
      { ...two, strokes: 'four' }
    ] as const)
      expect(moves(fuelled(readyToRun(p, 'neglected', ['fuel']))).join(' | ')).not.toMatch(/oil tank|its oil moves/i);
  });
});

describe('a two-stroke of which nobody said how it gets its oil', () => {
  const unsaid = (): Bench => fuelled(readyToRun(two, 'neglected', ['fuel']));
  it('is looked at for an oil tank before it runs', () => {
    const b = unsaid();
    expect(b.said('fuel.mix')).toMatch(/with its fuel, or from a tank of its own/);
    const titles = moves(b);
    expect(titles.indexOf('Whether it has an oil tank')).toBeGreaterThanOrEqual(0);
    expect(titles.indexOf('Whether it has an oil tank')).toBeLessThan(titles.indexOf(RUN));
    expect(moves(b.read('fuel.oilTank', 'unknown'))).toContain('How much oil is in its fuel, by whoever mixed it');
  });
  it('ran well, it got its oil somehow: it goes back without anybody knowing how, but not on fuel that was told to have none', () => {
    const b = ran(unsaid(), 'ran');
    expect(b.said('fuel.mix')).toBe('');
    expect(fuelGate(b)).toBe(true);
    expect(b.read('fuel.tankOil', 'plain').said('fuel.mix')).not.toBe('');
  });
  it('a full oil tank answers it, and so does a mixture', () => {
    expect(unsaid().read('fuel.oilTank', 'full').said('fuel.mix')).toBe('');
    expect(unsaid().read('fuel.mix', 50).said('fuel.mix')).toMatch(/Mixed 50:1/);
  });
  it('plain fuel in it: held until somebody finds an oil tank, and no fault before', () => {
    const b = unsaid().read('fuel.tankOil', 'plain');
    expect(b.holds()).toContain('premix');
    expect(b.ids()).toContain('fuel.mix:cannot-tell');
    expect(moves(b)).toContain('Whether it has an oil tank');
    expect(b.read('fuel.oilTank', 'full').holds()).not.toContain('premix');
    expect(b.read('fuel.oilTank', 'not-fitted').ids()).toContain('fuel.mix:fault');
  });
});
