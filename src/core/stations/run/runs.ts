import type { Context } from '../../findings/context.ts';
import { keep } from '../../findings/keep.ts';
import type { WarmSample } from '../../physics/warm-up.ts';
import { ownLimits } from '../../engine/limits.ts';
import { judgedBy } from '../../findings/limit.ts';
import { hottestOf, withHotWater } from './hottest.ts';
import { loggedRuns } from './logged-runs.ts';
import { STREAM_COMES } from './stream.ts';
import { spotIds, spotOf, type Spot } from './spots.ts';
import type { Reading } from '../../record/reading.ts';
import { byTime, isAfter } from '../../units/instant.ts';

export { spotIds, spots, type Spot } from './spots.ts';

/** Without an entry for this long a run is over, whether or not somebody said so, ms. */
const SILENT = 3_600_000;

export interface Track {
  readonly spot: Spot;
  readonly samples: readonly WarmSample[];
}

/** One run: what was read between start and stop, or what a logger wrote. */
export interface Run {
  readonly id: string;
  readonly label: string;
  readonly startedAt: Date;
  readonly stoppedAt?: Date;
  /** From a logger's file, not from entries. */
  readonly logged?: true;
  /** When the logger's file was entered. */
  readonly entered?: string;
  /** Nobody tapped its start: it had been running for nobody knows how long when the first entry was made. */
  readonly untimed?: true;
  /** Nobody ended it; the entries ceased. */
  readonly silent?: true;
  readonly tracks: readonly Track[];
  readonly rpm: readonly { readonly seconds: number; readonly rpm: number }[];
  readonly streams: readonly { readonly seconds: number; readonly value: string }[];
  /** Minutes from start to stop or to the last entry. */
  readonly minutes: number;
  readonly hottest?: { readonly temperature: number; readonly seconds: number; readonly spot: Spot };
  /** Stretch without a row in a logger's record, s. */
  readonly gap?: number;
}

const LOGGED = new Set(['run.temperature', 'run.rpm', 'run.stream', 'run.exhaust', 'run.volts', 'run.remark']);
/** Instants as numbers, parsed once a reading: a long log asks for each of them again and again. */
const instants = new WeakMap<Reading, number>();
function ms(r: Reading): number {
  let at = instants.get(r);
  if (at === undefined) instants.set(r, (at = Date.parse(r.at)));
  return at;
}

function handRun(label: string, list: readonly Reading[], start: number, stop?: number): Run {
  const end = stop ?? Math.max(start, ...list.map(ms));
  const at = (r: Reading): number => (ms(r) - start) / 1000;
  const of = (what: string): Reading[] => list.filter((r) => r.what === what && r.value !== 'unknown');
  const temperatures = of('run.temperature');
  const tracks = spotIds.flatMap((spot): Track[] => {
    const mine = temperatures.filter((r) => spotOf(r) === spot);
    return mine.length
      ? [{ spot, samples: mine.map((r) => ({ seconds: at(r), temperature: r.value as number })) }]
      : [];
  });
  return {
    id: list[0]?.id ?? label,
    label,
    startedAt: new Date(start),
    ...(stop === undefined ? {} : { stoppedAt: new Date(stop) }),
    tracks,
    rpm: of('run.rpm').map((r) => ({ seconds: at(r), rpm: r.value as number })),
    streams: of('run.stream').map((r) => ({ seconds: at(r), value: r.value as string })),
    minutes: (end - start) / 60_000,
    ...hottestOf(tracks)
  };
}

/** Every run of the record, oldest first: by its start and stop, cut where entries ceased, and from loggers. */
export const runsOf = (c: Context): Run[] => keep(c, findRuns);

/** Entries so long after the stop, ms, are still of that run: written down once hands were free (M). */
const LATE = 5 * 60_000;

/** One stretch of running as it was entered. */
interface Stretch {
  readonly start: number;
  readonly stop?: number;
  readonly entries: readonly Reading[];
  readonly untimed?: true;
  /** Its entries ceased, and others came later: nobody told its end. */
  readonly ceased?: true;
}

/** Entries that no start belongs to, cut where they ceased: the engine ran then, and nobody tapped it. */
function untapped(entries: readonly Reading[], stops: readonly number[]): Stretch[] {
  const out: Reading[][] = [];
  for (const r of entries) {
    const before = out.at(-1)?.at(-1);
    const ended = before && stops.some((s) => s > ms(before) && s <= ms(r));
    if (!before || ended || ms(r) - ms(before) > SILENT) out.push([r]);
    else out.at(-1)!.push(r);
  }
  return out.map((list) => {
    const stop = stops.find((s) => s >= ms(list.at(-1)!) && s - ms(list.at(-1)!) <= SILENT);
    return { start: ms(list[0]!), ...(stop === undefined ? {} : { stop }), entries: list, untimed: true as const };
  });
}

/** The stretches between starts: each start with its entries, then what was entered after its end without another start. */
function stretches(events: readonly Reading[], entries: readonly Reading[]): Stretch[] {
  const starts = events.filter((r) => r.value === 'start').map(ms);
  const stops = events.filter((r) => r.value === 'stop').map(ms);
  const first = starts[0] ?? Infinity;
  const tapped = starts.flatMap((start, k): Stretch[] => {
    const next = starts[k + 1] ?? Infinity;
    const stop = stops.find((s) => s >= start && s < next);
    const mine = entries.filter((r) => ms(r) >= start && ms(r) < next);
    const cut = mine.findIndex((r, i) => {
      const before = i ? ms(mine[i - 1]!) : start;
      return stop !== undefined && ms(r) > stop ? ms(r) - stop > LATE : ms(r) - before > SILENT;
    });
    const kept = cut < 0 ? mine : mine.slice(0, cut);
    const ceased = cut >= 0 && (stop === undefined || ms(mine[cut]!) <= stop);
    return [
      { start, ...(stop === undefined || ceased ? {} : { stop }), entries: kept, ...(ceased ? { ceased } : {}) },
      ...untapped(
        cut < 0 ? [] : mine.slice(cut),
        stops.filter((s) => s > start && s < next)
      )
    ];
  });
  return [
    ...untapped(
      entries.filter((r) => ms(r) < first),
      stops.filter((s) => s < first)
    ),
    ...tapped
  ];
}

function findRuns(c: Context): Run[] {
  const events = c.record.all('run.event').filter((r) => r.value !== 'unknown');
  const entries = [...LOGGED].flatMap((what) => c.record.all(what as 'run.rpm')).sort(byTime);
  const list = stretches(events, entries);
  const out = list.map(({ start, stop, entries: mine, untimed, ceased }, k): Run => {
    const last = Math.max(start, ...mine.map(ms));
    const silent = ceased ?? (stop === undefined && (k < list.length - 1 || c.past(last + SILENT)));
    return {
      ...handRun(`run ${k + 1}`, mine, start, silent ? last : stop),
      ...(silent ? { silent: true as const } : {}),
      ...(untimed ? { untimed } : {})
    };
  });
  const hot = judgedBy(c, 'cooling.hot', ownLimits.headHot).value;
  return [...out, ...loggedRuns(c.record.all('run.log').filter((r) => typeof r.value === 'object'))]
    .map((run) => withHotWater(run, hot))
    .sort((a, b) => a.startedAt.getTime() - b.startedAt.getTime());
}

/** The run under way: started, not stopped, entries still coming, and nobody has said yet how it ended. */
export function runningRun(c: Context): Run | undefined {
  const run = runsOf(c).findLast((r) => !r.stoppedAt);
  const ended = c.record.last('run.outcome');
  if (run && ended && !isAfter(run.startedAt.toISOString(), ended.at)) return undefined;
  return run && stoodSince(c, run) ? undefined : run;
}

/** What is looked at while it stands. */
const STANDING = [
  ...['turn.result', 'turn.bumps', 'turn.feel', 'turn.depth', 'turn.water', 'turn.plugs', 'plugs.read', 'plugs.hole'],
  ...['compression.', 'gear.', 'oil.dip', 'fuel.bowlLook', 'fuel.jets', 'cooling.opened', 'cooling.set']
];
/** Nobody tapped its stop, and something was read since its last entry that no running engine lets anybody read. */
function stoodSince(c: Context, run: Run): boolean {
  const last = new Date(run.startedAt.getTime() + run.minutes * 60_000).toISOString();
  return c.survey.readings.some(
    (r) => !r.withdrawn && STANDING.some((what) => r.what.startsWith(what)) && isAfter(r.at, last)
  );
}

/** The place with the most readings speaks for a run. */
export const mainTrack = (run: Run): Track | undefined =>
  run.tracks
    .filter((t) => t.spot !== 'stream')
    .reduce<Track | undefined>((a, t) => (a && a.samples.length >= t.samples.length ? a : t), undefined);

/** Whether the latest look for the stream was within its first half minute: its absence says nothing then. */
export function streamEarly(run: Run | undefined): boolean {
  const last = run?.streams.at(-1);
  return run !== undefined && !run.untimed && last !== undefined && last.seconds <= STREAM_COMES;
}
