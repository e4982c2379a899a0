import { building } from '$app/environment';
import { COOKIE, readPreferences } from '$lib/preferences';
import { accessNeeded, isOurs, shownOrigin } from '$lib/server/access/hosts.ts';
import { setupAddress } from '$lib/server/access/setup.ts';
import { deviceOf } from '$lib/server/access/store.ts';
import { bodyWithin, LARGEST } from '$lib/server/body-within.ts';
import { database, holdDirectory } from '$lib/server/db/open.ts';
import { drawnOnce } from '$lib/server/drawn-page.ts';
import { diskProblem } from '$lib/server/problems.ts';
import { startBackups } from '$lib/server/files/scheduled-backup.ts';
import { log } from '$lib/server/log.ts';
import { startThreads } from '$lib/server/work/pool.ts';
import { DEVICE } from '$lib/server/access/cookie.ts';
import { error, json, text, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import { sequence } from '@sveltejs/kit/hooks';
import { randomUUID } from 'node:crypto';

/** Opens the database before the first request: what is wrong with it is said at the start, once. */
export const init: ServerInit = () => {
  if (building) return;
  database();
  holdDirectory();
  startBackups();
  startThreads();
  const address = setupAddress(shownOrigin());
  if (address)
    console.log(
      `Nobody can come in yet. Open this address once, on this network, to set the passphrase:\n  ${address}`
    );
};

const plain = (status: number, message: string): Response =>
  text(`${message}\n`, { status, headers: { 'cache-control': 'no-store' } });

/** Turns away names that are not this machine's, and writes that come from a page elsewhere. */
const ours: Handle = ({ event, resolve }) => {
  const host = event.request.headers.get('host');
  if (!isOurs(host) && !(host === null && event.isSubRequest))
    return plain(
      421,
      'This is not an address of this server. Use its own name or number, or add the name to INDAGA_HOSTS where it is started.'
    );
  if (!['GET', 'HEAD', 'OPTIONS'].includes(event.request.method)) {
    const origin = event.request.headers.get('origin');
    const own = [
      host,
      process.env.ORIGIN && URL.canParse(process.env.ORIGIN) ? new URL(process.env.ORIGIN).host : null
    ];
    const elsewhere = origin !== null && !(URL.canParse(origin) && own.includes(new URL(origin).host));
    if (elsewhere || event.request.headers.get('sec-fetch-site') === 'cross-site')
      return plain(403, 'This was sent from another page and was not taken.');
  }
  return resolve(event);
};

/** What may be seen without the passphrase: the door itself, the owner's page, and whether the process lives. */
const OPEN = /^\/(door|setup|o\/[\w-]+(\/(record\.pdf|care\.ics|year))?|health)\/?$/;

/** Behind the door: who this device stands for. Where nobody has to sign in, whoever is here may do everything. */
const door: Handle = ({ event, resolve }) => {
  const { locals, url, request } = event;
  locals.prefs = readPreferences(event.cookies.get(COOKIE));
  locals.requestId = randomUUID();
  if (!accessNeeded()) return resolve(event);
  const actor = deviceOf(event.cookies.get(DEVICE));
  locals.actor = actor ?? {};
  locals.closed = !actor;
  // A name on a record is one that signed in.
  locals.prefs = { ...locals.prefs, who: actor?.name ?? '' };
  if (actor || OPEN.test(url.pathname)) return resolve(event);
  const page = request.method === 'GET' && (request.headers.get('accept') ?? '').includes('text/html');
  if (page)
    return new Response(null, {
      status: 303,
      headers: { location: `/door?back=${encodeURIComponent(url.pathname + url.search)}`, 'cache-control': 'no-store' }
    });
  return json({ message: 'This device is not opened yet: the yard’s passphrase comes first.' }, { status: 401 });
};

const headers: Handle = async ({ event, resolve }) => {
  const response = await resolve(event, {
    transformPageChunk: ({ html }) => html.replace('%indaga.theme%', event.locals.prefs.theme)
  });
  response.headers.set('X-Content-Type-Options', 'nosniff');
  response.headers.set('Referrer-Policy', 'same-origin');
  response.headers.set('X-Frame-Options', 'DENY');
  response.headers.set('Cross-Origin-Opener-Policy', 'same-origin');
  response.headers.set('Cross-Origin-Resource-Policy', 'same-origin');
  response.headers.set('Permissions-Policy', 'geolocation=(), microphone=(), payment=()');
  // Behind a door nothing is left in a cache that several people share.
  if (event.locals.actor && !response.headers.has('cache-control'))
    response.headers.set('cache-control', 'private, no-cache');
  return response;
};

/**
 * What comes in pieces announces no length that could be refused: it is counted while it is read, and goes on with its length. A bundle may
 * be larger, and has its own limit.
 */
const bounded: Handle = async ({ event, resolve }) => {
  const { request } = event;
  if (request.body && !request.headers.has('content-length') && event.url.pathname !== '/import') {
    const body = await bodyWithin(request.body, LARGEST);
    if (!body) error(413, 'This is larger than 25 MB and was not taken. Nothing was changed.');
    const headers = new Headers(request.headers);
    headers.set('content-length', String(body.byteLength));
    event.request = new Request(request.url, { method: request.method, headers, body });
  }
  return resolve(event);
};

/** A form that cannot be read is the sender's mistake, and is said so; one that is too large keeps its own answer. */
const forms: Handle = ({ event, resolve }) => {
  const { request } = event;
  const read = request.formData.bind(request);
  Object.defineProperty(request, 'formData', {
    value: async (): Promise<FormData> => {
      try {
        return await read();
      } catch (err) {
        const { status, cause } = err as { status?: number; cause?: { status?: number } };
        if (status ?? cause?.status) throw err;
        error(400, 'This form could not be read as it was sent. Nothing was changed.');
      }
    }
  });
  return resolve(event);
};

export const handle = sequence(ours, door, bounded, forms, headers, drawnOnce());

/** What went wrong goes to the log with the number of the request; the page gets a sentence without paths. */
export const handleError: HandleServerError = ({ error: err, event, status }) => {
  if (status === 404) return { message: 'There is nothing at this address.' };
  if (status === 413) return { message: 'This is larger than 25 MB and was not taken. Nothing was changed.' };
  if (status < 500) return { message: 'This could not be taken as it was sent. Nothing was changed.' };
  const { requestId } = event.locals;
  log.error({ err, path: event.url.pathname, requestId }, 'request failed');
  return {
    message: `${
      diskProblem(err) ?? 'Something went wrong on our side. What you entered is kept in this browser; try again.'
    } (Request ${requestId?.slice(0, 8) ?? 'unknown'}.)`
  };
};
