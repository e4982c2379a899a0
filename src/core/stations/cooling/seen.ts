import { isAfter, latestAt } from '../../units/instant.ts';
import { askedAfter } from '../../findings/asked-after.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { bankDifference, BANKS_APART } from '../run/banks.ts';
import { runsOf, type Run } from '../run/runs.ts';
import { climbsYet, ON_ITS_WAY, warmingOf } from '../run/warming.ts';
import { spotOf, type Spot } from '../run/spots.ts';

export interface Seen {
  readonly stream: 'strong' | 'weak' | 'none' | undefined;
  /** K at the head, the hottest of the latest look. */
  readonly head: number | undefined;
  /** Of which bank, where one was noted. */
  readonly bank: 'port' | 'starboard' | undefined;
  /** The run they come from, where it is later than what was noted at this check. */
  readonly run: Run | undefined;
}

interface Head {
  readonly at: string;
  readonly value: number;
  readonly spot: Spot;
}

/** The latest reading of each place of the head that was noted at this check, K. */
function heads(c: Context): Head[] {
  const latest = new Map<Spot, Head>();
  for (const r of c.record.all('cooling.head')) {
    const value = known(r.value as number);
    if (value !== undefined) latest.set(spotOf(r), { at: r.at, value, spot: spotOf(r) });
  }
  return [...latest.values()];
}

const bankOf = (spot: Spot | undefined): 'port' | 'starboard' | undefined =>
  spot === 'head-port' ? 'port' : spot === 'head-starboard' ? 'starboard' : undefined;

/** Readings of the two banks within this belong together, ms (M). */
const TOGETHER = 10 * 60_000;

export interface BanksApart {
  readonly hotter: 'port' | 'starboard';
  /** K. */
  readonly by: number;
  /** As noted at this check; else in the latest run. */
  readonly noted: boolean;
}
/** By how much the banks differ, and which is the hotter: in the latest run, or as noted at this check; nothing where only one was read. */
export function banksApart(c: Context): BanksApart | undefined {
  const run = runsOf(c).at(-1);
  const list = heads(c);
  const [port, starboard] = (['head-port', 'head-starboard'] as const).map((k) => list.find((h) => h.spot === k));
  const noted =
    port && starboard && Math.abs(Date.parse(port.at) - Date.parse(starboard.at)) <= TOGETHER
      ? { port: port.value, starboard: starboard.value }
      : undefined;
  const inRun = run && bankDifference(c, run);
  if (inRun?.warming) return undefined;
  const apart = inRun ?? noted;
  return (
    apart && {
      hotter: apart.port > apart.starboard ? 'port' : 'starboard',
      by: Math.abs(apart.port - apart.starboard),
      noted: !inRun
    }
  );
}

/** The bank whose head was not read, where the other one was: one says nothing of the other. */
export function unreadBank(c: Context): 'port' | 'starboard' | undefined {
  const run = runsOf(c).at(-1);
  const read = new Set([...heads(c).map((h) => h.spot), ...(run?.tracks.map((t) => t.spot) ?? [])]);
  // A figure of no bank is the hottest of both.
  if (read.has('head')) return undefined;
  const [port, starboard] = [read.has('head-port'), read.has('head-starboard')];
  return port === starboard ? undefined : port ? 'starboard' : 'port';
}

/** The bank that runs hotter than the other by more than they may differ. */
export function hotterBank(c: Context): 'port' | 'starboard' | undefined {
  const apart = banksApart(c);
  return apart && apart.by > BANKS_APART ? apart.hotter : undefined;
}

/** Stream and temperature as last seen: noted at this check, or in the log of a later run. */
export function lastSeen(c: Context): Seen {
  const noted = c.record.last('cooling.stream');
  // A bank that is cool says nothing of the other: the hottest speaks.
  const head = heads(c).reduce<Head | undefined>((a, b) => (a && a.value >= b.value ? a : b), undefined);
  const runs = runsOf(c).filter((r) => r.tracks.length || r.streams.length);
  const run = runs.at(-1);
  const since = run ? new Date(run.startedAt.getTime() + run.minutes * 60_000).toISOString() : '';
  const later = <T>(own: { at: string } | undefined, value: T | undefined): value is T =>
    value !== undefined && (!own || !isAfter(own.at, since));
  const inRun = run?.streams.at(-1)?.value;
  const hottest = run?.hottest?.temperature;
  const inHand = later(head, hottest);
  // Stopped because it was gone: that is the last word on it.
  const last = latestAt(
    [...c.record.all('cooling.stream'), ...c.record.all('run.stream')].filter((r) => r.value !== 'unknown')
  );
  const stopped = c.record.all('run.reason').findLast((r) => r.value !== 'unknown');
  const gone = stopped?.value === 'stream' && isAfter(stopped.at, last);
  const own = noted?.value === 'unknown' || noted?.value === 'not-fitted' ? undefined : noted?.value;
  return {
    stream: gone
      ? 'none'
      : later(noted, inRun) && inRun !== 'not-fitted'
        ? (inRun as Seen['stream'])
        : (own as Seen['stream']),
    head: inHand ? hottest : head?.value,
    bank: bankOf(inHand ? run?.hottest?.spot : head?.spot),
    run
  };
}

/** The run goes on and still warms its head, or was ended while it did: what it read says nothing of the pump. */
export function headClimbsYet(c: Context): boolean {
  const { run } = lastSeen(c);
  if (!run) return false;
  const minutes = Math.max(run.minutes, known(c.record.value('run.minutes')) ?? 0);
  // Readings that were written down together say little of when they were taken: how long it ran does.
  if (run.stoppedAt && (minutes >= ON_ITS_WAY.minutes || c.record.value('run.outcome') === 'ran')) return false;
  const warming = warmingOf(c, run);
  return warming !== undefined && climbsYet(run, warming);
}

/** Work was done on the water after the last temperature that was read. */
export function workedOnSinceHot(c: Context): boolean {
  const read = latestAt([...c.record.all('run.temperature'), ...c.record.all('cooling.head')]);
  return c.worked('cooling').some((at) => isAfter(at, read));
}

/** Its line was blown through after the stream was last missed. */
export const blownThrough = (c: Context): boolean =>
  askedAfter(
    c,
    'cooling.outlet',
    latestAt([
      ...c.record.all('cooling.stream'),
      ...c.record.all('run.stream'),
      ...c.record.all('run.reason').filter((r) => r.value === 'stream')
    ])
  );
