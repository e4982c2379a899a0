import { exampleOf, parseQuantity, say, type System } from '../units/index.ts';
import type { Item } from './item.ts';

/**
 * What a well-formed entry of this item looks like, for its empty field: its own example, else the one usual for the dimension where
 * it lies in the item's range, else the middle of that range.
 *
 * @example exampleFor(bore, 'metric') // '62 mm', and not the dimension's '0.9 mm'
 */
export function exampleFor(item: Item, units: System): string {
  if (item.example) return item.example;
  if (item.kind !== 'quantity') return '';
  const { dimension, min, max } = item;
  const usual = exampleOf(dimension, units);
  const parsed = parseQuantity(usual, dimension, units);
  if (parsed.ok && parsed.si >= min && parsed.si <= max) return usual;
  const middle = min > 0 ? Math.sqrt(min * max) : (min + max) / 2;
  return say(middle, dimension, units, middle / 40);
}
