import { z } from 'zod';

/** What a user has chosen for this browser; kept in a cookie so that the first page already follows it. */
export const preferencesSchema = z.object({
  units: z.enum(['metric', 'us']).catch('us'),
  theme: z.enum(['chart', 'night']).catch('chart'),
  who: z.string().max(80).catch('')
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
