import type { Move } from '../moves/move.ts';
import type { Reading } from '../record/reading.ts';
import { Attempt } from './attempt.ts';
import { Draws } from './random.ts';
import { drawTruth } from './truth.ts';

/** One sheet of readings, and the question: what now? */
export interface Question {
  readonly seed: string;
  readonly attempt: Attempt;
  /** What was read last, newest first. */
  readonly latest: readonly Reading[];
  /** Four things that could be done, in an order that tells nothing. */
  readonly answers: readonly { readonly id: string; readonly title: string; readonly minutes: number }[];
  readonly right: { readonly id: string; readonly because: string };
}

const ANSWERS = 4;
/** How far the work has come when the question is asked, moves. */
const FROM = 4;
const TO = 11;
/** Seeds tried before it is given up. */
const TRIES = 20;
const LATEST = 14;

const asked = (m: Move | undefined): m is Move =>
  m !== undefined &&
  (m.kind === 'look' || m.kind === 'repeat' || m.kind === 'continue' || m.kind === 'job' || m.kind === 'make-safe');

function tryOne(seed: string): Question | undefined {
  const draws = new Draws(`five|${seed}`);
  const attempt = new Attempt(drawTruth(seed, { faults: 'one', artefacts: true, leaks: false }));
  const moves = Math.floor(draws.between('moves', FROM, TO));
  for (let k = 0; k < moves; k++) {
    const list = attempt.assessed().moves;
    const move = list.find((m) => !m.waits) ?? list[0];
    if (!move || !attempt.follow(move)) return undefined;
  }
  const list = attempt.assessed().moves.filter((m) => asked(m) && !m.waits);
  const [first, ...others] = list;
  // A question needs something that was just found: the cheap checks in their order ask nothing of anybody.
  if (!first || ![1, 3, 4, 5, 8].includes(first.class)) return undefined;
  const titles = new Set([first.title]);
  const wrong = others.filter((m) => !titles.has(m.title) && titles.add(m.title));
  if (wrong.length < ANSWERS - 1) return undefined;
  const step = Math.max(1, Math.floor(wrong.length / (ANSWERS - 1)));
  const distractors = [0, 1, 2].map((k) => wrong[Math.min(wrong.length - 1, k * step)]!);
  const answers = [first, ...new Set(distractors)]
    .map((m) => ({ id: m.id, title: m.title, minutes: m.minutes }))
    .sort((a, b) => draws.level(`order|${a.id}`) - draws.level(`order|${b.id}`));
  return {
    seed,
    attempt,
    latest: attempt.survey.readings.slice(-LATEST).reverse(),
    answers,
    right: { id: first.id, because: first.because }
  };
}

/** A question of five minutes; the same seed gives the same one. Throws RangeError where no question comes of it. */
export function questionOf(seed: string): Question {
  for (let k = 0; k < TRIES; k++) {
    const found = tryOne(k ? `${seed}+${k}` : seed);
    if (found) return { ...found, seed };
  }
  throw new RangeError(`no question comes of the seed ${seed}`);
}
