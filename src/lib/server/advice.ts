import { judged, withAdvice, type Assessment } from '../../core/assess.ts';
import { advise, type Advice } from '../../core/advice/advice.ts';
import type { Decision } from '../../core/decision/decide.ts';
import type { SurveyFile } from '../../core/record/survey-file.ts';
import type { System } from '../../core/units/index.ts';
import { inThread } from './work/pool.ts';

interface Kept {
  readonly advice: Map<string, Advice>;
  readonly decision: Map<string, Promise<Decision>>;
}
/** By the survey they are of: a stored survey is one object until something is added to it. */
const kept = new WeakMap<SurveyFile, Kept>();
/** Holds may lift by the clock alone; a quarter of an hour is soon enough for advice. */
const QUARTER = 900_000;

const of = (survey: SurveyFile): Kept => {
  const old = kept.get(survey) ?? { advice: new Map(), decision: new Map() };
  kept.set(survey, old);
  return old;
};
const keyOf = (units: System): string => `${units}${Math.floor(Date.now() / QUARTER)}`;

function remembered<T>(map: Map<string, T>, units: System, make: () => T): T {
  const key = keyOf(units);
  const old = map.get(key);
  if (old) return old;
  map.clear();
  const made = make();
  map.set(key, made);
  return made;
}

/** Advice worked out for a survey as it stands, where there is any. */
export const rememberedAdvice = (survey: SurveyFile, units: System): Advice | undefined =>
  kept.get(survey)?.advice.get(keyOf(units));

/** Takes up advice that was worked out elsewhere for a survey as it stands. */
export const rememberAdvice = (survey: SurveyFile, units: System, advice: Advice): void =>
  void remembered(of(survey).advice, units, () => advice);

/** A stored survey assessed, its advice worked out once a quarter of an hour. */
export const assessed = (survey: SurveyFile, now: Date, units: System): Assessment =>
  withAdvice(judged(survey, now, units), (j) => remembered(of(survey).advice, units, () => advise(j)));

/** Draws of the first view; the page draws more in a worker. */
const DRAWS = 4000;

/** What to do with the engine, by fewer draws than the page makes; worked out beside the requests and kept for a quarter of an hour. */
export const decisionOf = (survey: SurveyFile, now: Date, units: System): Promise<Decision> =>
  remembered(of(survey).decision, units, () => {
    const made = inThread('decide', survey, now.toISOString(), units, DRAWS);
    made.catch(() => of(survey).decision.clear());
    return made;
  });
