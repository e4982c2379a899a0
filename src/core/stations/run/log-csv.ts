import { ZERO_CELSIUS } from '../../units/factors.ts';
import type { RunLog } from '../../items/item.ts';

export type LogColumn = 'time' | 'temperature' | 'rpm';
/** Which column of the file is which; temperature and time are needed. */
export type LogMapping = { readonly [C in LogColumn]?: number };
export type LogUnit = '°C' | '°F' | 'K';

export interface LogPlan {
  readonly mapping: LogMapping;
  readonly unit: LogUnit;
  /** Decimal sign of its numbers. */
  readonly decimal: '.' | ',';
  /** Factor from a bare number in the time column to seconds. */
  readonly timeUnit: 's' | 'min' | 'ms' | 'h';
}

const NUMBER = { '.': /^[+-]?(\d+(\.\d*)?|\.\d+)(e[+-]?\d+)?$/i, ',': /^[+-]?(\d+(,\d*)?|,\d+)(e[+-]?\d+)?$/i };

/** A cell as a number, by the file's decimal sign; units behind it are left off. Nothing where it is none. */
export function numberOf(cell: string | undefined, decimal: '.' | ','): number | undefined {
  const text = (cell ?? '')
    .trim()
    .replace(/\s*(°?[CFK]|rpm|1\/min|s|min|h)$/i, '')
    .replace('−', '-');
  if (!NUMBER[decimal].test(text)) return undefined;
  const value = Number(text.replace(',', '.'));
  return Number.isFinite(value) ? value : undefined;
}

const find = (
  header: readonly string[],
  words: RegExp,
  not: readonly (number | undefined)[] = []
): number | undefined => {
  const k = header.findIndex((h, i) => words.test(h) && !not.includes(i));
  return k < 0 ? undefined : k;
};

/**
 * A first guess at what a logger's columns are, from its header and first rows. The reader sees it and changes it.
 * `delimiter` is the file's: where that is a comma, decimals have a point.
 */
export function guessPlan(header: readonly string[], rows: readonly (readonly string[])[], delimiter: string): LogPlan {
  const cells = rows.flat();
  const commas = cells.filter((x) => /^\s*[+-]?\d+,\d+\s*/.test(x)).length;
  const points = cells.filter((x) => /^\s*[+-]?\d+\.\d+\s*$/.test(x)).length;
  const decimal = delimiter !== ',' && commas > points ? ',' : '.';
  const time = find(header, /time|zeit|elapsed|stamp|sec|\bt\b|date/i) ?? 0;
  const rpm = find(header, /rpm|speed|rev|1\/min/i, [time]);
  const warm = find(header, /temp|°|deg|head|cht|coolant|heat/i, [time, rpm]);
  const temperature =
    warm ?? [0, 1, 2].find((k) => k !== time && k !== rpm && numberOf(rows[0]?.[k], decimal) !== undefined);
  const name = header[temperature ?? -1] ?? '';
  const timeName = header[time] ?? '';
  return {
    mapping: {
      time,
      ...(temperature === undefined ? {} : { temperature }),
      ...(rpm === undefined ? {} : { rpm })
    },
    unit: /°?\s*F\b|fahr/i.test(name) ? '°F' : /\bK\b|kelvin/.test(name) ? 'K' : '°C',
    decimal,
    timeUnit: /\bms\b|milli/i.test(timeName)
      ? 'ms'
      : /min/i.test(timeName)
        ? 'min'
        : /\bh(ours?)?\b/i.test(timeName)
          ? 'h'
          : 's'
  };
}

/** Cells of a row that hold a figure, a clock or a date. */
const figures = (row: readonly string[] | undefined): number =>
  (row ?? []).filter((x) => /^\s*[+-]?[\d.,:]*\d[\d.,:]*\s*\S{0,4}\s*$/.test(x) || /^\d{4}-\d{2}-\d{2}/.test(x.trim()))
    .length;

/**
 * Where the table begins: its header, or -1 where it starts with figures at once; loggers write a title first.
 * Nothing where no row holds two figures.
 */
export function headerAt(rows: readonly (readonly string[])[]): number | undefined {
  const first = rows.findIndex((row) => figures(row) >= 2);
  return first < 0 ? undefined : first - 1;
}

const kelvin = {
  '°C': (v: number) => v + ZERO_CELSIUS,
  '°F': (v: number) => ((v + 459.67) * 5) / 9,
  K: (v: number) => v
};
const perUnit = { s: 1, min: 60, ms: 0.001, h: 3600 };
const DAY = 86_400;

/** A moment, s: a bare number in the file's unit, a clock ("0:04:10", "4:10", "14:02:10.5"), or a date with a clock. */
export function secondsOf(
  cell: string | undefined,
  plan: LogPlan
): { readonly seconds: number; readonly clock?: true } | undefined {
  const text = (cell ?? '').trim();
  const bare = numberOf(text, plan.decimal);
  if (bare !== undefined) return { seconds: bare * perUnit[plan.timeUnit] };
  const day = /^(\d{4})-(\d{2})-(\d{2})[T ]/.exec(text);
  const clock = /(\d{1,3}):(\d{2})(?::(\d{2})(?:[.,](\d+))?)?\s*(am|pm)?\s*(?:Z|[+-]\d{2}:?\d{2})?$/i.exec(text);
  if (!clock) return undefined;
  const [, a, b, s, fraction, half] = clock;
  const tail = Number(`0.${fraction ?? 0}`);
  // Two parts alone are minutes and seconds in an elapsed column; with a date, hours and minutes.
  const long = s !== undefined || text.length > clock[0].length;
  let seconds = long ? Number(a) * 3600 + Number(b) * 60 + Number(s ?? 0) + tail : Number(a) * 60 + Number(b);
  if (half) seconds += (/pm/i.test(half) ? 12 : 0) * 3600 - (Number(a) === 12 ? 12 * 3600 : 0);
  if (!day) return { seconds, clock: true };
  return { seconds: Date.UTC(Number(day[1]), Number(day[2]) - 1, Number(day[3])) / 1000 + seconds };
}

/** Rows kept of a record; more are averaged into as many. */
export const KEPT_ROWS = 2000;

/** Reads a logger's rows one after the other, so that a long file needs no second copy in memory. */
export class LogReader {
  private readonly seconds: number[] = [];
  private readonly temperature: number[] = [];
  private readonly rpm: number[] = [];
  private rows = 0;
  private unread = 0;
  private days = 0;
  private lastClock = -Infinity;

  constructor(private readonly plan: LogPlan) {}

  /** Takes a row; one whose time or temperature cannot be read, or that goes back in time, is counted and left. */
  push(row: readonly string[]): void {
    if (row.length === 1 && !row[0]?.trim()) return;
    this.rows += 1;
    const { mapping, decimal, unit } = this.plan;
    const moment = secondsOf(row[mapping.time ?? -1], this.plan);
    const warm = numberOf(row[mapping.temperature ?? -1], decimal);
    const value = warm === undefined ? NaN : kelvin[unit](warm);
    if (!moment || !(value > 200 && value < 800)) return void (this.unread += 1);
    let at = moment.seconds;
    if (moment.clock) {
      // A clock without a date starts again at midnight.
      if (at < this.lastClock - DAY / 2) this.days += 1;
      this.lastClock = at;
      at += this.days * DAY;
    }
    const last = this.seconds.at(-1);
    if (last !== undefined && at < last) return void (this.unread += 1);
    this.seconds.push(at);
    this.temperature.push(value);
    const turns = numberOf(row[mapping.rpm ?? -1], decimal);
    this.rpm.push(turns !== undefined && turns >= 0 && turns < 20_000 ? turns : NaN);
  }

  /** The record as it is kept, or a sentence that says why there is none. */
  finish(
    file?: string
  ): { readonly ok: true; readonly log: RunLog } | { readonly ok: false; readonly message: string } {
    const n = this.seconds.length;
    if (!this.rows) return { ok: false, message: 'The file has no rows under its header.' };
    if (n < 2)
      return {
        ok: false,
        message: `None of its ${this.rows} rows has a time and a temperature where they were looked for. Choose the columns, the decimal sign and the unit again.`
      };
    const zero = this.seconds[0]!;
    const length = this.seconds[n - 1]! - zero;
    if (length <= 0) return { ok: false, message: 'Every row has the same time: that column is not the clock.' };
    let [hot, gap] = [0, 0];
    for (let k = 1; k < n; k++) {
      if (this.temperature[k]! > this.temperature[hot]!) hot = k;
      gap = Math.max(gap, this.seconds[k]! - this.seconds[k - 1]!);
    }
    const per = Math.max(1, Math.ceil(n / KEPT_ROWS));
    const out = { seconds: [] as number[], temperature: [] as (number | null)[], rpm: [] as (number | null)[] };
    const mean = (list: readonly number[]): number | null => {
      const good = list.filter((x) => !Number.isNaN(x));
      return good.length ? good.reduce((s, x) => s + x, 0) / good.length : null;
    };
    const cut = (x: number | null, digits: number): number | null => (x === null ? null : Number(x.toFixed(digits)));
    for (let k = 0; k < n; k += per) {
      out.seconds.push(cut(mean(this.seconds.slice(k, k + per)), 2)! - 0 - Number(zero.toFixed(2)));
      out.temperature.push(cut(mean(this.temperature.slice(k, k + per)), 2));
      out.rpm.push(cut(mean(this.rpm.slice(k, k + per)), 0));
    }
    const turned = out.rpm.some((x) => x !== null);
    return {
      ok: true,
      log: {
        ...(file ? { file: file.slice(0, 200) } : {}),
        rows: this.rows,
        ...(this.unread ? { unread: this.unread } : {}),
        seconds: out.seconds.map((s) => Math.max(0, Number(s.toFixed(2)))),
        temperature: out.temperature,
        ...(turned ? { rpm: out.rpm } : {}),
        hottest: {
          seconds: Number((this.seconds[hot]! - zero).toFixed(2)),
          temperature: Number(this.temperature[hot]!.toFixed(2))
        },
        ...(gap > 60 && gap > (20 * length) / n ? { gap: Number(gap.toFixed(0)) } : {})
      }
    };
  }
}
