import type { Handle, RequestEvent } from '@sveltejs/kit';
import { randomBytes } from 'node:crypto';
import type { StoreOptions } from './store/context.ts';
import { thisMinute, whileUnchanged } from './store/unchanged.ts';

/** A page as it was drawn, in the pieces between its nonces. */
interface Drawn {
  readonly headers: readonly (readonly [string, string])[];
  readonly nonce: string | undefined;
  readonly pieces: readonly Uint8Array[];
}

/** Pages that the database, the reader and the minute make, and nothing else: the yard, its bench and its care, an engine, an assessment. */
const OF_THE_DATABASE = /^\/($|(bench|care)(\/|$)|(surveys|engines)\/\[id\])/;

const isKept = ({ request, route, isDataRequest, isSubRequest }: RequestEvent): boolean =>
  request.method === 'GET' && !isDataRequest && !isSubRequest && OF_THE_DATABASE.test(route.id ?? '');

const keyOf = ({ url, locals: { prefs, actor, closed } }: RequestEvent): string =>
  `drawn ${thisMinute()} ${url.origin}${url.pathname}${url.search} ${JSON.stringify([prefs, actor, closed])}`;

const NONCE = /'nonce-([^']+)'/;
const isPage = ({ status, headers }: Response): boolean =>
  status === 200 && (headers.get('content-type') ?? '').startsWith('text/html') && !headers.has('set-cookie');

async function drawn(response: Response): Promise<Drawn> {
  const html = await response.text();
  const nonce = NONCE.exec(response.headers.get('content-security-policy') ?? '')?.[1];
  const encoder = new TextEncoder();
  return {
    headers: [...response.headers].filter(([name]) => name !== 'etag'),
    nonce,
    pieces: (nonce ? html.split(nonce) : [html]).map((piece) => encoder.encode(piece))
  };
}

/** The page once more, under a nonce of its own: one that was sent already would let in a script that was written for it. */
function again({ headers, nonce, pieces }: Drawn): Response {
  const fresh = randomBytes(16).toString('base64');
  const between = Buffer.from(fresh);
  const body = Buffer.concat(pieces.flatMap((piece, k) => (k === 0 ? [piece] : [between, piece])));
  return new Response(body, {
    headers: headers.map(([name, value]): [string, string] => [name, nonce ? value.replaceAll(nonce, fresh) : value])
  });
}

/**
 * Draws a page once for one reader in one minute, as long as nothing is written: drawing costs several times what everything else
 * of a request does. What is no page, sets a cookie or fails is not kept.
 */
export const drawnOnce =
  (o: StoreOptions = {}): Handle =>
  async ({ event, resolve }) => {
    if (!isKept(event)) return resolve(event);
    let own: Response | undefined;
    const page = await whileUnchanged(
      keyOf(event),
      async () => {
        own = await resolve(event);
        // A stream that goes on, or a file, is not copied: its copy would grow for as long as nobody reads it.
        return isPage(own) ? drawn(own.clone()) : undefined;
      },
      o
    );
    return own ?? (page ? again(page) : resolve(event));
  };
