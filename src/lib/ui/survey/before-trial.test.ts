import { expect, it } from 'vitest';
import type { Move } from '../../../core/moves/move.ts';
import { Bench } from '../../../../test/case.ts';
import { magneto, tester } from '../../../../test/stories/engines.ts';
import { beforeTrial } from './before-trial.ts';

const move = (more: Partial<Move>): Move => ({
  kind: 'look',
  class: 5,
  id: 'x',
  title: 'x',
  station: 'spark',
  minutes: 2,
  because: 'x.',
  ...more
});
const trial = move({ kind: 'continue', class: 3, items: ['spark.leadSwap'] });

it('the search says what the list asks of its check before the trial', () => {
  const look = move({ items: ['spark.leadLook'] });
  expect(beforeTrial([look, trial], 'spark.leadSwap')).toBe(look);
  expect(beforeTrial([trial, look], 'spark.leadSwap')).toBeUndefined();
});
it('not what waits, nor another check, nor work, nor what only the kind of case suggests', () => {
  for (const other of [
    move({ waits: 'First: x.' }),
    move({ station: 'plugs' }),
    move({ kind: 'job' }),
    move({ class: 7 })
  ])
    expect(beforeTrial([other, trial], 'spark.leadSwap')).toBeUndefined();
});
it('of a single without spark its lead and coil are looked at before one is swapped', () => {
  const b = new Bench({ ...magneto, ignition: 'cdi' }).read('spark.lanyard', 'yes');
  b.read('spark.result', 'none', { cylinder: 1, ...tester }).read('spark.brisk', 'yes');
  b.read('spark.groundWire', 'still').read('spark.stopWire', 'still');
  expect(beforeTrial(b.assessed().moves, 'spark.leadSwap')?.title).toMatch(/^Look at lead, cap and coil/);
  b.read('spark.coilLook', 'whole', { cylinder: 1 });
  expect(beforeTrial(b.assessed().moves, 'spark.leadSwap')).toBeUndefined();
});
