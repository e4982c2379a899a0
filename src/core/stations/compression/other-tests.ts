import type { Context } from '../../findings/context.ts';
import type { Measured } from '../../measurements/measure.ts';
import { repeatsOf } from '../../measurements/repeats.ts';
import type { Estimate } from '../../physics/spread.ts';
import { byTime, isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { oilGone } from '../plugs/oil-in-bores.ts';
import { differences, direct, explained, lowBeside, type Difference, type OtherTest } from './differences.ts';
import { meanOf } from './gauge.ts';
import { deadVolume } from './measure.ts';
import type { Row } from './row.ts';
import type { PressureTest as Pressure } from './tests.ts';

/** Wet readings of one cylinder: Pa gauge; the dose in m³ where it was noted. */
export interface WetTest extends Estimate {
  readonly cylinder: number;
  readonly dose?: number;
  /** When it was read last. */
  readonly at: Instant;
}

/** A reading under other conditions that does not fit, or stands alone for its cylinder. */
export interface UnlikeTest {
  readonly cylinder: number;
  readonly differs: readonly Difference[];
  /** Plainly low beside its neighbours there, and not in the test that speaks. */
  readonly low?: true;
}

type AllMeasured = ReadonlyMap<string, Measured<Pressure>>;

/**
 * Rows of cylinders that were read through a volume only, brought to the others by the model: their interval is wider, nothing is averaged in.
 * `one`: standard deviation of one reading, Pa.
 */
export function convertedRows(
  c: Context,
  measured: AllMeasured,
  read: readonly number[],
  first: Pressure,
  one: number
): Omit<Row, 'low'>[] {
  if (deadVolume(first.instrument) > 0) return [];
  return [...measured.values()].flatMap(({ groups }) => {
    const cylinder = groups[0]?.readings[0]?.cylinder;
    const like = groups.find((g) => differences(g.readings[0]!, first).every((d) => d.of === 'gauge'));
    if (cylinder === undefined || read.includes(cylinder) || !like) return [];
    const without = direct(c, like.readings[0]!, meanOf(like.readings));
    if (!without) return [];
    return [
      {
        cylinder,
        mean: without.best,
        u: Math.hypot(one, (without.high - without.low) / 4),
        readings: like.readings.map((r) => r.value),
        series: [],
        at: like.readings.at(-1)!.at,
        converted: true as const
      }
    ];
  });
}

/** What was read under other conditions than the chosen ones; not what was read with the oil of the first spin, which had burnt off or run off before. */
export function otherTests(
  c: Context,
  measured: AllMeasured,
  key: string,
  first: Pressure,
  chosen: readonly Pressure[]
): OtherTest[] {
  const start = [...chosen].sort(byTime)[0]!.at;
  const spent = (list: readonly Pressure[]): boolean =>
    list[0]!.conditions?.bores === 'oiled' &&
    first.conditions?.bores === 'dry' &&
    list.every((r) => oilGone(c, r.at, start));
  return [...measured.values()].flatMap((m) =>
    m.groups
      .filter((g) => g.key !== key && !spent(g.readings))
      .map((g) => ({ cylinder: g.readings[0]!.cylinder!, key: g.key, readings: g.readings }))
  );
}

/** Whether a reading is the wet test of a cylinder that was read dry: nothing but oil differs, or the cranking. */
export const isWetTest = (r: Pressure, first: Pressure, dry: readonly number[]): boolean =>
  r.conditions?.bores === 'oiled' &&
  first.conditions?.bores !== 'oiled' &&
  dry.includes(r.cylinder!) &&
  differences(r, first).every((d) => d.of === 'bores' || d.of === 'cranking');

/** The latest dose of each cylinder speaks: two doses are two tests. */
export function wetTests(
  wets: readonly OtherTest[],
  within: (a: Pressure, b: Pressure) => boolean,
  one: number
): { wet: WetTest[]; wetScattered: { cylinder: number; readings: number[] }[] } {
  const doses = [...new Set(wets.map((o) => o.cylinder))].map((cylinder) => {
    const mine = wets
      .filter((o) => o.cylinder === cylinder)
      .sort((a, b) => byTime(b.readings.at(-1)!, a.readings.at(-1)!))[0]!;
    return { cylinder, ...repeatsOf(mine.readings, within) };
  });
  return {
    wet: doses
      .filter((d) => !d.scattered)
      .map(({ cylinder, speaking }) => {
        const dose = speaking[0]!.conditions?.dose;
        return {
          cylinder,
          mean: meanOf(speaking),
          u: one / Math.sqrt(speaking.length),
          at: speaking.at(-1)!.at,
          ...(dose === undefined ? {} : { dose })
        };
      }),
    wetScattered: doses
      .filter((d) => d.scattered)
      .map(({ cylinder, speaking }) => ({ cylinder, readings: speaking.map((r) => r.value) }))
  };
}

interface Chosen {
  readonly rows: readonly Row[];
  readonly first: Pressure;
  /** Between cylinders, share. */
  readonly limit: number;
  readonly readings: readonly Pressure[];
}

/** Of the other tests those that do not fit the chosen one, or stand alone for their cylinder. */
export function unlikeTests(c: Context, others: readonly OtherTest[], chosen: Chosen): UnlikeTest[] {
  const { rows, first, limit, readings } = chosen;
  return others.flatMap((o): UnlikeTest[] => {
    const found = { cylinder: o.cylinder, differs: differences(o.readings[0]!, first) };
    const row = rows.find((r) => r.cylinder === o.cylinder);
    if (!row) return [found];
    // Read like the others since, and repeated: the doubt is closed, whatever the other way had shown.
    const since = latestAt(readings.filter((r) => r.cylinder === o.cylinder));
    if (row.converted || (row.readings.length > 1 && isAfter(since, latestAt(o.readings)))) return [];
    if (lowBeside(o, others, limit, row, first)) return [{ ...found, low: true }];
    // However weakly it was cranked: beside the others of that test it was none the lower.
    const beside = others.filter((x) => x.key === o.key).map((x) => meanOf(x.readings));
    // All of them alike through a volume, and good without: that speaks, since a volume only takes away.
    const through = deadVolume(o.readings[0]!.instrument) > 0 && deadVolume(first.instrument) === 0;
    const gauge = through && found.differs.every((d) => d.of === 'gauge');
    if (gauge && beside.length > 1 && meanOf(o.readings) <= row.mean) return [];
    const cranking = found.differs.every((d) => d.of === 'cranking');
    if (cranking && beside.length > 1 && !row.low && meanOf(o.readings) >= (1 - limit) * Math.max(...beside)) return [];
    return explained(c, o.readings, row, first, isAfter(latestAt(o.readings), row.at)) ? [] : [found];
  });
}
