import type { ValueOf } from './item.ts';

/**
 * The items of every station, by the station's name. It is empty here and each `stations/<name>/readings.ts` adds its own
 * by declaration merging, so that the record can be typed by what the stations take without importing them.
 */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type
export interface StationItems {}

export type StationId = Extract<keyof StationItems, string>;

/** Every reading's name: station and item, "gear.look". */
export type ItemId = { [S in StationId]: `${S}.${Extract<keyof StationItems[S], string>}` }[StationId];

type ItemAt<I extends ItemId> = I extends `${infer S extends StationId}.${infer K}`
  ? K extends keyof StationItems[S]
    ? StationItems[S][K]
    : never
  : never;

/** What a reading of this name may hold. */
export type ReadingValue<I extends ItemId> = ValueOf<ItemAt<I>>;
