import { desc, eq, sql } from 'drizzle-orm';
import { createHash, randomUUID } from 'node:crypto';
import type { Assessment } from '../../../core/assess.ts';
import { canonicalJson } from '../../../core/report/canonical.ts';
import { reportOf, type Report } from '../../../core/report/report.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { releases } from '../db/schema.ts';
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
  const hash = hashOf(record);
  const db = dbOf(o);
  // Two signatures at once must not both follow the same link.
  const release = db.transaction(
    () => {
      const made = { id: randomUUID(), surveyId, signedBy, at, hash, chain: linkOf(lastLink(o), hash), record };
      db.insert(releases).values(made).run();
      return made;
    },
    { behavior: 'immediate' }
  );
  const head = surveyHead(surveyId, o);
  if (head) forgetEngine(head.engineId, o);
  return release;
}

const FIRST = 'indaga';
/** A link of the chain: the hash over the link before it and the record's own hash. */
const linkOf = (before: string, hash: string): string =>
  createHash('sha256').update(`${before}\n${hash}`).digest('hex');

const lastLink = (o: StoreOptions): string =>
  (
    dbOf(o).$client.prepare('select chain from releases where chain is not null order by rowid desc limit 1').get() as
      { chain: string } | undefined
  )?.chain ?? FIRST;

export interface Verified {
  readonly tag: string;
  readonly at: string;
  readonly signedBy: string;
  readonly hash: string;
  /** Nothing when it is as it was signed. */
  readonly wrong?: string;
}

/** Goes over every record signed: is each as it was, and does each follow the one before it? */
export function verifyReleases(o: StoreOptions = {}): { readonly records: Verified[]; readonly head: string } {
  const rows = dbOf(o).$client.prepare('select * from releases order by rowid').all() as {
    signed_by: string;
    at: string;
    hash: string;
    chain: string | null;
    record: string;
  }[];
  let link = FIRST;
  const records = rows.map((r): Verified => {
    let record: ReleaseRecord | undefined;
    try {
      record = JSON.parse(r.record) as ReleaseRecord;
    } catch {
      // Said below.
    }
    const changed = !record || hashOf(record) !== r.hash || record.at !== r.at || record.signedBy !== r.signed_by;
    const next = linkOf(link, r.hash);
    const broken = r.chain !== null && r.chain !== next;
    if (r.chain !== null) link = r.chain;
    return {
      tag: record?.report.tag ?? 'unreadable',
      at: r.at,
      signedBy: r.signed_by,
      hash: r.hash,
      ...(changed
        ? { wrong: 'the record was changed after it was signed' }
        : broken
          ? { wrong: 'it does not follow the record before it: one was taken out, put in or changed' }
          : {})
    };
  });
  return { records, head: link };
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
