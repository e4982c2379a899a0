import type { Context } from '../findings/context.ts';
import type { Finding } from '../findings/finding.ts';
import type { ItemId, StationId } from '../stations/items.ts';
import { goOn, look, type AskRule } from './ask.ts';

/** Somebody was asked, in this round, for each of the cylinders that have no answer. */
function askedOfEach(c: Context, f: Finding, items: readonly ItemId[]): boolean {
  const { cylinders = [] } = f.values as { readonly cylinders?: readonly number[] };
  return cylinders.every((cylinder) =>
    items.some((item) => c.record.all(item, { cylinder, fromRound: c.record.round(item) }).length > 0)
  );
}

/**
 * The cylinders that a test has left out: it is gone on with. Asked for, and not to be told, they are looked at once more before it is
 * started. `items`: what is asked, and what answers it as well. C: common practice.
 */
export const others = (
  title: string,
  station: StationId,
  minutes: number,
  items: readonly [ItemId, ...ItemId[]],
  when: (c: Context, f: Finding) => boolean = () => true
): readonly AskRule[] => [
  goOn(title, station, minutes, {
    items: [items[0]],
    open: (c, f) => when(c, f) && !askedOfEach(c, f, items)
  }),
  look(title, [items[0]], minutes, { late: 'start', open: (c, f) => when(c, f) && askedOfEach(c, f, items) })
];
