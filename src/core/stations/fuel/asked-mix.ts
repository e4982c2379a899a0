import { known } from '../../engine/profile.ts';
import { school, schoolSaid } from '../../house-rules/rules.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';
import { oilWay } from './oil-way.ts';

/** Ordinary premix steps from lean to rich; "one step more oil" goes one to the right (C). */
const STEPS = [100, 50, 40, 32, 25, 20, 16] as const;
export interface AskedMix {
  readonly ratio: number;
  /** Of the engine, before "one step more oil". */
  readonly wanted: Judged;
  readonly richer: boolean;
  readonly school: string;
}

/** The mixture this tank should have: the engine's, or one step more oil for the first tank after years. */
export function askedMix(c: Context): AskedMix | undefined {
  const { premixRatio } = c.survey.engine.profile;
  if (oilWay(c) !== 'fuel') return undefined;
  const wanted = judgedBy(c, 'fuel.premix', known(premixRatio), 'engine profile');
  if (!wanted) return undefined;
  const idle = known(c.survey.engine.history.yearsIdle) ?? 0;
  const richer = idle > 1 && school(c.rules, 'firstTank') === 'richer';
  return {
    ratio: richer ? (STEPS.find((s) => s < wanted.value) ?? wanted.value) : wanted.value,
    wanted,
    richer,
    school: schoolSaid(c.rules, 'firstTank')
  };
}
