import { benchProblem, type BenchEngine, type BenchProblem, type BenchStep } from './bench.ts';
import type { BenchSettings, Pin } from './settings.ts';
import { solve, type Solution, type SolveOptions } from './solve.ts';

export interface BenchInput {
  readonly engines: readonly BenchEngine[];
  readonly settings: BenchSettings;
  readonly pins: readonly Pin[];
  /** ISO moment. */
  readonly now: string;
}

/** What the page shows: plain data, so that it travels from a worker or a server. */
export interface BenchPlan {
  readonly solution: Solution;
  readonly rows: readonly PlanRow[];
  readonly left: BenchProblem['left'];
  readonly notes: BenchProblem['notes'];
  readonly openings: BenchProblem['problem']['calendar']['openings'];
  /** Days promised that this plan misses: engine, and by how many minutes. */
  readonly late: readonly { readonly engine: string; readonly tag: string; readonly minutes: number }[];
}

export interface PlanRow extends BenchStep {
  readonly id: string;
  /** Its place in the list the plan was made from: the same whatever the plan, so that nothing jumps on the page. */
  readonly place: number;
  readonly person?: string;
  /** Minutes of work: begin, end of hands, end of the wait. */
  readonly start: number;
  readonly end: number;
  readonly until: number;
  /** Moments on the wall, ms. */
  readonly begins: number;
  readonly finishes: number;
  readonly pinned: boolean;
}

export const problemOf = (i: BenchInput): BenchProblem => benchProblem(i.engines, i.settings, i.pins, new Date(i.now));

/** Plans the bench. Throws nothing that a user can cause: what cannot be planned stands in `left`. */
export function planBench(i: BenchInput, o: SolveOptions = {}): { plan: BenchPlan; problem: BenchProblem } {
  const problem = problemOf(i);
  return { plan: planFrom(problem, i.pins, solve(problem.problem, o)), problem };
}

export function planFrom(b: BenchProblem, pins: readonly Pin[], solution: Solution): BenchPlan {
  const { calendar, due } = b.problem;
  const pinned = new Set(pins.filter((p) => !p.off).map((p) => `${p.engine}/${p.step}`));
  const places = new Map([...b.steps.keys()].map((id, k) => [id, k]));
  const rows = [...solution.placed]
    .sort((x, y) => x.start - y.start || x.end - y.end)
    .map((p): PlanRow => ({
      ...b.steps.get(p.id)!,
      id: p.id,
      place: places.get(p.id)!,
      ...(p.person ? { person: p.person } : {}),
      start: p.start,
      end: p.end,
      until: p.until,
      begins: calendar.begins(p.start) * 60_000,
      finishes: p.finishes * 60_000,
      pinned: pinned.has(p.id)
    }));
  const last = new Map<string, number>();
  for (const r of rows) last.set(r.engine, Math.max(last.get(r.engine) ?? 0, r.finishes / 60_000));
  return {
    solution,
    rows,
    left: b.left,
    notes: b.notes,
    openings: calendar.openings.filter((o) => o.work <= solution.cost.finish),
    late: [...last].flatMap(([engine, at]) => {
      const promised = due?.[engine];
      if (promised === undefined || at <= promised) return [];
      return [{ engine, tag: rows.find((r) => r.engine === engine)!.tag, minutes: at - promised }];
    })
  };
}
