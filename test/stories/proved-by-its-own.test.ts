import { expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { ran, readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';

const head = { conditions: { spot: 'head' } } as const;
const state = (b: Bench, id: string): string | undefined => b.assessed().steps.find((s) => s.id === id)?.state;
/** A good run of which only its stream was looked at, and what more was. */
const again = (b: Bench, more: (x: Bench) => Bench = (x) => x): Bench => ran(b.wait(0.5), 'ran', more);

/** Work, what showed it on a run, and what has to be read again before it counts as proved. */
const work: readonly (readonly [job: string, shown: (x: Bench) => Bench, proof: (x: Bench) => Bench])[] = [
  [
    'charging',
    (x) => x.read('run.rpm', 2500).read('run.volts', 12.2),
    (x) => x.read('run.rpm', 2500).read('run.volts', 14.1)
  ],
  ['water-in', (x) => x.read('run.plugAfter', 'wet'), (x) => x.read('run.plugAfter', 'dry')],
  ['gears', (x) => x.read('run.gears', 'fails'), (x) => x.read('run.gears', 'both')],
  [
    'descale',
    (x) => x.read('run.temperature', 370, head),
    (x) => x.read('run.temperature', 335, head).wait(0.05).read('run.temperature', 335, head)
  ]
];
it.each(work)('%s is proved by what it was for, and by no other reading of that run', (job, shown, proof) => {
  const b = again(ran(readyToRun(four), 'ran', shown).done(job).wait(1.5));
  expect(state(b, job)).toBe('done');
  expect(state(again(b, proof), job)).toBe('proved');
});

it('oil that was changed for its water is looked at and dipped: a new filter proves nothing', () => {
  const b = readyToRun(four, 'neglected', ['oil']).read('oil.look', 'milky').done('sump-water').wait(0.5);
  expect(state(b.read('oil.filter', 'renewed'), 'sump-water')).toBe('done');
  b.read('oil.level', 'yes').read('oil.waited', 15).read('oil.dip', 'between').read('oil.dip', 'between');
  expect(state(b.read('oil.look', 'clean'), 'sump-water')).toBe('proved');
});

it('a tank that was filled is looked into: a vent that is open proves nothing', () => {
  const b = readyToRun(two, 'neglected', ['fuel']).read('fuel.level', 'empty').read('fuel.age', 0.1).done('fuel-fill');
  expect(state(b.read('fuel.vent', 'open'), 'fuel-fill')).toBe('done');
  expect(state(b.read('fuel.level', 'full'), 'fuel-fill')).toBe('proved');
});
