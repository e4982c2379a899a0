import { PSI } from '../../units/factors.ts';
import { chosenSchool, school, type ChosenSchool } from '../../house-rules/rules.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';
import { judgeSpread, pooledDeviation, type Estimate, type Spread } from '../../physics/spread.ts';
import type { Conditions, Instrument } from '../../record/reading.ts';
import { orderEffect, type OrderEffect } from './order.ts';
import { pressureRound, pressureTests, type PressureTest as Pressure } from './tests.ts';

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
  /** Probability that this cylinder is under the limit of the best one. */
  readonly low: boolean;
}

/** Chance of being past the limit under which, and over one less which, a spread is taken as told (95 %). */
export const DOUBT = 0.05;

export interface Comparison {
  readonly rows: readonly Row[];
  readonly missing: readonly number[];
  /** Readings left out because they were taken under other conditions, with what differs. */
  readonly unlike: readonly { readonly cylinder: number; readonly differs: readonly Difference[] }[];
  /** Wet readings of cylinders that were also read dry, otherwise under the same conditions. */
  readonly wet: readonly (Estimate & { readonly cylinder: number; readonly dose?: number })[];
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
}

/** Volume between the chamber and this gauge's check valve, m³; none where the valve sits at the plug end. */
export const deadVolume = (i: Instrument): number => (i.valve === 'plug end' ? 0 : (i.adapterVolume ?? 0));

/** What must be the same before two readings are compared. */
const keyOf = (r: Pressure, bores: string = r.conditions?.bores ?? 'unknown'): string =>
  [
    r.conditions?.throttle ?? 'unknown',
    bores,
    r.conditions?.engine ?? 'unknown',
    r.instrument?.name ?? '',
    r.instrument?.adapterVolume ?? 'unknown'
  ].join('|');

/** In what a reading differs from those that are compared, and what it was taken with. */
export type Difference =
  { readonly of: 'throttle' | 'bores' | 'engine'; readonly was: string | undefined } | { readonly of: 'gauge' };

function differences(a: Pressure, b: Pressure): Difference[] {
  const parts: Difference[] = [];
  for (const of of ['throttle', 'bores', 'engine'] as const)
    if (a.conditions?.[of] !== b.conditions?.[of]) parts.push({ of, was: a.conditions?.[of] });
  if (a.instrument?.name !== b.instrument?.name || a.instrument?.adapterVolume !== b.instrument?.adapterVolume)
    parts.push({ of: 'gauge' });
  return parts;
}

/** Groups readings by like conditions; the group with most cylinders speaks, the newest where two are even. */
function likeWithLike(readings: readonly Pressure[]): { chosen: Pressure[]; others: Pressure[] } {
  const groups = new Map<string, Pressure[]>();
  for (const r of readings) groups.set(keyOf(r), [...(groups.get(keyOf(r)) ?? []), r]);
  const size = (g: Pressure[]): number => new Set(g.map((r) => r.cylinder)).size;
  const chosen = [...groups.values()].reduce<Pressure[]>((best, g) => (size(g) >= size(best) ? g : best), []);
  return { chosen, others: readings.filter((r) => !chosen.includes(r)) };
}

/**
 * Compares the cylinders of the latest round, like with like. Pressures in Pa gauge.
 * Gauge error is common to all cylinders and cancels; reading step and repeatability do not.
 */
export function compare(c: Context): Comparison | undefined {
  if (!compared.has(c)) compared.set(c, compareOnce(c));
  return compared.get(c);
}

/** One comparison a judgement: the sheet, the drawing and the findings all ask for it. */
const compared = new WeakMap<Context, Comparison | undefined>();

function compareOnce(c: Context): Comparison | undefined {
  const readings = pressureTests(c, pressureRound(c));
  if (!readings.length) return undefined;
  const { chosen, others } = likeWithLike(readings);
  const instrument: Instrument = chosen.find((r) => r.instrument)?.instrument ?? ordinaryGauge;
  const limit = judgedBy(c, 'compression.spread', Number(school(c.rules, 'spread')), 'house rule');
  const ids = [...new Set(chosen.map((r) => r.cylinder!))].sort((a, b) => a - b);
  const groups = ids.map((k) => chosen.filter((r) => r.cylinder === k).map((r) => r.value));
  const average = chosen.reduce((sum, r) => sum + r.value, 0) / chosen.length;
  const repeat = pooledDeviation(groups, Math.max(REPEATABILITY * average, 1));
  const one = Math.hypot(repeat, (instrument.resolution ?? ordinaryGauge.resolution) / Math.sqrt(12));
  const estimates = groups.map((g) => ({
    mean: g.reduce((a, b) => a + b, 0) / g.length,
    u: one / Math.sqrt(g.length)
  }));
  const best = Math.max(...estimates.map((e) => e.mean));
  const rows = ids.map((cylinder, k) => ({
    ...estimates[k]!,
    cylinder,
    readings: groups[k]!,
    series: chosen.filter((r) => r.cylinder === cylinder).flatMap((r) => (r.needle ? [r.needle] : [])),
    low: estimates[k]!.mean < (1 - limit.value) * best
  }));
  const low = rows.filter((r) => r.low).map((r) => r.cylinder);
  const first = chosen[0]!;
  const isWet = (r: Pressure): boolean =>
    r.conditions?.bores === 'oiled' &&
    first.conditions?.bores !== 'oiled' &&
    ids.includes(r.cylinder!) &&
    keyOf(r, '') === keyOf(first, '');
  const wets = others.filter(isWet);
  const wet = [...new Set(wets.map((r) => r.cylinder!))].map((cylinder) => {
    const mine = wets.filter((r) => r.cylinder === cylinder);
    const dose = mine.at(-1)?.conditions?.dose;
    return {
      cylinder,
      mean: mine.reduce((sum, r) => sum + r.value, 0) / mine.length,
      u: one / Math.sqrt(mine.length),
      ...(dose === undefined ? {} : { dose })
    };
  });
  return {
    rows,
    missing: cylindersOf(c).filter((k) => !ids.includes(k)),
    wet,
    unlike: others.filter((r) => !isWet(r)).map((r) => ({ cylinder: r.cylinder!, differs: differences(r, first) })),
    conditions: first.conditions ?? {},
    instrument,
    limit,
    school: chosenSchool(c.rules, 'spread'),
    volts: chosen.map((r) => r.conditions?.volts).filter((v) => v !== undefined),
    ...(rows.length > 1 && best > 0
      ? {
          ...judgeSpread(rows, limit.value),
          order: orderEffect(
            chosen.map((r) => ({
              cylinder: r.cylinder!,
              pressure: r.value,
              ...(r.conditions?.volts === undefined ? {} : { volts: r.conditions.volts }),
              ...(r.conditions?.rpm === undefined ? {} : { rpm: r.conditions.rpm })
            })),
            low
          )
        }
      : {})
  };
}
