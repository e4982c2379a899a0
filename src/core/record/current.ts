import { cylinderCount } from '../engine/profile.ts';
import { byTime } from '../units/instant.ts';
import { type ItemId, type ReadingValue } from '../items/register.ts';
import type { Reading } from './reading.ts';
import type { SurveyFile } from './survey-file.ts';

export type ReadingOf<I extends ItemId> = Reading & { readonly what: I; readonly value: ReadingValue<I> };

export const roundOf = (r: Reading): number => r.round ?? 1;

/**
 * The readings that count: not superseded, not withdrawn, in order of time. If two people corrected the same reading,
 * both corrections stand here and the later one wins where one value is asked for.
 */
export function standing(survey: SurveyFile): readonly Reading[] {
  const replaced = new Set(survey.readings.map((r) => r.supersedes).filter(Boolean));
  return survey.readings.filter((r) => !replaced.has(r.id) && !r.withdrawn).sort(byTime);
}

/** Whether the engine has the cylinder that a reading is of; an unknown number of cylinders has every one. */
export function hasCylinder({ engine }: SurveyFile, r: Pick<Reading, 'cylinder'>): boolean {
  const count = cylinderCount(engine.profile);
  return r.cylinder === undefined || count === undefined || r.cylinder <= count;
}

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

  /** The latest reading of an item; later rounds win over earlier ones. */
  last<I extends ItemId>(what: I, cylinder?: number): ReadingOf<I> | undefined {
    const list = this.all(what, cylinder === undefined ? {} : { cylinder });
    return list.reduce<ReadingOf<I> | undefined>(
      (best, r) => (best && roundOf(best) > roundOf(r) ? best : r),
      undefined
    );
  }

  /** The latest value of an item, or nothing when it was not looked at or is unknown. */
  value<I extends ItemId>(what: I, cylinder?: number): Exclude<ReadingValue<I>, 'unknown'> | undefined {
    const value = this.last(what, cylinder)?.value;
    return value === 'unknown' ? undefined : (value as Exclude<ReadingValue<I>, 'unknown'> | undefined);
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
