/** The time of people's hands: windows of work on the wall clock, and minutes of work counted through them. */
export interface Calendar {
  /** Minutes of work before a moment (minutes since the epoch); through a night it stands still. */
  readonly worked: (wall: number) => number;
  /** The moment the given minute of work begins; at the edge of a window that is the next opening. */
  readonly begins: (work: number) => number;
  /** The moment the given minutes of work are done; at the edge of a window that is the closing before it. */
  readonly ends: (work: number) => number;
  /** The first minute of work of each window: where the days lie on an axis of work. */
  readonly openings: readonly { readonly work: number; readonly wall: number; readonly minutes: number }[];
}

export type Window = readonly [from: number, to: number];

/**
 * A calendar over windows in order of time (whole minutes since the epoch, not overlapping). The last window is taken
 * to be endless, so that nothing falls off the end. Throws when there is no window.
 */
export function calendarOf(windows: readonly Window[]): Calendar {
  if (!windows.length) throw new RangeError('a calendar needs at least one window of work');
  const before: number[] = [];
  let sum = 0;
  for (const [from, to] of windows) {
    before.push(sum);
    sum += to - from;
  }
  const last = windows.length - 1;
  /** The last window that begins at or before x, by its start on the wall or by its minutes of work. */
  const search = (x: number, at: (k: number) => number): number => {
    let [lo, hi] = [0, last];
    while (lo < hi) {
      const mid = (lo + hi + 1) >> 1;
      if (at(mid) <= x) lo = mid;
      else hi = mid - 1;
    }
    return lo;
  };
  const start = (k: number): number => windows[k]![0];
  const done = (k: number): number => before[k]!;
  return {
    worked: (wall) => {
      const k = search(wall, start);
      const [from, to] = windows[k]!;
      const inside = Math.max(0, wall - from);
      return done(k) + (k === last ? inside : Math.min(inside, to - from));
    },
    begins: (work) => {
      const k = search(work, done);
      return start(k) + Math.max(0, work - done(k));
    },
    ends: (work) => {
      let k = search(work, done);
      while (k > 0 && done(k) >= work) k--;
      return start(k) + Math.max(0, work - done(k));
    },
    openings: windows.map(([from, to], k) => ({ work: before[k]!, wall: from, minutes: to - from }))
  };
}

/** Work at every hour of every day, from a moment on: for problems that know no night. */
export const roundTheClock = (from: number): Calendar => calendarOf([[from, from + 1]]);

export interface WorkingHours {
  /** Days of the week that are worked, 0 = Sunday. */
  readonly days: readonly number[];
  /** Minutes after midnight. */
  readonly from: number;
  readonly to: number;
  /** Days off, "2026-12-24". */
  readonly closed?: readonly string[];
}

const two = (n: number): string => String(n).padStart(2, '0');

/**
 * Windows of work by the local clock for so many days from a moment (minutes since the epoch). A day on which the clocks
 * change keeps its hours on the wall; hours that the change swallows are not there. Throws when no day of the week is
 * worked, or a day ends before it begins.
 */
export function windowsOf(hours: WorkingHours, now: number, days: number): Window[] {
  if (!hours.days.length || hours.to <= hours.from) throw new RangeError('nobody works at any hour');
  const today = new Date(now * 60_000);
  const [y, m, d] = [today.getFullYear(), today.getMonth(), today.getDate()];
  const closed = new Set(hours.closed ?? []);
  const list: Window[] = [];
  for (let k = 0; k < days || !list.length; k++) {
    const day = new Date(y, m, d + k);
    const name = `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
    if (!hours.days.includes(day.getDay()) || (closed.has(name) && k < days)) continue;
    const wall = (minutes: number): number =>
      Math.round(new Date(y, m, d + k, Math.floor(minutes / 60), minutes % 60).getTime() / 60_000);
    const [from, to] = [Math.max(wall(hours.from), now), wall(hours.to)];
    if (to > from) list.push([from, to]);
  }
  return list;
}
