import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import type { Instant } from '../../units/instant.ts';
import { runsOf } from './runs.ts';

/** In so short a time, min, no head gets hot from cold, water or none; what a lamp tells then is oil, or its own sender (M). */
const TOO_SOON = 1.5;
/** A head that was read warmer than this had a start of its own, K (M). */
const WARM = 323;

export interface Lamp {
  readonly came: boolean;
  /** Before the head can have been hot. */
  readonly tooSoonForHeat: boolean;
  readonly at: Instant;
}

/** The latest word on lamp or horn, and whether heat can have been what it told; nothing where nobody looked. */
export function lampSeen(c: Context): Lamp | undefined {
  const last = c.record.all('run.lamp').findLast((r) => r.value !== 'unknown');
  if (!last) return undefined;
  const came = last.value === 'came';
  const at = Date.parse(last.at);
  const runs = runsOf(c).filter((r) => !r.logged && !r.untimed);
  const run = runs.findLast((r) => r.startedAt.getTime() <= at);
  const before = run && runs.findLast((r) => r.startedAt < run.startedAt);
  if (!came || !run) return { came, tooSoonForHeat: false, at: last.at };
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
  return { came, tooSoonForHeat: minutes < TOO_SOON && rested && !warm, at: last.at };
}
