import { expect } from 'vitest';
import { spoken, type Analysed, type Fact, type WordsOf } from '../src/core/findings/fact.ts';
import type { StationId } from '../src/core/stations/items.ts';

/** Examples of every kind of fact of a station: a kind that is added without one does not compile. */
export type Examples<V> = { readonly [K in keyof V & string]: readonly Fact<K, V[K] & object>[] };

/** Words every example in both systems of units: whole sentences, without a value that was never there. */
export function expectSpoken<V, Basis>(
  station: StationId,
  words: WordsOf<V, Basis>,
  basis: Basis,
  examples: Examples<V>
): void {
  const facts = Object.values<readonly Fact[]>(examples).flat() as unknown as Analysed<V, Basis>['facts'];
  for (const units of ['us', 'metric'] as const)
    for (const f of spoken(station, { basis, facts }, words, units)) {
      expect(f.sentence, f.id).toMatch(/^[A-Z0-9“].*[.?]$/s);
      expect(f.sentence.startsWith(f.found), f.id).toBe(true);
      expect(f.found, f.id).toMatch(/[.?]$/);
      const texts = [f.sentence, ...Object.values<string | readonly string[]>({ ...f.because }).flat()];
      for (const text of texts) expect(text, f.id).not.toMatch(/undefined|NaN|Infinity|\[object|null/);
    }
}
