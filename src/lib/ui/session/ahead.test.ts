import { describe, expect, it } from 'vitest';
import { fetchAhead } from './ahead.ts';

const soon = (): Promise<void> => new Promise((r) => setTimeout(r));

describe('code fetched ahead', () => {
  it('comes one piece after the other, each after a moment of rest, though one fails', async () => {
    const log: string[] = [];
    const piece =
      (name: string, fails = false) =>
      async (): Promise<void> => {
        log.push(`${name} begins`);
        await soon();
        log.push(`${name} ends`);
        if (fails) throw new Error('offline');
      };
    fetchAhead([piece('a', true), piece('b')], async () => {
      log.push('rest');
      await soon();
    });
    await expect.poll(() => log.length).toBe(6);
    expect(log).toEqual(['rest', 'a begins', 'a ends', 'rest', 'b begins', 'b ends']);
  });
  it('ends with the page', async () => {
    let fetched = 0;
    const end = fetchAhead(
      Array.from({ length: 5 }, () => () => {
        fetched++;
        if (fetched === 2) end();
        return Promise.resolve();
      }),
      soon
    );
    for (let k = 0; k < 20; k++) await soon();
    expect(fetched).toBe(2);
  });
});
