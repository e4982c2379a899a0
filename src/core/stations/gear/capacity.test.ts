import { describe, expect, it } from 'vitest';
import { Bench } from '../../../../test/case.ts';

/** What a gear case holds: by the manual, by the profile, else by what went in. Volumes in m³. */
const mL = 1e-6;
const unknownCase = (): Bench =>
  new Bench({ strokes: 'two', cylinders: 2, displacement: 500e-6 })
    .read('gear.first', 'oil')
    .read('gear.drained', 120 * mL);
const filled = (b: Bench, hole: 'bubbleFree' | 'bubbles' = 'bubbleFree'): Bench =>
  b
    .read('gear.poured', 300 * mL)
    .read('gear.poured', 150 * mL)
    .read('gear.levelHole', hole);

describe('the capacity of a gear case', () => {
  it('that nobody knows leaves open whether all of it came out', () => {
    expect(unknownCase().ids()).toContain('gear.amount:cannot-tell');
    expect(unknownCase().said('gear.amount')).toMatch(/tally/);
  });
  it('is what went in from drained to the level hole: most of the oil was missing', () => {
    const b = filled(unknownCase());
    expect(b.ids()).toContain('gear.amount:watch');
    expect(
      b
        .assessed()
        .moves.map((m) => m.title)
        .join()
    ).toMatch(/Case test/);
  });
  it('is not told by a hole that still bubbles, nor by a top-up without a drain', () => {
    expect(filled(unknownCase(), 'bubbles').ids()).toContain('gear.amount:cannot-tell');
    const topped = filled(new Bench({ strokes: 'two', cylinders: 2 })).read('gear.drained', 120 * mL);
    expect(topped.ids()).toContain('gear.amount:cannot-tell');
  });
  it('by the manual alone speaks to the suspects as it does to the finding', () => {
    const b = unknownCase();
    b.survey = {
      ...b.survey,
      engine: { ...b.survey.engine, manual: { 'gear.capacity': { value: 450 * mL, page: '12' } } }
    };
    expect(b.ids()).toContain('gear.amount:watch');
    const low = b.assessed().advice.suspects.flatMap((s) => s.evidence.map((e) => e.sign));
    expect(low).toContain('gear-low');
  });
});
