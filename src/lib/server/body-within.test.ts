import { describe, expect, it } from 'vitest';
import { bodyWithin } from './body-within.ts';

/** A body in pieces, and how many of them were taken. */
function inPieces(sizes: readonly number[]) {
  let given = 0;
  const body = new ReadableStream<Uint8Array>(
    {
      pull(controller) {
        const size = sizes[given++];
        if (size === undefined) controller.close();
        else controller.enqueue(new Uint8Array(size).fill(given));
      }
    },
    { highWaterMark: 0 }
  );
  return { body, given: () => given };
}

describe('a body that does not say how long it is', () => {
  it('is read whole while it fits, to the last byte', async () => {
    const { body } = inPieces([3, 0, 2]);
    expect([...(await bodyWithin(body, 5))!]).toEqual([1, 1, 1, 3, 3]);
    expect(await bodyWithin(inPieces([]).body, 0)).toHaveLength(0);
  });
  it('is not read on once it is too large, however much would come', async () => {
    const { body, given } = inPieces(Array.from({ length: 1000 }, () => 10));
    expect(await bodyWithin(body, 25)).toBeUndefined();
    expect(given()).toBeLessThan(6);
  });
  it('that breaks off is an error, not a short body', async () => {
    const body = new ReadableStream<Uint8Array>({ start: (c) => c.error(new Error('gone')) });
    await expect(bodyWithin(body, 10)).rejects.toThrow('gone');
  });
});
