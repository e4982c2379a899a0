import type { Action } from '../holds/hold.ts';
import { stationOf, type ItemId } from '../stations/items.ts';
import { leftToAsk } from '../stations/run/prompts.ts';
import { runningRun } from '../stations/run/runs.ts';
import { NEVER_WARM, warmingOf } from '../stations/run/warming.ts';
import type { Move } from './move.ts';
import type { Position } from './position.ts';

/** Of the run, but looked at or written down once it stands. */
const AFTERWARDS: ReadonlySet<ItemId> = new Set<ItemId>([
  'run.plugAfter',
  'run.tight',
  'run.counters',
  'run.cause',
  'run.longRun'
]);
/** Of other checks, but seen on a running engine (C). */
const WATCHED: ReadonlySet<ItemId> = new Set<ItemId>([
  'cooling.stream',
  'cooling.outlet',
  'cooling.head',
  'cooling.bucket',
  'fuel.revived',
  'fuel.portable'
]);

const seenRunning = (item: ItemId): boolean =>
  WATCHED.has(item) || (stationOf(item) === 'run' && !AFTERWARDS.has(item));

/**
 * 3: the run under way, and what is read on it next; nothing where none was started here, or where it was said how it ended. Time is
 * asked only whether prompts are due, so that a list made from it holds until the next one is.
 */
export function watching({ context: c }: Position): Move | undefined {
  const run = runningRun(c);
  if (!run || run.untimed || run.logged) return undefined;
  const left = leftToAsk(c, run);
  const due = left.filter((x) => c.past(run.startedAt.getTime() + x.at * 1000));
  const warm = warmingOf(c, run)?.state;
  const enough = !left.length && (warm === 'settles' || warm === 'steady' || run.minutes >= NEVER_WARM.minutes);
  const what = { kind: 'continue', class: 3, id: 'run:watch', station: 'run' } as const;
  if (enough)
    return {
      ...what,
      title: 'Stop it, and say how it ran',
      items: ['run.event', 'run.outcome', 'run.idles'],
      minutes: 1,
      because: 'What a run is asked was answered, and it ran long enough to say so.'
    };
  const next = due.length ? due : left.slice(0, 1);
  return {
    ...what,
    title: 'Watch the run',
    items: [...new Set([...next.map((x) => x.item), 'run.temperature' as const])],
    minutes: 2,
    because: ['It runs.', ...next.slice(0, 3).map((x) => x.ask), 'Its temperature every half minute.'].join(' ')
  };
}

/** Whether a move is made on a running engine: the rest waits until it stands. */
export const madeRunning = (m: Move, needs: Action | undefined): boolean =>
  m.class === 1 || m.id === 'run:watch' || needs === 'start' || !!(m.items?.length && m.items.every(seenRunning));
