import type { Item, ValueOf } from '../survey/items.ts';
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

/** The register of stations: in working order, one line each. */
export const stationItems = { safe, look, turn, plugs, spark, compression, gear, fuel, cooling, oil, run } as const;

export type StationId = keyof typeof stationItems;
export const stationIds = Object.keys(stationItems) as StationId[];

type Names = { [S in StationId]: `${S}.${Extract<keyof (typeof stationItems)[S], string>}` }[StationId];
/** Every reading's name: station and item, "gear.look". */
export type ItemId = Names;

type ItemAt<I extends ItemId> = I extends `${infer S extends StationId}.${infer K}`
  ? K extends keyof (typeof stationItems)[S]
    ? (typeof stationItems)[S][K]
    : never
  : never;
export type ReadingValue<I extends ItemId> = ValueOf<ItemAt<I>>;

export const allItems = Object.fromEntries(
  stationIds.flatMap((s) => Object.entries(stationItems[s]).map(([k, item]) => [`${s}.${k}`, item]))
) as unknown as Readonly<Record<ItemId, Item>>;

export const itemIds = Object.keys(allItems) as ItemId[];
export const stationOf = (what: ItemId): StationId => what.slice(0, what.indexOf('.')) as StationId;
