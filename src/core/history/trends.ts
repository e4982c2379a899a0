import { allItems, itemIds, type ItemId } from '../stations/items.ts';
import { Readings, roundOf } from '../record/current.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import type { DimensionName } from '../units/dimension.ts';

export interface TrendPoint {
  readonly at: string;
  readonly value: number;
}
export interface Trend {
  readonly what: ItemId;
  readonly label: string;
  readonly dimension: DimensionName;
  /** One line a cylinder; one without a number where the item has none. */
  readonly lines: readonly { readonly cylinder?: number; readonly points: readonly TrendPoint[] }[];
}

/** Measured again and again within one visit: a curve of its own, no trend over visits. */
const within = new Set<string>([
  'run.temperature',
  'run.rpm',
  'gear.casePressure',
  'oil.poured',
  'gear.poured',
  'oil.drained'
]);

/** Quantities read in more than one assessment of the same engine: the last round of each, mean of its repeats. */
export function trendsOf(surveys: readonly SurveyFile[]): Trend[] {
  const records = surveys.map((s) => ({ at: s.assessment.startedAt, record: new Readings(s) }));
  return itemIds.flatMap((what): Trend[] => {
    const item = allItems[what];
    if (item.kind !== 'quantity' || within.has(what)) return [];
    const cylinders = new Set<number | undefined>();
    for (const { record } of records) for (const r of record.all(what)) cylinders.add(r.cylinder);
    const lines = [...cylinders]
      .sort((a, b) => (a ?? 0) - (b ?? 0))
      .map((cylinder) => ({
        ...(cylinder === undefined ? {} : { cylinder }),
        points: records.flatMap(({ record }): TrendPoint[] => {
          const mine = record.all(what).filter((r) => r.cylinder === cylinder && typeof r.value === 'number');
          if (!mine.length) return [];
          const last = Math.max(...mine.map(roundOf));
          const used = mine.filter((r) => roundOf(r) === last);
          return [{ at: used.at(-1)!.at, value: used.reduce((s, r) => s + (r.value as number), 0) / used.length }];
        })
      }))
      .filter((l) => l.points.length > 1);
    return lines.length ? [{ what, label: item.label, dimension: item.dimension, lines }] : [];
  });
}
