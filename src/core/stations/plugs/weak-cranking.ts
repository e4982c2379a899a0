import { ownLimits } from '../../engine/limits.ts';
import type { Context } from '../../findings/context.ts';
import { keep } from '../../findings/keep.ts';
import { isAfter, type Instant } from '../../units/instant.ts';

interface CrankingWord {
  readonly at: Instant;
  readonly weak?: 'volts' | 'starter';
}

/** Of an engine with nothing but a starter: the words on how it is cranked, oldest first, each with what it says is weak. */
const crankingWords = (c: Context): readonly CrankingWord[] => keep(c, wordsOnCranking);

function wordsOnCranking(c: Context): CrankingWord[] {
  const poor = (value: unknown): { weak?: 'starter' } =>
    value === 'slow' || value === 'nothing' ? { weak: 'starter' } : {};
  return [
    ...(['plugs.starterCircuit', 'plugs.starterDirect'] as const).flatMap((what) =>
      c.record
        .all(what)
        .filter((r) => r.value !== 'unknown' && r.value !== 'not-fitted')
        .map((r) => ({ at: r.at, ...poor(r.value) }))
    ),
    ...c.record.all('plugs.volts').flatMap((r) => {
      if (typeof r.value !== 'number') return [];
      return [{ at: r.at, ...(r.value < ownLimits.weakVolts ? { weak: 'volts' as const } : {}) }];
    }),
    ...c.record.all('plugs.rpm').flatMap((r) => {
      if (typeof r.value !== 'number') return [];
      return [{ at: r.at, ...(r.value < ownLimits.slowCranking ? { weak: 'starter' as const } : {}) }];
    }),
    ...c.renewed('plugs.starterCircuit').map((at) => ({ at })),
    ...c.renewed('plugs.volts').map((at) => ({ at }))
  ].sort((a, b) => Number(isAfter(a.at, b.at)) - Number(isAfter(b.at, a.at)));
}

/** A word on starter and battery said so soon after something was cranked for is of that cranking as well, ms: where none was said before, and where one was (M). */
export const SAME_CRANKING = { unsaid: 4 * 3_600_000, said: 20 * 60_000 } as const;

/**
 * What was said to be weak, starter or battery, when something was cranked for, and nothing better since: what was read then was read weakly,
 * though nobody noted volts or speed beside it. Nothing on an engine that an arm may have turned.
 */
export function weakCrankingAt(c: Context, at: Instant): 'volts' | 'starter' | undefined {
  if (c.survey.engine.profile.starting !== 'electric') return undefined;
  const words = crankingWords(c);
  const before = words.findLast((w) => !isAfter(w.at, at));
  if (before?.weak) return before.weak;
  const next = words.find((w) => isAfter(w.at, at));
  const near = before ? SAME_CRANKING.said : SAME_CRANKING.unsaid;
  return next && Date.parse(next.at) - Date.parse(at) <= near ? next.weak : undefined;
}

/** As it stands now. */
export const cranksWeakly = (c: Context): boolean =>
  c.survey.engine.profile.starting === 'electric' && crankingWords(c).at(-1)?.weak !== undefined;
