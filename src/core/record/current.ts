import { cylinderCount } from '../engine/profile.ts';
import { byTime } from '../units/instant.ts';
import { type ItemId, type ReadingValue } from '../items/register.ts';
import type { Reading } from './reading.ts';
import type { SurveyFile } from './survey-file.ts';

export type ReadingOf<I extends ItemId> = Reading & { readonly what: I; readonly value: ReadingValue<I> };

export const roundOf = (r: Reading): number => r.round ?? 1;

/** Readings of one moment stand in the order of their ids: in which order they were entered means nothing. */
const byTimeThenId = (a: Reading, b: Reading): number => byTime(a, b) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/**
 * The readings that count: not superseded, not withdrawn, in order of time. If two people corrected the same reading,
 * both corrections stand here and the later one wins where one value is asked for.
 */
export function standing(survey: SurveyFile): readonly Reading[] {
  const replaced = new Set(survey.readings.map((r) => r.supersedes).filter(Boolean));
  return survey.readings.filter((r) => !replaced.has(r.id) && !r.withdrawn).sort(byTimeThenId);
}

/** Whether the engine has the cylinder that a reading is of; an unknown number of cylinders has every one. */
export function hasCylinder({ engine }: SurveyFile, r: Pick<Reading, 'cylinder'>): boolean {
  const count = cylinderCount(engine.profile);
  return r.cylinder === undefined || count === undefined || r.cylinder <= count;
}

/** The last of a list in order of time; a later round wins over an earlier one. */
const latestRound = <R extends Reading>(list: readonly R[]): R | undefined =>
  list.reduce<R | undefined>((best, r) => (best && roundOf(best) > roundOf(r) ? best : r), undefined);

/** An index over the standing readings of one survey, built once for one judgement. */
export class Readings {
  private readonly byItem = new Map<ItemId, Reading[]>();

  constructor(readonly survey: SurveyFile) {
    for (const r of standing(survey)) {
      if (!hasCylinder(survey, r)) continue;
      const list = this.byItem.get(r.what);
      if (list) list.push(r);
      else this.byItem.set(r.what, [r]);
    }
  }

  /** Every standing reading of an item, oldest first; of one cylinder or round where asked. */
  all<I extends ItemId>(what: I, where: { cylinder?: number; round?: number } = {}): ReadingOf<I>[] {
    const list = (this.byItem.get(what) ?? []) as ReadingOf<I>[];
    return list.filter(
      (r) =>
        (where.cylinder === undefined || r.cylinder === where.cylinder) &&
        (where.round === undefined || roundOf(r) === where.round)
    );
  }

  /** The latest reading of an item, "unknown" among them: whether it was asked, and what was said. Later rounds win. */
  asked<I extends ItemId>(what: I, cylinder?: number): ReadingOf<I> | undefined {
    return latestRound(this.all(what, cylinder === undefined ? {} : { cylinder }));
  }

  /** The latest reading that says something: "unknown" takes nothing away that was seen before. Later rounds win. */
  last<I extends ItemId>(what: I, cylinder?: number): ReadingOf<I> | undefined {
    const list = this.all(what, cylinder === undefined ? {} : { cylinder });
    return latestRound(list.filter((r) => r.value !== 'unknown'));
  }

  /** The latest value that says something; nothing when it was not looked at or could never be told. */
  value<I extends ItemId>(what: I, cylinder?: number): Exclude<ReadingValue<I>, 'unknown'> | undefined {
    return this.last(what, cylinder)?.value as Exclude<ReadingValue<I>, 'unknown'> | undefined;
  }

  /** The latest round in which an item was read. */
  round(what: ItemId): number {
    return Math.max(1, ...this.all(what).map(roundOf));
  }

  /** Whether anything of a station was read at all. */
  touched(station: string): boolean {
    for (const what of this.byItem.keys()) if (what.startsWith(`${station}.`)) return true;
    return false;
  }
}
