import { describe, expect, it } from 'vitest';
import { ZERO_CELSIUS } from '../../src/core/units/factors.ts';
import type { Bench } from '../case.ts';
import { readyToRun } from './all-good.ts';
import { two } from './engines.ts';

const profile = { ...two, cylinders: 2, thermostat: 'fitted', indicator: 'fitted' } as const;
const ready = (): Bench => readyToRun(profile);
/** A logger's file of so many minutes that goes to so many °C. */
const logged = (b: Bench, end: number, minutes: number): Bench => {
  const seconds = Array.from({ length: 2 * minutes }, (_, k) => 30 * k);
  const temperature = seconds.map((t) => ZERO_CELSIUS + 20 + (end - 20) * (1 - Math.exp(-t / 240)));
  return b.read(
    'run.log',
    { file: 'run.csv', rows: seconds.length, seconds, temperature },
    { conditions: { spot: 'head' } }
  );
};
const first = (b: Bench): string => b.assessed().moves[0]!.title;

describe('a run that a logger recorded', () => {
  it('and of which nobody said how it went: that is asked, and it is not run once more for it', () => {
    const b = logged(ready(), 65, 15);
    expect(first(b)).toBe('Say how the run ended, and why');
    expect(b.ids()).not.toContain('run.ran:sound');
    expect(logged(ready(), 65, 15).read('run.outcome', 'ran').ids()).toContain('run.ran:sound');
  });
  it('said to have run well before its file was read in: it counts', () => {
    expect(logged(ready().read('run.outcome', 'ran'), 65, 15).ids()).toContain('run.ran:sound');
  });
  it('over its limit: hot, held, and a second thermometer before anything is opened', () => {
    const b = logged(ready(), 120, 15).read('run.outcome', 'ran');
    expect(b.ids()).toEqual(expect.arrayContaining(['run.heat:fault', 'cooling.hot:fault']));
    expect(b.holds()).toContain('run');
    expect(first(b)).toMatch(/second thermometer/);
  });
  it('too short to tell where it goes: it is run on, and is no run that settled', () => {
    const b = logged(ready(), 70, 3).read('run.outcome', 'ran');
    expect(b.ids()).toContain('run.heat:cannot-tell');
    expect(first(b)).toBe('Run it until its temperature has settled');
    expect(b.assessed().ready).toBe(false);
  });
  it('never warm: the thermometer is doubted before the thermostat; another one that reads warm closes it', () => {
    const b = logged(ready(), 38, 15).read('run.outcome', 'ran');
    expect(b.ids()).toContain('run.cold:watch');
    expect(first(b)).toMatch(/^A second thermometer, at the head/);
    expect(b.read('run.second', 'normal').ids()).not.toContain('run.cold:watch');
    const same = logged(ready(), 38, 15).read('run.outcome', 'ran').read('run.second', 'same');
    expect(same.ids()).toContain('run.cold:watch');
  });
});
