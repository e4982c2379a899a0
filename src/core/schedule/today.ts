import { sayMinutes } from '../units/duration.ts';
import type { BenchProblem, BenchStep } from './bench.ts';
import type { Plan } from './problem.ts';

export interface ToDo extends BenchStep {
  readonly id: string;
  /** Why here: what goes on by itself meanwhile, what it waits for. */
  readonly hint?: string;
}

export interface Today {
  readonly person: string;
  readonly list: readonly ToDo[];
  /** Hands-on minutes of the list. */
  readonly minutes: number;
}

export interface Days {
  /** The moment the day of the list begins: today, or the next day anybody works. */
  readonly day: number;
  readonly people: readonly Today[];
}

/**
 * What each person does on the first day of a plan, in order and without clock times: an interruption moves everything
 * and spoils nothing.
 */
export function todayOf(plan: Plan, b: BenchProblem): Days {
  const { openings } = b.problem.calendar;
  const first = openings[0]!;
  const end = first.work + first.minutes;
  const placed = [...plan.placed].sort((x, y) => x.start - y.start || x.end - y.end);
  const said = new Set<string>();
  const people = b.problem.people.map((person): Today => {
    const mine = placed.filter((p) => p.person === person && p.start < end);
    const list = mine.map((p): ToDo => {
      const s = b.steps.get(p.id)!;
      // What was set going before and is over within the day: said once, where it begins to be used.
      const going = placed
        .filter((q) => q.id !== p.id && q.end <= p.start && q.until > p.start && q.until <= end)
        .map((q) => ({ id: q.id, ...b.steps.get(q.id)! }))
        .filter((q) => q.wait >= 5 && q.engine !== s.engine && !said.has(q.id))
        .sort((x, y) => x.wait - y.wait)[0];
      if (going) said.add(going.id);
      const hints = [
        going ? `while ${going.tag} goes on by itself: ${going.title.toLowerCase()}` : '',
        s.wait ? `then it goes on by itself for ${sayMinutes(s.wait)}` : ''
      ].filter(Boolean);
      return {
        ...s,
        id: p.id,
        ...(hints.length ? { hint: hints.join('; ') } : {})
      };
    });
    return { person, list, minutes: list.reduce((sum, t) => sum + t.minutes, 0) };
  });
  return { day: first.wall, people };
}
