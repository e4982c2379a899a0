import type { Decimal } from './cells.ts';
import { readCell } from './cells.ts';

/** What a bare number in the time column counts. `sample` counts rows, a fixed time apart. */
export type TimeUnit = 's' | 'min' | 'h' | 'ms' | 'sample';
/** What "14:02" is. */
export type ClockPair = 'min:s' | 'h:min';
/** In what order a date with two digits first is written. */
export type DateOrder = 'day-first' | 'month-first';

export interface ClockPlan {
  readonly decimal: Decimal;
  readonly timeUnit?: TimeUnit;
  /** Seconds between two samples, where rows are counted. */
  readonly every?: number;
  readonly pair?: ClockPair;
  readonly dateOrder?: DateOrder;
}

/** How a cell of the time column is written. */
export interface MomentForm {
  readonly kind: 'number' | 'clock';
  /** Two parts that may be hours and minutes or minutes and seconds. */
  readonly pair?: true;
  /** First and second part of the clock. */
  readonly parts?: readonly [number, number];
  /** Its date as written: three numbers, and whether the year stands first. */
  readonly date?: { readonly a: number; readonly b: number; readonly c: number; readonly yearFirst: boolean };
  /** Seconds by the clock, where they do not depend on how a pair is read. */
  readonly seconds?: number;
  /** Its first part is minutes. */
  readonly minutes?: true;
  readonly value?: number;
}

const datePart = /^(\d{1,4})([-/.])(\d{1,2})\2(\d{1,4})(?:[T,]?\s*|\s+)(?=\d|$)/;
const clockPart = /^(\d{1,4}):(\d{2})(?::(\d{2}))?(?:[.,](\d{1,9}))?\s*([ap])?\.?(?:m\.?)?\s*(Z|[+-]\d{2}:?\d{2})?$/i;

/** Reads how a moment is written, without deciding what may be read in two ways. Nothing where it is no moment. */
export function formOf(cell: string | undefined, decimal: Decimal): MomentForm | undefined {
  const text = (cell ?? '').trim();
  if (!text || text.length > 40) return undefined;
  const bare = readCell(text, decimal);
  if (bare) return { kind: 'number', value: bare.value };
  const day = datePart.exec(text);
  const rest = day ? text.slice(day[0].length) : text;
  if (day && !rest) return undefined;
  const clock = clockPart.exec(rest);
  if (!clock) return undefined;
  const [, a, b, s, fraction, half, zone] = clock;
  const [first, second] = [Number(a), Number(b)];
  if (second > 59 || Number(s ?? 0) > 59) return undefined;
  if (half && (first > 12 || first === 0)) return undefined;
  const date = day
    ? { a: Number(day[1]), b: Number(day[3]), c: Number(day[4]), yearFirst: day[1]!.length === 4 }
    : undefined;
  const tail = fraction ? Number(`0.${fraction}`) : 0;
  const hours = half ? (first % 12) + (/p/i.test(half) ? 12 : 0) : first;
  const offset =
    zone && !/z/i.test(zone)
      ? (zone[0] === '-' ? -1 : 1) * (Number(zone.slice(1, 3)) * 60 + Number(zone.slice(-2))) * 60
      : 0;
  const common = { kind: 'clock' as const, parts: [first, second] as const, ...(date ? { date } : {}) };
  // Three parts are hours, minutes, seconds; two with a fraction minutes and seconds; two with a date, a zone or am and
  // pm hours and minutes.
  if (s !== undefined) return { ...common, seconds: hours * 3600 + second * 60 + Number(s) + tail - offset };
  if (fraction !== undefined && !date && !half)
    return { ...common, seconds: first * 60 + second + tail, minutes: true };
  if (date || half || zone) return { ...common, seconds: hours * 3600 + second * 60 - offset };
  return { ...common, pair: true };
}

const factors = { s: 1, min: 60, h: 3600, ms: 0.001 };
/** Seconds since 1970 lie in this range for any logger there is; a larger bare number counts milliseconds. */
const EPOCH = { from: 9e8, to: 9e9 };

/** Whether a bare number is a moment since 1970, in seconds or in milliseconds, which needs no question. */
export const epochUnit = (value: number): 's' | 'ms' | undefined =>
  value > EPOCH.from && value < EPOCH.to
    ? 's'
    : value > EPOCH.from * 1000 && value < EPOCH.to * 1000
      ? 'ms'
      : undefined;

const century = (y: number): number => (y < 100 ? 2000 + y : y);

/** A date as days since 1970. Nothing where it is none, as the 14th month, or where its order was not said. */
export function dayOf(date: NonNullable<MomentForm['date']>, order: DateOrder | undefined): number | undefined {
  const [y, m, d] = date.yearFirst
    ? [date.a, date.b, date.c]
    : order === 'day-first'
      ? [century(date.c), date.b, date.a]
      : order === 'month-first'
        ? [century(date.c), date.a, date.b]
        : [NaN, NaN, NaN];
  const ms = Date.UTC(y, m - 1, d);
  return m >= 1 && m <= 12 && d >= 1 && new Date(ms).getUTCDate() === d ? ms / 86_400_000 : undefined;
}

const HOUR = 3600;
const DAY = 86_400;

/**
 * A moment of the file, s, from a zero of its own; `wraps` where it has no date: the seconds after which its clock starts
 * again. Nothing where it cannot be read by the plan.
 * @example momentOf('00:10.5', { decimal: '.' }) // { seconds: 10.5, wraps: 3600 }
 */
export function momentOf(
  cell: string | undefined,
  plan: ClockPlan
): { readonly seconds: number; readonly wraps?: number } | undefined {
  const form = formOf(cell, plan.decimal);
  if (!form) return undefined;
  if (form.kind === 'number') {
    const value = form.value!;
    const unit = epochUnit(value) ?? plan.timeUnit;
    if (unit === undefined) return undefined;
    if (unit === 'sample') return plan.every ? { seconds: value * plan.every } : undefined;
    return { seconds: value * factors[unit] };
  }
  const [first, second] = form.parts!;
  if (form.pair) {
    if (!plan.pair) return undefined;
    return plan.pair === 'min:s'
      ? { seconds: first * 60 + second, wraps: HOUR }
      : { seconds: first * HOUR + second * 60, wraps: DAY };
  }
  const seconds = form.seconds!;
  if (!form.date) return { seconds, wraps: form.minutes ? HOUR : DAY };
  const day = dayOf(form.date, plan.dateOrder);
  return day === undefined ? undefined : { seconds: day * DAY + seconds };
}
