import type { Context } from '../findings/context.ts';
import type { ItemId } from '../stations/items.ts';
import type { SuspectKind } from './knowledge/shape.ts';

/** Whether a reading says that a suspect was put right, whatever the list of work says: a fresh washer for each plug. */
export const metByReading = (c: Context, { metBy }: SuspectKind): boolean =>
  metBy !== undefined && c.record.last(metBy.item as ItemId)?.value === metBy.value;
