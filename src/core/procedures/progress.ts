import { cylindersOf, type Context } from '../findings/context.ts';
import { lastMarks } from '../jobs/done.ts';
import type { JobId } from '../jobs/register.ts';
import type { StepMark } from '../record/reading.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { allItems, type ItemId } from '../stations/items.ts';
import { isAfter, latestInstant, type Instant } from '../units/instant.ts';
import type { Procedure, ProcedureStep } from './procedure.ts';

/** The name under which a procedure, or one of its steps, is marked in the record. */
export const procedureMark = (p: Pick<Procedure, 'id' | 'marks'>, step?: string): string =>
  `${p.marks ?? 'procedure'}.${p.id}${step ? `.${step}` : ''}`;

export interface StepState {
  readonly step: ProcedureStep;
  readonly done: boolean;
  /** How it was ticked: by hand, or by what was read. */
  readonly by?: 'hand' | 'reading';
  /** Who ticked it, and when, where it was by hand. */
  readonly mark?: StepMark;
  /** When it was done. */
  readonly at?: Instant;
}

export interface Progress {
  readonly steps: readonly StepState[];
  readonly done: number;
  /** The step at hand: the first that is not done. */
  readonly next: StepState | undefined;
  /** When the work was begun; nothing before its first mark. */
  readonly began: Instant | undefined;
  readonly finished: StepMark | undefined;
  /** Nothing was done of it yet: it cannot be called finished. */
  readonly untouched: boolean;
}

/** The step whose mark says that the work is begun anew: no procedure has one of this name. */
export const BEGIN = 'begin';

/** Whether everything that a step records was read after a moment; then when the last of it was. */
function readOf(c: Context, step: ProcedureStep, after: (what: ItemId, at: Instant) => boolean): Instant | undefined {
  const items = step.items ?? [];
  let last: Instant | undefined;
  for (const what of items) {
    const taken = c.record
      .all(what)
      .filter((r) => r.value !== 'unknown' && after(what, r.at) && (step.accepts?.(r) ?? true));
    const subjects = allItems[what].perCylinder ? cylindersOf(c) : [];
    // Of every cylinder, where it is asked of each; the first reading of each is the one that belongs here.
    const first = (subjects.length ? subjects : [undefined]).map((n) =>
      taken.find((r) => n === undefined || r.cylinder === n)
    );
    for (const r of first) {
      if (!r) return undefined;
      if (last === undefined || isAfter(r.at, last)) last = r.at;
    }
  }
  return last;
}

/**
 * How far a procedure has got on this engine. A step is done when its last mark says so, or when everything it records was read
 * after the work began, wherever that was: of every cylinder where it is asked of each, and by a reading of its own where several
 * steps ask for the same. A step opened again after its reading is open. Steps that do not belong to the engine as it is known now
 * are left out, and their marks keep. What was marked before it was begun anew no longer counts. `from`: readings count from here
 * on where nothing of it was marked yet.
 */
export function progressOf(c: Context, p: Procedure, from?: Instant): Progress {
  const own = procedureMark(p);
  const last = lastMarks(c.survey);
  const begun = last.get(procedureMark(p, BEGIN));
  const anew = begun?.state === 'done' ? begun.at : undefined;
  const counts = (m: StepMark): boolean => anew === undefined || m.at === anew || isAfter(m.at, anew);
  const began = (c.survey.steps ?? [])
    .filter((m) => (m.step === own || m.step.startsWith(`${own}.`)) && counts(m))
    .reduce<Instant | undefined>((a, m) => (a === undefined || isAfter(a, m.at) ? m.at : a), anew);
  const of = (step?: string): StepMark | undefined => {
    const m = last.get(procedureMark(p, step));
    return m && counts(m) ? m : undefined;
  };
  /** Until when the readings of an item belong to the steps before. */
  const claimed = new Map<ItemId, Instant>();
  const claim = (step: ProcedureStep, until: Instant): void => {
    for (const what of step.items ?? []) claimed.set(what, until);
  };
  const steps = p.steps(c).map((step): StepState => {
    const mark = of(step.id);
    if (mark?.state === 'done') {
      claim(step, mark.at);
      return { step, done: true, by: 'hand', mark, at: mark.at };
    }
    const since = mark?.at ?? began ?? from;
    const read =
      since === undefined
        ? undefined
        : readOf(c, step, (what, at) => {
            const floor = claimed.get(what);
            return !isAfter(since, at) && (floor === undefined || isAfter(at, floor));
          });
    if (read !== undefined) claim(step, read);
    return read !== undefined
      ? { step, done: true, by: 'reading', at: read }
      : { step, done: false, ...(mark ? { mark } : {}) };
  });
  const done = steps.filter((s) => s.done).length;
  const whole = of();
  return {
    steps,
    done,
    next: steps.find((s) => !s.done),
    began,
    finished: whole?.state === 'done' ? whole : undefined,
    untouched: done === 0
  };
}

/**
 * When the engine stood as it was put together, before the first step that only proves the work; `whole` where no step before that is open.
 * What is read after it is read of the mended engine. A job that is marked when the last line is ticked would call it one of the engine
 * before. Nothing where no step only proves, or nothing before it was done.
 */
export function putTogether({ steps }: Pick<Progress, 'steps'>): { at: Instant; whole: boolean } | undefined {
  const proof = steps.findIndex((s) => s.step.proves);
  const work = steps.slice(0, Math.max(0, proof));
  const done = work.flatMap((s) => s.at ?? []);
  return done.length ? { at: latestInstant(done), whole: work.every((s) => s.done) } : undefined;
}

/** Jobs of a procedure that were marked done since it was begun, each with its moment. */
export function jobsMarked(
  survey: SurveyFile,
  p: Pick<Procedure, 'jobs'>,
  { began }: Pick<Progress, 'began'>
): { readonly job: JobId; readonly at: Instant }[] {
  const last = lastMarks(survey);
  return p.jobs.flatMap((job) => {
    const mark = last.get(job);
    return mark?.state === 'done' && began !== undefined && !isAfter(began, mark.at) ? [{ job, at: mark.at }] : [];
  });
}

/** The jobs to mark done when the work was over: those still open that it stands for, and once more what was worked at again since its mark. */
export const jobsToMark = (
  survey: SurveyFile,
  p: Pick<Procedure, 'jobs'>,
  progress: Pick<Progress, 'began'>,
  open: readonly string[],
  at: Instant | undefined
): readonly string[] => [
  ...open,
  ...jobsMarked(survey, p, progress).flatMap((m) => (at !== undefined && isAfter(at, m.at) ? [m.job] : []))
];
