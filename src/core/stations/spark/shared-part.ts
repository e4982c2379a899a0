import { bankCount } from '../../engine/banks.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';

/** What two or more dead cylinders, but not all, may share: their bank, or a coil that fires two (C). */
export function sharedPart(c: Context, dead: readonly number[]): 'bank' | 'coil' | undefined {
  const all = cylindersOf(c);
  if (dead.length < 2 || dead.length === all.length) return undefined;
  const banks = [1, 0].map((odd) => all.filter((k) => k % 2 === odd));
  const v = bankCount(c.survey.engine.profile, all.length) === 2;
  if (v && banks.some((b) => b.length === dead.length && b.every((k) => dead.includes(k)))) return 'bank';
  const paired = all.length === 4 && dead.length === 2 && (dead.join() === '1,4' || dead.join() === '2,3');
  return paired || (all.length > 2 && dead.length === 2) ? 'coil' : undefined;
}
