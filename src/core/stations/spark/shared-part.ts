import { bankCount } from '../../engine/banks.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { explainedBy } from './damage.ts';
import type { Seen } from './facts.ts';

/** What two or more dead cylinders, but not all, may share: their bank, or a coil that fires two (C). */
function sharedPart(c: Context, dead: readonly number[]): 'bank' | 'coil' | undefined {
  const all = cylindersOf(c);
  if (dead.length < 2 || dead.length === all.length) return undefined;
  const banks = [1, 0].map((odd) => all.filter((k) => k % 2 === odd));
  const v = bankCount(c.survey.engine.profile, all.length) === 2;
  if (v && banks.some((b) => b.length === dead.length && b.every((k) => dead.includes(k)))) return 'bank';
  const paired = all.length === 4 && dead.length === 2 && (dead.join() === '1,4' || dead.join() === '2,3');
  return paired || (all.length > 2 && dead.length === 2) ? 'coil' : undefined;
}

/**
 * The cylinders without spark that one part may explain, and which. What was seen to explain its own cylinder is left out, unless a whole bank is
 * dead: that has one cause. Nothing before every cylinder was looked at: one that was not seen may be dead as well.
 */
export function deadTogether(
  c: Context,
  seen: readonly Seen[]
): { readonly dead: readonly number[]; readonly part: 'bank' | 'coil' } | undefined {
  if (seen.length !== cylindersOf(c).length) return undefined;
  const none = seen.filter((s) => s.result === 'none');
  const all = none.map((s) => s.cylinder);
  const dead = sharedPart(c, all) === 'bank' ? all : none.filter((s) => !explainedBy(c, s)).map((s) => s.cylinder);
  const part = sharedPart(c, dead);
  return part && { dead, part };
}
