import { isAfter, latestAt } from '../../units/instant.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { runsOf, type Run } from '../run/runs.ts';

export interface Seen {
  readonly stream: 'strong' | 'weak' | 'none' | undefined;
  /** K at the head, the hottest of the latest look. */
  readonly head: number | undefined;
  /** The run they come from, where it is later than what was noted at this check. */
  readonly run: Run | undefined;
}

/** Stream and temperature as last seen: noted at this check, or in the log of a later run. */
export function lastSeen(c: Context): Seen {
  const noted = c.record.last('cooling.stream');
  const head = c.record.last('cooling.head');
  const runs = runsOf(c).filter((r) => r.tracks.length || r.streams.length);
  const run = runs.at(-1);
  const since = run ? new Date(run.startedAt.getTime() + run.minutes * 60_000).toISOString() : '';
  const later = <T>(own: { at: string } | undefined, value: T | undefined): value is T =>
    value !== undefined && (!own || !isAfter(own.at, since));
  const inRun = run?.streams.at(-1)?.value;
  const hottest = run?.hottest?.temperature;
  const own = noted?.value === 'unknown' || noted?.value === 'not-fitted' ? undefined : noted?.value;
  return {
    stream: later(noted, inRun) && inRun !== 'not-fitted' ? (inRun as Seen['stream']) : (own as Seen['stream']),
    head: later(head, hottest) ? hottest : known(head?.value as number | undefined),
    run
  };
}

/** A second thermometer at the same spot read normal after the last temperature: one of the two is wrong, and nobody knows which. */
export function thermometersDiffer(c: Context): boolean {
  const second = c.record.last('run.second');
  const taken = latestAt((['run.temperature', 'cooling.head'] as const).flatMap((what) => c.record.last(what) ?? []));
  return second?.value === 'normal' && isAfter(second.at, taken);
}
