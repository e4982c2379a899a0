import type { Doc, DocKind } from '../work/docs.ts';
import { dbOf, type StoreOptions } from './context.ts';

/** Brings the full-text index of one assessment up to date. */
export function indexSurvey(engineId: string, surveyId: string, docs: readonly Doc[], o: StoreOptions = {}): void {
  const { $client } = dbOf(o);
  const put = $client.prepare('insert into search (text, kind, engine_id, survey_id, place) values (?, ?, ?, ?, ?)');
  $client.transaction(() => {
    $client.prepare('delete from search where survey_id = ?').run(surveyId);
    for (const d of docs) if (d.text) put.run(d.text, d.kind, engineId, surveyId, d.place);
  })();
}

export interface Hit {
  readonly kind: DocKind;
  readonly engineId: string;
  readonly surveyId: string;
  readonly place: string;
  /** The text around the words, the words between « and ». */
  readonly snippet: string;
}

/** Words as typed become words that must all occur, the last one as a beginning; nothing typed is a query language. */
export const queryOf = (typed: string): string => {
  const words = typed.match(/[\p{L}\p{N}]+/gu) ?? [];
  return words.map((w) => `"${w}"*`).join(' ');
};

/** Full text over engines, findings, notes, parts and decisions, best match first. */
export function searchAll(typed: string, limit = 40, o: StoreOptions = {}): Hit[] {
  const query = queryOf(typed.slice(0, 200));
  if (!query) return [];
  return dbOf(o)
    .$client.prepare(
      `select kind, engine_id as engineId, survey_id as surveyId, place, snippet(search, 0, '«', '»', '…', 16) as snippet
       from search where search match ? order by rank limit ?`
    )
    .all(query, limit) as Hit[];
}
