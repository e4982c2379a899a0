import { leftByLayUp } from '../../../core/care/left-by-lay-up.ts';
import { and, asc, desc, eq, gt, sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { caseKindSchema, type CaseKind } from '../../../core/engine/case-kind.ts';
import { factsOf } from '../../../core/engine/fact.ts';
import { entriesOf, withEntries, withFreshIds, type Entry, type EntryType } from '../../../core/record/entries.ts';
import type { StoredEntry } from '../../../core/survey/wire.ts';
import { emptySurvey, type SurveyFile } from '../../../core/record/survey-file.ts';
import { entries, surveys } from '../db/schema.ts';
import { dbOf, nowOf, prepared, type StoreOptions } from './context.ts';
import { createEngine, loadEngine } from './engines.ts';
import { currentRules } from './house-rules.ts';
import { forgetEngine } from './summaries.ts';

export interface SurveyHead {
  readonly id: string;
  readonly engineId: string;
  readonly kind: CaseKind;
  readonly startedAt: string;
  readonly by: string | null;
}

/** Begins an assessment; what a lay-up before it left in the engine stands in it from the start. */
export function createSurvey(engineId: string, kind: CaseKind, by: string, o: StoreOptions = {}): string {
  const id = randomUUID();
  const before = surveysOf(engineId, o)[0];
  const left = before ? leftByLayUp(loadSurvey(before.id, o)!.survey, new Date(nowOf(o))) : [];
  dbOf(o)
    .insert(surveys)
    .values({ id, engineId, kind: caseKindSchema.parse(kind), startedAt: nowOf(o), by: by || null, seq: nextSeq })
    .run();
  for (const r of left) appendEntry(id, { type: 'reading', body: { ...r, id: randomUUID() } }, o);
  forgetEngine(engineId, o);
  return id;
}

/** The next place in the order of assessments: the order counts, whatever a clock said when one was begun. */
const nextSeq = sql`(select ifnull(max(seq), 0) + 1 from surveys)`;

const toHead = ({ seq: _, ...row }: typeof surveys.$inferSelect): SurveyHead => ({
  ...row,
  kind: row.kind as CaseKind
});

export function surveyHead(id: string, o: StoreOptions = {}): SurveyHead | undefined {
  const row = prepared(o, 'survey', (db) =>
    db
      .select()
      .from(surveys)
      .where(eq(surveys.id, sql.placeholder('id')))
      .prepare()
  ).get({ id });
  return row && toHead(row);
}

export const surveysOf = (engineId: string, o: StoreOptions = {}): SurveyHead[] =>
  dbOf(o).select().from(surveys).where(eq(surveys.engineId, engineId)).orderBy(desc(surveys.seq)).all().map(toHead);

/** The latest survey of every engine. */
export function openSurveys(o: StoreOptions = {}): SurveyHead[] {
  const latest = new Map<string, SurveyHead>();
  for (const row of dbOf(o).select().from(surveys).orderBy(asc(surveys.seq)).all())
    latest.set(row.engineId, toHead(row));
  return [...latest.values()];
}

export function entriesAfter(surveyId: string, since = 0, o: StoreOptions = {}): StoredEntry[] {
  const statement = prepared(o, 'entries-after', (db) =>
    db
      .select({ seq: entries.seq, type: entries.type, body: entries.body })
      .from(entries)
      .where(and(eq(entries.surveyId, sql.placeholder('survey')), gt(entries.seq, sql.placeholder('since'))))
      .orderBy(asc(entries.seq))
      .prepare()
  );
  return statement.all({ survey: surveyId, since }) as StoredEntry[];
}

/** The entry that has an id, of whatever survey. */
export function storedEntry(
  id: string,
  o: StoreOptions = {}
): { readonly surveyId: string; readonly type: EntryType; readonly body: unknown } | undefined {
  return prepared(o, 'entry', (db) =>
    db
      .select({ surveyId: entries.surveyId, type: entries.type, body: entries.body })
      .from(entries)
      .where(eq(entries.id, sql.placeholder('id')))
      .prepare()
  ).get({ id });
}

/** Appends an entry; one whose id is already there is not written twice, so a retry is harmless. */
export function appendEntry(surveyId: string, entry: Entry, o: StoreOptions = {}): void {
  prepared(o, 'append-entry', (db) =>
    db
      .insert(entries)
      .values({
        id: sql.placeholder('id'),
        surveyId: sql.placeholder('survey'),
        type: sql.placeholder('type'),
        body: sql.placeholder('body'),
        receivedAt: sql.placeholder('at')
      })
      .onConflictDoNothing()
      .prepare()
  ).run({ id: entry.body.id, survey: surveyId, type: entry.type, body: entry.body, at: nowOf(o) });
  const head = surveyHead(surveyId, o);
  if (head) forgetEngine(head.engineId, o);
}

export interface LoadedSurvey {
  readonly head: SurveyHead;
  readonly survey: SurveyFile;
  readonly seq: number;
}

/** Surveys put together lately, each with the numbers it was made from: a page asks for its own two or three times. */
const kept = new Map<string, LoadedSurvey & { readonly of: string; readonly engineOf: string }>();
const KEEP = 64;

/** The survey as the open file holds it, with the house rules in force now. It is shared: nobody changes it. */
export function loadSurvey(id: string, o: StoreOptions = {}): LoadedSurvey | undefined {
  const head = surveyHead(id, o);
  if (!head) return undefined;
  const { rules, seq: ruleSeq } = currentRules(o);
  const newest = prepared(o, 'newest', (db) =>
    db.$client.prepare(
      'select (select max(seq) from entries where survey_id = ?) as entry, (select max(seq) from facts where engine_id = ?) as fact'
    )
  ).get(id, head.engineId) as { entry: number | null; fact: number | null };
  const engineOf = `${newest.fact}|${ruleSeq}`;
  const of = `${newest.entry}|${engineOf}`;
  const old = o.db ? undefined : kept.get(id);
  if (old?.of === of) return old;
  // Entries are only ever added: those that came since are put to what was put together before.
  const grown = old?.engineOf === engineOf ? old : undefined;
  const list = entriesAfter(id, grown?.seq ?? 0, o);
  const base: SurveyFile = grown?.survey ?? {
    ...emptySurvey(head.kind, head.startedAt),
    engine: loadEngine(head.engineId, o),
    assessment: { kind: head.kind, startedAt: head.startedAt, ...(head.by ? { by: head.by } : {}) },
    houseRules: rules
  };
  const seq = list.at(-1)?.seq ?? grown?.seq ?? 0;
  const made = { head, survey: withEntries(base, list as Entry[]), seq, of, engineOf };
  if (!o.db) {
    if (kept.size >= KEEP) kept.delete(kept.keys().next().value ?? '');
    kept.set(id, made);
  }
  return made;
}

/** Every assessment of an engine as survey files, oldest first. */
export const historyOf = (engineId: string, o: StoreOptions = {}): SurveyFile[] =>
  surveysOf(engineId, o)
    .map((h) => loadSurvey(h.id, o)!.survey)
    .reverse();

/** Imports a checked survey file as a new engine and survey: all of it or nothing. Entries get ids of their own, so that a file can be imported twice. */
export function importSurvey(
  survey: SurveyFile,
  by: string,
  o: StoreOptions = {}
): { engineId: string; surveyId: string } {
  const db = dbOf(o);
  return db.transaction(() => {
    const engineId = createEngine(factsOf(survey.engine), by, o);
    const surveyId = randomUUID();
    db.insert(surveys)
      .values({
        id: surveyId,
        engineId,
        kind: survey.assessment.kind,
        startedAt: survey.assessment.startedAt,
        by: survey.assessment.by ?? null,
        seq: nextSeq
      })
      .run();
    for (const e of withFreshIds(entriesOf(survey), randomUUID)) appendEntry(surveyId, e, o);
    return { engineId, surveyId };
  });
}
