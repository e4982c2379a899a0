import { describe, expect, it } from 'vitest';
import { profileItems } from '../engine/profile.ts';
import { allItems } from '../stations/items.ts';
import { checkEntry } from './check-entry.ts';
import { exampleFor } from './example.ts';
import type { Item } from './item.ts';

describe('the example in an empty field', () => {
  it('of every item of every check and of the profile would be taken, in both systems', () => {
    const wrong: string[] = [];
    for (const [id, item] of [...Object.entries(allItems), ...Object.entries(profileItems)] as [string, Item][])
      for (const units of ['us', 'metric'] as const)
        if (item.kind === 'quantity') {
          const example = exampleFor(item, units);
          if (!checkEntry(item, example, units).ok) wrong.push(`${id} ${units}: ${example}`);
        }
    expect(wrong).toEqual([]);
  });
  it('is the usual one of its dimension only where that is possible', () => {
    expect(exampleFor(profileItems.cylinders as Item, 'us')).toBe('2');
    expect(exampleFor(profileItems.bore as Item, 'metric')).not.toBe('0.9 mm');
  });
});
