import type { Model } from './model.ts';

/** Minute of work before which no task can begin, by what comes before it alone. */
export function heads(m: Model): number[] {
  const finishes: number[] = [];
  const off: number[] = [];
  return m.tasks.map((t, k) => {
    const wall = Math.max(
      m.now,
      t.release ?? 0,
      t.pin ?? 0,
      ...m.before[k]!.map((b) => finishes[b]!),
      ...m.beforeHands[k]!.map((b) => off[b]!)
    );
    const start = m.calendar.worked(wall);
    off[k] = m.calendar.ends(start + t.hands);
    finishes[k] = (t.hands ? m.calendar.ends(start + t.hands) : wall) + t.wait;
    return start;
  });
}

/** Minute of work by which the hands must be off each task, if all is to be over by minute `finish`. */
export function deadlines(m: Model, finish: number): number[] {
  const latest: number[] = [];
  for (let k = m.tasks.length - 1; k >= 0; k--) {
    const over = Math.min(finish, ...m.behind[k]!.map((b) => latest[b]! - m.tasks[b]!.hands));
    // The wait runs by the wall clock: through a night it costs no minute of work. Both ways are exact.
    const waited = m.tasks[k]!.wait ? m.calendar.worked(m.calendar.begins(over) - m.tasks[k]!.wait) : over;
    latest[k] = Math.min(waited, ...m.behindHands[k]!.map((b) => latest[b]! - m.tasks[b]!.hands));
  }
  return latest;
}

/**
 * Whether one machine can do these tasks between their heads and deadlines if it may interrupt them: most urgent first
 * is then best. P: Jackson 1955; Carlier 1982 for the preemptive bound.
 */
export function oneMachine(
  list: readonly number[],
  r: readonly number[],
  d: readonly number[],
  p: (k: number) => number
): boolean {
  const byHead = [...list].sort((a, b) => r[a]! - r[b]!);
  const left = new Map(byHead.map((k) => [k, p(k)]));
  const ready: number[] = [];
  let [time, i] = [0, 0];
  while (i < byHead.length || ready.length) {
    if (!ready.length) time = Math.max(time, r[byHead[i]!]!);
    while (i < byHead.length && r[byHead[i]!]! <= time) ready.push(byHead[i++]!);
    let u = 0;
    for (let j = 1; j < ready.length; j++) if (d[ready[j]!]! < d[ready[u]!]!) u = j;
    const k = ready[u]!;
    const until = i < byHead.length ? r[byHead[i]!]! : Infinity;
    const run = Math.min(left.get(k)!, until - time);
    time += run;
    left.set(k, left.get(k)! - run);
    if (left.get(k)! <= 0) {
      if (time > d[k]!) return false;
      ready.splice(u, 1);
    }
  }
  return true;
}

/**
 * Whether so many alike machines have the room: in every stretch between a head and a deadline there must be time for
 * the part of each task that cannot leave it, wherever the task is pushed. P: Baptiste, Le Pape & Nuijten 1999.
 */
export function enoughRoom(
  list: readonly number[],
  machines: number,
  r: readonly number[],
  d: readonly number[],
  p: (k: number) => number
): boolean {
  const froms = [...new Set(list.map((k) => r[k]!))].sort((a, b) => a - b);
  const byDeadline = [...list].sort((a, b) => d[a]! - d[b]!);
  // Whole tasks only for long lists: every pair of a head and a deadline, and every task, is too much for a thousand.
  const partly = list.length <= 80;
  for (const a of froms) {
    if (partly) {
      for (const b of new Set(byDeadline.map((k) => d[k]!))) {
        if (b <= a) continue;
        let need = 0;
        for (const k of list) {
          const stay = Math.min(p(k), b - a, r[k]! + p(k) - a, b - (d[k]! - p(k)));
          if (stay > 0) need += stay;
        }
        if (need > machines * (b - a)) return false;
      }
      continue;
    }
    let need = 0;
    for (const k of byDeadline) {
      if (r[k]! < a) continue;
      need += p(k);
      if (need > machines * (d[k]! - a)) return false;
    }
  }
  return true;
}

/** What competes for the same thing: lists of tasks, how many of the thing there are, and how long each holds it. */
export interface Contest {
  readonly tasks: readonly number[];
  readonly many: number;
}

export function contests(m: Model): Contest[] {
  const worked = m.tasks.flatMap((t, k) => (t.hands ? [k] : []));
  return [
    ...(m.oneAtATime ? m.groups.map((_, g) => ({ tasks: worked.filter((k) => m.group[k] === g), many: 1 })) : []),
    ...m.capacity.map((many, r) => ({ tasks: worked.filter((k) => m.needs[k]!.includes(r)), many })),
    ...m.people.map((_, i) => ({ tasks: worked.filter((k) => m.person[k] === i), many: 1 })),
    ...(m.scarce ? [{ tasks: worked, many: m.people.length }] : [])
  ].filter((c) => c.tasks.length > c.many);
}

/** Whether the plan could be over by minute `finish`, as far as these tests can see. */
export function possible(m: Model, list: readonly Contest[], r: readonly number[], finish: number): boolean {
  const d = deadlines(m, finish);
  const p = (k: number): number => m.tasks[k]!.hands;
  if (m.tasks.some((t, k) => r[k]! + t.hands > d[k]!)) return false;
  return list.every((c) => (c.many === 1 ? oneMachine(c.tasks, r, d, p) : enoughRoom(c.tasks, c.many, r, d, p)));
}

/** The latest minute of work of which it is proven that no plan is over before it. `upTo` is the finish of a known plan. */
export function lowerBound(m: Model, upTo: number): number {
  const r = heads(m);
  const list = contests(m);
  let [lo, hi] = [0, upTo];
  // Every minute under `lo` is refuted; `hi` is not.
  while (lo < hi) {
    const mid = (lo + hi) >> 1;
    if (possible(m, list, r, mid)) hi = mid;
    else lo = mid + 1;
  }
  return hi;
}
