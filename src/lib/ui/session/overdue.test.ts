import { describe, expect, it } from 'vitest';
import { Overdue } from './overdue.ts';

describe('what waits to be sent', () => {
  const after = (o: Overdue, ms: number, ids: readonly string[], connected = true): string[] => [
    ...o.of(ids, ms, connected)
  ];
  it('is not what is only under way: an entry that is taken in a moment is never said to wait', () => {
    const o = new Overdue();
    expect(after(o, 0, ['a'])).toEqual([]);
    expect(after(o, 4000, ['b'])).toEqual([]);
    expect(after(o, 8000, [])).toEqual([]);
    // The same one again later is under way anew.
    expect(after(o, 12_000, ['b'])).toEqual([]);
  });
  it('is what was there a while ago and still is', () => {
    const o = new Overdue();
    expect(after(o, 0, ['a'])).toEqual([]);
    expect(after(o, 2999, ['a', 'b'])).toEqual([]);
    expect(after(o, 3000, ['a', 'b'])).toEqual(['a']);
    expect(after(o, 7000, ['a', 'b'])).toEqual(['a', 'b']);
  });
  it('is everything at once where there is no connection', () => {
    expect(after(new Overdue(), 0, ['a', 'b'], false)).toEqual(['a', 'b']);
  });
});
