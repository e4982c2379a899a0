import { format, parseISO } from 'date-fns';
import type { Preferences } from '$lib/preferences.ts';

type Order = 'day-first' | 'month-first' | 'iso';

const orderOf = (p: Pick<Preferences, 'dates' | 'units'>): Order =>
  p.dates === 'units' ? (p.units === 'us' ? 'month-first' : 'day-first') : p.dates;

/** How the same pattern, written day first, is written in the other orders. Longest first. */
const rewritten: Record<Exclude<Order, 'day-first'>, readonly (readonly [string, string])[]> = {
  'month-first': [
    ['d MMMM yyyy', 'MMMM d, yyyy'],
    ['d MMM yyyy', 'MMM d, yyyy'],
    ['d MMMM', 'MMMM d'],
    ['d MMM', 'MMM d']
  ],
  iso: [
    ['d MMMM yyyy', 'yyyy-MM-dd'],
    ['d MMM yyyy', 'yyyy-MM-dd'],
    ['d MMMM', 'MM-dd'],
    ['d MMM', 'MM-dd']
  ]
};

/**
 * A day, or a day with its time, in the order that this browser has chosen.
 * `pattern` is date-fns' and written day first ("d MMM yyyy HH:mm"); months are words except in the ISO order.
 */
export function sayDay(
  at: string | number | Date,
  pattern: string,
  prefs: Pick<Preferences, 'dates' | 'units'>
): string {
  const order = orderOf(prefs);
  const rule = order === 'day-first' ? undefined : rewritten[order].find(([from]) => pattern.includes(from));
  return format(typeof at === 'string' ? parseISO(at) : at, rule ? pattern.replace(rule[0], rule[1]) : pattern);
}
