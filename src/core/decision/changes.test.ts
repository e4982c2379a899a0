import { describe, expect, it } from 'vitest';
import type { Bench } from '../../../test/case.ts';
import { readyToRun } from '../../../test/stories/all-good.ts';
import { tester, two } from '../../../test/stories/engines.ts';
import { decide, type Decision } from './decide.ts';

/** One lead is dead beyond doubt, all else is known and good. */
function lead(history: object): Bench {
  const b = readyToRun(two, 'neglected', ['spark'])
    .read('spark.lanyard', 'yes')
    .read('spark.result', 'good', { cylinder: 1, ...tester })
    .read('spark.result', 'none', { cylinder: 2, ...tester })
    .read('spark.result', 'good', { cylinder: 3, ...tester })
    .read('spark.leadSwap', 'moves');
  const { engine } = b.survey;
  b.survey = { ...b.survey, engine: { ...engine, history: { ...engine.history, ...history } } };
  return b;
}
const decided = (history: object): Decision => decide(lead(history).judged(), 2000);

describe('what would change the choice', () => {
  it('the worth under which it would be kept for parts is what parts bring and mending costs', () => {
    const d = decided({ worth: 4000, salvage: 400, ceiling: 2000 });
    expect(d.recommended).toBe('repair');
    const [said] = d.changes;
    const floor = Number(/^Worth under (\d+) cr in running order/.exec(said!)![1]);
    expect(Math.abs(floor - (400 + d.cost.mean))).toBeLessThanOrEqual(5);
  });
  it('is not said where its worth is under that already, or unknown', () => {
    for (const history of [
      { worth: 500, salvage: 400 },
      { worth: 'unknown', salvage: 'unknown' }
    ])
      expect(decided(history).changes.join()).not.toMatch(/Worth under/);
  });
  it('the sum that nine in ten stay under is said only where the owner’s word is short of it', () => {
    const short = decided({ ceiling: 150 });
    expect(short).toMatchObject({ recommended: 'repair-under', remaining: 150, ceiling: 150 });
    expect(short.changes).toContainEqual(
      expect.stringMatching(/^With \d+ cr from here on nine in ten would stay under/)
    );
    const enough = decided({ ceiling: 2000 });
    expect(enough).toMatchObject({ recommended: 'repair', remaining: 2000 });
    expect(enough.changes.join()).not.toMatch(/nine in ten/);
  });
  it('where nobody said how much, nothing is left of it, and nothing is said of it', () => {
    const free = decided({ ceiling: 'unknown' });
    expect(free).not.toHaveProperty('remaining');
    expect(free.changes.join()).not.toMatch(/nine in ten/);
  });
  it('none of it is the choice that stands, and each is said once', () => {
    for (const history of [{ ceiling: 150 }, { ceiling: 2000 }, { worth: 900, salvage: 300, ceiling: 5000 }]) {
      const d = decided(history);
      expect(d.changes.join('\n')).not.toMatch(d.recommended === 'repair' ? /: repair\.$/m : /: repair if it stays/);
      expect(new Set(d.changes).size).toBe(d.changes.length);
      expect(d.changes.length).toBeLessThanOrEqual(4);
    }
  });
});
