import type { Context } from '../findings/context.ts';
import { compare, comparedRows } from '../stations/compression/compare.ts';
import { excuseOf } from '../stations/compression/floor.ts';
import { deadVolume } from '../stations/compression/measure.ts';
import type { ItemId } from '../stations/items.ts';
import type { SuspectKind } from './knowledge/shape.ts';

/** Whether a reading says that a suspect was put right, whatever the list of work says: a fresh washer for each plug. */
export const metByReading = (c: Context, { metBy }: SuspectKind): boolean =>
  metBy !== undefined && c.record.last(metBy.item as ItemId)?.value === metBy.value;

/**
 * Whether a wrong measurement of compression is out of the question: the low ones read low again, with nothing left to excuse them, beside
 * others that read well. A gauge is the same on every cylinder.
 */
export function readAgain(c: Context, { artefact, settled }: SuspectKind): boolean {
  if (!artefact || settled !== 'compression-again') return false;
  const found = compare(c);
  if (!found || excuseOf(found) || found.order?.confounded || deadVolume(found.instrument) > 0) return false;
  const rows = comparedRows(found);
  const floor = (1 - found.limit.value) * Math.max(...rows.map((r) => r.mean));
  const low = rows.filter((r) => r.mean < floor);
  return (
    low.length > 0 &&
    low.length < rows.length &&
    low.every((r) => !r.scattered && r.readings.filter((p) => p < floor).length > 1)
  );
}
