import { assess, type Assessment } from '../assess.ts';
import { suspectKinds } from '../diagnosis/knowledge/index.ts';
import { RUN_AGAIN } from '../jobs/work.ts';
import type { Move } from '../moves/move.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { stationOf, type ItemId, type StationId } from '../stations/items.ts';
import type { Act } from './act.ts';
import { compressionActs } from './acts-compression.ts';
import { headActs } from './acts-head.ts';
import { runActs } from './acts-run.ts';
import { sparkActs } from './acts-spark.ts';
import { wetEndActs } from './acts-wet-end.ts';
import { Eye } from './eye.ts';
import { faultsNow, type Truth } from './truth.ts';

export const acts: readonly Act[] = [...headActs, ...sparkActs, ...compressionActs, ...wetEndActs, ...runActs];
const actById = new Map(acts.map((a) => [a.id, a]));

/** The act that repeats or continues a check where nothing more definite was asked for. */
const main: Readonly<Record<StationId, string>> = {
  safe: 'safe',
  look: 'look',
  turn: 'turn',
  plugs: 'plugs',
  spark: 'spark',
  compression: 'compression',
  gear: 'case-test',
  fuel: 'jar',
  cooling: 'run',
  oil: 'dip',
  run: 'run'
};

/** One way through a drawn engine, move by move. Holds the survey as it grows, the clock, and what it cost. */
export class Attempt {
  survey: SurveyFile;
  /** Minutes of hands so far. */
  minutes = 0;
  readonly jobs: string[] = [];
  private at: number;
  private n = 0;

  constructor(private drawn: Truth) {
    const truth = drawn;
    this.survey = truth.intake;
    this.at = Date.parse(truth.intake.assessment.startedAt) + 60_000;
  }

  get truth(): Truth {
    return this.drawn;
  }
  get now(): Date {
    return new Date(this.at);
  }
  private made: { survey: SurveyFile; at: number; assessment: Assessment } | undefined;
  /** Made once for what stands in the survey now. */
  assessed = (): Assessment => {
    const { survey, at, made } = this;
    if (made?.survey === survey && made.at === at) return made.assessment;
    const assessment = assess(survey, this.now, 'metric');
    this.made = { survey, at, assessment };
    return assessment;
  };
  faults = (): ReadonlySet<string> => faultsNow(this.truth, this.survey);

  /** What is done to it breaks something: one more fault, by its id. */
  break(fault: string): void {
    this.drawn = { ...this.drawn, faults: new Set([...this.drawn.faults, fault]) };
  }

  /** Time passes without hands. */
  pass(minutes: number): void {
    this.at += minutes * 60_000;
  }

  /** Does a job that takes so many minutes. */
  work(job: string, minutes: number): void {
    this.minutes += minutes;
    this.mark(job);
    this.at += minutes * 60_000;
  }

  /** What is looked at for a move, as it stands. */
  actsOf = (move: Move): readonly Act[] => actsFor(move, this.survey);

  /** Makes some acts, one after the other, in so many minutes of hands, and keeps what they showed. */
  make(list: readonly Act[], minutes = 0): void {
    this.minutes += minutes;
    this.at += minutes * 60_000;
    for (const act of list) {
      const eye = new Eye(this.truth, this.survey, this.at);
      act.take(eye);
      // What was looked at and showed nothing that could be told is written down as that.
      if (!eye.out.length && act.items[0]) eye.note(act.items[0], 'unknown');
      this.at = eye.ended + 1000;
      this.survey = { ...this.survey, readings: [...this.survey.readings, ...eye.out] };
    }
  }

  private mark(step: string): void {
    this.at += 60_000;
    this.survey = {
      ...this.survey,
      steps: [...(this.survey.steps ?? []), { id: `m${this.n++}`, at: this.now.toISOString(), step, state: 'done' }]
    };
    this.jobs.push(step);
  }

  /** Does what a move asks for. Says false where it was the end. */
  follow(move: Move): boolean {
    if (move.kind === 'release' || move.kind === 'ask' || (move.kind === 'decide' && !move.id.startsWith('gate:')))
      return false;
    this.minutes += move.kind === 'wait' ? 0 : move.minutes;
    if (move.kind === 'wait') this.at = Math.max(this.at, Date.parse(move.from ?? this.now.toISOString())) + 60_000;
    else if (move.kind === 'job') {
      this.mark(move.job!);
      this.at += move.minutes * 60_000;
      // The job is the run itself, and shows what a run shows.
      if (move.job === RUN_AGAIN) this.make([actById.get('run')!]);
    } else if (move.id.startsWith('gate:')) this.gate(move);
    else {
      this.pass(move.minutes);
      if (move.mark) this.mark(move.mark);
      this.look(move);
    }
    return true;
  }

  private look(move: Move): void {
    const before = this.survey.readings.length;
    this.make(actsFor(move, this.survey));
    // What was asked for and could not be read is written down as that.
    const read = this.survey.readings.slice(before);
    const [first] = move.items ?? [];
    if (first && !read.some((r) => move.items!.includes(r.what))) this.make([unread(first, move.cylinder)]);
  }

  private gate(move: Move): void {
    if (move.id === 'gate:handover') this.make([actById.get('hand-over')!]);
    else
      this.survey = {
        ...this.survey,
        reasons: [
          ...(this.survey.reasons ?? []),
          {
            id: `m${this.n++}`,
            at: this.now.toISOString(),
            gate: move.id.slice(5),
            reason: 'Looked at, and it may stay.'
          }
        ]
      };
    this.at += 60_000;
  }
}

/** An item that could not be told. */
const unread = (item: ItemId, cylinder: number | undefined): Act => ({
  id: 'unread',
  station: stationOf(item),
  items: [item],
  take: (eye) => eye.note(item, 'unknown', cylinder === undefined ? {} : { cylinder })
});

/** What proves a job: the check that settles what it cures, what was read there before, and the refill of a gear case. */
function proofOf(move: Move, survey: SurveyFile): readonly Act[] {
  const settles = new Set(suspectKinds.filter((s) => s.step === move.job).map((s) => s.settled));
  const before = (a: Act): boolean => a.items.some((i) => survey.readings.some((r) => r.what === i));
  const list = acts.filter(
    (a) =>
      settles.has(a.id) ||
      (move.job === 'hot' && a.id === 'run') ||
      (a.station === move.station && (before(a) || a.routine || a.id === 'gear-refill'))
  );
  return list.length ? list : acts.filter((a) => settles.has(a.id));
}

/** Looks that have no act of their own, at the cylinder they were asked of. */
const justThese = (items: readonly ItemId[], cylinder: number | undefined): Act => ({
  id: 'asked',
  station: stationOf(items[0]!),
  items,
  take: (eye) => eye.look(items, cylinder)
});

/** What is looked at for a move: what it names, else the check it names, else the whole check of its station. */
export function actsFor(move: Move, survey: SurveyFile): readonly Act[] {
  if (move.id.startsWith('look:')) {
    const named = actById.get(move.id.slice('look:'.length));
    if (named) return [named];
  }
  const { items, station, conditions } = move;
  if (conditions?.path === 'bolt') return [actById.get('bolt')!];
  if (conditions?.bores === 'oiled') return [actById.get('wet')!];
  if (items?.length) {
    // In the order in which they were asked for.
    const place = (a: Act): number => Math.min(...a.items.map((i) => items.indexOf(i)).filter((k) => k >= 0));
    const mine = acts.filter((a) => a.items.some((i) => items.includes(i))).toSorted((a, b) => place(a) - place(b));
    return mine.length ? mine : [justThese(items, move.cylinder)];
  }
  if (!station) return [];
  if (move.id.startsWith('proof:')) return proofOf(move, survey);
  if (move.kind === 'repeat' || move.kind === 'continue') return [actById.get(main[station])!];
  return acts.filter((a) => a.station === station && a.routine);
}
