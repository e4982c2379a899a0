import type { Context } from '../../findings/context.ts';
import { isAfter, type Instant } from '../../units/instant.ts';
import { causeAt } from '../run/symptoms.ts';
import type { ItemId } from '../items.ts';

interface Escape {
  readonly item: ItemId;
  readonly bad: string;
  readonly says: string;
}

/** Answers that say fuel gets out, or will as soon as it is pumped up; in the order it flows. */
const escapes: readonly Escape[] = [
  { item: 'look.hoses', bad: 'cracked', says: 'A hose is cracked or chewed' },
  { item: 'look.bulb', bad: 'cracked', says: 'The primer bulb is cracked' },
  { item: 'fuel.couplings', bad: 'leak', says: 'A coupling weeps' },
  { item: 'fuel.floods', bad: 'yes', says: 'Fuel runs from the carburettor' }
];

/** Fuel dripped in a run, and neither its cause was written down nor anything done about fuel since. */
function drippedAt(c: Context): Instant | undefined {
  const told = c.record.all('run.leaks').filter((r) => r.value !== 'unknown');
  const last = told.findLast((r) => r.value === 'fuel');
  if (!last) return undefined;
  const since = [causeAt(c), ...c.worked('fuel'), ...c.worked('look')].some((at) => at !== '' && !isAfter(last.at, at));
  return since ? undefined : last.at;
}

/** Where fuel gets out of this engine as it was last seen: the place of each, and what answers that it is mended. */
export function fuelEscapes(c: Context): { readonly item: ItemId; readonly says: string }[] {
  const seen = escapes.filter(({ item, bad }) => c.record.value(item) === bad);
  return [
    ...seen.map(({ item, says }) => ({ item, says })),
    ...(drippedAt(c) === undefined ? [] : [{ item: 'run.cause' as const, says: 'Fuel dripped in the run' }])
  ];
}
