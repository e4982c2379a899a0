import { flowOf, flowState, type Flow } from '../../core/care/flow.ts';
import { contextOf } from '../../core/findings/context.ts';
import { lastRelease } from './store/releases.ts';
import type { StoreOptions } from './store/context.ts';
import { createSurvey, loadSurvey, surveysOf } from './store/surveys.ts';

/**
 * The assessment a short job's readings go into: the one under way, the same short job where it was left, else a new one
 * of its own.
 */
export function surveyFor(engineId: string, flow: Flow, by: string, o: StoreOptions = {}): string | undefined {
  const head = surveysOf(engineId, o)[0];
  if (!head) return undefined;
  if (lastRelease(head.id, o)) return createSurvey(engineId, 'single-job', by, o);
  if (head.kind !== 'single-job') return head.id;
  const { survey } = loadSurvey(head.id, o)!;
  const { finished } = flowState(contextOf(survey, o.now ?? new Date(), 'metric'), flow, []);
  return flowOf(survey) === flow.id && !finished ? head.id : createSurvey(engineId, 'single-job', by, o);
}
