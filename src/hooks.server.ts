import { COOKIE, readPreferences } from '$lib/preferences';
import { log } from '$lib/server/log.ts';
import type { Handle, HandleServerError } from '@sveltejs/kit';

export const handle: Handle = async ({ event, resolve }) => {
  event.locals.prefs = readPreferences(event.cookies.get(COOKIE));
  const response = await resolve(event, {
    transformPageChunk: ({ html }) => html.replace('%indaga.theme%', event.locals.prefs.theme)
  });
  response.headers.set('X-Content-Type-Options', 'nosniff');
  response.headers.set('Referrer-Policy', 'same-origin');
  return response;
};

/** What went wrong goes to the log; the page gets a sentence without paths. */
export const handleError: HandleServerError = ({ error, event, status }) => {
  if (status === 404) return { message: 'There is nothing at this address.' };
  if (status === 413) return { message: 'This is larger than 25 MB and was not taken. Nothing was changed.' };
  if (status < 500) return { message: 'This could not be taken as it was sent. Nothing was changed.' };
  log.error({ err: error, path: event.url.pathname }, 'request failed');
  return { message: 'Something went wrong on our side. What you entered is kept in this browser; try again.' };
};
