import type { Model } from './model.ts';
import { better, type Cost, type Placed, type Plan } from './problem.ts';
import { Timeline } from './timeline.ts';

/** A plan being made: every task is put at the first moment at which it fits between what already stands. */
export class Board {
  private readonly hands: Timeline[];
  private readonly engines: Timeline[];
  private readonly units: Timeline[][];
  /** Who worked on an engine last: the same person goes on where that costs nothing. */
  private readonly lastOn: number[];
  readonly placed: (Placed & { readonly who: number; readonly at: readonly number[] })[] = [];
  readonly on: (Placed | undefined)[];

  constructor(readonly m: Model) {
    this.hands = m.people.map(() => new Timeline());
    this.engines = m.groups.map(() => new Timeline());
    this.units = m.capacity.map((c) => Array.from({ length: c }, () => new Timeline()));
    this.lastOn = m.groups.map(() => -1);
    this.on = m.tasks.map(() => undefined);
  }

  /** The moment by the wall clock from which a task could begin, as far as those before it go. */
  ready(k: number): number {
    const t = this.m.tasks[k]!;
    let wall = Math.max(this.m.now, t.release ?? 0, t.pin ?? 0);
    for (const b of this.m.before[k]!) wall = Math.max(wall, this.on[b]?.finishes ?? 0);
    for (const b of this.m.beforeHands[k]!) {
      const p = this.on[b];
      if (p) wall = Math.max(wall, this.m.calendar.ends(p.end));
    }
    return wall;
  }

  /** When it would stand: minute of work it starts at, ends at and lets go of what it holds. */
  earliest(k: number): { start: number; end: number; until: number; finishes: number } {
    const { calendar, oneAtATime, tasks, needs, group, person } = this.m;
    const { hands, wait } = tasks[k]!;
    const wall = this.ready(k);
    const from = calendar.worked(wall);
    let start = from;
    for (;;) {
      const end = start + hands;
      const finishes = hands ? calendar.ends(end) + wait : (start === from ? wall : calendar.begins(start)) + wait;
      const until = wait ? calendar.worked(finishes) : end;
      let s = start;
      if (hands && oneAtATime) s = this.engines[group[k]!]!.free(s, hands);
      for (const r of needs[k]!) s = Math.max(s, this.firstFree(this.units[r]!, start, until - start));
      if (hands)
        s = Math.max(
          s,
          person[k]! >= 0 ? this.hands[person[k]!]!.free(start, hands) : this.firstFree(this.hands, start, hands)
        );
      if (s === start) return { start, end, until, finishes };
      start = s;
    }
  }

  private firstFree(list: readonly Timeline[], from: number, length: number): number {
    let best = Infinity;
    for (const line of list) {
      const s = line.free(from, length);
      if (s === from) return s;
      if (s < best) best = s;
    }
    return best;
  }

  private someone(k: number, start: number): number {
    const { hands } = this.m.tasks[k]!;
    if (!hands) return -1;
    if (this.m.person[k]! >= 0) return this.m.person[k]!;
    const last = this.lastOn[this.m.group[k]!]!;
    if (last >= 0 && this.hands[last]!.free(start, hands) === start) return last;
    return this.hands.findIndex((h) => h.free(start, hands) === start);
  }

  put(k: number): void {
    const t = this.m.tasks[k]!;
    const { start, end, until, finishes } = this.earliest(k);
    const who = this.someone(k, start);
    if (who >= 0) this.hands[who]!.take(start, end);
    if (t.hands && this.m.oneAtATime) this.engines[this.m.group[k]!]!.take(start, end);
    const at = this.m.needs[k]!.map((r) => {
      const unit = this.units[r]!.findIndex((line) => line.free(start, until - start) === start);
      this.units[r]![unit]!.take(start, until);
      return unit;
    });
    if (who >= 0) this.lastOn[this.m.group[k]!] = who;
    const place = { id: t.id, start, end, until, finishes, ...(who >= 0 ? { person: this.m.people[who]! } : {}) };
    this.on[k] = place;
    this.placed.push({ ...place, who, at });
  }

  /** Takes the last task off again. */
  back(k: number): void {
    const p = this.placed.pop()!;
    this.on[k] = undefined;
    if (p.who >= 0) this.hands[p.who]!.release(p.start, p.end);
    if (this.m.tasks[k]!.hands && this.m.oneAtATime) this.engines[this.m.group[k]!]!.release(p.start, p.end);
    this.m.needs[k]!.forEach((r, i) => this.units[r]![p.at[i]!]!.release(p.start, p.until));
  }

  plan(): Plan {
    return { placed: this.placed.map(({ who: _w, at: _a, ...p }) => p), cost: costOf(this.m, this.on) };
  }
}

export function costOf(m: Model, on: readonly (Placed | undefined)[]): Cost {
  const ends = m.groups.map(() => m.now);
  on.forEach((p, k) => {
    if (p) ends[m.group[k]!] = Math.max(ends[m.group[k]!]!, p.finishes);
  });
  return {
    finish: Math.max(0, ...ends.map((e) => m.calendar.worked(e))),
    late: ends.reduce((sum, e, g) => sum + Math.max(0, e - m.due[g]!), 0),
    flow: ends.reduce((sum, e) => sum + (e - m.now), 0)
  };
}

/** The plan that follows from an order of wishes: of the tasks that can go next, the one with the smallest key goes. */
export function planBy(m: Model, keys: ArrayLike<number>): Plan {
  const board = new Board(m);
  const open = m.allBefore.map((b) => b.length);
  // What cannot wait, then what was put somewhere by hand, each with what has to come before it; the rest is fitted around.
  const first = fixed(m);
  const rank = (k: number): number => first?.get(k) ?? keys[k]!;
  const free = m.tasks.flatMap((_, k) => (open[k] === 0 ? [k] : []));
  while (free.length) {
    let best = 0;
    for (let i = 1; i < free.length; i++) if (rank(free[i]!) < rank(free[best]!)) best = i;
    const [k] = free.splice(best, 1);
    board.put(k!);
    for (const b of m.allBehind[k!]!) if (--open[b]! === 0) free.push(b);
  }
  return board.plan();
}

/** Ranks of urgent and pinned tasks and of everything before them; nothing when there are none. */
function fixed(m: Model): Map<number, number> | undefined {
  if (!hasFixed(m)) return undefined;
  const ranks = new Map<number, number>();
  for (let k = m.tasks.length - 1; k >= 0; k--) {
    const { urgent, pin } = m.tasks[k]!;
    const own = urgent !== undefined ? -2e12 + urgent * 1e6 + k : pin !== undefined ? -1e12 + k : Infinity;
    const rank = Math.min(own, ...m.allBehind[k]!.map((b) => (ranks.get(b) ?? Infinity) - 1));
    if (rank < Infinity) ranks.set(k, rank);
  }
  return ranks;
}

/** Whether some steps have their place whatever the plan: then not every order may be tried. */
export const hasFixed = (m: Model): boolean => m.tasks.some((t) => t.urgent !== undefined || t.pin !== undefined);

export const bestOf = (a: Plan, b: Plan): Plan => (better(b.cost, a.cost) ? b : a);
