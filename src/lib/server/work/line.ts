import type { Advice } from '../../../core/advice/advice.ts';
import { assess, type Assessment } from '../../../core/assess.ts';
import { dueList } from '../../../core/care/due.ts';
import type { MeterReading } from '../../../core/care/meter.ts';
import { drownedClock, type DrownedClock } from '../../../core/drowned/clock.ts';
import type { CaseKind } from '../../../core/engine/case-kind.ts';
import { traitsOf } from '../../../core/jobs/register.ts';
import { partLines, partAwaited } from '../../../core/record/part-lines.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { standsAt } from '../../../core/record/stands-at.ts';
import { runningWaits } from '../../../core/record/wait.ts';
import { singleJob, workOf, type Work } from '../../../core/schedule/work.ts';
import { stations } from '../../../core/stations/register.ts';
import type { System } from '../../../core/units/index.ts';
import { MONTH } from '../../../core/units/instant.ts';
import type { YardRow } from '../../yard-row.ts';
import { docsOf, type Doc } from './docs.ts';

export interface Judged {
  readonly row: YardRow;
  readonly work: Work;
  readonly ticking: boolean;
  readonly words: string;
  /** What can be searched of it. */
  readonly docs?: readonly Doc[];
  readonly advice?: Advice;
}

/** What the line of an engine is made from: plain data, so that a worker thread can make it. */
export interface LineInput {
  readonly surveyId: string;
  readonly engineId: string;
  readonly kind: CaseKind;
  readonly startedAt: string;
  readonly survey: SurveyFile;
  readonly releasedAt: string | null;
  /** Every assessment of the engine, oldest first, and its hours: only where care may be due. */
  readonly history: readonly SurveyFile[];
  readonly hours: readonly MeterReading[];
}

/** Judges the latest assessment of an engine for the yard and the bench; `given` where it is judged already, for the moment it stands at. */
export function lineOf(
  { surveyId, engineId, kind, startedAt, survey, history, hours, releasedAt: signedAt }: LineInput,
  now: Date,
  units: System,
  given: Assessment = assess(survey, standsAt(survey, signedAt ?? undefined, now), units)
): Judged {
  // A short job that was finished stays so, whatever has aged since.
  const finished = singleJob(given)?.state.finished;
  const aged = finished && now.getTime() - Date.parse(finished.at) > MONTH;
  const j = aged ? assess(survey, standsAt(survey, finished.at, now), units) : given;
  const job = singleJob(j);
  const back = job?.state.finished && !job.state.held.length ? job.state.finished.at : null;
  const releasedAt = signedAt ?? back;
  const { advice, steps, moves } = j;
  const [move] = moves;
  const { identity, profile } = survey.engine;
  const clock = drownedClock(j.context);
  const holds = j.holds.filter((h) => !h.standing);
  const faults = j.findings.filter((f) => f.condition === 'fault' || f.condition === 'held');
  const open = steps.filter((s) => s.state === 'open');
  const suspect = advice.suspects.find((x) => x.raised && !x.mended && x.chance === 'likely');
  const urgent = open.find((s) => traitsOf(s.id).phase === 'today');
  const due = releasedAt || kind === 'lay-up' ? dueList(history, survey.houseRules ?? {}, now, hours) : [];
  const first = due.find((d) => d.state === 'overdue' || d.state === 'soon');
  const dueSoon = first?.day ? { title: first.title, day: first.day, overdue: first.state === 'overdue' } : undefined;
  const coming = partLines(survey).filter((l) => l.state === 'ordered' || l.state === 'wanted');
  const worst = faults.find((f) => f.id === 'gear.frost') ?? faults[0];
  const row: YardRow = {
    surveyId,
    engineId,
    tag: identity.tag ?? 'no tag',
    name: [identity.maker, identity.model].filter(Boolean).join(' ') || 'unknown make',
    owner: identity.owner ?? '',
    serial: identity.serial ?? '',
    kind,
    startedAt,
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
    ...(urgent ? { today: urgent.title } : {}),
    ...(worst ? { gravest: worst.sentence } : {}),
    releasedAt,
    ...(coming.length && !releasedAt ? { parts: coming.slice(0, 3).map(partAwaited).join(', ') } : {}),
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
  const ids = { surveyId, engineId };
  return {
    row,
    work: workOf(ids, j, moves, steps, releasedAt !== null),
    ticking: Boolean(clock) || row.waits.length > 0,
    words: [row.tag, row.serial, row.owner, row.name].join(' ').toLowerCase(),
    docs: docsOf(j),
    advice
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
