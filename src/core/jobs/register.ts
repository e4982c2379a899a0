import { legSteps } from './rules-leg.ts';
import { lookSteps } from './rules-look.ts';
import { powerSteps } from './rules-power.ts';
import { restSteps } from './rules-rest.ts';
import { suspectSteps } from './rules-suspects.ts';
import { urgentSteps } from './rules-urgent.ts';
import type { StepRule } from './rule.ts';

/** Every kind of work, in practitioners' order. */
export const stepRules: readonly StepRule[] = [
  ...urgentSteps,
  ...powerSteps,
  ...lookSteps,
  ...restSteps,
  ...legSteps,
  ...suspectSteps
];
