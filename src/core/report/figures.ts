import { isAfter } from '../units/instant.ts';
import type { Assessment } from '../assess.ts';
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

const mean = (v: readonly number[]): number => v.reduce((a, b) => a + b, 0) / v.length;

/** Compression by cylinder, before and after. */
function compressionFigure(a: Assessment): Figure[] {
  const { record, units } = a.context;
  const list = record.all('compression.pressure').filter((r) => typeof r.value === 'number');
  const cylinders = [...new Set(list.map((r) => r.cylinder ?? 1))].sort((x, y) => x - y);
  if (!cylinders.length) return [];
  const unit = show(0, 'pressure', units).unit;
  const value = (pa: number): number => shownNumber(pa, 'pressure', units);
  const bars = cylinders.map((k) => {
    const mine = list.filter((r) => (r.cylinder ?? 1) === k && r.conditions?.bores !== 'oiled');
    const used = mine.length ? mine : list.filter((r) => (r.cylinder ?? 1) === k);
    const rounds = used.map(roundOf);
    const at = (round: number): number =>
      value(mean(used.filter((r) => roundOf(r) === round).map((r) => r.value as number)));
    const [first, last] = [Math.min(...rounds), Math.max(...rounds)];
    return { label: String(k), first: at(first), ...(last > first ? { last: at(last) } : {}) };
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
