import type { Context } from '../../findings/context.ts';
import { isAfter } from '../../units/instant.ts';

/** Whether oil was poured in, or seen on the stick, after an instant. */
const filledSince = (c: Context, at: string): boolean =>
  (['oil.poured', 'oil.dip', 'oil.dipAt'] as const).some((what) =>
    c.record.all(what).some((r) => r.value !== 'unknown' && r.value !== 'none' && isAfter(r.at, at))
  );

/** Why there is no oil in the sump: drained, or a new engine that comes without; nothing where it was filled, or nobody can tell. */
export function sumpEmpty(c: Context): 'drained' | 'new' | undefined {
  const { profile } = c.survey.engine;
  const drained = c.record.all('oil.drained').findLast((r) => r.value !== 'unknown');
  if (drained) return filledSince(c, drained.at) ? undefined : 'drained';
  const { kind } = c.survey.assessment;
  return kind === 'new-engine' && profile.strokes === 'four' && !filledSince(c, '') ? 'new' : undefined;
}
