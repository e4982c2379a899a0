import type { ItemId, StationId } from '../stations/items.ts';
import type { Eye } from './eye.ts';

/** One look as it is made at the engine: readings that are taken together. */
export interface Act {
  /** The check of the knowledge that it makes, or a name of its own. */
  readonly id: string;
  readonly station: StationId;
  /** What it reads. */
  readonly items: readonly ItemId[];
  /** Made whenever the whole check is made; the others only when they are asked for. */
  readonly routine?: true;
  readonly take: (eye: Eye) => void;
}

/** An act that reads its items one after the other as they are. */
export const plain = (
  id: string,
  station: StationId,
  items: readonly ItemId[],
  more: { readonly routine?: true } = {}
): Act => ({ id, station, items, take: (eye) => eye.look(items), ...more });
