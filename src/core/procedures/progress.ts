import type { Context } from '../findings/context.ts';
import { lastMarks } from '../jobs/done.ts';
import type { StepMark } from '../record/reading.ts';
import type { ItemId } from '../stations/items.ts';
import { isAfter } from '../units/instant.ts';
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
}

export interface Progress {
  readonly steps: readonly StepState[];
  readonly done: number;
  /** The step at hand: the first that is not done. */
  readonly next: StepState | undefined;
  /** When the work was begun; nothing before its first mark. */
  readonly began: string | undefined;
  readonly finished: StepMark | undefined;
  /** Nothing was done of it yet: it cannot be called finished. */
  readonly untouched: boolean;
}

/** The step whose mark says that the work is begun anew: no procedure has one of this name. */
export const BEGIN = 'begin';

/**
 * How far a procedure has got on this engine. A step is done when its last mark says so, or when everything it records was read
 * after the work began, wherever that was; a step opened again after its reading is open. Steps that do not belong to the engine as
 * it is known now are left out, and their marks keep. What was marked before it was begun anew no longer counts.
 */
export function progressOf(c: Context, p: Procedure): Progress {
  const own = procedureMark(p);
  const last = lastMarks(c.survey);
  const begun = last.get(procedureMark(p, BEGIN));
  const anew = begun?.state === 'done' ? begun.at : undefined;
  const counts = (m: StepMark): boolean => anew === undefined || m.at === anew || isAfter(m.at, anew);
  const began = (c.survey.steps ?? [])
    .filter((m) => (m.step === own || m.step.startsWith(`${own}.`)) && counts(m))
    .reduce<string | undefined>((a, m) => (a === undefined || isAfter(a, m.at) ? m.at : a), anew);
  const of = (step?: string): StepMark | undefined => {
    const m = last.get(procedureMark(p, step));
    return m && counts(m) ? m : undefined;
  };
  const readSince = (what: ItemId, since: string): boolean =>
    c.record.all(what).some((r) => r.value !== 'unknown' && (r.at === since || isAfter(r.at, since)));
  const steps = p.steps(c).map((step): StepState => {
    const mark = of(step.id);
    if (mark?.state === 'done') return { step, done: true, by: 'hand', mark };
    const since = mark?.at ?? began;
    const items = step.items ?? [];
    return since !== undefined && items.length > 0 && items.every((what) => readSince(what, since))
      ? { step, done: true, by: 'reading' }
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
