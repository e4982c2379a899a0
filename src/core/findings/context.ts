import type { LeakFitter } from '../physics/cranking-fit.ts';
import type { HouseRules } from '../house-rules/rules.ts';
import type { StationId } from '../items/register.ts';
import type { Instant } from '../units/instant.ts';
import { Readings } from '../record/current.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import type { System } from '../units/index.ts';

/** What every analysis is given: the record, the rules of the house, the clock and the reader's units. */
export interface Context {
  readonly survey: SurveyFile;
  readonly record: Readings;
  readonly rules: HouseRules;
  readonly now: Date;
  readonly units: System;
  /** Fits the leaks of a compression test: at once, or nothing until a worker has done it. Without it none is fitted. */
  readonly fitLeaks?: LeakFitter;
  /** When work was marked done that a check proves: what was read before it is how it was, not how it is. */
  readonly worked: (station: StationId) => readonly Instant[];
}

const never = (): readonly Instant[] => [];

export const contextOf = (
  survey: SurveyFile,
  now: Date,
  units: System,
  fitLeaks?: LeakFitter,
  worked: Context['worked'] = never
): Context => ({
  survey,
  record: new Readings(survey),
  rules: survey.houseRules ?? {},
  now,
  units,
  worked,
  ...(fitLeaks ? { fitLeaks } : {})
});

/** The list of cylinders, when their number is known. */
export function cylindersOf(c: Context): number[] {
  const n = c.survey.engine.profile.cylinders;
  return typeof n === 'number' ? Array.from({ length: Math.round(n) }, (_, k) => k + 1) : [];
}

/** "1", "1 and 2", "1, 2 and 3". */
export const listed = (items: readonly (string | number)[]): string =>
  items.length < 2 ? items.join('') : `${items.slice(0, -1).join(', ')} and ${items[items.length - 1]}`;

/** "cylinder 2", "cylinders 2 and 3". */
export const cylindersSaid = (list: readonly number[]): string =>
  `${list.length > 1 ? 'cylinders' : 'cylinder'} ${listed(list)}`;
/** The same at the beginning of a sentence. */
export const CylindersSaid = (list: readonly number[]): string =>
  `${list.length > 1 ? 'Cylinders' : 'Cylinder'} ${listed(list)}`;
