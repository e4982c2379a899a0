import { Board } from './board.ts';
import { contests, deadlines, enoughRoom, oneMachine } from './bound.ts';
import type { Model } from './model.ts';
import type { Plan } from './problem.ts';

export interface Search {
  readonly best: Plan;
  /** Every branch was looked at or refuted: nothing is over earlier. */
  readonly proven: boolean;
  readonly nodes: number;
}

/**
 * Branch and bound over active plans: take the task that could be done first; either it goes next, or another one that
 * wants the same thing and could begin before that one is done. P: Giffler & Thompson 1960 for the branching; at each
 * node every machine is tried against the time still allowed (P: Carlier & Pinson 1989).
 * `spent` is asked now and then whether to give up. Only the finish is minimised.
 */
export function exact(m: Model, known: Plan, spent: () => boolean): Search {
  const board = new Board(m);
  const list = contests(m);
  const open = m.allBefore.map((b) => b.length);
  const free = new Set(m.tasks.flatMap((_, k) => (open[k] === 0 ? [k] : [])));
  let best = known;
  let latest = deadlines(m, best.cost.finish - 1);
  let nodes = 0;
  let stopped = false;
  const hands = (k: number): number => m.tasks[k]!.hands;
  const worked = m.scarce ? -1 : 0;

  /** Heads of what is not yet placed, or nothing when it cannot be over in time. */
  function headsNow(): { r: number[]; at: Map<number, { start: number; end: number }> } | undefined {
    const r: number[] = [];
    const finishes: number[] = [];
    const off: number[] = [];
    const at = new Map<number, { start: number; end: number }>();
    for (let k = 0; k < m.tasks.length; k++) {
      const p = board.on[k];
      if (p) {
        [r[k], finishes[k], off[k]] = [p.start, p.finishes, m.calendar.ends(p.end)];
        continue;
      }
      const t = m.tasks[k]!;
      if (free.has(k)) {
        const e = board.earliest(k);
        at.set(k, e);
        [r[k], finishes[k], off[k]] = [e.start, e.finishes, m.calendar.ends(e.end)];
      } else {
        let wall = Math.max(m.now, t.release ?? 0);
        for (const b of m.before[k]!) wall = Math.max(wall, finishes[b]!);
        for (const b of m.beforeHands[k]!) wall = Math.max(wall, off[b]!);
        r[k] = m.calendar.worked(wall);
        off[k] = m.calendar.ends(r[k]! + t.hands);
        finishes[k] = (t.hands ? m.calendar.ends(r[k]! + t.hands) : wall) + t.wait;
      }
      if (r[k]! + t.hands > latest[k]!) return undefined;
    }
    for (const c of list) {
      const left = c.tasks.filter((k) => !board.on[k]);
      if (left.length > 1 && !(c.many === 1 ? oneMachine(left, r, latest, hands) : true)) return undefined;
    }
    // With several people at once what is already placed takes room too.
    for (const c of list) if (c.many > 1 && !enoughRoom(c.tasks, c.many, r, placedBy(r), hands)) return undefined;
    return { r, at };
  }
  const placedBy = (r: readonly number[]): number[] =>
    latest.map((d, k) => (board.on[k] ? r[k]! + m.tasks[k]!.hands : d));

  const compete = (a: number, b: number): boolean =>
    (m.oneAtATime && m.group[a] === m.group[b]) ||
    (worked === -1 && hands(a) > 0 && hands(b) > 0) ||
    (m.person[a]! >= 0 && m.person[a] === m.person[b]) ||
    m.needs[a]!.some((x) => m.needs[b]!.includes(x));

  function go(): void {
    if (stopped || (++nodes & 63) === 0) stopped ||= spent();
    if (stopped) return;
    if (!free.size) {
      const plan = board.plan();
      if (plan.cost.finish < best.cost.finish) {
        best = plan;
        latest = deadlines(m, best.cost.finish - 1);
      }
      return;
    }
    const now = headsNow();
    if (!now) return;
    let first = -1;
    for (const [k, e] of now.at) if (first < 0 || e.end < now.at.get(first)!.end) first = k;
    const end = now.at.get(first)!.end;
    const branch = [...now.at.keys()].filter((k) => k === first || (now.at.get(k)!.start < end && compete(k, first)));
    branch.sort((a, b) => latest[a]! - hands(a) - (latest[b]! - hands(b)));
    for (const k of branch) {
      board.put(k);
      free.delete(k);
      for (const b of m.allBehind[k]!) if (--open[b]! === 0) free.add(b);
      go();
      for (const b of m.allBehind[k]!) {
        if (open[b]! === 0) free.delete(b);
        open[b]!++;
      }
      free.add(k);
      board.back(k);
      if (stopped) return;
    }
  }
  go();
  return { best, proven: !stopped, nodes };
}
