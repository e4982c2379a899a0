import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { jobs, moves, ran, readyToRun } from './all-good.ts';
import { two } from './engines.ts';

/** Everything along the fuel line was seen good before it ran, and then it died: a look missed it. */
const died = (): Bench => ran(readyToRun(two), 'died', (b) => b.read('fuel.dies', 'minutes'));

describe('a bulb sucked flat, with everything upstream seen good before', () => {
  const flat = (): Bench => died().read('fuel.revived', 'no').read('fuel.vent', 'open').read('fuel.bulb', 'flat');
  it('it is fuel, and what was looked at before it died is looked at once more: nothing is mended for what is left over', () => {
    const b = flat();
    expect(b.said('fuel.dies')).toMatch(/pick-up or anti-siphon/);
    expect(b.said('fuel.dies')).not.toMatch(/Spark/);
    expect(jobs(b)).not.toContain('pick-up');
    expect(moves(b)[0]).toBe('On a portable tank');
    expect(moves(b.read('fuel.portable', 'fine'))[0]).toMatch(/^Line vacuum at the pump/);
  });
  it('seen good once more, it lies there all the same: said so, and the other tank stays', () => {
    const b = flat().read('fuel.portable', 'fine').read('fuel.pickup', 'clear').read('fuel.hose', 'supple');
    b.read('fuel.filter', 'clean').read('fuel.couplings', 'tight');
    expect(b.said('fuel.dies')).toMatch(/on the tank’s side.*one of them missed it/);
    expect(moves(b).join(' | ')).not.toMatch(/[Ss]park at once|Let it die again/);
  });
  it('found at the second look, it is the pick-up', () => {
    expect(jobs(flat().read('fuel.pickup', 'blocked'))).toContain('pick-up');
  });
});

it('revived by squeezing, with pump and joints seen good since: one of them, and not the spark', () => {
  const b = died().read('fuel.revived', 'yes').read('fuel.pump', 'good').read('fuel.hose', 'supple');
  b.read('fuel.couplings', 'tight').read('fuel.filter', 'clean');
  expect(b.said('fuel.dies')).toMatch(/pump, hose and joints were seen good/);
});

it('line vacuum that rose since says nothing by what the open cap showed before it rose', () => {
  const b = died().read('fuel.vacuumSpeed', 20_000);
  expect(b.said('fuel.vacuum-vent')).toBe('');
  expect(jobs(b)).not.toContain('fuel-open');
  expect(moves(b).slice(0, 2).join(' | ')).toMatch(/fill cap open/);
  b.read('fuel.vacuumOpen', 3000);
  expect(b.said('fuel.vacuum-vent')).not.toBe('');
});
