import { cylinderCount, type Profile } from '../engine/profile.ts';
import type { Reading } from '../record/reading.ts';
import { allItems } from '../stations/items.ts';

/**
 * A reading of a cylinder that names none, as it comes from outside: of an engine with one cylinder it is of that one. With more than
 * one, or a number that nobody knows, it stays as it is: nobody can say whose it is.
 * @example placed({ cylinders: 1 }, { what: 'spark.result', value: 'none', … }).cylinder // 1
 */
export const placed = (profile: Profile, reading: Reading): Reading =>
  reading.cylinder === undefined && cylinderCount(profile) === 1 && allItems[reading.what].perCylinder
    ? { ...reading, cylinder: 1 }
    : reading;

/** Whether a reading of one cylinder names none, of an engine that has several: it would be kept, and judged by nobody. */
export function namesNone(profile: Profile, { what, cylinder }: Pick<Reading, 'what' | 'cylinder'>): boolean {
  const count = cylinderCount(profile);
  return cylinder === undefined && count !== undefined && count > 1 && allItems[what].perCylinder === true;
}
