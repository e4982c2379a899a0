import type { Item, Items } from '../items/item.ts';
import type { ItemId, StationId } from '../items/register.ts';
import { stationIds, stations } from './register.ts';

export type { ItemId, ReadingValue, StationId } from '../items/register.ts';

/** The items of a station, by their short names. */
export const itemsOf = (station: StationId): Items => stations[station].items;

export const allItems = Object.fromEntries(
  stationIds.flatMap((s) => Object.entries(stations[s].items).map(([k, item]) => [`${s}.${k}`, item]))
) as unknown as Readonly<Record<ItemId, Item>>;

export const itemIds = Object.keys(allItems) as ItemId[];
export const stationOf = (what: ItemId): StationId => what.slice(0, what.indexOf('.')) as StationId;
