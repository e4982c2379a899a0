import { limits, type LimitId, type Provenance } from '../engine/limits.ts';
import type { LeakFitter } from '../physics/cranking-fit.ts';
import type { HouseRules } from '../house-rules/rules.ts';
import { Readings } from '../record/current.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { say, type System } from '../units/index.ts';

/** What every analysis is given: the record, the rules of the house, the clock and the reader's units. */
export interface Context {
  readonly survey: SurveyFile;
  readonly record: Readings;
  readonly rules: HouseRules;
  readonly now: Date;
  readonly units: System;
  /** Fits the leaks of a compression test: at once, or nothing until a worker has done it. Without it none is fitted. */
  readonly fitLeaks?: LeakFitter;
}

export const contextOf = (survey: SurveyFile, now: Date, units: System, fitLeaks?: LeakFitter): Context => ({
  survey,
  record: new Readings(survey),
  rules: survey.houseRules ?? {},
  now,
  units,
  ...(fitLeaks ? { fitLeaks } : {})
});

export interface Judged {
  readonly value: number;
  /** The upper end, where the manual gave a range. */
  readonly to?: number;
  /** "12 % (manual, page 4-7)" or "15 % (house rule)". */
  readonly said: string;
  readonly provenance: Provenance;
  readonly manual: boolean;
}

/** What a limit of our own is called, by where it comes from: one limit has one name wherever it is said. */
const ownName = { P: 'published', C: 'common practice', M: 'our value, from memory' } as const;

/** The manual's value for a limit when it was entered, else ours with the name it goes by. */
export function judgedBy(c: Context, id: LimitId, own: number, name?: string): Judged;
export function judgedBy(c: Context, id: LimitId, own?: number, name?: string): Judged | undefined;
export function judgedBy(c: Context, id: LimitId, own?: number, name?: string): Judged | undefined {
  const limit = limits[id];
  const manual = c.survey.engine.manual?.[id];
  if (manual) {
    const page = manual.page
      ? `manual, ${/^\d/.test(manual.page) ? 'page ' : ''}${manual.page}`
      : 'manual, no page given';
    return {
      value: manual.value,
      said: `${manual.to === undefined ? '' : `${say(manual.value, limit.dimension, c.units)} to `}${say(manual.to ?? manual.value, limit.dimension, c.units)} (${page})`,
      ...(manual.to === undefined ? {} : { to: manual.to }),
      provenance: 'P',
      manual: true
    };
  }
  if (own === undefined) return undefined;
  return {
    value: own,
    said: `${say(own, limit.dimension, c.units)} (${name ?? ownName[limit.provenance]})`,
    provenance: limit.provenance,
    manual: false
  };
}

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
