import { standsAt } from '../../../core/record/stands-at.ts';
import type { System } from '../../../core/units/index.ts';
import type { Work } from '../../../core/schedule/work.ts';
import type { YardRow } from '../../yard-row.ts';
import { assessed } from '../advice.ts';
import { lineOf, type Judged, type LineInput } from '../work/line.ts';
import type { StoreOptions } from './context.ts';
import { hoursNoted, loadEngine } from './engines.ts';
import { lastRelease } from './releases.ts';
import { historyOf, loadSurvey, type SurveyHead } from './surveys.ts';

/** What the line of an assessment is made from. */
export function lineInput(surveyId: string, o: StoreOptions = {}): LineInput | undefined {
  const loaded = loadSurvey(surveyId, o);
  if (!loaded) return undefined;
  const { head, survey } = loaded;
  const releasedAt = lastRelease(surveyId, o)?.at ?? null;
  // Care falls due of what is in service or laid up; a short job is back in service when its steps are made.
  const inCare = releasedAt !== null || ['lay-up', 'single-job'].includes(head.kind);
  return {
    surveyId,
    engineId: head.engineId,
    kind: head.kind,
    startedAt: head.startedAt,
    survey,
    releasedAt,
    history: inCare ? historyOf(head.engineId, o) : [],
    hours: inCare ? hoursNoted(head.engineId, o) : []
  };
}

/** The line of an assessment, judged here. */
export function judgedRow(surveyId: string, now: Date, units: System, o: StoreOptions = {}): Judged | undefined {
  const input = lineInput(surveyId, o);
  if (!input) return undefined;
  const at = standsAt(input.survey, input.releasedAt ?? undefined, now);
  return lineOf(input, now, units, assessed(input.survey, at, units));
}

/** Before everything but a drowned engine's clock: somebody has to look at it. */
const UNJUDGED = 900;

/** Who an engine is, and nothing of what is wrong with it. */
function bareRow(head: SurveyHead, o: StoreOptions): YardRow {
  const { identity, profile } = loadEngine(head.engineId, o);
  return {
    surveyId: head.id,
    engineId: head.engineId,
    tag: identity.tag ?? 'no tag',
    name: [identity.maker, identity.model].filter(Boolean).join(' ') || 'unknown make',
    owner: identity.owner ?? '',
    serial: identity.serial ?? '',
    kind: head.kind,
    startedAt: head.startedAt,
    profile,
    stations: [],
    holds: [],
    waits: [],
    openJobs: 0,
    releasedAt: null,
    people: [],
    pressing: UNJUDGED
  };
}
/** The words by which an engine is found before anything is known of it. */
const wordsOf = ({ tag, serial, owner, name }: YardRow): string => [tag, serial, owner, name].join(' ').toLowerCase();

/** The line of an engine that is still to be judged, where its identity holds what is searched for; an empty text finds every one. */
export function pendingRow(head: SurveyHead, search: string, o: StoreOptions = {}): YardRow[] {
  const row = bareRow(head, o);
  return wordsOf(row).includes(search) ? [{ ...row, pending: true }] : [];
}

/** The line of an engine whose record cannot be judged: one bad record is one line that says so, not a page that fails. */
export function unjudgedRow(head: SurveyHead, o: StoreOptions = {}): Judged {
  const row: YardRow = {
    ...bareRow(head, o),
    unjudged:
      'Its record holds something that this application cannot judge. Nothing is lost and nothing is cleared: export it, and report what was entered last.'
  };
  const work: Work = {
    id: head.id,
    engineId: head.engineId,
    tag: row.tag,
    serial: row.serial,
    steps: [],
    runs: false,
    parts: [],
    idle: 'its record cannot be judged',
    kit: false,
    supplies: [],
    labels: [],
    tonight: []
  };
  return { row, work, ticking: true, words: wordsOf(row) };
}
