import type { Item } from '../items/item.ts';
import type { ItemId } from '../items/register.ts';
import { isAfter, type Instant } from '../units/instant.ts';
import type { Reading } from './reading.ts';

/** A second answer within this, ms, puts a slip right; later it is another look (M). */
const SLIP = 2 * 60_000;

/**
 * Whether a new answer stands beside the old one instead of taking its place: each entry of a repeated item, a state that something was read
 * under, an answer of a run that another one followed, and at a later look what counts each time or does not go away by itself, and what changes,
 * answered otherwise.
 */
export function standsBeside(
  item: Item,
  what: ItemId,
  old: Reading,
  readings: readonly Reading[],
  at: Instant,
  value: unknown
): boolean {
  if (item.repeated) return true;
  const station = what.slice(0, what.indexOf('.') + 1);
  const since = readings.filter((r) => isAfter(r.at, old.at));
  if (item.state) return since.some((r) => r.what !== what && r.what.startsWith(station));
  if (station === 'run.' && since.some((r) => r.what === 'run.event' && r.value === 'start')) return true;
  const later = Date.parse(at) - Date.parse(old.at) > SLIP;
  // What does not go away by itself is looked at once more where it did, and that look is another one though it says the same.
  return (
    later &&
    (item.counts === true || item.stays !== undefined || (item.changes === true && String(value) !== String(old.value)))
  );
}
