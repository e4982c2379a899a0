import { planFrom, problemOf, type BenchInput, type BenchPlan } from '$core/schedule/plan-bench.ts';
import { solve } from '$core/schedule/solve.ts';
import { todayOf, type Days } from '$core/schedule/today.ts';
import { expose } from 'comlink';

/** The bench on a thread of its own: better plans as they are found, the last one when the time is up. */
const api = {
  plan(
    input: BenchInput,
    budget: number,
    tell: (plan: BenchPlan, today: Days, share: number) => void
  ): { plan: BenchPlan; today: Days } {
    const from = performance.now();
    const problem = problemOf(input);
    const share = (): number => Math.min(1, (performance.now() - from) / budget);
    let told = 0;
    const solution = solve(problem.problem, {
      tries: 1e7,
      spent: () => share() >= 1,
      onProgress: (s) => {
        // A page cannot show more than a few a second.
        if (performance.now() - told < 150) return;
        told = performance.now();
        tell(planFrom(problem, input.pins, s), todayOf(s, problem), share());
      }
    });
    return { plan: planFrom(problem, input.pins, solution), today: todayOf(solution, problem) };
  }
};
export type ScheduleWorker = typeof api;
expose(api);
