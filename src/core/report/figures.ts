import { isAfter } from '../units/instant.ts';
import type { Assessment } from '../assess.ts';
import { contextOf, workWhere } from '../findings/context.ts';
import { compare } from '../stations/compression/compare.ts';
import { allItems } from '../stations/items.ts';
import { roundOf } from '../record/current.ts';
import { show, shownNumber } from '../units/index.ts';

/** A figure of the report, in the reader's units, ready to be drawn on screen and paper alike. */
export type Figure =
  | {
      readonly kind: 'bars';
      readonly title: string;
      readonly unit: string;
      /** A pair a cylinder: first round, latest round where there is one. */
      readonly bars: readonly { readonly label: string; readonly first: number; readonly last?: number }[];
      readonly says: string;
    }
  | {
      readonly kind: 'curve';
      readonly title: string;
      readonly unit: string;
      /** Minutes since the start, and the temperature. */
      readonly points: readonly (readonly [minutes: number, value: number])[];
      readonly says: string;
    };

/** Compression of each cylinder as it is judged: by the readings that may be compared, never by oiled bores beside dry ones. */
function comparedBy(a: Assessment, round: number): ReadonlyMap<number, number> {
  const { context: c } = a;
  const { survey } = c;
  const readings = survey.readings.filter((r) => !r.what.startsWith('compression.') || roundOf(r) === round);
  const work = workWhere(c, c.basis, () => true);
  const rows = compare(contextOf({ ...survey, readings }, c.now, c.units, undefined, work, true))?.rows ?? [];
  return new Map(rows.map((r) => [r.cylinder, shownNumber(r.mean, 'pressure', c.units)]));
}

/** Compression by cylinder, before and after. */
function compressionFigure(a: Assessment): Figure[] {
  const { record, units } = a.context;
  const list = [...record.all('compression.pressure'), ...record.all('compression.pulls')];
  const rounds = [...new Set(list.filter((r) => r.value !== 'unknown').map(roundOf))].sort((x, y) => x - y);
  if (!rounds.length) return [];
  const before = comparedBy(a, rounds[0]!);
  const after = rounds.length > 1 ? comparedBy(a, rounds.at(-1)!) : new Map<number, number>();
  const cylinders = [...new Set([...before.keys(), ...after.keys()])].sort((x, y) => x - y);
  if (!cylinders.length) return [];
  const { unit } = show(0, 'pressure', units);
  const bars = cylinders.map((k) => {
    const [first, last] = [before.get(k), after.get(k)];
    return { label: String(k), first: first ?? last!, ...(first !== undefined && last !== undefined ? { last } : {}) };
  });
  const again = bars.some((b) => b.last !== undefined);
  return [
    {
      kind: 'bars',
      title: `Compression by cylinder, ${unit}${again ? ': before and after' : ''}`,
      unit,
      bars,
      says: bars
        .map((b) => `cylinder ${b.label} ${b.first}${b.last === undefined ? '' : `, then ${b.last}`}`)
        .join('; ')
    }
  ];
}

/** The last run's temperature. */
function runFigure(a: Assessment): Figure[] {
  const { record, units } = a.context;
  const starts = record.all('run.event').filter((r) => r.value === 'start');
  const from = starts.at(-1)?.at;
  const all = record.all('run.temperature').filter((r) => !from || !isAfter(from, r.at));
  const spot = all[0]?.conditions?.spot;
  const list = all.filter((r) => r.conditions?.spot === spot && typeof r.value === 'number');
  if (list.length < 3) return [];
  const zero = Date.parse(from ?? list[0]!.at);
  const unit = show(300, 'temperature', units).unit;
  const points = list.map(
    (r) => [(Date.parse(r.at) - zero) / 60_000, shownNumber(r.value as number, 'temperature', units)] as const
  );
  const [, end] = points.at(-1)!;
  return [
    {
      kind: 'curve',
      title: `${allItems['run.temperature'].label} of the last run, ${unit}`,
      unit,
      points,
      says: `${points.length} readings over ${Math.round(points.at(-1)![0])} minutes, ${end} ${unit} at the end`
    }
  ];
}

export const figuresOf = (a: Assessment): Figure[] => [...compressionFigure(a), ...runFigure(a)];
