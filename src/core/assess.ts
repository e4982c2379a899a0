import { advise, type Advice } from './moves/advice.ts';
import { judge, type Judgement } from './judge.ts';
import { planOf, type Step } from './plan/plan.ts';
import { gatesOf, ready, type Gate } from './gates/gates.ts';
import type { SurveyFile } from './record/survey-file.ts';
import type { System } from './units/index.ts';

export { judge, type Judgement, type StationState } from './judge.ts';

/** Everything that follows from a survey. */
export interface Assessment extends Judgement {
  readonly advice: Advice;
  readonly steps: readonly Step[];
  readonly gates: readonly Gate[];
  readonly ready: boolean;
}

/** Judges a survey and draws up its job list and gates. */
export function assess(survey: SurveyFile, now: Date, units: System): Assessment {
  const judgement = judge(survey, now, units);
  const advice = advise(judgement);
  const steps = planOf(judgement.context, judgement.findings, advice.suspects);
  const gates = gatesOf(judgement.context, judgement.findings, judgement.holds, steps);
  return { ...judgement, advice, steps, gates, ready: ready(gates) };
}
