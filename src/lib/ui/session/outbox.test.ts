import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Entry } from '../../../core/record/entries.ts';
import type { BatchAnswer } from '../../../core/survey/wire.ts';
import { Outbox } from './outbox.svelte.ts';

const entry = (id: string): { kind: 'entry'; entry: Entry } => ({
  kind: 'entry',
  entry: { type: 'reading', body: { id, what: 'fuel.level', value: 'full', at: '2026-05-02T08:00:00.000Z' } }
});
const empty: BatchAnswer = { entries: [], facts: [], refused: [] };
let kept: Map<string, string>;

beforeEach(() => {
  kept = new Map();
  vi.useFakeTimers();
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => void kept.set(k, v),
    removeItem: (k: string) => void kept.delete(k)
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const answering = (answers: (BatchAnswer | 'down')[]) => {
  const sent: string[][] = [];
  vi.stubGlobal(
    'fetch',
    vi.fn(async (_url: string, init: { body: string }) => {
      const body = JSON.parse(init.body) as { entries: { body: { id: string } }[] };
      sent.push(body.entries.map((e) => e.body.id));
      const answer = answers.shift() ?? empty;
      if (answer === 'down') throw new TypeError('no connection');
      return new Response(JSON.stringify(answer));
    })
  );
  return sent;
};

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
    await vi.advanceTimersByTimeAsync(1);
    expect(asked).toHaveBeenCalledTimes(2);
    answer();
    await vi.advanceTimersByTimeAsync(1);
    expect(asked).toHaveBeenCalledTimes(2);
  });
  it('says so when this browser cannot keep what waits', () => {
    vi.stubGlobal(
      'fetch',
      vi.fn(() => new Promise(() => {}))
    );
    vi.stubGlobal('localStorage', {
      getItem: () => null,
      setItem: () => {
        throw new DOMException('full', 'QuotaExceededError');
      },
      removeItem: () => {}
    });
    const box = new Outbox('s', 0, 0, () => {});
    box.put(entry('a'));
    expect(box.unkept).toBe(true);
  });
  it('writes to the browser before it sends, and forgets only what was confirmed', async () => {
    const sent = answering([empty]);
    const box = new Outbox('s', 0, 0, () => {});
    box.put(entry('a'));
    expect(kept.get('indaga-outbox:s')).toContain('"id":"a"');
    await vi.runAllTimersAsync();
    expect(sent).toEqual([['a']]);
    expect([box.state, box.waiting.length, kept.size]).toEqual(['saved', 0, 0]);
  });
  it('keeps and retries when there is no connection, in order, with what came meanwhile', async () => {
    const sent = answering(['down', 'down', empty]);
    const box = new Outbox('s', 0, 0, () => {});
    box.put(entry('a'));
    await vi.advanceTimersByTimeAsync(10);
    expect(box.state).toBe('kept');
    box.put(entry('b'));
    await vi.runAllTimersAsync();
    expect(sent.at(-1)).toEqual(['a', 'b']);
    expect(box.state).toBe('saved');
  });
  it('a new visit takes up what the last one could not send', async () => {
    answering(['down']);
    const first = new Outbox('s', 0, 0, () => {});
    first.put(entry('a'));
    await vi.advanceTimersByTimeAsync(10);
    const sent = answering([empty]);
    const second = new Outbox('s', 0, 0, () => {});
    expect(second.restore().map((q) => q.kind)).toEqual(['entry']);
    await second.flush();
    expect(sent).toEqual([['a']]);
  });
  it('passes on refusals with their sentence, and does not send them again', async () => {
    const sent = answering([{ ...empty, refused: [{ id: 'a', message: 'Refused: Drowned.' }] }]);
    const received: BatchAnswer[] = [];
    const box = new Outbox('s', 0, 0, (a) => received.push(a));
    box.put(entry('a'));
    await vi.runAllTimersAsync();
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
  it('a damaged store is as good as none', () => {
    kept.set('indaga-outbox:s', '{"half');
    expect(new Outbox('s', 0, 0, () => {}).restore()).toEqual([]);
  });
  it('a full store loses nothing that is still in memory', async () => {
    vi.stubGlobal('localStorage', {
      getItem: () => null,
      setItem: () => {
        throw new DOMException('quota', 'QuotaExceededError');
      },
      removeItem: () => {}
    });
    const sent = answering([empty]);
    new Outbox('s', 0, 0, () => {}).put(entry('a'));
    await vi.runAllTimersAsync();
    expect(sent).toEqual([['a']]);
  });
});
