import type { Item } from '../items/item.ts';
import type { Card, CardId, cardItems } from './card.ts';

type Value<K extends CardId> = (typeof cardItems)[K] extends Item<infer V> ? V : never;

/** An entry's value where it is known; a guess counts only where `guesses` is given, since nothing may be proved by one. */
export function cardValue<K extends CardId>(
  card: Card | undefined,
  key: K,
  guesses = false
): Exclude<Value<K>, 'unknown'> | undefined {
  const entry = card?.[key];
  if (!entry || entry.value === 'unknown' || entry.value === '' || (entry.source === 'guess' && !guesses))
    return undefined;
  return entry.value as Exclude<Value<K>, 'unknown'>;
}
