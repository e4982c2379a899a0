import type { Context } from '../findings/context.ts';
import { known } from '../engine/profile.ts';
import { spentOn } from '../plan/costs.ts';
import type { Step } from '../plan/plan.ts';
import { isAfter, latestOf } from '../units/instant.ts';

/**
 * What the owner's word reaches to, cr in all, with what was spent before it; nothing where no sum was named. A yes to a repair is a yes
 * to what it might have cost when it was given, and no further.
 */
export function authorityOf(c: Context, steps: readonly Step[]): number | undefined {
  const named = known(c.survey.engine.history.ceiling);
  const said = latestOf(c.survey.decisions ?? []);
  if (!said || said.option === 'hold' || said.option === 'parts') return named;
  if (said.option === 'repair-under') return named ?? said.cost?.ceiling ?? said.cost?.high;
  if (!said.cost) return undefined;
  const before = steps.filter((s) => s.markedAt !== undefined && !isAfter(s.markedAt, said.at));
  return Math.max(named ?? 0, said.cost.high + spentOn(c, before));
}
