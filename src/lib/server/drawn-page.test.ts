import type { RequestEvent } from '@sveltejs/kit';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { openDatabase, type Db } from './db/open.ts';
import { drawnOnce } from './drawn-page.ts';

interface Asked {
  readonly path?: string;
  readonly route?: string;
  readonly method?: string;
  readonly units?: string;
  readonly actor?: { readonly name: string };
  readonly data?: boolean;
}
const event = ({ path = '/surveys/1/run', route = '/surveys/[id]/[station]', method = 'GET', ...asked }: Asked) =>
  ({
    request: new Request(`http://yard${path}`, { method }),
    url: new URL(`http://yard${path}`),
    route: { id: route },
    locals: { prefs: { units: asked.units ?? 'us' }, ...(asked.actor ? { actor: asked.actor } : {}) },
    isDataRequest: asked.data ?? false,
    isSubRequest: false
  }) as unknown as RequestEvent;

const opened: { readonly db: Db; readonly directory: string }[] = [];
function anyDatabase(): Db {
  const directory = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-drawn-'));
  const db = openDatabase(directory);
  opened.push({ db, directory });
  return db;
}
afterAll(() => {
  for (const { db, directory } of opened) {
    db.$client.close();
    fs.rmSync(directory, { recursive: true, force: true });
  }
});

/** A yard whose pages say how often they were drawn, and under which nonce. */
function yard(response?: (times: number) => Response) {
  const db = anyDatabase();
  db.$client.exec('create table of_this_test (n integer)');
  let times = 0;
  const handle = drawnOnce({ db });
  const usual = (n: number): Response =>
    new Response(`<p>drawn ${n}</p><script nonce="first${n}"></script>`, {
      headers: { 'content-type': 'text/html', 'content-security-policy': `script-src 'nonce-first${n}'` }
    });
  return {
    ask: (asked: Asked = {}): Promise<Response> =>
      Promise.resolve(handle({ event: event(asked), resolve: () => Promise.resolve((response ?? usual)(++times)) })),
    write: () => db.$client.exec('insert into of_this_test values (1)'),
    times: () => times
  };
}
const said = async (r: Promise<Response>): Promise<string> => /drawn \d+/.exec(await (await r).text())![0];

describe('a page that is asked for again', () => {
  it('is drawn once as long as nothing is written', async () => {
    const y = yard();
    expect(await said(y.ask())).toBe('drawn 1');
    expect(await said(y.ask())).toBe('drawn 1');
    y.write();
    expect(await said(y.ask())).toBe('drawn 2');
  });
  it('asked for twice at once is drawn once', async () => {
    const y = yard();
    expect(await Promise.all([said(y.ask()), said(y.ask())])).toEqual(['drawn 1', 'drawn 1']);
    expect(y.times()).toBe(1);
  });
  it('belongs to its reader, his units and its address', async () => {
    const y = yard();
    const all = [
      {},
      { units: 'metric' },
      { actor: { name: 'Mo' } },
      { path: '/surveys/2/run' },
      { path: '/surveys/1/run?x' }
    ];
    for (const [k, asked] of all.entries()) expect(await said(y.ask(asked))).toBe(`drawn ${k + 1}`);
    for (const [k, asked] of all.entries()) expect(await said(y.ask(asked))).toBe(`drawn ${k + 1}`);
  });
  it('carries a nonce of its own, the same in its head and in its body', async () => {
    const y = yard();
    await y.ask();
    const nonces = new Set<string>();
    for (let k = 0; k < 3; k++) {
      const page = await y.ask();
      const nonce = /'nonce-([^']+)'/.exec(page.headers.get('content-security-policy')!)![1]!;
      expect(await page.text()).toContain(`nonce="${nonce}"`);
      nonces.add(nonce);
    }
    expect(nonces.size).toBe(3);
    expect(nonces).not.toContain('first1');
  });
});

describe('what is not kept', () => {
  it.each([
    ['what is sent', { method: 'POST' }],
    ['data for a page that is there', { data: true }],
    ['a page of something else than the database', { path: '/instruments', route: '/instruments' }],
    ['practice, which has a database of its own', { path: '/practice/1', route: '/practice/[attempt]' }],
    ['the door', { path: '/door', route: '/door' }],
    ['an owner’s page', { path: '/o/abc', route: '/o/[token]' }]
  ])('%s', async (_, asked) => {
    const y = yard();
    await y.ask(asked);
    await y.ask(asked);
    expect(y.times()).toBe(2);
  });
  it.each([
    ['a page that failed', { status: 500, headers: { 'content-type': 'text/html' } }],
    ['one that is elsewhere', { status: 303, headers: { location: '/' } }],
    ['a file', { status: 200, headers: { 'content-type': 'application/pdf' } }],
    ['one that sets a cookie', { status: 200, headers: { 'content-type': 'text/html', 'set-cookie': 'a=b' } }]
  ])('%s', async (_, init) => {
    const y = yard((n) => new Response(init.status === 303 ? null : `drawn ${n}`, init as ResponseInit));
    expect((await y.ask()).status).toBe(init.status);
    expect((await y.ask()).status).toBe(init.status);
    expect(y.times()).toBe(2);
  });
  it('a stream that goes on is handed through, not copied', async () => {
    let stream: ReadableStream | undefined;
    const y = yard(() => {
      stream = new ReadableStream({ start: (c) => c.enqueue(new TextEncoder().encode('data: 1\n\n')) });
      return new Response(stream, { headers: { 'content-type': 'text/event-stream' } });
    });
    const response = await y.ask({ path: '/surveys/1/live', route: '/surveys/[id]/live' });
    expect(response.body).toBe(stream);
    expect(stream!.locked).toBe(false);
  });
  it('a drawing that throws is tried again', async () => {
    const y = yard((n) => {
      if (n === 1) throw new Error('disk full');
      return new Response('drawn again', { headers: { 'content-type': 'text/html' } });
    });
    await expect(y.ask()).rejects.toThrow('disk full');
    expect(await (await y.ask()).text()).toBe('drawn again');
  });
});
