import { entriesOf } from './entries.ts';
import type { SurveyFile } from './survey-file.ts';
import { isAfter, type Instant } from '../units/instant.ts';

/**
 * The moment an assessment is judged for. One that is closed stands as it was when it was closed: fuel and rings of an engine in
 * service are not those that were looked at. What is entered after that is judged by today.
 */
export const standsAt = (survey: SurveyFile, closedAt: Instant | undefined, now: Date): Date =>
  closedAt && !entriesOf(survey).some((e) => isAfter(e.body.at, closedAt)) ? new Date(closedAt) : now;
