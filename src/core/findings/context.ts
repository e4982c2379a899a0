import type { LeakFitter } from '../physics/cranking-fit.ts';
import type { HouseRules } from '../house-rules/rules.ts';
import type { ItemId, StationId } from '../items/register.ts';
import type { Instant } from '../units/instant.ts';
import { Readings } from '../record/current.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import type { System } from '../units/index.ts';

/** What work was done, as far as it changes what earlier readings mean. */
export interface Work {
  /** What the answers below rest on: where it is the same text, they are the same answers, and what was worked out from them still holds. */
  readonly basis: string;
  /** When work was marked done that a check proves: what was read before it is how it was, not how it is. */
  readonly worked: (station: StationId) => readonly Instant[];
  /** When work was marked done that may have changed what an item tells, by what proves it or by what it renews. */
  readonly touched: (item: ItemId) => readonly Instant[];
  /**
   * When the thing that an item describes was renewed: what was seen of it before is of the old one. Of an item that describes several
   * things, the one that an answer is of; any of them where no answer is given.
   */
  readonly renewed: (item: ItemId, answer?: unknown) => readonly Instant[];
  /** When what an item tells was taken apart and put together again: what was good before proves nothing since, what was bad stands. */
  readonly disturbed: (item: ItemId) => readonly Instant[];
  /** When what an item tells of the engine was wiped off by work: read after that, it tells again once the engine has fired or been tried. */
  readonly wiped: (item: ItemId) => readonly { readonly at: Instant; readonly clean: readonly string[] }[];
  /** When something was opened or renewed that only a run shows to be right: a run before it is of the engine before it. */
  readonly reopened: () => readonly Instant[];
}

/** What every analysis is given: the record, the rules of the house, the clock and the reader's units. */
export interface Context extends Work {
  readonly survey: SurveyFile;
  readonly record: Readings;
  readonly rules: HouseRules;
  readonly now: Date;
  readonly units: System;
  /** Fits the leaks of a compression test: at once, or nothing until a worker has done it. Without it none is fitted. */
  readonly fitLeaks?: LeakFitter;
  /** Whether an instant, in ms, lies behind us; asked instead of `now` where that is all that matters. */
  readonly past: (moment: number) => boolean;
}

const none: Work = {
  basis: '',
  worked: () => [],
  touched: () => [],
  renewed: () => [],
  disturbed: () => [],
  wiped: () => [],
  reopened: () => []
};

/**
 * The context of a survey. `aside` is one that is looked at beside the survey at hand, as it stood at an earlier moment: the next
 * judgement will not be that one with a reading more.
 */
export function contextOf(
  survey: SurveyFile,
  now: Date,
  units: System,
  fitLeaks?: LeakFitter,
  work: Work = none,
  aside = false
): Context {
  const record = new Readings(survey, !aside);
  const context = {
    survey,
    record,
    rules: survey.houseRules ?? {},
    units,
    ...work,
    past: (moment: number): boolean => {
      const past = now.getTime() > moment;
      record.askedPast(moment, past);
      return past;
    }
  };
  // Whatever asks for the time, or for fits that a worker may answer later, holds for this judgement only.
  const noting = <T>(value: T): PropertyDescriptor => ({
    enumerable: true,
    get: () => {
      record.passing();
      return value;
    }
  });
  return Object.defineProperties(context, {
    now: noting(now),
    ...(fitLeaks ? { fitLeaks: noting(fitLeaks) } : {})
  }) as typeof context & Pick<Context, 'now' | 'fitLeaks'>;
}

/** The work that counts from those of its moments that `keeps` keeps: what was done before an instant, say. */
export const workWhere = (w: Work, basis: string, keeps: (at: Instant) => boolean): Work => ({
  basis,
  worked: (station) => w.worked(station).filter(keeps),
  touched: (item) => w.touched(item).filter(keeps),
  renewed: (item, answer) => w.renewed(item, answer).filter(keeps),
  disturbed: (item) => w.disturbed(item).filter(keeps),
  wiped: (item) => w.wiped(item).filter(({ at }) => keeps(at)),
  reopened: () => w.reopened().filter(keeps)
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
