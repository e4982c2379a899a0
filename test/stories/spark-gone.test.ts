import { describe, expect, it } from 'vitest';
import type { Bench } from '../case.ts';
import { jobs, moves, readyToRun } from './all-good.ts';
import { magneto, tester, two } from './engines.ts';

const found = (b: Bench, id: string): string | undefined =>
  b.assessed().findings.find((f) => f.id === `spark.${id}`)?.condition;

/** Looked at once more at every cylinder; whether the volts beside it were noted or not. */
const look = (
  b: Bench,
  value: 'none' | 'weak' | 'good',
  conditions: object = tester.conditions,
  of = [1, 2, 3]
): Bench => {
  b.wait(0.2);
  for (const cylinder of of) b.read('spark.result', value, { cylinder, conditions });
  return b;
};

describe('good once, its volts noted, and gone later', () => {
  it('nobody noted the volts again: it is gone all the same, and what all share is looked for', () => {
    const b = look(readyToRun(two), 'none');
    expect(found(b, 'all')).toBe('fault');
    expect(moves(b)[0]).toMatch(/^Spark again/);
    expect(moves(b).slice(0, 2).join(' | ')).not.toMatch(/own spark parts/);
  });
  it.each([{}, { path: 'plug' }, { path: 'bolt' }])(
    'gone three times along another path %o: the good look is of before',
    (conditions) => {
      const b = readyToRun(two);
      look(b, 'none', conditions);
      expect(found(b, 'all')).toBeUndefined();
      look(look(b, 'none', conditions), 'none', conditions);
      expect(found(b, 'all')).toBe('fault');
      expect(found(b, 'unsteady.1')).toBeUndefined();
    }
  );
  it('three times in the sun is no spark lost', () => {
    const b = readyToRun(two);
    for (let k = 0; k < 3; k++) look(b, 'none', { path: 'tester', light: 'sun' });
    expect(found(b, 'all')).toBeUndefined();
  });
  it('weak on a battery found weak since is the battery’s', () => {
    const b = look(readyToRun(two).wait(0.1).read('plugs.volts', 8), 'none');
    expect(found(b, 'all')).toBeUndefined();
  });
  it('none, and good once its volts were noted: explained', () => {
    const b = readyToRun(two, 'neglected', ['spark']);
    look(b, 'none');
    look(b, 'good', { ...tester.conditions, volts: 12, rpm: 500 });
    expect(found(b, 'unsteady.1')).toBeUndefined();
    expect(found(b, 'all')).toBeUndefined();
  });
});

describe('a charge coil outside its range, and what the spark says of it', () => {
  it.each([true, false])(
    'gone on every cylinder, before or after it was measured (%s): it is the charge coil',
    (first) => {
      const b = readyToRun(two);
      if (first) b.wait(0.1).read('spark.chargeTest', 'outside');
      look(b, 'none');
      if (!first) b.wait(0.1).read('spark.chargeTest', 'outside');
      expect(found(b, 'part-charge')).toBe('fault');
      expect(
        b
          .assessed()
          .findings.map((f) => f.sentence)
          .join(' ')
      ).not.toMatch(/sparks all the same/);
    }
  );
  it('gone on one of three, the others as they should be: that one’s own parts, and no charge coil is bought', () => {
    const b = look(readyToRun(two).wait(0.1).read('spark.chargeTest', 'outside'), 'none', tester.conditions, [1]);
    expect(found(b, 'none.1')).toBe('fault');
    expect(found(b, 'part-charge')).toBe('watch');
    expect(jobs(b)).not.toContain('coil');
    expect(b.assessed().findings.find((f) => f.id === 'spark.part-charge')?.sentence).not.toMatch(
      /sparks all the same/
    );
  });
  it('good everywhere: measured again before it is bought', () => {
    const b = readyToRun(two).wait(0.1).read('spark.chargeTest', 'outside');
    expect(found(b, 'part-charge')).toBe('watch');
  });
  it('a single whose spark comes and goes is no good spark', () => {
    const b = readyToRun({ ...magneto, ignition: 'cdi' })
      .wait(0.1)
      .read('spark.chargeTest', 'outside');
    look(b, 'none', {}, [1]);
    expect(found(b, 'unsteady.1')).toBe('watch');
    expect(found(b, 'part-charge')).toBe('cannot-tell');
    expect(jobs(b)).not.toContain('coil');
  });
  it('of one cylinder only, the other not to be told: nothing is bought, and its spark waits behind what was found', () => {
    const b = readyToRun(two, 'neglected', ['spark']).read('spark.result', 'good', {
      cylinder: 1,
      conditions: { ...tester.conditions, volts: 12.4 }
    });
    b.read('spark.result', 'none', { cylinder: 1 }).read('spark.chargeTest', 'outside');
    for (const cylinder of [2, 3]) b.read('spark.result', 'unknown', { cylinder });
    expect(jobs(b)).not.toContain('coil');
    expect(moves(b)[0]).not.toBe('Spark of the other cylinders');
    expect(moves(b)).toContain('Spark of the other cylinders');
  });
});
