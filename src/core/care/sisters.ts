import type { Context } from '../findings/context.ts';
import { differ, estimateOf, type Estimate } from '../history/resolvable.ts';
import { roundOf } from '../record/current.ts';
import type { Instrument, Reading } from '../record/reading.ts';
import { compare } from '../stations/compression/compare.ts';
import { againstReference, referenceOf } from '../stations/compression/reference.ts';
import { allItems, type ItemId } from '../stations/items.ts';
import { charging } from '../stations/run/charging.ts';
import { runsOf } from '../stations/run/runs.ts';
import { warmingOf } from '../stations/run/warming.ts';
import { sayApart, type DimensionName, type System } from '../units/index.ts';
import { makingOil } from './making-oil.ts';

/** Two engines of one boat, or of one model: this one, and its sister. */
export type Side = 'this' | 'sister';

/** One quantity of both. Values in SI; which of them is the weaker one, where the difference is real. */
export interface SisterRow {
  readonly id: string;
  readonly label: string;
  readonly dimension: DimensionName;
  readonly values: Readonly<Record<Side, number>>;
  /** Under other conditions or with another gauge: what differs, and nothing is concluded. */
  readonly unlike?: string;
  readonly weaker?: Side;
  readonly sentence: string;
}

export interface Sisters {
  readonly rows: readonly SisterRow[];
  /** Rows in which each is the weaker one. */
  readonly weaker: Readonly<Record<Side, number>>;
  readonly sentence: string;
}

type Measured = Estimate & { readonly reading?: Reading; readonly instrument?: Instrument };
interface Figure {
  readonly id: string;
  readonly label: string;
  readonly dimension: DimensionName;
  /** Which end is worse. */
  readonly worse: 'low' | 'high';
  readonly of: (c: Context) => Measured | undefined;
}

/** The latest round of an item over all cylinders: the mean of them, as sure as their repeats allow. */
function ofItem(item: ItemId, where: (r: Reading) => boolean = () => true): Figure['of'] {
  return (c) => {
    const { dimension } = allItems[item] as { dimension: DimensionName };
    const all = c.record.all(item).filter((r) => typeof r.value === 'number' && where(r));
    const round = Math.max(0, ...all.map(roundOf));
    const mine = all.filter((r) => roundOf(r) === round);
    const byCylinder = [...new Set(mine.map((r) => r.cylinder))].map((k) => mine.filter((r) => r.cylinder === k));
    const parts = byCylinder.map((list) => estimateOf(list, dimension));
    const last = mine.at(-1);
    if (!parts.length || !last) return undefined;
    return {
      mean: parts.reduce((s, p) => s + p.mean, 0) / parts.length,
      u: Math.hypot(...parts.map((p) => p.u)) / parts.length,
      reading: last
    };
  };
}
const item = (id: ItemId, worse: Figure['worse']): Figure => ({
  id,
  label: allItems[id].label,
  dimension: (allItems[id] as { dimension: DimensionName }).dimension,
  worse,
  of: ofItem(id)
});

/** Half a 95 % interval in standard uncertainties. */
const HALF = 3.92;

/** What can be put side by side of two engines of one kind, in the order in which it is worth looking. C: common practice. */
const figures: readonly Figure[] = [
  item('compression.leakdown', 'high'),
  item('spark.gap', 'low'),
  item('plugs.volts', 'low'),
  item('plugs.rpm', 'low'),
  item('cooling.bucket', 'low'),
  {
    id: 'plateau',
    label: 'Where the head settles',
    dimension: 'temperature',
    worse: 'high',
    of: (c) => {
      const fit = runsOf(c)
        .flatMap((run) => warmingOf(c, run)?.heating.fit ?? [])
        .at(-1);
      return fit?.high === undefined ? undefined : { mean: fit.plateau, u: Math.max(1, (fit.high - fit.low) / HALF) };
    }
  },
  {
    id: 'charge',
    label: 'Volts at speed',
    dimension: 'voltage',
    worse: 'low',
    of: (c) => {
      const last = charging(c).findLast((x) => x.verdict === 'good' || x.verdict === 'under');
      return last && { mean: last.volts, u: 0.1 };
    }
  },
  {
    id: 'oil-rise',
    label: 'Oil level, change in an hour',
    dimension: 'level',
    worse: 'high',
    of: (c) => {
      const { rate } = makingOil(c);
      return rate && { mean: rate.value, u: (rate.high - rate.low) / HALF };
    }
  },
  item('run.pulls', 'high')
];

/** A share by which two figures differ, in words; of a temperature how far they lie apart. */
function gap(dimension: DimensionName, a: number, b: number, units: System): string {
  if (dimension === 'temperature') return sayApart(Math.abs(a - b), units);
  if (dimension === 'level') return `${(1000 * Math.abs(a - b)).toFixed(1)} mm`;
  const most = Math.max(Math.abs(a), Math.abs(b));
  return most > 0 ? `${Math.round((100 * Math.abs(a - b)) / most)} %` : '0 %';
}

function rowOf(f: Figure, mine: Context, hers: Context): SisterRow[] {
  const [a, b] = [f.of(mine), f.of(hers)];
  if (!a || !b) return [];
  const none = {} as Reading;
  const apart = differ(a, b, a.reading ?? none, b.reading ?? none);
  const low: Side = a.mean < b.mean ? 'this' : 'sister';
  const weaker: Side = f.worse === 'low' ? low : low === 'this' ? 'sister' : 'this';
  return [
    {
      id: f.id,
      label: f.label,
      dimension: f.dimension,
      values: { this: a.mean, sister: b.mean },
      ...(apart ? { weaker } : {}),
      sentence: apart
        ? `${gap(f.dimension, a.mean, b.mean, mine.units)} apart, more than the readings leave open.`
        : 'The same, as far as it was read.'
    }
  ];
}

/** Compression side by side: only with the same gauge under like conditions, all cylinders of each taken together. */
function compressionRow(mine: Context, hers: Context): SisterRow[] {
  const [a, b] = [compare(mine), compare(hers)];
  if (!a?.rows.length || !b?.rows.length) return [];
  const { unlike } = againstReference(a, referenceOf('sister engine', b));
  const mean = (rows: typeof a.rows): Measured => ({
    mean: rows.reduce((s, r) => s + r.mean, 0) / rows.length,
    u: Math.hypot(...rows.map((r) => r.u)) / rows.length
  });
  const [x, y] = [mean(a.rows), mean(b.rows)];
  const apart = !unlike.length && Math.abs(x.mean - y.mean) > 2 * Math.hypot(x.u, y.u);
  return [
    {
      id: 'compression',
      label: 'Compression, mean of its cylinders',
      dimension: 'pressure',
      values: { this: x.mean, sister: y.mean },
      ...(unlike.length ? { unlike: unlike.join(', ') } : {}),
      ...(apart ? { weaker: x.mean < y.mean ? ('this' as const) : ('sister' as const) } : {}),
      sentence: unlike.length
        ? `Read otherwise on the two (${unlike.join(', ')}): once more with the same gauge, alike, before anything is concluded.`
        : apart
          ? `${gap('pressure', x.mean, y.mean, mine.units)} apart, more than the readings leave open.`
          : 'The same, as far as it was read.'
    }
  ];
}

/**
 * Two engines side by side, every figure that can be compared. The sister is the best reference there is: a difference that is real counts
 * before any limit is passed. Nothing is concluded of what one of them was not read in, or was read in otherwise.
 */
export function sisters(mine: Context, hers: Context): Sisters {
  const rows = [...compressionRow(mine, hers), ...figures.flatMap((f) => rowOf(f, mine, hers))];
  const count = (side: Side): number => rows.filter((r) => r.weaker === side).length;
  const weaker = { this: count('this'), sister: count('sister') };
  const tags = {
    this: mine.survey.engine.identity.tag ?? 'This one',
    sister: hers.survey.engine.identity.tag ?? 'Its sister'
  };
  const named = (side: Side): string =>
    rows
      .filter((r) => r.weaker === side)
      .map((r) => r.label.charAt(0).toLowerCase() + r.label.slice(1))
      .join(', ');
  const sentence = !rows.length
    ? 'Nothing was read on both yet. The same gauge, the same afternoon: compression, stream into a bucket, where the head settles, volts at speed.'
    : weaker.this && !weaker.sister
      ? `${tags.this} is the weaker one: ${named('this')}. Look there first, limit or no limit.`
      : weaker.sister && !weaker.this
        ? `${tags.sister} is the weaker one: ${named('sister')}. Look there first, limit or no limit.`
        : weaker.this
          ? `Each is weaker in something: ${tags.this} in ${named('this')}, ${tags.sister} in ${named('sister')}.`
          : 'They are alike in all that was read on both.';
  return { rows, weaker, sentence };
}
