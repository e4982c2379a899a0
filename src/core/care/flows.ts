import { breakIn } from './break-in.ts';
import { seasonFlows } from './flows-season.ts';
import { serviceFlows } from './flows-service.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { flowOf, type Flow } from './flow.ts';

/** Every short job, in the order they are offered. */
export const flows: readonly Flow[] = [...serviceFlows, ...seasonFlows, breakIn];
export const flowById = (id: string): Flow | undefined => flows.find((f) => f.id === id);

/** The short job that an assessment is made for: a lay-up’s own, or the one that a single job was opened for. */
export function flowFor(survey: SurveyFile): Flow | undefined {
  const { kind } = survey.assessment;
  if (kind === 'lay-up') return flowById('lay-up');
  return kind === 'single-job' ? flowById(flowOf(survey) ?? '') : undefined;
}
