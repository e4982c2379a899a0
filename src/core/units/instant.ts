import * as z from 'zod/mini';

/**
 * A moment in time as text: ISO 8601 with an offset or Z, as `2026-05-02T12:00:00+02:00`. The same moment can be written in
 * many ways, so instants are compared by the functions here and never as text.
 */
export type Instant = string;

/** The one spelling that is kept: UTC, milliseconds, Z. Two instants in it are in the order of their text. */
const isCanonical = (i: Instant): boolean => i.length === 24 && i.endsWith('Z');

/**
 * Brings an instant to the spelling that is kept.
 * @example toInstant('2026-05-02T12:00:00+02:00') // '2026-05-02T10:00:00.000Z'
 * @throws RangeError when the text is no instant
 */
export const toInstant = (text: string): Instant => (isCanonical(text) ? text : new Date(text).toISOString());

/** Engines, records and promises lie between these years; a clock that says another one is wrong. */
const FIRST_YEAR = 1950;
const LAST_YEAR = 2199;

/** An instant from outside: checked, and brought to the one spelling. What is no instant is refused as it was written. */
export const instantSchema = z.iso.datetime({ offset: true }).check(
  z.overwrite((text) => (Number.isNaN(Date.parse(text)) ? text : toInstant(text))),
  z.refine((text) => {
    const year = new Date(text).getUTCFullYear();
    return year >= FIRST_YEAR && year <= LAST_YEAR;
  }, `a date before ${FIRST_YEAR} or after ${LAST_YEAR} cannot be right here`)
);

/** Negative when `a` is before `b`, positive when it is after, 0 at the same moment; for `sort`. */
export function compareInstants(a: Instant, b: Instant): number {
  if (isCanonical(a) && isCanonical(b)) return a < b ? -1 : a > b ? 1 : 0;
  return Date.parse(a) - Date.parse(b);
}

/** Whether `a` is later than `b`. Everything is later than an instant that is not there. */
export const isAfter = (a: Instant, b: Instant | undefined): boolean => !b || compareInstants(a, b) > 0;

/** A mean year of the Gregorian calendar (P: 400 years have 146,097 days), and a twelfth of it, ms. */
export const YEAR = (146_097 / 400) * 86_400_000;
export const MONTH = YEAR / 12;

export interface Timed {
  readonly at: Instant;
}
/** The order of time, oldest first; for `sort`. */
export const byTime = (a: Timed, b: Timed): number => compareInstants(a.at, b.at);

/** The latest of a list, the last one of those at the same moment; nothing of an empty list. */
export const latestOf = <T extends Timed>(list: readonly T[]): T | undefined =>
  list.reduce<T | undefined>((best, x) => (best && isAfter(best.at, x.at) ? best : x), undefined);

/** The latest of each kind, the last one of those at the same moment; kinds in the order they first came. */
export function latestBy<T extends Timed>(list: readonly T[], kind: (x: T) => string): Map<string, T> {
  const latest = new Map<string, T>();
  for (const x of list) {
    const before = latest.get(kind(x));
    if (!before || !isAfter(before.at, x.at)) latest.set(kind(x), x);
  }
  return latest;
}

/** When the latest of a list was, an empty text for an empty list. */
export const latestAt = (list: readonly Timed[]): Instant => latestOf(list)?.at ?? '';
/** The same of instants by themselves. */
export const latestInstant = (list: readonly Instant[]): Instant => latestAt(list.map((at) => ({ at })));
