import * as z from 'zod/mini';

/** What a user has chosen for this browser; kept in a cookie so that the first page already follows it. */
export const preferencesSchema = z.object({
  units: z.catch(z.enum(['metric', 'us']), 'us'),
  theme: z.catch(z.enum(['chart', 'night']), 'chart'),
  who: z.catch(z.string().check(z.maxLength(80)), ''),
  /** How a day is written; `units`: as where these units are used. */
  dates: z.catch(z.enum(['units', 'day-first', 'month-first', 'iso']), 'units'),
  /** Whether a reading that was taken is spoken. */
  speak: z.catch(z.enum(['no', 'yes']), 'no')
});
export type Preferences = z.infer<typeof preferencesSchema>;

export const COOKIE = 'indaga-prefs';

export function readPreferences(cookie: string | undefined): Preferences {
  let data: unknown = {};
  try {
    data = cookie ? JSON.parse(cookie) : {};
  } catch {
    // A damaged cookie is as good as none.
  }
  return preferencesSchema.parse(typeof data === 'object' && data !== null && !Array.isArray(data) ? data : {});
}
