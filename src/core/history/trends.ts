import { known } from '../engine/profile.ts';
import { ownLimits, type LimitId } from '../engine/limits.ts';
import type { Context } from '../findings/context.ts';
import { judgedBy } from '../findings/limit.ts';
import { slopes, type Slope } from '../physics/slopes.ts';
import { roundOf } from '../record/current.ts';
import type { Conditions, Instrument, Reading } from '../record/reading.ts';
import { kindRange } from '../stations/compression/ceiling.ts';
import { compare } from '../stations/compression/compare.ts';
import { allItems, itemIds, stationOf, type ItemId } from '../stations/items.ts';
import { windingIds, windingRows } from '../stations/spark/windings.ts';
import type { DimensionName } from '../units/dimension.ts';
import { isAfter, type Instant } from '../units/instant.ts';
import { estimateOf } from './resolvable.ts';

export interface TrendPoint {
  readonly at: Instant;
  readonly value: number;
  /** Standard uncertainty, same unit. */
  readonly u: number;
}

/** When a change that goes on as it did reaches its limit: not before, and not after; open where the slower end never gets there. */
export interface Forecast {
  readonly from: Instant;
  readonly to?: Instant;
}

/** A slow change: a year of it with its 95 % interval, SI. */
export interface Change extends Slope {
  /** Zero lies outside the interval: it is no scatter. */
  readonly told: boolean;
  /** Told, and toward the bad end. */
  readonly worse: boolean;
  readonly forecast?: Forecast;
}

/** Readings that may be compared: of one cylinder or bank, with one gauge, under like conditions. */
export interface TrendLine {
  readonly cylinder?: number;
  readonly bank?: 'port' | 'starboard';
  /** Gauge and conditions in which this line differs from others of its quantity; empty where there is one way only. */
  readonly method: string;
  readonly points: readonly TrendPoint[];
  readonly change?: Change;
}

export interface Trend {
  readonly what: ItemId;
  readonly label: string;
  readonly dimension: DimensionName;
  readonly limit?: number;
  readonly worse?: 'low' | 'high';
  readonly lines: readonly TrendLine[];
  /** The cylinder that changes for the worse faster than every other, beyond what the readings leave open. */
  readonly alone?: number;
}

/** Measured again and again within one visit: a curve of its own, no trend over visits. */
const within = new Set<string>([
  'run.temperature',
  'run.rpm',
  'gear.casePressure',
  'oil.poured',
  'gear.poured',
  'oil.drained',
  'compression.pressure',
  ...windingIds.map((w) => `spark.${w}`)
]);

interface Rule {
  readonly worse: 'low' | 'high';
  readonly limit?: (c: Context) => number | undefined;
}
const limited = (worse: Rule['worse'], id: LimitId, own?: number): Rule => ({
  worse,
  limit: (c) => (own === undefined ? judgedBy(c, id) : judgedBy(c, id, own))?.value
});
/** Which end is the bad one, and where it begins. Limits are those of the checks. */
const rules: Partial<Record<ItemId, Rule>> = {
  'compression.pressure': {
    worse: 'low',
    limit: (c) => {
      const figure = judgedBy(c, 'compression.figure');
      const spread = compare(c)?.limit.value;
      if (figure && spread !== undefined) return figure.value * (1 - spread);
      const { strokes } = c.survey.engine.profile;
      return strokes === 'two' || strokes === 'four' ? kindRange[strokes][0] : undefined;
    }
  },
  'compression.leakdown': limited('high', 'compression.leakdown', ownLimits.leakdownWatch),
  'spark.gap': limited('low', 'spark.gap', ownLimits.gapElectronic),
  'cooling.head': limited('high', 'cooling.hot', ownLimits.headHot),
  'cooling.bucket': { worse: 'low' },
  'fuel.vacuumSpeed': limited('high', 'fuel.vacuum', ownLimits.lineVacuum),
  'plugs.volts': { worse: 'low', limit: () => ownLimits.weakVolts },
  'plugs.rpm': { worse: 'low' },
  'run.pulls': { worse: 'high' }
};

/** What a reading has to share with another to be compared with it, in words for a line's name. */
function methodOf(instrument: Instrument | undefined, k: Conditions | undefined): string {
  return [
    instrument?.name,
    instrument?.adapterVolume ? 'through an adapter' : undefined,
    k?.throttle && k.throttle !== 'open' ? `throttle ${k.throttle}` : undefined,
    k?.bores === 'oiled' ? 'oiled' : undefined,
    k?.engine === 'warm' ? 'warm' : undefined,
    k?.path,
    k?.spot
  ]
    .filter(Boolean)
    .join(', ');
}

interface Dated {
  readonly cylinder?: number | undefined;
  readonly bank?: 'port' | 'starboard' | undefined;
  readonly method: string;
  readonly point: TrendPoint;
}

/** Compression as the check compares it: by the best method, what says nothing and what was outdone left out. */
function compressionOf(c: Context): Dated[] {
  const found = compare(c);
  return (found?.rows ?? []).flatMap((r) =>
    r.scattered || r.converted
      ? []
      : [
          {
            cylinder: r.cylinder,
            method: methodOf(found!.instrument, found!.conditions),
            point: { at: r.at, value: r.mean, u: r.u }
          }
        ]
  );
}

/** Windings at 20 °C, whatever they were read at. */
const windingsOf = (c: Context, winding: string): Dated[] =>
  windingRows(c)
    .filter((r) => r.winding === winding && !r.scattered)
    .map((r) => ({
      cylinder: r.cylinder,
      method: '',
      point: { at: c.record.last(`spark.${r.winding}`, r.cylinder)!.at, value: r.ohms20, u: 0.02 * r.ohms20 }
    }));

/** The last round of an item, each way of reading it for itself. */
function readingsOf(c: Context, what: ItemId, dimension: DimensionName): Dated[] {
  const groups = new Map<string, Reading[]>();
  for (const r of c.record.all(what)) {
    if (typeof r.value !== 'number') continue;
    const key = JSON.stringify([r.cylinder, r.conditions?.bank, methodOf(r.instrument, r.conditions)]);
    groups.set(key, [...(groups.get(key) ?? []), r]);
  }
  return [...groups.values()].map((list) => {
    const round = Math.max(...list.map(roundOf));
    const used = list.filter((r) => roundOf(r) === round);
    const last = used.at(-1)!;
    const { mean, u } = estimateOf(used, dimension);
    return {
      cylinder: last.cylinder,
      bank: last.conditions?.bank,
      method: methodOf(last.instrument, last.conditions),
      point: { at: last.at, value: mean, u }
    };
  });
}

const YEAR = 365.25 * 86_400_000;
const years = (at: Instant): number => Date.parse(at) / YEAR;
/** A forecast needs as many readings (M); two show what was, and not what comes. */
const FORECASTS = 3;
/** What known scatter weighs beside the data's own, readings (M). */
const WEIGHS = 4;
/** Further ahead nobody's slope goes on as it did, years (M). */
const AHEAD = 15;

/** What a year changes, over stretches between work on it; when it reaches its limit, where it goes there. */
function changeOf(
  points: readonly TrendPoint[],
  worked: readonly Instant[],
  rule?: Rule,
  limit?: number
): Change | undefined {
  const stretches = new Map<number, TrendPoint[]>();
  for (const p of points) {
    const k = worked.filter((at) => isAfter(p.at, at)).length;
    stretches.set(k, [...(stretches.get(k) ?? []), p]);
  }
  const sigma = Math.sqrt(points.reduce((sum, p) => sum + p.u * p.u, 0) / points.length);
  const [slope] =
    slopes(
      [...stretches.values()].map((s) => ({ x: s.map((p) => [years(p.at)]), y: s.map((p) => p.value) })),
      1,
      { sigma: Math.max(sigma, 1e-12), weighs: WEIGHS }
    ) ?? [];
  if (!slope) return undefined;
  const told = slope.low > 0 || slope.high < 0;
  const worse = told && (rule?.worse === 'low' ? slope.value < 0 : rule?.worse === 'high' && slope.value > 0);
  const forecast = worse && limit !== undefined ? reaches([...stretches.values()].at(-1)!, slope, limit) : undefined;
  return { ...slope, told, worse, ...(forecast ? { forecast } : {}) };
}

/** When the latest stretch, going on as it did, is at the limit; nothing with too few readings, or beyond what anybody can see. */
function reaches(stretch: readonly TrendPoint[], slope: Slope, limit: number): Forecast | undefined {
  if (stretch.length < FORECASTS) return undefined;
  const n = stretch.length;
  const [x, y] = [stretch.reduce((s, p) => s + years(p.at), 0) / n, stretch.reduce((s, p) => s + p.value, 0) / n];
  const at = (perYear: number): number => x + (limit - y) / perYear;
  // Toward the bad end the steeper slope is there first; the milder one may never be.
  const [steep, mild] = slope.value < 0 ? [slope.low, slope.high] : [slope.high, slope.low];
  const [first, last] = [at(steep), at(mild)];
  const end = years(stretch.at(-1)!.at);
  if (first - end > AHEAD) return undefined;
  const instant = (year: number): Instant => new Date(Math.max(year, end) * YEAR).toISOString();
  return { from: instant(first), ...(last - end <= AHEAD ? { to: instant(last) } : {}) };
}

/** The one line whose change for the worse lies past those of all the others. */
function aloneOf(lines: readonly TrendLine[], rule: Rule | undefined): number | undefined {
  const told = lines.filter((l) => l.change && l.cylinder !== undefined);
  if (!rule || told.length < 2) return undefined;
  const bad = (l: TrendLine): readonly [number, number] =>
    rule.worse === 'low' ? [-l.change!.high, -l.change!.low] : [l.change!.low, l.change!.high];
  return told.find((l) => l.change!.worse && told.every((o) => o === l || bad(o)[1] < bad(l)[0]))?.cylinder;
}

/**
 * Quantities read in more than one assessment of the same engine, each only beside readings that may be compared with it, with what a
 * year changes and, where it goes for the bad end, when it gets there. Work on the check between two assessments begins a new stretch.
 * @param contexts of its assessments with the work done on them, oldest first
 */
export function trendsOf(contexts: readonly Context[]): Trend[] {
  const latest = contexts.at(-1);
  if (!latest) return [];
  const worked = new Map<string, readonly Instant[]>();
  return itemIds.flatMap((what): Trend[] => {
    const item = allItems[what];
    const winding = windingIds.find((w) => what === `spark.${w}`);
    if (item.kind !== 'quantity' || (within.has(what) && what !== 'compression.pressure' && !winding)) return [];
    const station = stationOf(what);
    if (!worked.has(station))
      worked.set(
        station,
        contexts.flatMap((c) => c.worked(station))
      );
    const groups = new Map<string, Dated[]>();
    for (const c of contexts)
      for (const d of what === 'compression.pressure'
        ? compressionOf(c)
        : winding
          ? windingsOf(c, winding)
          : readingsOf(c, what, item.dimension)) {
        const key = JSON.stringify([d.cylinder, d.bank, d.method]);
        groups.set(key, [...(groups.get(key) ?? []), d]);
      }
    const rule = rules[what];
    const limit = known(rule?.limit?.(latest));
    const lines = [...groups.values()]
      .filter((g) => g.length > 1)
      .sort((a, b) => (a[0]!.cylinder ?? 0) - (b[0]!.cylinder ?? 0) || (a[0]!.method < b[0]!.method ? -1 : 1))
      .map((g): TrendLine => {
        const [{ cylinder, bank, method }] = g as [Dated];
        const points = g.map((d) => d.point);
        const change = changeOf(points, worked.get(station)!, rule, limit);
        return {
          ...(cylinder === undefined ? {} : { cylinder }),
          ...(bank ? { bank } : {}),
          method,
          points,
          ...(change ? { change } : {})
        };
      });
    if (!lines.length) return [];
    const several = new Set(lines.map((l) => l.method)).size > 1;
    const alone = aloneOf(lines, rule);
    return [
      {
        what,
        label: item.label,
        dimension: item.dimension,
        ...(limit === undefined ? {} : { limit }),
        ...(rule ? { worse: rule.worse } : {}),
        lines: several ? lines : lines.map((l) => ({ ...l, method: '' })),
        ...(alone === undefined ? {} : { alone })
      }
    ];
  });
}
