import type { BenchPlan } from '$core/schedule/plan-bench.ts';

/** A minute of work, as a moment on the wall. */
export function momentOf(openings: BenchPlan['openings'], work: number): Date {
  let k = 0;
  while (k + 1 < openings.length && openings[k + 1]!.work <= work) k++;
  const o = openings[k]!;
  return new Date((o.wall + Math.max(0, work - o.work)) * 60_000);
}

/** How the finish was found to stand: in words, never a number nobody asked for. */
export function gapSaid(gap: number): string {
  if (gap <= 0) return 'Nothing can be over sooner: proven.';
  return `At most ${gap < 0.01 ? 'one' : Math.ceil(gap * 100)} % over the soonest there can be: proven.`;
}
