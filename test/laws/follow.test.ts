import { describe, expect, it } from 'vitest';
import { Follower } from '../follow.ts';
import { worked } from '../worked.ts';

/** So many moves bring any engine to its end (judgement: sixty). */
const MOST = 60;

describe('law 10: following the first move ends in release or in a reasoned stop', () => {
  it.each(worked)('%s', (_, survey) => {
    const f = new Follower(survey);
    const made: string[] = [];
    for (let k = 0; k < MOST; k++) {
      const a = f.assessed();
      // There is always something to do, and it can be done.
      expect(a.moves.length).toBeGreaterThan(0);
      const move = f.step(a);
      if (!move) return;
      made.push(move.id);
    }
    expect(made).toEqual([]);
  });
});
