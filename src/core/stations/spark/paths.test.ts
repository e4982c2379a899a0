import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Bench } from '../../../../test/case.ts';
import type { Conditions } from '../../record/reading.ts';

type Path = NonNullable<Conditions['path']>;
const three = (): Bench => {
  const b = new Bench({ strokes: 'two', cylinders: 3, ignition: 'cdi' });
  for (const c of [1, 2]) b.read('spark.result', 'good', { cylinder: c, conditions: { path: 'tester' } });
  return b;
};
const third = (b: Bench, value: 'good' | 'none', path?: Path, more: Conditions = {}): Bench =>
  b.read('spark.result', value, { cylinder: 3, conditions: { ...(path ? { path } : {}), ...more } });
const spark = (b: Bench): string => b.judged().stations.find((s) => s.id === 'spark')!.condition;

describe('none through the tester is not cleared by an easier gap', () => {
  it.each(['plug', 'bolt', 'unknown', undefined] as const)('good at %s afterwards', (path) => {
    expect(spark(third(third(three(), 'none', 'tester'), 'good', path))).toBe('fault');
  });
  it('in the sun neither', () => {
    expect(spark(third(third(three(), 'none', 'tester'), 'good', 'plug', { light: 'sun' }))).toBe('fault');
  });
  it('nor by the order in which they were entered', () => {
    expect(spark(third(third(three(), 'good', 'plug'), 'none', 'tester'))).toBe('fault');
  });
  it('good to a bolt is no proof of strength: through the tester it is', () => {
    const b = new Bench({ cylinders: 1, ignition: 'cdi' });
    b.read('spark.result', 'good', { cylinder: 1, conditions: { path: 'bolt' } });
    expect(spark(b)).toBe('cannot-tell');
    expect(b.assessed().moves.some((m) => /through the tester/.test(m.title))).toBe(true);
    expect(spark(b.read('spark.result', 'good', { cylinder: 1, conditions: { path: 'tester' } }))).toBe('sound');
  });
  it('the tester itself clears it, whatever the plug had shown', () => {
    for (const path of ['plug', 'bolt', 'unknown'] as const)
      expect(spark(third(third(three(), 'none', path), 'good', 'tester'))).toBe('sound');
  });
  it('once work was done, what is seen then counts', () => {
    expect(spark(third(third(three(), 'none', 'tester').done('lead'), 'good', 'tester'))).toBe('sound');
  });
  it('more good looks by easier ways never make it sound', () => {
    const ways = fc.array(fc.constantFrom<Path | undefined>('plug', 'bolt', 'unknown', undefined), { maxLength: 4 });
    fc.assert(
      fc.property(ways, (list) => {
        const b = third(three(), 'none', 'tester');
        for (const path of list) third(b, 'good', path);
        expect(spark(b)).toBe('fault');
      }),
      { numRuns: 40 }
    );
  });
});
