import type { Act } from '../src/core/practice/act.ts';
import { acts, Attempt } from '../src/core/practice/attempt.ts';
import { minutesOfAct } from '../src/core/practice/looks.ts';
import type { Truth } from '../src/core/practice/truth.ts';
import type { Assessment } from '../src/core/assess.ts';

/** Minutes of hands until the work that cures the fault stands on the list; all that was spent where it never does. */
export interface Decided {
  readonly minutes: number;
  readonly decided: boolean;
}

const MOST = 60;
const stands = (a: Assessment, step: string | undefined): boolean =>
  step !== undefined && a.steps.some((s) => s.id === step);

/** The work that cures the one fault of an engine. */
export const cureOf = (truth: Truth): string | undefined =>
  truth.model.suspects.find((s) => truth.faults.has(s.id) && !s.kind.artefact)?.kind.step;

/** By the first move of the advice. */
export function byAdvice(truth: Truth): Decided {
  const attempt = new Attempt(truth);
  const step = cureOf(truth);
  for (let k = 0; k < MOST; k++) {
    const a = attempt.assessed();
    if (stands(a, step)) return { minutes: attempt.minutes, decided: true };
    const move = a.moves.find((m) => !m.waits) ?? a.moves[0];
    if (!move || !attempt.follow(move)) break;
  }
  return { minutes: attempt.minutes, decided: false };
}

/** By an order that does not look at what was found. */
export function byOrder(truth: Truth, order: readonly Act[]): Decided {
  const attempt = new Attempt(truth);
  const step = cureOf(truth);
  const cylinders = Number(truth.intake.engine.profile.cylinders ?? 1);
  for (const act of order) {
    attempt.make([act], minutesOfAct(act, cylinders));
    if (stands(attempt.assessed(), step)) return { minutes: attempt.minutes, decided: true };
  }
  return { minutes: attempt.minutes, decided: false };
}

const minutes = (a: Act): number => minutesOfAct(a, 2);
const once = acts.filter((a) => a.items.length > 0 && a.id !== 'hand-over' && a.id !== 'long-run' && a.id !== 'cause');
/** Orders that somebody might keep to: the yard's way round the engine, and what costs least first. */
export const fixedOrders: Readonly<Record<string, readonly Act[]>> = {
  'round the engine, then the rest': [...once.filter((a) => a.routine), ...once.filter((a) => !a.routine)],
  'what costs least first': [...once].sort((a, b) => minutes(a) - minutes(b))
};
