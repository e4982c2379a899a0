import { bankCount, bankWith } from '../../engine/banks.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import type { TestFact } from './facts.ts';

/**
 * Every cylinder of one bank is low and holds its air, and none of the other bank is low: they share how their valves are
 * timed, and no gauge reads one bank low. Common practice; a whole bank at once needs no second reading of each.
 */
export function wholeBank(c: Context, lows: readonly TestFact[]): TestFact[] {
  const { profile } = c.survey.engine;
  const n = cylindersOf(c).length;
  const [first] = lows;
  const bank = first?.cylinder === undefined ? [] : bankWith(profile, n, first.cylinder);
  const tight = new Set(lows.flatMap((f) => (f.kind === 'low-but-tight' && f.values.valves ? [f.cylinder] : [])));
  const whole =
    bankCount(profile, n) === 2 && bank.length > 1 && lows.length === bank.length && bank.every((k) => tight.has(k));
  if (!whole) return [...lows];
  return lows.map((f) => (f.kind === 'low-but-tight' ? { ...f, values: { ...f.values, again: true, bank } } : f));
}
