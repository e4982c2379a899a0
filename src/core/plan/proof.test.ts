import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { tester, two } from '../../../test/stories/engines.ts';
import { jobs } from '../jobs/register.ts';
import { allItems, stationOf, type ItemId } from '../stations/items.ts';

const state = (b: Bench, job: string): string | undefined => b.assessed().steps.find((s) => s.id === job)?.state;
const first = (b: Bench): string => b.assessed().moves.find((m) => !m.waits)!.id;

/** No spark at 2, its lead gnawed, and a new one on. */
const renewed = (): Bench => {
  const b = new Bench(two).read('spark.lanyard', 'yes');
  for (const cylinder of [1, 2, 3]) b.read('spark.result', cylinder === 2 ? 'none' : 'good', { cylinder, ...tester });
  return b.read('spark.leadLook', 'damaged', { cylinder: 2 }).done('lead');
};

describe('what proves a job', () => {
  it('is read, and the job is done until then', () => {
    expect(state(renewed(), 'lead')).toBe('done');
    expect(first(renewed())).toBe('proof:lead');
  });

  it.each<[string, (b: Bench) => Bench]>([
    ['another thing of the same check', (b) => b.read('spark.timing', 6)],
    ['the part itself, looked at', (b) => b.read('spark.leadLook', 'whole', { cylinder: 2 })],
    ['another cylinder', (b) => b.read('spark.result', 'good', { cylinder: 1, ...tester })],
    ['an unknown', (b) => b.read('spark.result', 'unknown', { cylinder: 2, ...tester })]
  ])('is not %s', (_, by) => {
    expect(state(by(renewed()), 'lead')).toBe('done');
    expect(first(by(renewed()))).toBe('proof:lead');
  });

  it('is what the job is for, at its cylinder', () => {
    const b = renewed().read('spark.result', 'good', { cylinder: 2, ...tester });
    expect(state(b, 'lead')).toBe('proved');
  });

  it('of clean plugs is the plugs, not a light into the bore', () => {
    const b = new Bench(two);
    for (const cylinder of [1, 2, 3]) b.read('plugs.read', ['black'], { cylinder });
    b.done('plugs').read('plugs.hole', 'clean', { cylinder: 1 });
    expect(state(b, 'plugs')).toBe('done');
    for (const cylinder of [1, 2, 3]) b.read('plugs.read', ['normal'], { cylinder });
    expect(state(b, 'plugs')).toBe('proved');
  });

  it('names items that there are, of its own check or one beside it', () => {
    for (const { id, proof } of jobs)
      for (const item of proof.reads ?? []) {
        expect(Object.keys(allItems), id).toContain(item);
        expect([proof.station, 'look', 'cooling', ...(proof.station === 'cooling' ? ['run'] : [])], id).toContain(
          stationOf(item as ItemId)
        );
      }
  });
});
