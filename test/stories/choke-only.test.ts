import { expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { moves, readyToRun } from './all-good.ts';
import { magneto, two } from './engines.ts';

const fuelled = (profile: Parameters<typeof readyToRun>[0]): Bench => {
  const b = readyToRun(profile, 'neglected', ['fuel']);
  for (const [k, v] of Object.entries({ level: 'full', age: 0.2, jar: 'clear', tank: 'fresh', vent: 'open', mix: 50 }))
    b.read(`fuel.${k}` as 'fuel.level', v as never);
  for (const [k, v] of Object.entries({
    hose: 'supple',
    couplings: 'tight',
    filter: 'clean',
    bowlLook: 'clean',
    jets: 'clear'
  }))
    b.read(`fuel.${k}` as 'fuel.level', v as never);
  return b.read('fuel.dies', 'minutes').read('fuel.chokeOnly', 'yes');
};

it('a gravity-fed single is asked for no fuel pump', () => {
  const b = fuelled({ ...magneto, strokes: 'two', fuelSystem: 'carburettor', supply: 'gravity' });
  for (const answer of ['same', 'unknown'] as const)
    expect(moves(b.read('run.air', answer)).join(' | ')).not.toMatch(/fuel pump|bulb|portable/i);
});

it('on its choke only, no air at the intake and every jet seen clear before: a jet is looked at once more', () => {
  const b = fuelled({ ...two, supply: 'gravity' }).read('run.air', 'same');
  expect(moves(b)[0]).toBe('Jets and passages');
  b.read('fuel.jets', 'clear');
  expect(b.said('fuel.dies')).toMatch(/one look missed it/);
  expect(moves(b)[0]).not.toBe('Jets and passages');
});
