import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { largestPhoto } from '../../photo-limits.ts';
import { PhotoBox } from './photo-box.svelte.ts';

/** Without IndexedDB (as here, or in a private window) photographs still wait in memory and are still sent. */
let answers: (() => Response | Promise<Response>)[];
let sent: number;
const json = (body: object, status = 200) => new Response(JSON.stringify(body), { status });
beforeEach(() => {
  vi.useFakeTimers();
  answers = [];
  sent = 0;
  vi.stubGlobal('fetch', async () => {
    sent += 1;
    const next = answers.shift();
    if (!next) throw new Error('no connection');
    return next();
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
const file = (name = 'a.jpg', size = 10): File => new File([new Uint8Array(size)], name, { type: 'image/jpeg' });
const box = () => {
  const arrived: [string, string][] = [];
  return { arrived, box: new PhotoBox('s', (what, photo) => arrived.push([what, photo])) };
};

describe('photographs on their way', () => {
  it('arrive under the name the server gave them, and are then forgotten here', async () => {
    const { box: b, arrived } = box();
    answers.push(() => json({ photo: 'f'.repeat(64) }));
    await b.take('look.cowlPhoto', file());
    expect(arrived).toEqual([['look.cowlPhoto', 'f'.repeat(64)]]);
    expect(b.waiting).toEqual([]);
  });
  it('wait while there is no connection or the server is broken, and are tried again by themselves', async () => {
    const { box: b, arrived } = box();
    answers.push(() => json({}, 503));
    await b.take('look.cowlPhoto', file());
    expect(b.waiting).toHaveLength(1);
    await vi.advanceTimersByTimeAsync(5100);
    expect(sent).toBe(2);
    answers.push(() => json({ photo: 'a'.repeat(64) }));
    await vi.advanceTimersByTimeAsync(5100);
    expect(arrived).toHaveLength(1);
    expect(b.waiting).toEqual([]);
  });
  it('taken while an earlier visit is taken up again stay in the list', async () => {
    const { box: b } = box();
    const restoring = b.restore();
    const taking = b.take('look.cowlPhoto', file());
    await Promise.all([restoring, taking]);
    expect(b.waiting.map((w) => w.what)).toEqual(['look.cowlPhoto']);
  });
  it.each([401, 403, 404, 413, 421, 507])(
    'an answer of %i that is no verdict on the picture keeps it',
    async (status) => {
      const { box: b } = box();
      answers.push(() => json({ message: 'not now' }, status));
      await b.take('look.skegPhoto', file());
      expect(b.waiting).toHaveLength(1);
    }
  );
  it('that the server refuses are dropped with its sentence; the next one still goes', async () => {
    const { box: b, arrived } = box();
    answers.push(() => json({ verdict: 'picture', message: 'This is not a picture.' }, 400));
    await b.take('look.skegPhoto', file('words.jpg'));
    expect(b.message).toEqual({ what: 'look.skegPhoto', text: 'This is not a picture.' });
    expect(b.waiting).toEqual([]);
    answers.push(() => json({ photo: 'b'.repeat(64) }));
    await b.take('look.skegPhoto', file());
    expect(arrived).toHaveLength(1);
    expect(b.message).toBeUndefined();
  });
  it('that are too large are never sent', async () => {
    const { box: b } = box();
    await b.take('look.casePhoto', file('a/b/huge.jpg', largestPhoto + 1));
    expect(sent).toBe(0);
    expect(b.message?.text).toMatch(/“a[:/]b[:/]huge\.jpg” is 20 MB; 20 MB is the most/);
  });
});
