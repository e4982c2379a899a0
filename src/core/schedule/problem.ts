import type { Calendar } from './calendar.ts';

/** One step to be planned. Times are whole minutes; moments are minutes since the epoch. */
export interface Task {
  readonly id: string;
  /** The engine: nobody works on it twice at once, though it may wait for two things. */
  readonly group: string;
  /** Minutes of one person's hands; 0 for what only has to be waited for. */
  readonly hands: number;
  /** Minutes by the wall clock after the hands: drain, soak, cure, charge. */
  readonly wait: number;
  /** Stand, tank, hose: occupied from the first hand to the end of the wait. */
  readonly needs: readonly string[];
  readonly after: readonly string[];
  /** Steps whose hands come first, though what they set going need not be over. */
  readonly then?: readonly string[];
  /** Not before: the parts are not here yet. */
  readonly release?: number;
  /** Only this person. */
  readonly person?: string;
  /** Put here by hand: not before, and before anything that is not put. */
  readonly pin?: number;
  /** Cannot wait for any plan: goes before everything else, the smallest number first. */
  readonly urgent?: number;
}

export interface Problem {
  readonly now: number;
  readonly people: readonly string[];
  /** How many of each there are. */
  readonly resources: Readonly<Record<string, number>>;
  readonly tasks: readonly Task[];
  readonly calendar: Calendar;
  /** Promised by, an engine. */
  readonly due?: Readonly<Record<string, number>>;
  /** Engines are worked on by one person at a time; false for shop problems without engines. */
  readonly oneAtATime?: boolean;
}

/** Where a task came to stand. Work minutes count along the calendar, wall minutes by the clock. */
export interface Placed {
  readonly id: string;
  readonly person?: string;
  readonly start: number;
  readonly end: number;
  /** Minute of work at which what it holds is free again. */
  readonly until: number;
  readonly finishes: number;
}

/**
 * What a plan is judged by, each only where those before it are equal: the minute of work at which the last engine is
 * done; minutes promised days are missed by; the sum of the engines' finishes.
 */
export interface Cost {
  readonly finish: number;
  readonly late: number;
  readonly flow: number;
}
export const better = (a: Cost, b: Cost): boolean =>
  a.finish !== b.finish ? a.finish < b.finish : a.late !== b.late ? a.late < b.late : a.flow < b.flow;

export interface Plan {
  readonly placed: readonly Placed[];
  readonly cost: Cost;
}

/** Tasks in an order in which each comes after those it waits for; what is on or behind a ring is left out. */
export function inOrderOfNeed(tasks: readonly Task[]): { order: Task[]; ring: Task[] } {
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const needs = (t: Task): string[] => [...new Set([...t.after, ...(t.then ?? [])])].filter((a) => byId.has(a));
  const open = new Map(tasks.map((t) => [t.id, needs(t).length]));
  const behind = new Map<string, string[]>();
  for (const t of tasks) for (const a of needs(t)) behind.set(a, [...(behind.get(a) ?? []), t.id]);
  const order: Task[] = [];
  const free = tasks.filter((t) => open.get(t.id) === 0);
  for (let t = free.shift(); t; t = free.shift()) {
    order.push(t);
    for (const b of behind.get(t.id) ?? []) {
      const left = open.get(b)! - 1;
      open.set(b, left);
      if (left === 0) free.push(byId.get(b)!);
    }
  }
  const placed = new Set(order.map((t) => t.id));
  return { order, ring: tasks.filter((t) => !placed.has(t.id)) };
}
