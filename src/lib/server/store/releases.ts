import { desc, eq, sql } from 'drizzle-orm';
import { createHash, randomUUID } from 'node:crypto';
import type { Assessment } from '../../../core/assess.ts';
import { canonicalJson } from '../../../core/release/canonical.ts';
import { reportOf, type Report } from '../../../core/release/report.ts';
import type { SurveyFile } from '../../../core/survey/survey-file.ts';
import { releases } from '../db/schema.ts';
import { dbOf, nowOf, prepared, type StoreOptions } from './context.ts';

export interface ReleaseRecord {
  readonly survey: SurveyFile;
  readonly report: Report;
  readonly signedBy: string;
  readonly at: string;
}
export interface Release {
  readonly id: string;
  readonly surveyId: string;
  readonly signedBy: string;
  readonly at: string;
  readonly hash: string;
  readonly record: ReleaseRecord;
}

export const hashOf = (record: ReleaseRecord): string =>
  createHash('sha256').update(canonicalJson(record)).digest('hex');

/** Signs an assessment whose gates all pass; throws when one does not. */
export function sign(surveyId: string, assessment: Assessment, signedBy: string, o: StoreOptions = {}): Release {
  if (!assessment.ready) throw new Error('not every gate passes');
  const at = nowOf(o);
  const plain = { survey: assessment.context.survey, report: reportOf(assessment), signedBy, at };
  const record = JSON.parse(JSON.stringify(plain)) as ReleaseRecord;
  const release = { id: randomUUID(), surveyId, signedBy, at, hash: hashOf(record), record };
  dbOf(o).insert(releases).values(release).run();
  return release;
}

export const lastRelease = (surveyId: string, o: StoreOptions = {}): Release | undefined =>
  prepared(o, 'last-release', (db) =>
    db
      .select()
      .from(releases)
      .where(eq(releases.surveyId, sql.placeholder('survey')))
      .orderBy(desc(releases.at))
      .limit(1)
      .prepare()
  ).get({ survey: surveyId }) as Release | undefined;
