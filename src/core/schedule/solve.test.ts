import { describe, expect, it } from 'vitest';
import { roundTheClock } from './calendar.ts';
import { exact } from './exact.ts';
import { modelOf } from './model.ts';
import type { Problem } from './problem.ts';
import { solve } from './solve.ts';

/** P: Fisher & Thompson 1963, the six-by-six job shop: machine and minutes of each operation. Best finish 55. */
const ft06 = [
  [2, 1, 0, 3, 1, 6, 3, 7, 5, 3, 4, 6],
  [1, 8, 2, 5, 4, 10, 5, 10, 0, 10, 3, 4],
  [2, 5, 3, 4, 5, 8, 0, 9, 1, 1, 4, 7],
  [1, 5, 0, 5, 2, 5, 3, 3, 4, 8, 5, 9],
  [2, 9, 1, 3, 4, 5, 5, 4, 0, 3, 3, 1],
  [1, 3, 3, 3, 5, 9, 0, 10, 4, 4, 2, 1]
];
const shop: Problem = {
  now: 0,
  people: ft06.map((_, k) => `p${k}`),
  resources: Object.fromEntries([0, 1, 2, 3, 4, 5].map((k) => [`m${k}`, 1])),
  calendar: roundTheClock(0),
  tasks: ft06.flatMap((row, j) =>
    [0, 1, 2, 3, 4, 5].map((o) => ({
      id: `${j}.${o}`,
      group: `j${j}`,
      hands: row[2 * o + 1]!,
      wait: 0,
      needs: [`m${row[2 * o]}`],
      after: o ? [`${j}.${o - 1}`] : []
    }))
  )
};

describe('FT06', () => {
  it('is over after 55, proven', () => {
    const s = solve(shop);
    expect(s.cost.finish).toBe(55);
    expect(s.bound).toBe(55);
    expect(s.gap).toBe(0);
  });
  it('is proven by branching alone, from a bad plan', () => {
    const m = modelOf(shop);
    const found = exact(m, { placed: [], cost: { finish: 100, late: 0, flow: 0 } }, () => false);
    expect(found.best.cost.finish).toBe(55);
    expect(found.proven).toBe(true);
  });
});
