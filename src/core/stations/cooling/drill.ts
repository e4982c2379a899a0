import { askedAfter } from '../../findings/asked-after.ts';
import type { Context } from '../../findings/context.ts';
import type { Reading } from '../../record/reading.ts';
import { isAfter, latestInstant } from '../../units/instant.ts';
import type { ItemId } from '../items.ts';
import { pumpWear } from './pump.ts';

/** What can be why nothing comes, all of it seen behind the same four screws (C). */
const parts: readonly ItemId[] = ['cooling.bush', 'cooling.set', 'cooling.tube'];

/** Drill tests that brought nothing since the pump or the water way was worked on, and since one that pumped; oldest first. */
function broughtNothing(c: Context): readonly Reading[] {
  const worked = latestInstant(c.worked('cooling'));
  const told = c.record.all('cooling.drill').filter((r) => r.value !== 'unknown' && isAfter(r.at, worked));
  return told.slice(told.findLastIndex((r) => r.value !== 'nothing') + 1);
}

/** Parts that nobody has looked at since the drill test first brought nothing; an answer of "unknown" is one. */
export function leftOfDrill(c: Context): ItemId[] {
  const first = broughtNothing(c)[0];
  if (!first) return [];
  return parts.filter((item) => !askedAfter(c, item, first.at));
}

/** One of them, or the pump itself, was found to be why. */
export const foundForDrill = (c: Context): boolean =>
  c.record.value('cooling.tube') === 'leaking' ||
  ['key', 'spins'].includes(String(c.record.value('cooling.bush'))) ||
  pumpWear(c).marks.length > 0;

/** Each of them was looked at, and the drill test brought nothing once more after that: what is left is the water way itself. */
export function drilledInVain(c: Context): boolean {
  const list = broughtNothing(c);
  const [first, last] = [list[0], list.at(-1)];
  if (!first || !last || leftOfDrill(c).length) return false;
  const looked = latestInstant(parts.flatMap((item) => c.record.all(item).map((r) => r.at)));
  return isAfter(last.at, looked);
}
