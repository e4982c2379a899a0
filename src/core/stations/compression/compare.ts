import { byMethod, type Measured } from '../../measurements/measure.ts';
import { repeatsOf } from '../../measurements/repeats.ts';
import { inSoak } from '../turn/soak.ts';
import { byTime, isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { chosenSchool, school, type ChosenSchool } from '../../house-rules/rules.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { keep } from '../../findings/keep.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';
import { judgeSpread, pooledDeviation, type Spread } from '../../physics/spread.ts';
import type { Conditions, Instrument } from '../../record/reading.ts';
import { explainedByReverse, fellBothWays, orderEffect, type OrderEffect, type Test } from './order.ts';
import { isWeak, pressures, type PressureVoid } from './measure.ts';
import { overCeiling } from './ceiling.ts';
import { differences, weakOf, type Weak } from './differences.ts';
import { gaugeError, meanOf, ordinaryGauge, stepOf } from './gauge.ts';
import {
  convertedRows,
  isWetTest,
  otherTests,
  unlikeTests,
  wetTests,
  type UnlikeTest,
  type WetTest
} from './other-tests.ts';
import { oddHigh } from './odd-high.ts';
import { comparedRows, type Row } from './row.ts';

export { comparedRows };
import type { PressureTest as Pressure } from './tests.ts';

/** Repeatability of one cranking test, share of the reading (M). */
const REPEATABILITY = 0.02;

/** Chance of being past the limit under which, and over one less which, a spread is taken as told (95 %). */
export const DOUBT = 0.05;

export interface Comparison {
  readonly rows: readonly Row[];
  readonly missing: readonly number[];
  /** Readings under other conditions that do not fit, or stand alone for their cylinder, with what differs. */
  readonly unlike: readonly UnlikeTest[];
  /** Wet readings of cylinders that were also read dry, otherwise under the same conditions. */
  readonly wet: readonly WetTest[];
  /** Cylinders whose wet readings do not agree with one another, and those readings, Pa: they are no wet test yet. */
  readonly wetScattered: readonly { readonly cylinder: number; readonly readings: readonly number[] }[];
  /** Readings that say nothing and that no later one has replaced. */
  readonly voided: readonly { readonly cylinder: number; readonly why: PressureVoid; readonly test: Pressure }[];
  /** Readings that later repeats contradicted and outnumbered: they no longer speak. */
  readonly outdone: readonly Pressure[];
  readonly conditions: Conditions;
  readonly instrument: Instrument;
  readonly limit: Judged;
  /** By which school the limit was chosen, where the manual gives none. */
  readonly school: ChosenSchool;
  readonly spread?: Spread;
  readonly overLimit?: number;
  readonly alike?: number;
  readonly order?: OrderEffect;
  /** What was noted of the cranking where it was too weak: the least volts and 1/min of the readings that speak. */
  readonly weak?: Weak;
  /** Pa from one place to the next, where two tests in opposite orders both fell through them: battery or arm tires. */
  readonly tires?: number;
  /** When the latest reading that speaks was taken; an empty text where none does. */
  readonly at: Instant;
}

interface Group {
  readonly key: string;
  readonly rank: number;
  readonly readings: readonly Pressure[];
  readonly cylinders: ReadonlySet<number>;
}

/**
 * The readings that are compared: of equal key, two cylinders at least where that can be had, by the best method, then of
 * most cylinders. Which came last decides only between equals.
 */
function chosenGroup(measured: ReadonlyMap<string, Measured<Pressure>>): Group | undefined {
  const byKey = new Map<string, { key: string; rank: number; readings: Pressure[]; cylinders: Set<number> }>();
  for (const { groups } of measured.values())
    for (const { key, rank, readings } of groups) {
      const group = byKey.get(key) ?? { key, rank, readings: [], cylinders: new Set<number>() };
      group.readings.push(...readings);
      group.cylinders.add(readings[0]!.cylinder!);
      byKey.set(key, group);
    }
  const list = [...byKey.values()].map((g) => ({ ...g, readings: g.readings.sort(byTime) }));
  return list.sort(
    (a, b) =>
      Number(b.cylinders.size > 1) - Number(a.cylinders.size > 1) ||
      a.rank - b.rank ||
      b.cylinders.size - a.cylinders.size ||
      byMethod(a, b)
  )[0];
}

/**
 * Compares the cylinders as they stand now, like with like. Pressures in Pa gauge.
 * Gauge error is common to all cylinders and cancels; reading step and repeatability do not.
 * Nothing where no reading speaks.
 */
export function compare(c: Context): Comparison | undefined {
  const all = compareAll(c);
  return all?.rows.length ? all : undefined;
}

const testOf = (r: Pressure): Test => ({
  cylinder: r.cylinder!,
  pressure: r.value,
  ...(r.conditions?.volts === undefined ? {} : { volts: r.conditions.volts }),
  ...(r.conditions?.rpm === undefined ? {} : { rpm: r.conditions.rpm })
});

/** The same, and where readings were taken that all say nothing, those. */
export const compareAll = (c: Context): Comparison | undefined => keep(c, compareOnce);

function compareOnce(c: Context): Comparison | undefined {
  const measured = pressures(c);
  if (!measured.size) return undefined;
  const chosen = chosenGroup(measured);
  const first = chosen?.readings[0];
  const limit = judgedBy(c, 'compression.spread', Number(school(c.rules, 'spread')), 'house rule');
  const voided = [...measured.values()].flatMap((m) =>
    m.voided
      .filter(({ reading, why }) =>
        why === 'falls'
          ? !m.groups.some((g) => g.readings.some((r) => isAfter(r.at, reading.at)))
          : m.groups.length === 0 && m.before.length === 0
      )
      .map(({ reading, why }) => ({ cylinder: reading.cylinder!, why, test: reading }))
  );
  const common = { limit, school: chosenSchool(c.rules, 'spread'), voided };
  if (!chosen || !first)
    return {
      ...common,
      rows: [],
      missing: cylindersOf(c),
      unlike: [],
      wet: [],
      wetScattered: [],
      outdone: [],
      conditions: voided[0]?.test.conditions ?? {},
      instrument: voided[0]?.test.instrument ?? ordinaryGauge,
      at: ''
    };
  const instrument: Instrument = chosen.readings.find((r) => r.instrument)?.instrument ?? ordinaryGauge;
  const ids = [...chosen.cylinders].sort((a, b) => a - b);
  const within = (a: Pressure, b: Pressure): boolean =>
    Math.abs(a.value - b.value) <= Math.max(limit.value * Math.max(a.value, b.value), 3 * stepOf(instrument));
  // Fell one after the other, and alike in the reverse order: the first test tells of battery or arm.
  const told = chosen.readings.slice(explainedByReverse(chosen.readings.map(testOf), limit.value));
  const fell = fellBothWays(told.map(testOf), limit.value);
  const both = fell && told.slice(fell.from, fell.from + 2 * ids.length);
  // A third test that is not whole yet is compared with neither.
  const begun = both ? told.slice(fell.from + both.length) : [];
  const repeats = ids.map((k) => {
    const of = (list: readonly Pressure[]): Pressure[] => list.filter((r) => r.cylinder === k);
    return both ? { speaking: of(both), scattered: false } : repeatsOf(of(told), within);
  });
  const groups = repeats.map((r) => r.speaking);
  // What it lost through the order is taken off before they are compared.
  const levelled = (r: Pressure): number => (both ? fell.levelled[both.indexOf(r)]! : r.value);
  const values = groups.map((g) => g.map(levelled));
  // What scatters says how far off it is itself, not how far the others are.
  const steady = values.filter((_, k) => !repeats[k]!.scattered);
  const repeat = pooledDeviation(steady.length ? steady : values, Math.max(REPEATABILITY * meanOf(chosen.readings), 1));
  const one = Math.hypot(repeat, stepOf(instrument) / Math.sqrt(12));
  const read = ids.map((cylinder, k) => ({
    cylinder,
    mean: meanOf(groups[k]!),
    u: one / Math.sqrt(groups[k]!.length),
    readings: [...groups[k]!, ...begun.filter((r) => r.cylinder === cylinder)].map((r) => r.value),
    series: groups[k]!.flatMap((r) => (r.needle ? [r.needle] : [])),
    at: groups[k]!.at(-1)!.at,
    ...(repeats[k]!.scattered ? { scattered: true as const } : {})
  }));
  const converted = convertedRows(c, measured, ids, first, one);
  const plain = [...read, ...converted].sort((a, b) => a.cylinder - b.cylinder);
  // Oil, water or carbon in one cylinder makes it high, not its neighbours low.
  const isHigh = (r: { mean: number }): boolean =>
    first.conditions?.bores !== 'oiled' && overCeiling(c, r.mean, gaugeError(first));
  const marked = plain.map((r) => ({ ...r, low: false, ...(isHigh(r) ? { high: true as const } : {}) }));
  const compared = comparedRows({ rows: marked });
  const best = Math.max(...compared.map((e) => e.mean));
  const rows: Row[] = marked.map((r) => ({ ...r, low: !('scattered' in r) && r.mean < (1 - limit.value) * best }));
  const low = rows.filter((r) => r.low).map((r) => r.cylinder);
  // A battery that tires through the test: the weak ones are not compared, but their order and volts are told.
  const tired = [...measured.values()]
    .flatMap((m) => m.groups.flatMap((g) => g.readings))
    .filter((r) => differences(r, first).every((d) => d.of === 'cranking'))
    .sort(byTime);
  const tiredLow = [
    ...new Set([
      ...low,
      ...tired.filter((r) => r.value < (1 - limit.value) * best && isWeak(r)).map((r) => r.cylinder!)
    ])
  ];
  const others = otherTests(c, measured, chosen.key, first, chosen.readings);
  const wets = others.filter((o) => isWetTest(o.readings[0]!, first, ids));
  const { wet, wetScattered } = wetTests(wets, within, one);
  const unlike = unlikeTests(
    c,
    others.filter((o) => !wets.includes(o)),
    { rows, first, limit: limit.value, readings: chosen.readings }
  );
  const found: Comparison = {
    ...common,
    rows,
    missing: cylindersOf(c).filter((k) => !rows.some((r) => r.cylinder === k)),
    wet,
    wetScattered,
    unlike,
    outdone: chosen.readings.filter((r) => !groups.some((g) => g.includes(r)) && !begun.includes(r)),
    conditions: first.conditions ?? {},
    instrument,
    ...weakOf(chosen.readings),
    ...(fell ? { tires: fell.step } : {}),
    at: latestAt(chosen.readings),
    ...(compared.length > 1 && best > 0
      ? {
          ...judgeSpread(compared, limit.value),
          order: orderEffect(tired.map(testOf), tiredLow)
        }
      : {})
  };
  // Beside one that is doubted for being high none of the others is low yet.
  return oddHigh(c, found) ? { ...found, rows: rows.map((r) => ({ ...r, low: false })) } : found;
}

/** Read while the oil of a soak stands in the bores, and not noted as oiled: it lifts every reading, and none proves a dry bore. */
export const readInSoak = (c: Context, found: Comparison): boolean =>
  found.rows.length > 0 && found.conditions.bores !== 'oiled' && inSoak(c, found.at);
