import type { Item } from '../items/item.ts';
import type { ItemId, StationId, StationItems } from '../items/register.ts';
import { items as compression } from './compression/readings.ts';
import { items as cooling } from './cooling/readings.ts';
import { items as fuel } from './fuel/readings.ts';
import { items as gear } from './gear/readings.ts';
import { items as look } from './look/readings.ts';
import { items as oil } from './oil/readings.ts';
import { items as plugs } from './plugs/readings.ts';
import { items as run } from './run/readings.ts';
import { items as safe } from './safe/readings.ts';
import { items as spark } from './spark/readings.ts';
import { items as turn } from './turn/readings.ts';

export type { ItemId, ReadingValue, StationId } from '../items/register.ts';

/** The register of what is taken at the stations, in working order, one line each. */
export const stationItems: { readonly [S in StationId]: StationItems[S] } = {
  safe,
  look,
  turn,
  plugs,
  spark,
  compression,
  gear,
  fuel,
  cooling,
  oil,
  run
};

export const stationIds = Object.keys(stationItems) as StationId[];

export const allItems = Object.fromEntries(
  stationIds.flatMap((s) => Object.entries(stationItems[s]).map(([k, item]) => [`${s}.${k}`, item]))
) as unknown as Readonly<Record<ItemId, Item>>;

export const itemIds = Object.keys(allItems) as ItemId[];
export const stationOf = (what: ItemId): StationId => what.slice(0, what.indexOf('.')) as StationId;
