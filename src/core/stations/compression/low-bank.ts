import { bankCount, bankWith } from '../../engine/banks.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { isAfter, type Instant } from '../../units/instant.ts';
import type { TestFact } from './facts.ts';

/**
 * The cylinders of one bank, where all of them are low and hold their air and none of the other bank is low: they share how
 * their valves are timed, and no gauge reads one bank low. Common practice; a whole bank at once needs no second reading of each.
 */
export function wholeBank(
  c: Context,
  low: readonly number[],
  tight: ReadonlySet<number>
): readonly number[] | undefined {
  const { profile } = c.survey.engine;
  const n = cylindersOf(c).length;
  const bank = low[0] === undefined || bankCount(profile, n) < 2 ? [] : bankWith(profile, n, low[0]);
  const whole = bank.length > 1 && low.length === bank.length && bank.every((k) => low.includes(k) && tight.has(k));
  return profile.strokes === 'four' && whole ? bank : undefined;
}

/** Low facts of a test, those of a whole bank told so. */
export function asBank(c: Context, lows: readonly TestFact[]): TestFact[] {
  const tight = new Set(lows.flatMap((f) => (f.kind === 'low-but-tight' ? f.cylinder! : [])));
  const bank = wholeBank(
    c,
    lows.flatMap((f) => f.cylinder ?? []),
    tight
  );
  if (!bank) return [...lows];
  return lows.map((f) => (f.kind === 'low-but-tight' ? { ...f, values: { ...f.values, again: true, bank } } : f));
}

/** Read low once more since leak-down found it tight: one more reading would tell nothing new. */
export const lowSinceTight = (c: Context, cylinder: number, at: Instant): boolean =>
  isAfter(at, c.record.last('compression.leakdown', cylinder)?.at);
