import { judge, type Judgement } from './judge.ts';
import { advise, type Advice } from './advice/advice.ts';
import type { SurveyFile } from './record/survey-file.ts';
import type { Move } from './moves/move.ts';
import { moves } from './moves/moves.ts';
import { questionsOf } from './moves/questions.ts';
import type { Profile } from './engine/profile.ts';
import { following, lazily, type Following } from './stages.ts';
import { fitLeaks } from './stations/compression/leak-fit.ts';
import type { System } from './units/index.ts';

export type { Judgement, StationState } from './judge.ts';

/** Everything that follows from a survey. */
export interface Assessment extends Judgement, Following {
  readonly advice: Advice;
  /** What to do now, in order. */
  readonly moves: readonly Move[];
}

/** What a page is given by a worker, or by the server when it opens. */
export type Weighed = Pick<Assessment, 'advice' | 'moves'>;

/** The same as plain data, each move with what it asks. */
export const weighedOf = (advice: Advice, list: readonly Move[], profile: Profile): Weighed => ({
  advice,
  moves: list.map((m) => {
    const questions = questionsOf(m, profile);
    return questions.length ? { ...m, questions } : m;
  })
});

/**
 * The whole pipeline, put together here and nowhere else: judge, then advice (belief, and what each look is worth), jobs, gates, and what to do now.
 * Judging is done at once, each later stage when it is first read, so that a caller pays for what it uses. Pure; the clock
 * and the units are passed in.
 */
export const assess = (survey: SurveyFile, now: Date, units: System): Assessment =>
  withAdvice(judge(survey, now, units, fitLeaks), advise);

/** The stages after a judgement that was made before, with advice that may have been kept. */
export function withAdvice(j: Judgement, advice: (j: Judgement) => Advice): Assessment {
  const all: Assessment = lazily<Assessment>({
    context: () => j.context,
    stations: () => j.stations,
    findings: () => j.findings,
    holds: () => j.holds,
    advice: () => advice(j),
    steps: () => rest().steps,
    gates: () => rest().gates,
    ready: () => rest().ready,
    moves: () => moves(all)
  });
  let made: Following | undefined;
  const rest = (): Following => (made ??= following(j, all.advice));
  return all;
}

/** The first stage alone, as the pipeline makes it. */
export const judged = (survey: SurveyFile, now: Date, units: System): Judgement => judge(survey, now, units, fitLeaks);
