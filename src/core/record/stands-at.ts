import { isAfter, type Instant } from '../units/instant.ts';
import type { SurveyFile } from './survey-file.ts';

/**
 * The moment an assessment is judged for. One that is closed stands as it was when it was closed: fuel and rings of an engine in
 * service are not those that were looked at. Once something is read after that, it is judged by today; care that is ticked reads nothing.
 */
export const standsAt = (survey: SurveyFile, closedAt: Instant | undefined, now: Date): Date =>
  closedAt && !survey.readings.some((r) => isAfter(r.at, closedAt)) ? new Date(closedAt) : now;
