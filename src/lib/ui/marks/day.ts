import { page } from '$app/state';
import type { Preferences } from '$lib/preferences.ts';
import { sayDay } from './dates.ts';

/** The preferences of the page; of a component drawn outside any page there are none. */
function preferences(): Pick<Preferences, 'dates' | 'units'> {
  try {
    return (page.data as { prefs: Preferences }).prefs;
  } catch {
    return { dates: 'day-first', units: 'metric' };
  }
}

/** A day as this browser writes it; the pattern is written day first. */
export const sayDate = (at: string | number | Date, pattern: string): string =>
  sayDay(at, pattern, preferences() ?? { dates: 'day-first', units: 'metric' });
