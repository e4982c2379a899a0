import type { Item } from '../items/item.ts';
import { signals, type SignalName } from './signals.ts';

type Quantity = Extract<Item, { kind: 'quantity' }>;
const byName: ReadonlyMap<string, SignalName> = new Map(Object.keys(signals).map((n) => [n, n as SignalName]));

/** The instrument that sends an item, by the item's own word. Throws RangeError where there is none of that name. */
export function signalOf(item: Item): SignalName | undefined {
  if (item.sent === undefined) return undefined;
  const name = byName.get(item.sent);
  if (!name) throw new RangeError(`no instrument sends “${item.sent}”`);
  return name;
}

/** What an instrument shows as the value of an item: vacuum counts from the outside air down. Nothing where the item cannot hold it. */
export function valueFor(item: Quantity, si: number): number | undefined {
  const value = item.dimension === 'vacuum' ? -si : si;
  return value >= item.min && value <= item.max ? value : undefined;
}
