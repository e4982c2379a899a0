import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy } from '../../findings/limit.ts';
import { goodRuns } from '../../findings/ran.ts';
import { byTime, isAfter, type Instant } from '../../units/instant.ts';
import { runsOf, type Run } from './runs.ts';

/** In so short a time, min, no head gets hot from cold, water or none; what a lamp tells then is oil, or its own sender (M). */
const TOO_SOON = 1.5;
/** A head that was read warmer than this had a start of its own, K (M). */
const WARM = 323;
/** So far under its limit a head is no cause for a lamp, K; so near to the lamp it was read, s (M). */
const WELL_UNDER = 10;
const NEAR = 120;

export interface Lamp {
  readonly came: boolean;
  /** It told of no heat: a head cannot have been hot yet, or two thermometers found it cool. */
  readonly notHeat?: 'too-soon' | 'cool';
  readonly at: Instant;
}

/** What was told of lamp or horn, oldest first: as such, or as what a run was stopped for; a run that went well since had none. */
export function lampTold(c: Context): readonly { readonly at: Instant; readonly value: 'came' | 'none' }[] {
  const told = c.record
    .all('run.lamp')
    .flatMap((r) => (r.value === 'came' || r.value === 'none' ? [{ at: r.at, value: r.value } as const] : []));
  const starts = c.record.all('run.event').filter((r) => r.value === 'start');
  // Told of that run as such already, it came when that says.
  const twice = (at: Instant): boolean => {
    const began = starts.findLast((r) => !isAfter(r.at, at))?.at;
    return told.some((r) => r.value === 'came' && !isAfter(r.at, at) && !isAfter(began ?? '', r.at));
  };
  const stopped = c.record.all('run.reason').filter((r) => r.value === 'lamp' && !twice(r.at));
  // Told of as such alone, they stand in the order of their rounds.
  if (!stopped.length) return told;
  const last = stopped.at(-1);
  const since =
    last && !told.some((r) => isAfter(r.at, last.at)) ? goodRuns(c).find((r) => isAfter(r.at, last.at)) : undefined;
  return [
    ...told,
    ...stopped.map(({ at }) => ({ at, value: 'came' }) as const),
    ...(since ? [{ at: since.at, value: 'none' } as const] : [])
  ].sort(byTime);
}

/** Whether it is on by the latest word, rounds before times; a run that was stopped for it says so as well. */
export function lampOn(c: Context): boolean {
  const word = c.record.last('run.lamp');
  const told = lampTold(c).at(-1);
  return word?.value === 'came' || (told?.value === 'came' && (!word || isAfter(told.at, word.at)));
}

/** The latest word on lamp or horn, and whether heat can have been what it told; nothing where nobody looked. */
export function lampSeen(c: Context): Lamp | undefined {
  const last = lampTold(c).at(-1);
  if (!last) return undefined;
  const came = last.value === 'came';
  const at = Date.parse(last.at);
  const runs = runsOf(c).filter((r) => !r.logged && !r.untimed);
  const run = runs.findLast((r) => r.startedAt.getTime() <= at);
  const before = run && runs.findLast((r) => r.startedAt < run.startedAt);
  if (!came || !run) return { came, at: last.at };
  const next = runs.find((r) => r.startedAt > run.startedAt)?.startedAt.getTime() ?? Infinity;
  const told = c.record
    .all('run.minutes')
    .find((r) => Date.parse(r.at) >= run.startedAt.getTime() && Date.parse(r.at) < next);
  const minutes = Math.min(
    (at - run.startedAt.getTime()) / 60_000,
    run.stoppedAt ? run.minutes : Infinity,
    known(told?.value) ?? Infinity
  );
  // Started again while it was warm from the run before.
  const rested = !before || run.startedAt.getTime() - before.startedAt.getTime() - before.minutes * 60_000 > 3_600_000;
  const warm = run.tracks.some((t) => t.spot !== 'stream' && t.samples.some((s) => s.temperature > WARM));
  const notHeat = minutes < TOO_SOON && rested && !warm ? 'too-soon' : foundCool(c, run, at) ? 'cool' : undefined;
  return { came, at: last.at, ...(notHeat ? { notHeat } : {}) };
}

/** Every spot read about then stood well under its limit, and a second thermometer said the same of it after the start. */
function foundCool(c: Context, run: Run, lamp: number): boolean {
  const start = run.startedAt.getTime();
  const near = run.tracks
    .filter((t) => t.spot !== 'stream')
    .flatMap((t) => t.samples.filter((s) => Math.abs(start + 1000 * s.seconds - lamp) <= 1000 * NEAR));
  const second = c.record.last('run.second');
  const limit = judgedBy(c, 'cooling.hot', ownLimits.headHot).value;
  return (
    near.length > 0 &&
    near.every((s) => s.temperature < limit - WELL_UNDER) &&
    second?.value === 'same' &&
    Date.parse(second.at) >= start
  );
}
