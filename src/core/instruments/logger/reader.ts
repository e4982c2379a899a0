import type { RunLog } from '../../items/item.ts';
import type { Spot } from '../../stations/run/runs.ts';
import { kelvinOf, readCell } from './cells.ts';
import { momentOf, type ClockPlan } from './moments.ts';
import type { LogPlan } from './plan.ts';

/** Rows kept of a record; more are averaged into as many. */
export const KEPT_ROWS = 2000;

export type LogResult =
  | { readonly ok: true; readonly logs: readonly { readonly spot: Spot; readonly log: RunLog }[] }
  | { readonly ok: false; readonly message: string };

/** The rows of one place, in the order of the file. */
interface Track {
  readonly seconds: number[];
  readonly temperature: number[];
  readonly rpm: number[];
}

const mean = (values: readonly number[]): number | null => {
  const good = values.filter((x) => !Number.isNaN(x));
  return good.length ? good.reduce((s, x) => s + x, 0) / good.length : null;
};
const round = (x: number | null, digits: number): number | null => (x === null ? null : Number(x.toFixed(digits)));

/** A track thinned to what is kept, with its hottest row and its longest gap. Nothing where it has under two rows. */
function keptOf(track: Track, zero: number): Omit<RunLog, 'rows'> | undefined {
  const n = track.seconds.length;
  if (n < 2) return undefined;
  const length = track.seconds[n - 1]! - track.seconds[0]!;
  let hot = -1;
  let gap = 0;
  for (let k = 0; k < n; k++) {
    const t = track.temperature[k]!;
    if (!Number.isNaN(t) && (hot < 0 || t > track.temperature[hot]!)) hot = k;
    if (k) gap = Math.max(gap, track.seconds[k]! - track.seconds[k - 1]!);
  }
  if (hot < 0) return undefined;
  const per = Math.max(1, Math.ceil(n / KEPT_ROWS));
  const seconds: number[] = [];
  const temperature: (number | null)[] = [];
  const rpm: (number | null)[] = [];
  for (let k = 0; k < n; k += per) {
    seconds.push(Math.max(0, round(mean(track.seconds.slice(k, k + per))! - zero, 2)!));
    temperature.push(round(mean(track.temperature.slice(k, k + per)), 2));
    rpm.push(round(mean(track.rpm.slice(k, k + per)), 0));
  }
  return {
    seconds,
    temperature,
    ...(rpm.some((x) => x !== null) ? { rpm } : {}),
    hottest: { seconds: round(track.seconds[hot]! - zero, 2)!, temperature: round(track.temperature[hot]!, 2)! },
    ...(gap > 60 && gap > (20 * length) / n ? { gap: Number(gap.toFixed(0)) } : {})
  };
}

/** Reads a logger's rows one after the other, so that a long file needs no second copy in memory. */
export class LogReader {
  private readonly tracks = new Map<Spot, Track>();
  private rows = 0;
  private unread = 0;
  private wrapped = 0;
  private lastClock = -Infinity;
  private last = -Infinity;
  private first: number | undefined;

  /** The plan must leave no question open. */
  constructor(private readonly plan: LogPlan) {}

  private track(spot: Spot): Track {
    let track = this.tracks.get(spot);
    if (!track) this.tracks.set(spot, (track = { seconds: [], temperature: [], rpm: [] }));
    return track;
  }

  private moment(cell: string | undefined): number | undefined {
    const moment = momentOf(cell, this.plan as ClockPlan);
    if (!moment) return undefined;
    if (!moment.wraps) return moment.seconds;
    // A clock without a date starts again at midnight, one of minutes at the full hour.
    if (moment.seconds < this.lastClock - moment.wraps / 2) this.wrapped += moment.wraps;
    this.lastClock = moment.seconds;
    return moment.seconds + this.wrapped;
  }

  private put(spot: Spot, at: number, temperature: number, rpm: number): void {
    const track = this.track(spot);
    track.seconds.push(at);
    track.temperature.push(temperature);
    track.rpm.push(rpm);
  }

  /** Takes a row; one without a time, without any figure, or that goes back in time is counted and left. */
  push(row: readonly string[]): void {
    if (row.every((x) => !x.trim())) return;
    this.rows += 1;
    const { plan } = this;
    const decimal = plan.decimal ?? '.';
    const at = this.moment(row[plan.time ?? -1]);
    const turns = plan.rpm === undefined ? undefined : readCell(row[plan.rpm], decimal)?.value;
    const rpm = turns !== undefined && turns >= 0 && turns < 20_000 ? turns : NaN;
    const place = plan.places ? (row[plan.places.column] ?? '').trim() : '';
    const read = plan.temperatures.flatMap(({ column, spot }) => {
      const cell = readCell(row[column], decimal);
      const value = cell && kelvinOf(cell, plan.unit ?? '°C');
      const where = plan.places
        ? Object.hasOwn(plan.places.spots, place)
          ? plan.places.spots[place]
          : undefined
        : spot;
      return value === undefined || where === undefined ? [] : [{ spot: where, value }];
    });
    if (at === undefined || at < this.last || (!read.length && Number.isNaN(rpm))) return void (this.unread += 1);
    this.last = at;
    this.first ??= at;
    for (const { spot, value } of read) this.put(spot, at, value, rpm);
    // A row of engine speed alone stands in the record of the first place.
    if (!read.length) this.put([...this.tracks.keys()][0] ?? plan.temperatures[0]?.spot ?? 'head', at, NaN, rpm);
  }

  /** The record of each place as it is kept, or a sentence that says why there is none. */
  finish(file?: string): LogResult {
    const no = (message: string): LogResult => ({ ok: false, message });
    if (!this.rows) return no('The file has no rows under its header.');
    if (this.first !== undefined && this.last <= this.first)
      return no('Every row has the same time: that column is not the clock.');
    const logs = [...this.tracks].flatMap(([spot, track]) => {
      const kept = keptOf(track, this.first!);
      return kept ? [{ spot, kept }] : [];
    });
    if (!logs.length)
      return no(
        `None of its ${this.rows} rows has a time and a temperature where they were looked for. Choose the columns, the decimal sign and the unit again.`
      );
    return {
      ok: true,
      logs: logs.map(({ spot, kept }, k) => ({
        spot,
        log: {
          ...(file ? { file: file.slice(0, 200) } : {}),
          rows: this.rows,
          ...(this.unread && k === 0 ? { unread: this.unread } : {}),
          ...kept
        }
      }))
    };
  }
}
