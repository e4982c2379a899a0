import { judge, type Judgement } from './judge.ts';
import { advise, type Advice } from './moves/advice.ts';
import type { SurveyFile } from './record/survey-file.ts';
import { following, lazily, type Following } from './stages.ts';
import { fitLeaks } from './stations/compression/leak-fit.ts';
import type { System } from './units/index.ts';

export type { Judgement, StationState } from './judge.ts';

/** Everything that follows from a survey. */
export interface Assessment extends Judgement, Following {
  readonly advice: Advice;
}

/**
 * The whole pipeline, put together here and nowhere else: judge, then advice (belief and the next check), jobs, gates.
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
    ready: () => rest().ready
  });
  let made: Following | undefined;
  const rest = (): Following => (made ??= following(j, all.advice.suspects));
  return all;
}

/** The first stage alone, as the pipeline makes it. */
export const judged = (survey: SurveyFile, now: Date, units: System): Judgement => judge(survey, now, units, fitLeaks);
