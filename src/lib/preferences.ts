import * as z from 'zod/mini';

/** What a user has chosen for this browser; kept in a cookie so that the first page already follows it. */
export const preferencesSchema = z.object({
  units: z.catch(z.enum(['metric', 'us']), 'us'),
  theme: z.catch(z.enum(['chart', 'night']), 'chart'),
  who: z.catch(z.string().check(z.maxLength(80)), '')
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
