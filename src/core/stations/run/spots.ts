import type { Reading } from '../../record/reading.ts';

/** Where on an engine a running temperature is taken. */
export const spots = {
  head: 'head',
  'head-port': 'head, port bank',
  'head-starboard': 'head, starboard bank',
  thermostat: 'thermostat housing',
  block: 'block',
  exhaust: 'exhaust cover',
  stream: 'water from the stream'
} as const;
export type Spot = keyof typeof spots;
/** Where a temperature was taken; the head of its bank, where only the bank is noted. */
export function spotOf({ conditions }: Pick<Reading, 'conditions'>): Spot {
  const spot = conditions?.spot ?? 'head';
  return spot === 'head' && conditions?.bank ? `head-${conditions.bank}` : spot;
}
export const spotIds = Object.keys(spots) as Spot[];
