import type { Profile } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import type { ItemId } from '../items.ts';
import { isAfter, latestAt, latestInstant, type Instant } from '../../units/instant.ts';
import { answerOf, eliminate, type Elimination, type Trial } from '../../findings/elimination.ts';
import { onsetOf } from '../../findings/onset.ts';
import { lastTurn } from './turns.ts';

export type RoughPart = 'gears' | 'pinion' | 'leg' | 'head';

/** Where grit or noise may sit, cheapest to take out of it first; the power head is blamed last. C: common practice. */
const parts = [
  { id: 'gears', label: 'gears, propeller shaft or its bearings' },
  { id: 'pinion', label: 'starter pinion, belt or pulleys' },
  { id: 'leg', label: 'drive shaft, water pump or gear case' },
  { id: 'head', label: 'bores or bearings of the power head' }
] as const satisfies readonly { id: RoughPart; label: string }[];

const trials: readonly Trial<RoughPart>[] = [
  {
    item: 'turn.roughNeutral',
    why: 'In neutral the gears and the propeller stand still: what goes away with them was theirs.',
    minutes: 2,
    clears: { still: ['gears'] },
    accuses: { smooth: 'gears' }
  },
  {
    item: 'turn.roughPinion',
    why: 'A pinion that touches the ring, or a pulley, feels like grit and costs one look.',
    minutes: 5,
    clears: { still: ['pinion'], 'not-fitted': ['pinion'] },
    accuses: { smooth: 'pinion' }
  },
  {
    item: 'turn.roughLeg',
    why: 'With the leg off, what is still rough is in the power head: only now are bores and bearings blamed.',
    minutes: 30,
    clears: { still: ['leg', 'gears'] },
    accuses: { smooth: 'leg' }
  }
];

const fitted = (p: Profile) => (part: { id: RoughPart }) =>
  !(part.id === 'pinion' && p.starting === 'rope') && !(part.id === 'gears' && p.shift === 'direct');

const isNoise = (felt: string): boolean => felt === 'noise' || felt === 'play';

/** Whether the latest hand turn was rough: gritty, or with noise or play. */
export function isRough(c: Context): boolean {
  const feel = c.record.last('turn.feel')?.value;
  const noisy = Array.isArray(feel) && feel.some(isNoise);
  return lastTurn(c) === 'gritty' || noisy;
}

/** Whether all that the latest hand turn shows is a tight spot. */
export function isTight(c: Context): boolean {
  const feel = c.record.last('turn.feel')?.value;
  return !isRough(c) && Array.isArray(feel) && feel.includes('tight');
}

/** When it began to feel rough, where it had turned smoothly before. */
const roughSince = (c: Context): Instant | undefined =>
  lastTurn(c) === 'gritty'
    ? onsetOf(c.record.all('turn.result'), (v) => v === 'gritty')
    : onsetOf(c.record.all('turn.feel'), (v) => Array.isArray(v) && v.length > 0);

/** Where the roughness or the tight spot sits, from the answers so far; nothing while it turns smoothly. */
export function roughTree(c: Context): Elimination<RoughPart> | undefined {
  if (!isRough(c) && !isTight(c)) return undefined;
  const round = c.record.round('turn.result');
  const turned = latestAt([...c.record.all('turn.result'), ...c.record.all('turn.feel')]);
  // Turned since a part was opened for it, and rough all the same: what was tried before is of that part as it was.
  const from = (item: ItemId): Instant =>
    latestInstant([roughSince(c) ?? [], c.renewed(item).filter((at) => isAfter(turned, at))].flat());
  return eliminate(parts.filter(fitted(c.survey.engine.profile)), trials, (item) =>
    answerOf(c, item, round, from(item))
  );
}

/** Whether the roughness is known to sit outside the power head. */
export const roughOutside = (c: Context): boolean => {
  const found = roughTree(c)?.found;
  return found !== undefined && found.id !== 'head';
};
