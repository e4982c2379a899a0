import type { Context } from '../../findings/context.ts';
import { runs } from '../../findings/ran.ts';
import { isAfter, type Instant } from '../../units/instant.ts';
import { ofThisOil } from './as-it-is.ts';
import { changedAfter } from './changed.ts';
import { takenOut } from './sump.ts';

const SAID: ReadonlySet<unknown> = new Set(['clean', 'dark', 'thin']);

/** Seen in the pan, with the new oil not yet in: it is out already. */
function seenInPan(c: Context, at: Instant): boolean {
  const out = takenOut(c);
  if (out?.how !== 'emptied' || isAfter(out.at, at)) return false;
  return !(['oil.poured', 'oil.dip', 'oil.dipAt'] as const).some((what) =>
    c.record
      .all(what)
      .some((r) => r.value !== 'unknown' && r.value !== 'none' && isAfter(r.at, out.at) && !isAfter(r.at, at))
  );
}

const milkySeen = (c: Context): readonly { readonly at: Instant }[] =>
  c.record.all('oil.look').filter((r) => r.value === 'milky');

/**
 * What is still to be seen of oil that was milky and was changed. "unseen": nobody has looked at the new oil. "run-first": it is clear, and
 * what comes in while it runs has not had its chance. "after-run": it ran since, and nobody has looked at it after that.
 */
export type MilkyStage = 'unseen' | 'run-first' | 'after-run';

export function milkyBefore(c: Context): MilkyStage | undefined {
  const milky = milkySeen(c).at(-1);
  if (!milky || ofThisOil(c, 'oil.look') === 'milky') return undefined;
  const changed = changedAfter(c, milky.at) || (seenInPan(c, milky.at) ? milky.at : '');
  // Without a change between, it is a contradiction of its own.
  if (changed === '') return undefined;
  const seen = c.record.all('oil.look').findLast((r) => SAID.has(r.value) && !isAfter(changed, r.at));
  if (!seen) return 'unseen';
  const ran = runs(c).find((r) => isAfter(r.at, changed));
  if (!ran) return 'run-first';
  return isAfter(seen.at, ran.at) ? undefined : 'after-run';
}

/** Milky once more, after it had been changed for that: where the water comes in is looked for, before the same once more. */
export const milkyAgain = (c: Context): boolean =>
  ofThisOil(c, 'oil.look') === 'milky' &&
  milkySeen(c)
    .slice(0, -1)
    .some((r) => changedAfter(c, r.at) !== '');
