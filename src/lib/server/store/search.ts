import type { Judgement } from '../../../core/judge.ts';
import { conditions } from '../../../core/findings/finding.ts';
import { standing } from '../../../core/record/current.ts';
import { allItems, stationOf } from '../../../core/stations/items.ts';
import { stations } from '../../../core/stations/register.ts';
import { factItem } from '../../../core/engine/fact.ts';
import { factsOf } from '../../../core/engine/fact.ts';
import { dbOf, type StoreOptions } from './context.ts';

type Kind = 'engine' | 'finding' | 'note' | 'part' | 'decision';
interface Doc {
  readonly kind: Kind;
  readonly text: string;
  /** Path under the assessment, "gear"; empty for the engine's own page. */
  readonly place: string;
}

/** What can be searched of an assessment: who and what the engine is, what was found, what people wrote. */
function docsOf(j: Judgement): Doc[] {
  const { survey } = j.context;
  const about = factsOf(survey.engine)
    .filter((f) => typeof f.value === 'string' && factItem(f.path)?.kind === 'text')
    .map((f) => String(f.value));
  return [
    { kind: 'engine', text: about.join(' · '), place: '' },
    ...j.findings
      .filter((f) => f.condition !== 'sound')
      .map((f): Doc => ({
        kind: 'finding',
        text: `${stations[f.station].title}, ${conditions[f.condition]}: ${f.sentence}`,
        place: f.station
      })),
    ...standing(survey)
      .filter((r) => allItems[r.what].kind === 'text' && String(r.value).trim())
      .map((r): Doc => ({
        kind: 'note',
        text: `${allItems[r.what].label}: ${String(r.value)}`,
        place: stationOf(r.what)
      })),
    ...(survey.steps ?? []).flatMap((s): Doc[] => (s.note ? [{ kind: 'note', text: s.note, place: 'jobs' }] : [])),
    ...(survey.overrides ?? []).map((x): Doc => ({ kind: 'note', text: `Override: ${x.reason}`, place: 'record' })),
    ...(survey.decisions ?? []).map((d): Doc => ({
      kind: 'decision',
      text: [d.reason, d.authority].filter(Boolean).join(' · '),
      place: 'suspects'
    })),
    ...(survey.parts ?? []).map((p): Doc => ({
      kind: 'part',
      text: [p.name, p.number].filter(Boolean).join(' '),
      place: 'jobs'
    })),
    ...(survey.tray ?? []).map((p): Doc => ({
      kind: 'part',
      text: [p.name, p.size, p.place].filter(Boolean).join(' '),
      place: 'tray'
    }))
  ];
}

/** Brings the full-text index of one assessment up to date. */
export function indexSurvey(engineId: string, surveyId: string, j: Judgement, o: StoreOptions = {}): void {
  const { $client } = dbOf(o);
  const put = $client.prepare('insert into search (text, kind, engine_id, survey_id, place) values (?, ?, ?, ?, ?)');
  $client.transaction(() => {
    $client.prepare('delete from search where survey_id = ?').run(surveyId);
    for (const d of docsOf(j)) if (d.text) put.run(d.text, d.kind, engineId, surveyId, d.place);
  })();
}

export interface Hit {
  readonly kind: Kind;
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
