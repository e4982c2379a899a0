import { traitsOf } from '../../../core/jobs/register.ts';
import { dueList } from '../../../core/care/due.ts';
import { singleJob, workOf, type Work } from '../../../core/schedule/work.ts';
import { partLines, waitSaid } from '../../../core/parts/lines.ts';
import { lastRelease } from './releases.ts';
import type { Judgement } from '../../../core/judge.ts';
import { drownedClock, type DrownedClock } from '../../../core/drowned/clock.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { runningWaits } from '../../../core/record/wait.ts';
import type { System } from '../../../core/units/index.ts';
import type { YardRow } from '../../yard-row.ts';
import type { StoreOptions } from './context.ts';
import { stations } from '../../../core/stations/register.ts';
import { assessed } from '../advice.ts';
import { hoursNoted, loadEngine } from './engines.ts';
import { historyOf, loadSurvey, type SurveyHead } from './surveys.ts';

export interface Judged {
  readonly row: YardRow;
  readonly work: Work;
  readonly ticking: boolean;
  readonly words: string;
  readonly judgement?: Judgement;
}

/** Judges the latest assessment of an engine for the yard and the bench. */
export function judgedRow(surveyId: string, now: Date, units: System, o: StoreOptions = {}): Judged | undefined {
  const loaded = loadSurvey(surveyId, o);
  if (!loaded) return undefined;
  const { head, survey } = loaded;
  const j = assessed(survey, now, units);
  const job = singleJob(j);
  const back = job?.state.finished && !job.state.held.length ? job.state.finished.at : null;
  const releasedAt = lastRelease(surveyId, o)?.at ?? back;
  const { advice, steps, moves } = j;
  const [move] = moves;
  const { identity, profile } = survey.engine;
  const clock = drownedClock(j.context);
  const holds = j.holds.filter((h) => !h.standing);
  const faults = j.findings.filter((f) => f.condition === 'fault' || f.condition === 'held');
  const open = steps.filter((s) => s.state === 'open');
  const suspect = advice.suspects.find((x) => x.raised && !x.mended && x.chance === 'likely');
  const today = open.find((s) => traitsOf(s.id).phase === 'today');
  const due =
    releasedAt || head.kind === 'lay-up'
      ? dueList(historyOf(head.engineId, o), survey.houseRules ?? {}, now, hoursNoted(head.engineId, o))
      : [];
  const first = due.find((d) => d.state === 'overdue' || d.state === 'soon');
  const dueSoon = first?.day ? { title: first.title, day: first.day, overdue: first.state === 'overdue' } : undefined;
  const coming = partLines(survey).filter((l) => l.state === 'ordered' || l.state === 'wanted');
  const worst = faults.find((f) => f.id === 'gear.frost') ?? faults[0];
  const row: YardRow = {
    surveyId,
    engineId: head.engineId,
    tag: identity.tag ?? 'no tag',
    name: [identity.maker, identity.model].filter(Boolean).join(' ') || 'unknown make',
    owner: identity.owner ?? '',
    serial: identity.serial ?? '',
    kind: head.kind,
    startedAt: head.startedAt,
    profile,
    stations: j.stations.map((s) => ({ id: s.id, title: stations[s.id].short, condition: s.condition })),
    holds: holds.map((h) => ({ title: h.title, overridden: h.override !== undefined })),
    ...(clock
      ? { clock: { hoursLeft: clock.hoursLeft, sentence: clock.sentence, until: clock.until.toISOString() } }
      : {}),
    ...(move ? { next: move } : {}),
    ...(suspect ? { suspect: suspect.label } : {}),
    waits: runningWaits(survey.waits).map((w) => ({ label: w.wait.label, until: w.until.toISOString() })),
    openJobs: open.length,
    ...(today ? { today: today.title } : {}),
    ...(worst ? { gravest: worst.sentence } : {}),
    releasedAt,
    ...(coming.length && !releasedAt ? { parts: coming.slice(0, 3).map(waitSaid).join(', ') } : {}),
    ...(job ? { flow: { id: job.flow.id, title: job.flow.title } } : {}),
    ...(dueSoon ? { care: dueSoon } : {}),
    people: peopleOf(survey),
    pressing: pressing(
      releasedAt,
      clock,
      holds.filter((h) => !h.override).length,
      faults.some((f) => f.id === 'gear.frost'),
      faults.length
    )
  };
  const ids = { surveyId, engineId: head.engineId };
  return {
    row,
    work: workOf(ids, j, moves, steps, releasedAt !== null),
    ticking: Boolean(clock) || row.waits.length > 0,
    words: [row.tag, row.serial, row.owner, row.name].join(' ').toLowerCase(),
    judgement: j
  };
}

/** Who recorded a reading or marked a job of this assessment. */
const peopleOf = (survey: SurveyFile): string[] => [
  ...new Set([...survey.readings, ...(survey.steps ?? [])].flatMap((e) => (e.by ? [e.by] : [])))
];

/** A clock beats frost, the shorter the more, frost beats holds, holds beat faults; what is back in service comes last. */
function pressing(
  released: string | null,
  clock: DrownedClock | undefined,
  holds: number,
  frost: boolean,
  faults: number
): number {
  if (released) return -1;
  return (
    (clock ? 2000 - 10 * Math.min(50, Math.max(-20, clock.hoursLeft)) : 0) +
    (frost ? 300 : 0) +
    20 * Math.min(holds, 5) +
    Math.min(faults, 15)
  );
}

/** Before everything but a drowned engine's clock: somebody has to look at it. */
const UNJUDGED = 900;

/** The line of an engine whose record cannot be judged: one bad record is one line that says so, not a page that fails. */
export function unjudgedRow(head: SurveyHead, o: StoreOptions = {}): Judged {
  const ids = { surveyId: head.id, engineId: head.engineId };
  const { identity, profile } = loadEngine(head.engineId, o);
  const tag = identity.tag ?? 'no tag';
  const row: YardRow = {
    ...ids,
    tag,
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
    pressing: UNJUDGED,
    unjudged:
      'Its record holds something that this application cannot judge. Nothing is lost and nothing is cleared: export it, and report what was entered last.'
  };
  const work: Work = {
    id: head.id,
    engineId: head.engineId,
    tag,
    serial: row.serial,
    steps: [],
    runs: false,
    parts: [],
    idle: 'its record cannot be judged',
    kit: false,
    labels: [],
    tonight: []
  };
  return { row, work, ticking: true, words: [tag, row.serial, row.owner, row.name].join(' ').toLowerCase() };
}
