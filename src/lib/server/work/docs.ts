import { factItem, factsOf } from '../../../core/engine/fact.ts';
import { conditions } from '../../../core/findings/finding.ts';
import type { Judgement } from '../../../core/judge.ts';
import { standing } from '../../../core/record/current.ts';
import { allItems, stationOf } from '../../../core/stations/items.ts';
import { stations } from '../../../core/stations/register.ts';

export type DocKind = 'engine' | 'finding' | 'note' | 'part' | 'decision';
export interface Doc {
  readonly kind: DocKind;
  readonly text: string;
  /** Path under the assessment, "gear"; empty for the engine's own page. */
  readonly place: string;
}

/** What can be searched of an assessment: who and what the engine is, what was found, what people wrote. */
export function docsOf(j: Judgement): Doc[] {
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
