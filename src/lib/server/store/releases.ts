import { desc, eq, sql } from 'drizzle-orm';
import { createHash, randomUUID } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import type { Assessment } from '../../../core/assess.ts';
import { canonicalJson } from '../../../core/report/canonical.ts';
import { reportOf, type Report } from '../../../core/report/report.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { photosOf } from '../../../core/survey/photos-of.ts';
import { releases } from '../db/schema.ts';
import { log } from '../log.ts';
import { photoPath } from '../files/photo-path.ts';
import { contentHash, FIRST, linkOf, noteHead, type Seal } from './chain.ts';
import { dbOf, nowOf, prepared, type StoreOptions } from './context.ts';
import { forgetEngine } from './summaries.ts';
import { surveyHead } from './surveys.ts';

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
  /** Its link in the chain of all records; older ones were signed before there was a chain. */
  readonly chain: string | null;
  /** Its place in the order of signing, from 1. */
  readonly seq: number | null;
  readonly record: ReleaseRecord;
}

export const hashOf = (record: ReleaseRecord): string =>
  createHash('sha256').update(canonicalJson(record)).digest('hex');

/** Signs an assessment whose gates all pass; throws when one does not. */
export function sign(surveyId: string, assessment: Assessment, signedBy: string, o: StoreOptions = {}): Release {
  if (!assessment.ready) throw new Error('not every gate passes');
  const head = surveyHead(surveyId, o);
  if (!head) throw new Error('there is no such assessment');
  const at = nowOf(o);
  const { survey } = assessment.context;
  const plain = { survey, report: reportOf(assessment), signedBy, at };
  const record = JSON.parse(JSON.stringify(plain)) as ReleaseRecord;
  const hash = hashOf(record);
  const db = dbOf(o);
  // Two signatures at once must not both follow the same link.
  const release = db.transaction(
    () => {
      const { seq: last, chain: before } = lastLink(o);
      const seq = last + 1;
      // One that never came with its survey cannot be missed later.
      const photos = photosOf(survey).filter((p) => fs.existsSync(photoPath(path.dirname(db.$client.name), p)));
      const seal = sealOf(surveyId, head.engineId, photos, o);
      const id = randomUUID();
      const chain = linkOf(before, { seq, id, surveyId, signedBy, at, hash, seal });
      const made = { id, surveyId, signedBy, at, hash, chain, seq, version: 2, seal, record };
      db.insert(releases).values(made).run();
      return made;
    },
    { behavior: 'immediate' }
  );
  try {
    noteHead(path.dirname(db.$client.name), release.seq, release.chain, at);
  } catch (err) {
    // The record is signed and stored; `verify` says that its line is missing.
    log.error({ err }, 'the list of signed records beside the database could not be written');
  }
  forgetEngine(head.engineId, o);
  return release;
}

function sealOf(surveyId: string, engineId: string, photos: readonly string[], o: StoreOptions): Seal {
  const { $client } = dbOf(o);
  const { entry, fact } = $client
    .prepare(
      'select ifnull((select max(seq) from entries where survey_id = ?), 0) as entry, ifnull((select max(seq) from facts where engine_id = ?), 0) as fact'
    )
    .get(surveyId, engineId) as { entry: number; fact: number };
  return {
    engineId,
    entrySeq: entry,
    factSeq: fact,
    content: contentHash($client, surveyId, engineId, entry, fact),
    photos
  };
}

const lastLink = (o: StoreOptions): { readonly seq: number; readonly chain: string } => {
  const row = dbOf(o).$client.prepare('select seq, chain from releases order by seq desc limit 1').get() as
    | { seq: number; chain: string | null }
    | undefined;
  return { seq: row?.seq ?? 0, chain: row?.chain ?? FIRST };
};

export const lastRelease = (surveyId: string, o: StoreOptions = {}): Release | undefined =>
  prepared(o, 'last-release', (db) =>
    db
      .select()
      .from(releases)
      .where(eq(releases.surveyId, sql.placeholder('survey')))
      .orderBy(desc(releases.seq))
      .limit(1)
      .prepare()
  ).get({ survey: surveyId }) as Release | undefined;
