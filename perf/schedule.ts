import { generated } from '../test/generated-bench.ts';
import { solve } from '../src/core/schedule/solve.ts';

/** The planner on made-up benches: ten of forty steps within a second each, one of twelve hundred to its first plan. */
const SECOND = 1000;
const gaps = Array.from({ length: 10 }, (_, seed) => {
  const problem = generated(seed, 5, 8, 2);
  const from = performance.now();
  return solve(problem, { tries: 1e9, spent: () => performance.now() - from > SECOND }).gap;
}).sort((a, b) => a - b);

const large = generated(3, 40, 30, 3);
const from = performance.now();
let first = 0;
let gap = 1;
solve(large, {
  tries: 0,
  onProgress: (s) => {
    first ||= performance.now() - from;
    gap = s.gap;
  }
});
console.log(JSON.stringify({ ninth: gaps[8], worst: gaps[9], first: Math.round(first), gap }));
