import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';
import { measure } from '../../measurements/measure.ts';
import { crankingPressure } from '../../physics/adapter.ts';
import { boreArea } from '../../physics/slider-crank.ts';
import { pooledDeviation } from '../../physics/spread.ts';
import { cylinderOf, squareBore } from '../compression/shape.ts';

/** Standard deviation of one depth taken with rod and calliper, m, before any repeat says otherwise (M). */
export const DEPTH_DEVIATION = 0.05e-3;

type Row = Depths['rows'][number];

export interface Depths {
  readonly rows: readonly {
    readonly cylinder: number;
    readonly depth: number;
    readonly n: number;
    readonly u: number;
  }[];
  /** What a straight rod gives, m: the maker's figure or a sister's, where somebody entered it. */
  readonly right?: number;
  /** Not to be told from one engine alone: a single piston has no other to be laid beside. */
  readonly alone: boolean;
  /** Deeper than the shallowest by more than the tolerance, whatever end of the interval is taken. */
  readonly low: readonly number[];
  /** Of those the ones that were taken once. */
  readonly once: readonly number[];
  /**
   * The one that stands higher than at least two others, which agree: water bends a rod short and never long, and no two alike by accident.
   * It is the reading in doubt, and none of the others is called low by it.
   */
  readonly odd?: { readonly cylinder: number; readonly by: number; readonly others: number; readonly again: boolean };
  /** Taken several times with results that lie further apart than the tolerance: one of them is wrong. */
  readonly scattered: readonly number[];
  /** Every difference lies inside the tolerance with its whole 95 % interval; false where one is low; else not told. */
  readonly agree: boolean | undefined;
  readonly limit: Judged;
  readonly deviation: number;
}

/** The figure is known as well as one reading of it (M). */
const figure = (depth: number): Pick<Row, 'depth' | 'u'> => ({ depth, u: DEPTH_DEVIATION });

/**
 * Piston depths at top against the shallowest, or against what a straight rod gives where that is known; a deeper one is low in the bore.
 * Repeats set what a difference means.
 */
export function pistonDepths(c: Context): Depths {
  const limit = judgedBy(c, 'turn.depth', ownLimits.depth);
  const taken = measure(
    c.record.all('turn.depth').filter((r) => typeof r.value === 'number'),
    { subject: (r) => String(r.cylinder), key: () => '', rank: () => 0, voided: () => undefined },
    c.worked('turn')
  );
  const groups = cylindersOf(c).map((cylinder) => ({
    cylinder,
    values: (taken.get(String(cylinder))?.groups[0]?.readings ?? []).map((r) => r.value as number)
  }));
  const deviation = pooledDeviation(
    groups.map((g) => g.values),
    DEPTH_DEVIATION
  );
  const rows = groups
    .filter((g) => g.values.length)
    .map(({ cylinder, values }) => ({
      cylinder,
      depth: values.reduce((a, b) => a + b, 0) / values.length,
      n: values.length,
      u: deviation / Math.sqrt(values.length)
    }));
  const right = known(c.record.value('turn.depthRight'));
  const shallowest = rows.reduce((a, r) => (r.depth < a.depth ? r : a), rows[0] ?? { depth: 0, u: 0 });
  const least = right === undefined ? shallowest : figure(right);
  const scattered = groups
    .filter((g) => g.values.length > 1 && Math.max(...g.values) - Math.min(...g.values) > limit.value)
    .map((g) => g.cylinder);
  const deeper = rows.filter((r) => r.depth - least.depth - 2 * Math.hypot(r.u, least.u) > limit.value);
  const others = rows.filter((r) => r !== least);
  const apart = Math.max(...others.map((r) => r.depth)) - Math.min(...others.map((r) => r.depth));
  const odd =
    right === undefined && others.length > 1 && deeper.length === others.length && apart <= limit.value
      ? {
          cylinder: (least as Row).cylinder,
          by: Math.min(...others.map((r) => r.depth)) - least.depth,
          others: others.length,
          again: (least as Row).n > 1 && !scattered.includes((least as Row).cylinder)
        }
      : undefined;
  const low = odd ? [] : deeper.map((r) => r.cylinder);
  const alone = right === undefined && cylindersOf(c).length === 1;
  const complete = rows.length > 0 && !alone && rows.length === cylindersOf(c).length;
  // A piston that stands higher than a straight rod lets it is no straight rod either: it is the figure of another engine, or a slip.
  const inside = rows.every(
    (r) => r === least || Math.abs(r.depth - least.depth) + 2 * Math.hypot(r.u, least.u) <= limit.value
  );
  const agree = low.length || odd ? false : complete && inside && !scattered.length ? true : undefined;
  const once = rows.filter((r) => r.n < 2 && low.includes(r.cylinder)).map((r) => r.cylinder);
  return {
    rows,
    ...(right === undefined ? {} : { right }),
    alone,
    low,
    once,
    ...(odd ? { odd } : {}),
    scattered,
    agree,
    limit,
    deviation
  };
}

/** Its one piston was measured, and nobody knows what a straight rod gives: from this engine alone it cannot be told. */
export const nothingBeside = (c: Context): boolean =>
  pistonDepths(c).alone && c.record.all('turn.depth').length > 0 && c.record.asked('turn.depthRight') !== undefined;

/**
 * Share of its compression (gauge) that a cylinder loses when its piston stands `low` m too deep at top: the ratio falls
 * by the volume that opens. Nothing where the displacement is unknown. P: polytropic law; square bore where none is known (M).
 */
export function lossFromLowPiston(c: Context, low: number): number | undefined {
  const cylinder = cylinderOf(c);
  const bore = known(c.survey.engine.profile.bore) ?? squareBore(c);
  if (!cylinder || bore === undefined) return undefined;
  // A shorter rod leaves the whole stroke lower: what opens at top opens at closing as well.
  return 1 - crankingPressure(cylinder, low * boreArea(bore)) / crankingPressure(cylinder);
}
