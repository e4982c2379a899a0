import type { ReferenceTest } from '$core/stations/compression/reference.ts';
import type { StationId } from '$core/stations/items.ts';
import type { Earlier } from '$lib/earlier.ts';
import type { Instrument } from '$core/record/reading.ts';
import type { Component } from 'svelte';

/** What every sheet is given. */
export interface SheetProps {
  readonly station: StationId;
  readonly instruments: readonly { readonly id: string; readonly instrument: Instrument }[];
  readonly references: readonly ReferenceTest[];
  /** The same engine at other times, and its sister. */
  readonly earlier: Earlier;
}
type Loader = () => Promise<{ default: Component<SheetProps> | Component }>;

const fields: Loader = () => import('./FieldsSheet.svelte');
/** Checks with a worksheet made for them; the rest draw their items. Each is fetched when its check is opened. */
const made: Partial<Record<StationId, Loader>> = {
  look: () => import('./LookSheet.svelte'),
  turn: () => import('./TurnSheet.svelte'),
  plugs: () => import('./PlugsSheet.svelte'),
  spark: () => import('./SparkCheck.svelte'),
  compression: () => import('./CompressionCheck.svelte'),
  gear: () => import('./GearSheet.svelte'),
  fuel: () => import('./FuelSheet.svelte'),
  cooling: () => import('./CoolingSheet.svelte'),
  oil: () => import('./OilSheet.svelte'),
  run: () => import('./RunSheet.svelte')
};

export const sheetFor = async (station: StationId): Promise<Component<SheetProps>> =>
  (await (made[station] ?? fields)()).default as Component<SheetProps>;

/** Every sheet, to fetch ahead, so that a lost connection closes no check. */
export const sheetLoaders: readonly Loader[] = [fields, ...Object.values(made)];
