import { askedAfter } from '../../findings/asked-after.ts';
import type { Context } from '../../findings/context.ts';
import { onsetOf } from '../../findings/onset.ts';
import { unmended } from '../../findings/unmended.ts';
import { items } from './readings.ts';
import { isAfter, latestInstant, type Instant } from '../../units/instant.ts';

/** What the look at the shift rod's joint showed. */
export type Rod = 'follows' | 'slips';

const gears = ['turn.forward', 'turn.reverse'] as const;
const bad = {
  'turn.neutral': (v: unknown) => v === 'drives' || v === 'drags',
  'turn.forward': (v: unknown) => v === 'no' || v === 'slips',
  'turn.reverse': (v: unknown) => v === 'no' || v === 'slips',
  'run.gears': (v: unknown) => v === 'fails'
} as const;
export type ShiftItem = keyof typeof bad;

/** Set since the leg was last worked in: what was set before that was set for the parts of before. */
function setFor(c: Context, item: ShiftItem): readonly Instant[] {
  const inLeg = c.renewed('turn.shiftRod');
  return c.renewed(item).filter((at) => !inLeg.includes(at) && inLeg.every((x) => isAfter(at, x)));
}

/** Whether the latest answer is bad, and was given after somebody had set the linkage. */
export function badThoughSet(c: Context, item: ShiftItem): boolean {
  const last = c.record.last(item);
  return last !== undefined && bad[item](last.value) && setFor(c, item).some((at) => isAfter(last.at, at));
}

/** Since the shift went wrong, and since anybody worked in the leg. */
function beganAt(c: Context): Instant | undefined {
  const onsets = (Object.keys(bad) as ShiftItem[]).flatMap((item) => onsetOf(c.record.all(item), bad[item]) ?? []);
  return latestInstant([...onsets, ...c.renewed('turn.shiftRod')]);
}

/** What the shift rod was seen to do; nothing where nobody could tell, or where it slipped at the look before and nobody mended it. */
export function rodSeen(c: Context): Rod | undefined {
  if (unmended(c, 'turn.shiftRod', items.shiftRod)) return undefined;
  const said = c.record.last('turn.shiftRod');
  return said && isAfter(said.at, beganAt(c)) ? (said.value as Rod) : undefined;
}

/** Somebody was asked what the shift rod does, whatever the answer. */
export const rodAsked = (c: Context): boolean => askedAfter(c, 'turn.shiftRod', beganAt(c));

/** Whether either gear is bad though the linkage was set. */
export const gearsThoughSet = (c: Context): boolean => gears.some((item) => badThoughSet(c, item));
