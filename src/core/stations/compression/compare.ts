import { PSI } from '../../units/factors.ts';
import { known } from '../../engine/profile.ts';
import { byMethod, type Measured } from '../../measurements/measure.ts';
import { repeatsOf } from '../../measurements/repeats.ts';
import { withoutAdapter } from '../../physics/adapter.ts';
import { pressureAtAltitude } from '../../physics/atmosphere.ts';
import { byTime, isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { chosenSchool, school, type ChosenSchool } from '../../house-rules/rules.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { keep } from '../../findings/keep.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';
import { judgeSpread, pooledDeviation, type Estimate, type Spread } from '../../physics/spread.ts';
import type { Conditions, Instrument } from '../../record/reading.ts';
import { oilGone } from '../plugs/oil-in-bores.ts';
import { orderEffect, type OrderEffect } from './order.ts';
import { deadVolume, isWeak, pressures, type PressureVoid } from './measure.ts';
import { overCeiling } from './ceiling.ts';
import { cylinderOf } from './shape.ts';
import type { PressureTest as Pressure } from './tests.ts';

export { deadVolume } from './measure.ts';

/** An ordinary gauge where none was named: 0–300 psi, ±2 % of full scale, 1 psi divisions (C). */
export const ordinaryGauge = {
  name: 'ordinary gauge',
  range: 300 * PSI,
  accuracy: 0.02,
  resolution: PSI
} as const;
/** Repeatability of one cranking test, share of the reading (M). */
const REPEATABILITY = 0.02;

export interface Row extends Estimate {
  readonly cylinder: number;
  readonly readings: readonly number[];
  /** The needle after each pull, of the tests in which it was read. */
  readonly series: readonly (readonly number[])[];
  /** Its mean is under the limit of the best one. */
  readonly low: boolean;
  /** More than such an engine gives: it is not compared with, where others are there. */
  readonly high?: true;
  /** Its repeats lie further apart than the limit between cylinders: it is not compared until another one tells which is wrong. */
  readonly scattered?: true;
  /** Read through another volume only, and brought to this one by the model: its interval is wider. */
  readonly converted?: true;
  /** When its latest reading was taken. */
  readonly at: Instant;
}

/** Chance of being past the limit under which, and over one less which, a spread is taken as told (95 %). */
export const DOUBT = 0.05;

export interface Comparison {
  readonly rows: readonly Row[];
  readonly missing: readonly number[];
  /** Readings under other conditions that do not fit, or stand alone for their cylinder, with what differs. */
  readonly unlike: readonly {
    readonly cylinder: number;
    readonly differs: readonly Difference[];
    /** Plainly low beside its neighbours there, and not in the test that speaks. */
    readonly low?: true;
  }[];
  /** Wet readings of cylinders that were also read dry, otherwise under the same conditions. */
  readonly wet: readonly (Estimate & { readonly cylinder: number; readonly dose?: number })[];
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
  readonly volts: readonly number[];
  /** When the latest reading that speaks was taken; an empty text where none does. */
  readonly at: Instant;
}

/** In what a reading differs from those that are compared, and what it was taken with. */
export type Difference =
  | { readonly of: 'throttle' | 'bores' | 'engine'; readonly was: string | undefined }
  | { readonly of: 'gauge' | 'battery' };

const name = (r: Pressure): string => r.instrument?.name ?? '';

function differences(a: Pressure, b: Pressure): Difference[] {
  const parts: Difference[] = [];
  for (const of of ['throttle', 'bores', 'engine'] as const)
    if (a.conditions?.[of] !== b.conditions?.[of]) parts.push({ of, was: a.conditions?.[of] });
  if (name(a) !== name(b) || a.instrument?.adapterVolume !== b.instrument?.adapterVolume) parts.push({ of: 'gauge' });
  if (isWeak(a) !== isWeak(b)) parts.push({ of: 'battery' });
  return parts;
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

/** The step a gauge is read to, Pa; one division of an ordinary gauge where none is noted. */
export const stepOf = (instrument: Instrument): number => instrument.resolution ?? ordinaryGauge.resolution;

const meanOf = (list: readonly Pressure[]): number => list.reduce((sum, r) => sum + r.value, 0) / list.length;
/** Gauge error of a reading's instrument, Pa. */
const gaugeError = (r: Pressure): number =>
  (r.instrument?.accuracy ?? ordinaryGauge.accuracy) * (r.instrument?.range ?? ordinaryGauge.range);

/** A reading through a dead volume, as it would have been without; nothing where the volume or the engine's is not known. */
function direct(c: Context, r: Pressure, mean: number): { low: number; high: number; best: number } | undefined {
  const cylinder = cylinderOf(c);
  const dead = deadVolume(r.instrument);
  if (!cylinder || dead <= 0) return undefined;
  const altitude = known(c.record.value('safe.altitude'));
  return withoutAdapter(mean, cylinder, dead, altitude === undefined ? undefined : pressureAtAltitude(altitude));
}

/** Whether what differs explains by itself why a reading of the same cylinder came out as it did. */
function explained(c: Context, other: readonly Pressure[], row: Row, first: Pressure): boolean {
  const r = other[0]!;
  const mean = meanOf(other);
  const differs = differences(r, first).map((d) => d.of);
  const reach = 3 * row.u;
  // What lowers a reading explains a lower one: a throttle that may have been shut, a tired battery, a volume before the valve.
  const lowers =
    (differs.includes('throttle') && r.conditions?.throttle !== 'open') ||
    (differs.includes('battery') && isWeak(r)) ||
    deadVolume(r.instrument) > deadVolume(first.instrument);
  const raises =
    (differs.includes('bores') && r.conditions?.bores === 'oiled') ||
    (differs.includes('battery') && isWeak(first)) ||
    (differs.includes('throttle') && first.conditions?.throttle !== 'open') ||
    deadVolume(r.instrument) < deadVolume(first.instrument);
  if (differs.includes('engine')) return true;
  const without = differs.join() === 'gauge' ? direct(c, r, mean) : undefined;
  if (without && deadVolume(first.instrument) === 0) {
    const room = reach + gaugeError(r) + gaugeError(first);
    return row.mean >= without.low - room && row.mean <= without.high + room;
  }
  const gauges = differs.includes('gauge') ? Math.hypot(gaugeError(r), gaugeError(first)) : 0;
  if (mean < row.mean - reach - gauges) return lowers;
  if (mean > row.mean + reach + gauges) return raises;
  return true;
}

/** So much past the limit, share, that reading it once more would not bring it back (M). */
const PLAINLY = 0.05;

/**
 * A cylinder that was plainly low beside its neighbours in a test of its own, cold or through another gauge, and is not low in the one that
 * speaks: what lowers a whole test lowers all of its cylinders.
 */
function lowBeside(
  o: { readonly cylinder: number; readonly key: string; readonly readings: readonly Pressure[] },
  others: readonly { readonly cylinder: number; readonly key: string; readonly readings: readonly Pressure[] }[],
  limit: number,
  row: Row,
  first: Pressure
): boolean {
  if (row.low || !differences(o.readings[0]!, first).every((d) => d.of === 'engine' || d.of === 'gauge')) return false;
  const best = Math.max(...others.filter((x) => x.key === o.key).map((x) => meanOf(x.readings)));
  return meanOf(o.readings) < (1 - limit - PLAINLY) * best;
}

/** The rows that are compared: those too high to be true, or that do not agree with themselves, only where there are no others. */
export function comparedRows({ rows }: Pick<Comparison, 'rows'>): readonly Row[] {
  const usual = rows.filter((r) => !r.high && !r.scattered);
  return usual.length ? usual : rows;
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
      volts: [],
      at: ''
    };
  const instrument: Instrument = chosen.readings.find((r) => r.instrument)?.instrument ?? ordinaryGauge;
  const ids = [...chosen.cylinders].sort((a, b) => a - b);
  const within = (a: Pressure, b: Pressure): boolean =>
    Math.abs(a.value - b.value) <= Math.max(limit.value * Math.max(a.value, b.value), 3 * stepOf(instrument));
  const repeats = ids.map((k) =>
    repeatsOf(
      chosen.readings.filter((r) => r.cylinder === k),
      within
    )
  );
  const groups = repeats.map((r) => r.speaking);
  const values = groups.map((g) => g.map((r) => r.value));
  // What scatters says how far off it is itself, not how far the others are.
  const steady = values.filter((_, k) => !repeats[k]!.scattered);
  const repeat = pooledDeviation(steady.length ? steady : values, Math.max(REPEATABILITY * meanOf(chosen.readings), 1));
  const one = Math.hypot(repeat, stepOf(instrument) / Math.sqrt(12));
  const read = ids.map((cylinder, k) => ({
    cylinder,
    mean: meanOf(groups[k]!),
    u: one / Math.sqrt(groups[k]!.length),
    readings: values[k]!,
    series: groups[k]!.flatMap((r) => (r.needle ? [r.needle] : [])),
    at: groups[k]!.at(-1)!.at,
    ...(repeats[k]!.scattered ? { scattered: true as const } : {})
  }));
  // A cylinder read through a volume only is brought to the others by the model: its interval is wider, nothing is averaged in.
  const converted = [...measured.values()].flatMap(({ groups: list }) => {
    const cylinder = list[0]?.readings[0]?.cylinder;
    if (cylinder === undefined || ids.includes(cylinder) || deadVolume(first.instrument) > 0) return [];
    return list
      .filter((g) => differences(g.readings[0]!, first).every((d) => d.of === 'gauge'))
      .slice(0, 1)
      .flatMap((g) => {
        const without = direct(c, g.readings[0]!, meanOf(g.readings));
        if (!without) return [];
        const u = Math.hypot(one, (without.high - without.low) / 4);
        const readings = g.readings.map((r) => r.value);
        const at = g.readings.at(-1)!.at;
        return [{ cylinder, mean: without.best, u, readings, series: [], at, converted: true as const }];
      });
  });
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
    .filter((r) => differences(r, first).every((d) => d.of === 'battery'))
    .sort(byTime);
  const tiredLow = [
    ...new Set([
      ...low,
      ...tired.filter((r) => r.value < (1 - limit.value) * best && isWeak(r)).map((r) => r.cylinder!)
    ])
  ];
  // Read with the oil of the first spin, which had burnt off or run off before the dry reading: no wet test beside it.
  const spent = (list: readonly Pressure[]): boolean =>
    list[0]!.conditions?.bores === 'oiled' &&
    first.conditions?.bores === 'dry' &&
    list.every((r) => oilGone(c, r.at, [...chosen.readings].sort(byTime)[0]!.at));
  const others = [...measured.values()].flatMap((m) =>
    m.groups
      .filter((g) => g.key !== chosen.key && !spent(g.readings))
      .map((g) => ({ cylinder: g.readings[0]!.cylinder!, key: g.key, readings: g.readings }))
  );
  const isWet = (r: Pressure): boolean =>
    r.conditions?.bores === 'oiled' &&
    first.conditions?.bores !== 'oiled' &&
    ids.includes(r.cylinder!) &&
    differences(r, first).every((d) => d.of === 'bores' || d.of === 'battery');
  const wets = others.filter((o) => isWet(o.readings[0]!));
  // The latest dose speaks: two doses are two tests.
  const doses = [...new Set(wets.map((o) => o.cylinder))].map((cylinder) => {
    const mine = wets
      .filter((o) => o.cylinder === cylinder)
      .sort((a, b) => byTime(b.readings.at(-1)!, a.readings.at(-1)!))[0]!;
    return { cylinder, ...repeatsOf(mine.readings, within) };
  });
  const wet = doses
    .filter((d) => !d.scattered)
    .map(({ cylinder, speaking }) => {
      const dose = speaking[0]!.conditions?.dose;
      return {
        cylinder,
        mean: meanOf(speaking),
        u: one / Math.sqrt(speaking.length),
        ...(dose === undefined ? {} : { dose })
      };
    });
  const measuredAt = new Map(
    rows.map((r) => [r.cylinder, latestAt(chosen.readings.filter((x) => x.cylinder === r.cylinder))])
  );
  const unlike = others
    .filter((o) => !wets.includes(o))
    .flatMap((o) => {
      const found = { cylinder: o.cylinder, differs: differences(o.readings[0]!, first) };
      const row = rows.find((r) => r.cylinder === o.cylinder);
      if (!row) return [found];
      // Read like the others since, and repeated: the doubt is closed, whatever the other way had shown.
      const since = measuredAt.get(o.cylinder) ?? '';
      if (row.converted || (row.readings.length > 1 && isAfter(since, latestAt(o.readings)))) return [];
      if (lowBeside(o, others, limit.value, row, first)) return [{ ...found, low: true as const }];
      return explained(c, o.readings, row, first) ? [] : [found];
    });
  return {
    ...common,
    rows,
    missing: cylindersOf(c).filter((k) => !rows.some((r) => r.cylinder === k)),
    wet,
    wetScattered: doses
      .filter((d) => d.scattered)
      .map(({ cylinder, speaking }) => ({ cylinder, readings: speaking.map((r) => r.value) })),
    unlike,
    outdone: chosen.readings.filter((r) => !groups.some((g) => g.includes(r))),
    conditions: first.conditions ?? {},
    instrument,
    volts: chosen.readings.map((r) => r.conditions?.volts).filter((v) => v !== undefined),
    at: latestAt(chosen.readings),
    ...(compared.length > 1 && best > 0
      ? {
          ...judgeSpread(compared, limit.value),
          order: orderEffect(
            tired.map((r) => ({
              cylinder: r.cylinder!,
              pressure: r.value,
              ...(r.conditions?.volts === undefined ? {} : { volts: r.conditions.volts }),
              ...(r.conditions?.rpm === undefined ? {} : { rpm: r.conditions.rpm })
            })),
            tiredLow
          )
        }
      : {})
  };
}
