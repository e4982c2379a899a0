import * as fake from 'fake-indexeddb';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Entry } from '../../../core/record/entries.ts';
import type { BatchAnswer } from '../../../core/survey/wire.ts';
import type * as Boxes from './outbox.svelte.ts';
import type * as Store from './outbox-store.ts';

const entry = (id: string, value = 'full'): { kind: 'entry'; entry: Entry } => ({
  kind: 'entry',
  entry: { type: 'reading', body: { id, what: 'fuel.level', value: value as 'full', at: '2026-05-02T08:00:00.000Z' } }
});
const empty: BatchAnswer = { entries: [], facts: [], refused: [] };

class Small {
  readonly kept = new Map<string, string>();
  constructor(private readonly full = false) {}
  get length(): number {
    return this.kept.size;
  }
  key = (k: number): string | null => [...this.kept.keys()][k] ?? null;
  getItem = (k: string): string | null => this.kept.get(k) ?? null;
  setItem = (k: string, v: string): void => {
    if (this.full) throw new DOMException('full', 'QuotaExceededError');
    this.kept.set(k, v);
  };
  removeItem = (k: string): void => void this.kept.delete(k);
}

let small: Small;
let Outbox: (typeof Boxes)['Outbox'];
let batchOf: (typeof Boxes)['batchOf'];
let store: typeof Store;

/** A page opened anew on the same device: its modules know nothing, its stores everything. */
async function openPage(): Promise<void> {
  vi.resetModules();
  ({ Outbox, batchOf } = await import('./outbox.svelte.ts'));
  store = await import('./outbox-store.ts');
}
/** Lets the browser's database, which answers by setImmediate, come to rest. */
const settled = async (): Promise<void> => {
  for (let k = 0; k < 60; k++) await new Promise((r) => setImmediate(r));
};
const later = async (ms: number): Promise<void> => {
  await vi.advanceTimersByTimeAsync(ms);
  await settled();
};

beforeEach(async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'Date'] });
  for (const [name, value] of Object.entries(fake)) if (name.startsWith('IDB')) vi.stubGlobal(name, value);
  vi.stubGlobal('indexedDB', new IDBFactory());
  vi.stubGlobal('localStorage', (small = new Small()));
  await openPage();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

type Answer = BatchAnswer | 'down' | number;
const answering = (answers: Answer[]) => {
  const sent: string[][] = [];
  vi.stubGlobal(
    'fetch',
    vi.fn(async (_url: string, init: { body: string }) => {
      const body = JSON.parse(init.body) as { entries: { body: { id: string } }[] };
      sent.push(body.entries.map((e) => e.body.id));
      const answer = answers.shift() ?? empty;
      if (answer === 'down') throw new TypeError('no connection');
      return typeof answer === 'number'
        ? new Response(JSON.stringify({ message: `answered ${answer}` }), { status: answer })
        : new Response(JSON.stringify(answer));
    })
  );
  return sent;
};
const waitingHere = async (): Promise<string[]> => (await store.allUnsent()).map((k) => k.id);

describe('the outbox', () => {
  it('asks again for what was told while an answer was under way', async () => {
    let answer = (): void => {};
    const asked = vi.fn(
      () => new Promise<Response>((resolve) => (answer = () => resolve(new Response(JSON.stringify(empty)))))
    );
    vi.stubGlobal('fetch', asked);
    const box = new Outbox('s', 0, 0, () => {});
    void box.flush();
    void box.flush();
    expect(asked).toHaveBeenCalledTimes(1);
    answer();
    await settled();
    expect(asked).toHaveBeenCalledTimes(2);
    answer();
    await settled();
    expect(asked).toHaveBeenCalledTimes(2);
  });
  it('is written down before it is sent, at once, and forgotten when it was confirmed', async () => {
    const sent = answering(['down', empty]);
    const box = new Outbox('s', 0, 0, () => {});
    box.put(entry('a'));
    expect([...small.kept.values()][0]).toContain('"id":"a"');
    await settled();
    expect(await waitingHere()).toEqual(['a']);
    // In the database by now: the small store holds nothing any more.
    expect([...small.kept.keys()].filter((k) => k.includes('unsent'))).toEqual([]);
    await later(5000);
    expect(sent.at(-1)).toEqual(['a']);
    expect([box.state, box.waiting.length, await waitingHere()]).toEqual(['saved', 0, []]);
  });
  it('a page closed in the moment of writing loses nothing', async () => {
    answering(['down']);
    new Outbox('s', 0, 0, () => {}).put(entry('a'));
    // Nothing settled: the database has not answered.
    vi.stubGlobal('indexedDB', new IDBFactory());
    await openPage();
    const sent = answering([empty]);
    const next = new Outbox('s', 0, 0, () => {});
    expect((await next.restore()).map((q) => q.kind)).toEqual(['entry']);
    await next.flush();
    await settled();
    expect(sent).toEqual([['a']]);
    expect(await waitingHere()).toEqual([]);
  });
  it('two tabs of one engine keep what the other has not sent', async () => {
    const sent = answering(['down', 'down', empty]);
    const [one, two] = [new Outbox('s', 0, 0, () => {}), new Outbox('s', 0, 0, () => {})];
    one.put(entry('a'));
    two.put(entry('b'));
    await settled();
    expect((await waitingHere()).sort()).toEqual(['a', 'b']);
    // The first tab sends its own; the second is closed before it could.
    await one.flush();
    two.rest();
    await settled();
    expect(sent.at(-1)).toEqual(['a']);
    expect(await waitingHere()).toEqual(['b']);
    await openPage();
    const next = new Outbox('s', 0, 0, () => {});
    await next.restore();
    await next.flush();
    await settled();
    expect(sent.at(-1)).toEqual(['b']);
  });
  it('takes up the lists of an earlier version', async () => {
    small.kept.set('indaga-outbox:s', JSON.stringify([entry('a'), entry('b')]));
    small.kept.set('indaga-outbox:t', '{"half');
    expect(await waitingHere()).toEqual(['a', 'b']);
    expect(small.kept.has('indaga-outbox:s')).toBe(false);
  });
  it('says so when this browser can keep it nowhere, and sends it all the same', async () => {
    vi.stubGlobal('localStorage', new Small(true));
    vi.stubGlobal('indexedDB', { open: () => new IDBFactory().open('x', 0.5) });
    await openPage();
    const sent = answering(['down', empty]);
    const box = new Outbox('s', 0, 0, () => {});
    box.put(entry('a'));
    expect(box.unkept).toBe(true);
    await later(5000);
    expect(sent.at(-1)).toEqual(['a']);
    expect(box.unkept).toBe(false);
  });
  it('keeps and retries when there is no connection, in order, with what came meanwhile', async () => {
    const sent = answering(['down', 'down', empty]);
    const box = new Outbox('s', 0, 0, () => {});
    box.put(entry('a'));
    await later(10);
    expect(box.state).toBe('kept');
    box.put(entry('b'));
    await later(30_000);
    expect(sent.at(-1)).toEqual(['a', 'b']);
    expect(box.state).toBe('saved');
  });
  it.each([401, 404, 421, 500, 507])('an answer of %i keeps everything and says why', async (status) => {
    answering([status]);
    const box = new Outbox('s', 0, 0, () => {});
    box.put(entry('a'));
    await settled();
    expect([box.state, box.why, await waitingHere()]).toEqual(['kept', `answered ${status}`, ['a']]);
    box.rest();
  });
  it('a batch that is too large goes in halves; what cannot be read alone is set aside, the rest is sent', async () => {
    const sent: string[][] = [];
    vi.stubGlobal(
      'fetch',
      vi.fn(async (_: string, init: { body: string }) => {
        const ids = (JSON.parse(init.body) as { order: string[] }).order;
        sent.push(ids);
        return ids.includes('bad') || ids.length > 2
          ? new Response(JSON.stringify({ message: 'too large' }), { status: ids.length > 2 ? 413 : 400 })
          : new Response(JSON.stringify(empty));
      })
    );
    const box = new Outbox('s', 0, 0, () => {});
    box.waiting = ['a', 'b', 'bad', 'c', 'd'].map((id) => entry(id));
    await box.flush();
    await later(1000);
    expect(sent.filter((ids) => !ids.includes('bad') && ids.length && ids.length < 3).flat()).toEqual([
      'a',
      'b',
      'c',
      'd'
    ]);
    expect(box.refusals).toEqual([{ id: 'bad', message: 'too large' }]);
    expect(box.state).toBe('saved');
    // It stands in the list of what was not taken, page after page, until somebody has seen to it.
    await openPage();
    const [bad, ...others] = await store.allAside();
    expect([bad?.kept.id, bad?.kept.surveyId, bad?.message, others]).toEqual(['bad', 's', 'too large', []]);
    expect(await store.asideCount()).toBe(1);
    await store.forgetAside(bad!.key);
    expect(await store.allAside()).toEqual([]);
  });
  it('a batch is split by its size', () => {
    const large = Array.from({ length: 5 }, (_, k) => entry(`e${k}`, 'x'.repeat(400_000)));
    expect(batchOf(large)).toHaveLength(2);
    expect(batchOf([entry('one', 'x'.repeat(3_000_000))])).toHaveLength(1);
    expect(batchOf(Array.from({ length: 450 }, (_, k) => entry(`e${k}`)))).toHaveLength(200);
  });
  it('passes on refusals with their sentence, and does not send them again', async () => {
    const sent = answering([{ ...empty, refused: [{ id: 'a', message: 'Refused: Drowned.' }] }]);
    const received: BatchAnswer[] = [];
    const box = new Outbox('s', 0, 0, (a) => received.push(a));
    box.put(entry('a'));
    await later(10);
    expect(box.refusals[0]?.message).toBe('Refused: Drowned.');
    expect(received).toHaveLength(1);
    await box.flush();
    expect(sent.at(-1)).toEqual([]);
  });
  it('asks only for what is newer than it has', async () => {
    answering([{ ...empty, entries: [{ seq: 41, type: 'reading', body: entry('x').entry.body }] }]);
    const box = new Outbox('s', 7, 3, () => {});
    await box.flush();
    await box.flush();
    const bodies = vi
      .mocked(fetch)
      .mock.calls.map((c) => JSON.parse(String(c[1]?.body)) as { since: number; factSince: number });
    expect(bodies.map((b) => [b.since, b.factSince])).toEqual([
      [7, 3],
      [41, 3]
    ]);
  });
});
