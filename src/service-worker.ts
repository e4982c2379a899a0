/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
import { build, files, version } from '$service-worker';

/**
 * The yard without a connection. What the application is made of is kept when it is installed; pages are asked of the server
 * first and kept as they come, so that the last one seen is there when the server is not. Nothing that is sent passes through
 * here: entries and photographs wait in the browser's own stores (ui/session).
 */
const self = globalThis.self as unknown as ServiceWorkerGlobalScope;
const ASSETS = `indaga-assets-${version}`;
const PAGES = `indaga-pages-${version}`;
const PHOTOS = 'indaga-photos';
const assets = new Set([...build, ...files]);
/** How long a page may take before the kept one is shown instead, ms. */
const PATIENCE = 10_000;
/** A copy so young is not asked for again, ms. */
const FRESH = 600_000;
/** Pages and photographs kept; the oldest go first. */
const MOST_PAGES = 600;
const MOST_PHOTOS = 400;

self.addEventListener('install', (e) => {
  e.waitUntil(
    caches
      .open(ASSETS)
      .then((c) => c.addAll([...assets]))
      .then(() => self.skipWaiting())
  );
});

self.addEventListener('activate', (e) => {
  const mine = new Set([ASSETS, PAGES, PHOTOS]);
  e.waitUntil(
    caches
      .keys()
      // Pages of an older version ask for files that are gone.
      .then((keys) =>
        Promise.all(keys.filter((k) => k.startsWith('indaga-') && !mine.has(k)).map((k) => caches.delete(k)))
      )
      .then(() => self.clients.claim())
  );
});

async function trim(cache: Cache, most: number): Promise<void> {
  const keys = await cache.keys();
  await Promise.all(keys.slice(0, Math.max(0, keys.length - most)).map((k) => cache.delete(k)));
}

async function keep(name: string, most: number, request: Request | string, response: Response): Promise<void> {
  const cache = await caches.open(name);
  await cache.delete(request);
  await cache.put(request, response);
  await trim(cache, most);
}

/** Whether an answer is a page worth keeping: itself, not where it was sent on to, and no error. */
const worthKeeping = (r: Response): boolean =>
  r.ok && !r.redirected && /text\/html|application\/json/.test(r.headers.get('content-type') ?? '');

async function page(request: Request): Promise<Response> {
  const cut = new AbortController();
  const timer = setTimeout(() => cut.abort(), PATIENCE);
  try {
    const response = await fetch(request, { signal: cut.signal });
    clearTimeout(timer);
    if (worthKeeping(response)) await keep(PAGES, MOST_PAGES, request.url, response.clone());
    return response;
  } catch (error) {
    clearTimeout(timer);
    const kept = await caches.match(request.url, { cacheName: PAGES });
    if (kept) return kept;
    if (request.mode !== 'navigate') throw error;
    return new Response(
      `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>No connection · Indaga</title><body style="font:18px/1.5 system-ui;max-width:34rem;margin:3rem auto;padding:0 1rem"><h1>No connection</h1><p>This page was not opened on this device before, so there is no copy of it. Nothing you entered is lost: it waits in this browser.</p><p><a href="/">The yard, as it was last seen</a></p></body></html>`,
      { status: 503, headers: { 'content-type': 'text/html; charset=utf-8' } }
    );
  }
}

async function photo(request: Request): Promise<Response> {
  const kept = await caches.match(request, { cacheName: PHOTOS });
  if (kept) return kept;
  const response = await fetch(request);
  if (response.ok) await keep(PHOTOS, MOST_PHOTOS, request, response.clone());
  return response;
}

/** Streams, downloads and what only the server can make stay with the network. */
const live = /^\/(api|health|instruments\/(live|lines))|\/live$|\.(pdf|csv|ics|json|zip)$/;

self.addEventListener('fetch', (e) => {
  const url = new URL(e.request.url);
  if (e.request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (assets.has(url.pathname)) {
    e.respondWith(caches.match(url.pathname, { cacheName: ASSETS }).then((kept) => kept ?? fetch(e.request)));
    return;
  }
  if (url.pathname.startsWith('/photos/')) return e.respondWith(photo(e.request));
  if (live.test(url.pathname) && !url.pathname.endsWith('__data.json')) return;
  e.respondWith(page(e.request));
});

/** A page asks for others of the same engine to be kept, so that each opens without a connection. */
self.addEventListener('message', (e) => {
  const { keep: urls } = (e.data ?? {}) as { keep?: unknown };
  if (!Array.isArray(urls)) return;
  e.waitUntil(
    (async () => {
      for (const path of urls.filter((u): u is string => typeof u === 'string' && u.startsWith('/'))) {
        const url = new URL(path, self.location.origin).href;
        const kept = await caches.match(url, { cacheName: PAGES });
        if (kept && Date.now() - Date.parse(kept.headers.get('date') ?? '') < FRESH) continue;
        const response = await fetch(url).catch(() => undefined);
        if (!response) return;
        if (worthKeeping(response)) await keep(PAGES, MOST_PAGES, url, response);
      }
    })()
  );
});
