import { listed, type Context } from '../../findings/context.ts';
import type { ItemId } from '../items.ts';
import type { Untried } from '../station.ts';
import { isAfter } from '../../units/instant.ts';

/** What says that water went through it while it ran: the stream, water with the exhaust, or a temperature. */
const WATER = ['run.stream', 'cooling.stream', 'run.exhaust', 'run.temperature', 'run.log'] as const;

/**
 * What nobody noted of a run that went well, and that only its own run shows: whether water came, and whether fuel or oil leaked. "Unknown"
 * is no note. Nothing where it did not run well, or all of it was noted.
 */
export function unnoted(c: Context): Untried | undefined {
  const outcome = c.record.last('run.outcome');
  if (outcome?.value !== 'ran') return undefined;
  const began = c.record.all('run.event').findLast((r) => r.value === 'start' && !isAfter(r.at, outcome.at))?.at;
  const noted = (item: ItemId): boolean =>
    c.record.all(item).some((r) => r.value !== 'unknown' && (began === undefined || !isAfter(began, r.at)));
  const dry = !WATER.some(noted);
  const unwatched = !noted('run.leaks');
  if (!dry && !unwatched) return undefined;
  const left = listed([...(dry ? ['whether water came'] : []), ...(unwatched ? ['whether it leaked'] : [])]);
  return {
    says: `It ran, and nobody noted ${left}.`,
    title: `Say of the run ${left}`,
    items: [...(dry ? (['run.stream', 'run.exhaust'] as const) : []), ...(unwatched ? (['run.leaks'] as const) : [])]
  };
}
