import { bankCount } from '../engine/banks.ts';
import { cylinderCount, type Profile } from '../engine/profile.ts';
import { stations } from '../stations/register.ts';
import { allItems, itemIds, stationOf, type ItemId } from '../stations/items.ts';
import type { Move, Question } from './move.ts';
import { readsOf, streams } from './tried.ts';

/** Above so many a move is better made on its sheet than question by question. */
export const MOST_QUESTIONS = 14;

/**
 * Series, stages and what belongs to one of two banks are taken on their sheet: one field cannot say which, and an answer is never
 * taken for another bank's. So is what is read under conditions and with an instrument of its own: there they stand beside it.
 */
const needsSheet = (what: ItemId, profile: Profile): boolean =>
  stations[stationOf(what)].usualConditions !== undefined ||
  what === 'gear.casePressure' ||
  streams.has(what) ||
  (allItems[what].perBank === true && bankCount(profile, cylinderCount(profile) ?? 1) > 1);
/** The needle at rest says the same in one figure; photographs and logs are no answer to a question. */
const passed = (what: ItemId): boolean =>
  what === 'compression.pulls' || ['photo', 'log', 'text'].includes(allItems[what].kind);

/** Of a whole check: its first pass, in the order in which it is walked. */
function firstPass(move: Move): ItemId[] | undefined {
  const { station } = move;
  if (!station || move.items || move.id !== `look:${station}`) return undefined;
  const names: readonly string[] | undefined = stations[station].firstPass;
  return names?.map((name) => `${station}.${name}` as ItemId);
}

/**
 * What a move asks for, in the order of its check, each a field of its own. Empty where the move says nothing definite, where it
 * needs its sheet (a series, the stages of a test, one of two banks), or where there would be more than {@link MOST_QUESTIONS}.
 */
export function questionsOf(move: Move, profile: Profile): readonly Question[] {
  if (!move.station || move.kind === 'job' || move.kind === 'wait' || move.id.startsWith('proof:')) return [];
  const reads = readsOf(move);
  const items = firstPass(move) ?? (reads ? itemIds.filter((i) => reads(i) && stationOf(i) === move.station) : []);
  if (items.some((what) => needsSheet(what, profile))) return [];
  const count = cylinderCount(profile) ?? 1;
  const list = items
    .filter((what) => !passed(what) && (allItems[what].when?.(profile) ?? true))
    .flatMap((what): Question[] => {
      if (!allItems[what].perCylinder) return [{ what }];
      if (move.cylinder !== undefined) return [{ what, cylinder: move.cylinder }];
      return Array.from({ length: count }, (_, k) => ({ what, cylinder: k + 1 }));
    });
  return list.length > MOST_QUESTIONS ? [] : list;
}
