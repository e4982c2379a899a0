import { askedAfter } from '../../findings/asked-after.ts';
import { onsetOf } from '../../findings/onset.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { unmended } from '../../findings/unmended.ts';
import type { Context } from '../../findings/context.ts';
import type { ItemId } from '../items.ts';
import { isAfter, latestInstant } from '../../units/instant.ts';
import { items as lookItems } from '../look/readings.ts';
import { items as gearItems } from './readings.ts';
import { caseResult, heldSince } from './case-test.ts';

/** Where a gear case is seen to be cracked from outside. */
export type CrackPlace = 'case' | 'skeg';
export const crackPlaces = ['case', 'skeg'] as const satisfies readonly CrackPlace[];

/**
 * How deep it goes, by the worse of what was seen: through the wall; not told yet; into the metal and no further, of a case only where it
 * holds its test; not to be found through by a whole test; in the paint only.
 */
export type CrackDepth = 'through' | 'untold' | 'shallow' | 'held' | 'paint';

const sights = {
  case: { item: 'look.case', seen: 'stain', place: lookItems.case, dye: 'gear.dyeCase' },
  skeg: { item: 'look.skeg', seen: 'cracked', place: lookItems.skeg, dye: 'gear.dyeSkeg' }
} as const;

/** Dye on bare metal at that place, put on after the line was first seen; nothing where nobody could tell. */
function dyed(c: Context, place: CrackPlace): 'paint' | 'metal' | 'through' | undefined {
  const { item, seen, dye } = sights[place];
  const said = ofThisPart(c, dye);
  const onset = onsetOf(c.record.all(item), (v) => v === seen);
  return said && !(onset && isAfter(onset, c.record.last(dye)!.at)) ? said : undefined;
}

/** Somebody was asked what dye shows there, since the line was first seen and since it was mended, whatever the answer. */
export function dyeAsked(c: Context, place: CrackPlace): boolean {
  const { item, seen, dye } = sights[place];
  const since = [onsetOf(c.record.all(item), (v) => v === seen) ?? [], ...c.renewed(dye)].flat();
  return askedAfter(c, dye, latestInstant(since));
}

/** The line was seen after the stage at which cracks show was held: as far as anybody knows, it was whole then. */
function sinceTest(c: Context, place: CrackPlace): boolean {
  const { item, seen } = sights[place];
  const onset = onsetOf(c.record.all(item), (v) => v === seen);
  return onset !== undefined && !heldSince(c, 'high', onset);
}

/** Dye went into the metal there, at the latest look or at one that nobody mended since, whatever was seen on the walk. */
export function cutByDye(c: Context, place: CrackPlace): boolean {
  const { dye } = sights[place];
  const doubt = unmended(c, dye, gearItems[place === 'case' ? 'dyeCase' : 'dyeSkeg']);
  return dyed(c, place) === 'through' || dyed(c, place) === 'metal' || doubt?.was.value === 'through';
}

/** It leaked in its test, and soap showed no place. */
function leaksNowhere(c: Context): boolean {
  const bubbles = c.record.value('gear.caseBubbles');
  return caseResult(c).verdict === 'leaked' && Array.isArray(bubbles) && bubbles.length === 0;
}

/** How deep the crack at a place goes; nothing where none was seen, or what was seen was mended. */
export function crackDepth(c: Context, place: CrackPlace): CrackDepth | undefined {
  const { item, seen, place: look } = sights[place];
  const depth = dyed(c, place);
  const doubt = unmended(c, sights[place].dye, gearItems[place === 'case' ? 'dyeCase' : 'dyeSkeg']);
  const doubted = doubt !== undefined;
  if (ofThisPart(c, item) !== seen && unmended(c, item, look) === undefined && !cutByDye(c, place)) return undefined;
  // Deeper at the look before, and nobody mended it: one of the two is wrong.
  if (!doubted && (depth === 'through' || depth === 'paint')) return depth;
  const held = caseResult(c).verdict === 'held' && !sinceTest(c, place);
  // A skeg carries no oil where the case is tight; a case that leaks, and shows nowhere else, may leak by its crack.
  if (!doubted && depth === 'metal' && (held || (place === 'skeg' && !leaksNowhere(c)))) return 'shallow';
  return held ? 'held' : 'untold';
}

/** Seen to go through the wall, by dye or by soap on a case that leaks. */
export const crackedThrough = (c: Context): boolean =>
  crackPlaces.some((p) => crackDepth(c, p) === 'through') || bubblesAtHousing(c);

/** It bubbled at the housing, and the case has not held its test since. */
export function bubblesAtHousing(c: Context): boolean {
  const bubbles = c.record.value('gear.caseBubbles');
  return Array.isArray(bubbles) && bubbles.includes('housing') && caseResult(c).verdict !== 'held';
}

/** Cracked through, or nobody knows yet that it is not. */
export const cracked = (c: Context): boolean =>
  bubblesAtHousing(c) ||
  crackPlaces.some((p) => ['through', 'untold'].includes(String(crackDepth(c, p)))) ||
  mendedUntested(c);

/** A line that was seen, or a crack that went through, was mended, and the case has not held its test since. */
function mendedUntested(c: Context): boolean {
  const mended = latestInstant(c.renewed('gear.dyeCase'));
  if (!mended) return false;
  const before = (item: ItemId, value: string): boolean =>
    c.record.all(item).some((r) => r.value === value && !isAfter(r.at, mended));
  const was = crackPlaces.some((p) => before(sights[p].item, sights[p].seen) || before(sights[p].dye, 'through'));
  return was && !(askedAfter(c, 'gear.casePressure', mended) && caseResult(c).verdict === 'held');
}
