import { describe, expect, it } from 'vitest';
import type { ItemId, ReadingValue } from '../../src/core/stations/items.ts';
import { Bench } from '../case.ts';
import { jobs, moves, ranWell, readyToRun } from './all-good.ts';
import { two } from './engines.ts';

/** The manual's figures of its windings, Ω. */
const manual = {
  'spark.primary': { value: 0.3, to: 0.5 },
  'spark.secondary': { value: 3000, to: 5000 },
  'spark.charge': { value: 400, to: 600 },
  'spark.trigger': { value: 30, to: 50 }
};
const known = (b: Bench): Bench => {
  b.survey = { ...b.survey, engine: { ...b.survey.engine, manual } };
  return b;
};
const outside: readonly [ItemId, number, number?][] = [
  ['spark.primary', 0.2, 1],
  ['spark.secondary', 9000, 1],
  ['spark.secondary', 1e6, 1],
  ['spark.charge', 300],
  ['spark.charge', 0.2],
  ['spark.trigger', 70]
];
const read = (b: Bench, [item, ohms, cylinder]: (typeof outside)[number]): Bench =>
  b.read(item, ohms as ReadingValue<typeof item>, {
    conditions: { temperature: 293.15 },
    ...(cylinder === undefined ? {} : { cylinder })
  });
const of = (b: Bench, [item, , cylinder]: (typeof outside)[number]): string[] =>
  b.ids().filter((id) => id.startsWith(cylinder === undefined ? `${item}:` : `${item}.${cylinder}:`));

describe('a winding outside the manual’s range, of an engine that sparks as it should', () => {
  it.each(outside)('%s at %d Ω is read again, then watched, and bought for neither', (...what) => {
    for (const made of [readyToRun, ranWell]) {
      const b = read(known(made(two)), what);
      expect(of(b, what)).toEqual([expect.stringMatching(/:cannot-tell$/)]);
      expect(moves(b)[0]).toMatch(/^Resistance of the .* again, leads touched together first$/);
      expect(jobs(b)).not.toContain('coil');
      read(b, what);
      expect(of(b, what)).toEqual([expect.stringMatching(/:watch$/)]);
      expect(jobs(b)).not.toContain('coil');
    }
  });

  it('is looked at hot before it goes back, and noted', () => {
    const b = known(ranWell(two));
    read(read(b, ['spark.charge', 300]), ['spark.charge', 300]);
    expect(moves(b)).toContain('Spark once it is hot');
    for (const cylinder of [1, 2, 3])
      b.read('spark.result', 'good', { cylinder, conditions: { path: 'tester', light: 'shade', engine: 'warm' } });
    expect(moves(b)).not.toContain('Spark once it is hot');
    expect(b.said('spark.charge')).toMatch(/outside the manual’s .*it sparks all the same/);
  });
});

describe('the same winding counts', () => {
  const fault = (b: Bench): boolean => read(b, ['spark.charge', 300]).ids().includes('spark.charge:fault');
  const seen = (result: 'none' | 'weak' | 'good', but?: number): Bench => {
    const b = known(readyToRun(two, 'neglected', ['spark'])).read('spark.lanyard', 'yes');
    for (const cylinder of [1, 2, 3])
      b.read('spark.result', cylinder === but ? 'good' : result, {
        cylinder,
        conditions: { path: 'tester', light: 'shade' }
      });
    return b;
  };
  it('where no cylinder sparks, or all are weak', () => {
    expect(fault(seen('none'))).toBe(true);
    expect(fault(seen('weak'))).toBe(true);
  });
  it('where nobody looked at the spark', () => {
    expect(fault(known(readyToRun(two, 'neglected', ['spark'])))).toBe(true);
  });
  it('where it died, or is said to die warm', () => {
    expect(fault(known(ranWell(two)).read('run.outcome', 'died'))).toBe(true);
    const b = known(ranWell(two));
    b.survey = {
      ...b.survey,
      engine: { ...b.survey.engine, history: { ...b.survey.engine.history, said: ['dies-warm'] } }
    };
    expect(fault(b)).toBe(true);
  });
});
