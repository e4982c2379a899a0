import { describe, expect, it } from 'vitest';
import { allItems, itemIds } from '../stations/items.ts';
import { quantity } from '../items/item.ts';
import { signals } from './signals.ts';
import { signalOf, valueFor } from './takes.ts';

describe('what an instrument shows as an item', () => {
  it('every item that says which instrument sends it names one of its own kind', () => {
    const sent = itemIds.flatMap((id) => {
      const item = allItems[id];
      const name = signalOf(item);
      return name && item.kind === 'quantity' ? [[id, signals[name].dimension, item.dimension] as const] : [];
    });
    expect(sent.length).toBeGreaterThan(8);
    const alike = new Map([
      ['vacuum', 'pressure'],
      ['level', 'length']
    ]);
    for (const [id, of, as] of sent) expect([id, of]).toEqual([id, alike.get(as) ?? as]);
    expect(() => signalOf(quantity({ label: 'x', sent: 'constructor', dimension: 'length', min: 0, max: 1 }))).toThrow(
      /no instrument sends/
    );
  });
  it('vacuum counts down from the air outside; what the item cannot hold is not offered', () => {
    const vacuum = quantity({ label: 'v', dimension: 'vacuum', min: 0, max: 5e4 }) as Parameters<typeof valueFor>[0];
    expect(valueFor(vacuum, -12_000)).toBe(12_000);
    expect(valueFor(vacuum, 3000)).toBeUndefined();
  });
});
