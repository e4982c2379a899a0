import type { Calendar } from './calendar.ts';
import { inOrderOfNeed, type Problem, type Task } from './problem.ts';

/** A problem by numbers: what the planner counts with. Every task is the number of its place in an order of need. */
export interface Model {
  readonly tasks: readonly Task[];
  readonly now: number;
  readonly calendar: Calendar;
  readonly people: readonly string[];
  readonly before: readonly (readonly number[])[];
  /** Those whose hands only have to be off. */
  readonly beforeHands: readonly (readonly number[])[];
  readonly behind: readonly (readonly number[])[];
  readonly behindHands: readonly (readonly number[])[];
  /** Both together: what a task is counted open by. */
  readonly allBefore: readonly (readonly number[])[];
  readonly allBehind: readonly (readonly number[])[];
  readonly group: readonly number[];
  readonly groups: readonly string[];
  readonly needs: readonly (readonly number[])[];
  readonly capacity: readonly number[];
  /** The one person who can do it, or -1. */
  readonly person: readonly number[];
  /** Promised moment of each group, or infinity. */
  readonly due: readonly number[];
  readonly oneAtATime: boolean;
  /** Fewer hands than engines: hands are what engines compete for. */
  readonly scarce: boolean;
}

/** Throws on a ring, a task nobody can do, or a number that cannot be a time: such tasks are left out before (`tidied`). */
export function modelOf(p: Problem): Model {
  const { order, ring } = inOrderOfNeed(p.tasks);
  if (ring.length) throw new RangeError(`steps wait for one another: ${ring.map((t) => t.id).join(', ')}`);
  for (const t of order)
    if (!(t.hands >= 0) || !(t.wait >= 0)) throw new RangeError(`${t.id}: minutes must be a number from 0 on`);
  const at = new Map(order.map((t, k) => [t.id, k]));
  const before = order.map((t) => [...new Set(t.after)].flatMap((a) => at.get(a) ?? []));
  const beforeHands = order.map((t, k) =>
    [...new Set(t.then ?? [])].flatMap((a) => at.get(a) ?? []).filter((b) => !before[k]!.includes(b))
  );
  const turned = (lists: readonly (readonly number[])[]): number[][] => {
    const out = order.map((): number[] => []);
    lists.forEach((list, k) => list.forEach((b) => out[b]!.push(k)));
    return out;
  };
  const allBefore = before.map((list, k) => [...list, ...beforeHands[k]!]);
  const groups = [...new Set(order.map((t) => t.group))];
  const names = Object.keys(p.resources);
  const people = p.people.length ? p.people : ['anybody'];
  return {
    tasks: order,
    now: p.now,
    calendar: p.calendar,
    people,
    before,
    beforeHands,
    behind: turned(before),
    behindHands: turned(beforeHands),
    allBefore,
    allBehind: turned(allBefore),
    group: order.map((t) => groups.indexOf(t.group)),
    groups,
    needs: order.map((t) => t.needs.map((r) => names.indexOf(r)).filter((r) => r >= 0)),
    capacity: names.map((r) => Math.max(1, p.resources[r]!)),
    person: order.map((t) => (t.person === undefined ? -1 : people.indexOf(t.person))),
    due: groups.map((g) => p.due?.[g] ?? Infinity),
    oneAtATime: p.oneAtATime ?? true,
    scarce: people.length < groups.length || !(p.oneAtATime ?? true)
  };
}
