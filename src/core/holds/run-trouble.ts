import { ownLimits } from '../engine/limits.ts';
import type { Context } from '../findings/context.ts';
import { judgedBy, sayLimit } from '../findings/limit.ts';
import { causeMended } from '../stations/cooling/explained.ts';
import { lastSeen } from '../stations/cooling/seen.ts';
import { muffsWereIt } from '../stations/cooling/supply.ts';
import { STREAM_COMES } from '../stations/run/prompts.ts';
import { runsOf, streamEarly } from '../stations/run/runs.ts';
import { causeAt, stopsUnmended } from '../stations/run/symptoms.ts';
import { lampSeen } from '../stations/run/lamp.ts';
import { byTime, isAfter, type Instant } from '../units/instant.ts';

/** What was seen of the lamp, oldest first; "unknown" is no answer and takes none away. */
const lamps = (c: Context): readonly unknown[] =>
  c.record.all('run.lamp').flatMap((r) => (r.value === 'unknown' ? [] : [r.value]));

/** What a run is stopped for that holds it, though nothing else was noted of that run: what is said of it. */
const stoppedFor: ReadonlyMap<unknown, string> = new Map([
  ['temperature', 'It was stopped because it ran hot'],
  ['stream', 'It was stopped because the stream was gone'],
  ['lamp', 'It was stopped for the lamp or horn']
]);

const NO_STREAM = 'There was no stream';
const HOT = 'The head was over its limit';

/** Every time the lamp came on, the head was too hot, or no stream came in time: each wants its cause. */
function troubles(c: Context): { readonly at: string; readonly says: string }[] {
  const hot = judgedBy(c, 'cooling.hot', ownLimits.headHot).value;
  const runs = runsOf(c);
  const when = (start: Date, seconds: number): string => new Date(start.getTime() + seconds * 1000).toISOString();
  return [
    ...stopsUnmended(c).flatMap(({ at, reason }) => {
      const says = stoppedFor.get(reason);
      return says ? [{ at, says }] : [];
    }),
    ...c.record.all('run.lamp').flatMap((r) => (r.value === 'came' ? [{ at: r.at, says: LAMP }] : [])),
    ...runs.flatMap(({ startedAt, hottest }) =>
      hottest && hottest.temperature >= hot ? [{ at: when(startedAt, hottest.seconds), says: HOT }] : []
    ),
    ...c.record
      .all('cooling.head')
      .flatMap((r) => (typeof r.value === 'number' && r.value >= hot ? [{ at: r.at, says: HOT }] : [])),
    ...c.record.all('cooling.stream').flatMap((r) => (r.value === 'none' ? [{ at: r.at, says: NO_STREAM }] : [])),
    ...runs.flatMap(({ startedAt, streams, untimed }) =>
      streams
        .filter((s) => s.value === 'none' && (untimed || s.seconds > STREAM_COMES))
        .map((s) => ({ at: when(startedAt, s.seconds), says: NO_STREAM }))
    )
  ].sort(byTime);
}

/** The outlet was found blocked and cleared after an instant: that is why no stream was seen, and it is on record. It cools nothing, so it explains no heat. */
const outletFound = (c: Context, at: string): boolean =>
  c.record.all('cooling.outlet').some((r) => r.value === 'blocked' && isAfter(r.at, at));

/** Of what the muffs can be the cause: too little water, and what that heats. */
const ofWater: ReadonlySet<string> = new Set([
  NO_STREAM,
  HOT,
  ...['stream', 'temperature'].flatMap((reason) => stoppedFor.get(reason) ?? [])
]);

const LAMP = 'The lamp or horn came on';

/**
 * What a lamp told of was found and mended since: too little oil, or what kept the water from it; or its sender, its oil pump was renewed.
 * Work for nothing that was found explains nothing.
 */
function lampExplained(c: Context, at: Instant): boolean {
  const after = (list: readonly Instant[]): boolean => list.some((w) => isAfter(w, at));
  // One dip misleads: two that agree, and then the oil.
  const dips = c.record.all('oil.dip').filter((r) => isAfter(r.at, at) && (r.value === 'below' || r.value === 'none'));
  const low = c.worked('oil').some((w) => dips.filter((r) => isAfter(w, r.at)).length > 1);
  const water = !lampSeen(c)?.notHeat && causeMended(c, at);
  return low || water || after(c.renewed('run.lamp')) || after(c.renewed('oil.pressure'));
}

/** What stopped it once and has no cause recorded or mended since, though all was well later: it comes again. */
export function unexplained(c: Context): string | undefined {
  const cause = causeAt(c);
  const open = troubles(c).findLast(
    ({ at, says }) =>
      isAfter(at, cause) &&
      !((says === NO_STREAM || says === stoppedFor.get('stream')) && outletFound(c, at)) &&
      !((says === LAMP || says === stoppedFor.get('lamp')) && lampExplained(c, at)) &&
      !(ofWater.has(says) && (muffsWereIt(c, at) || causeMended(c, at)))
  );
  return open && `${open.says} once, and its cause is not recorded.`;
}

/** The head ran hot, a lamp came on, or there was no stream where one belongs: in the latest round. */
export function runTrouble(c: Context): string | undefined {
  const hot = judgedBy(c, 'cooling.hot', ownLimits.headHot);
  const { head, stream, run } = lastSeen(c);
  // Within its first half minute its absence says nothing.
  const early = streamEarly(run);
  if (lamps(c).at(-1) === 'came') return 'The lamp or horn came on in the first run.';
  if (head !== undefined && head >= hot.value) return `The head passed its limit of ${sayLimit(hot, c.units)}.`;
  const seen = [c.record.value('run.stream'), c.record.value('cooling.stream')].includes('none');
  if (
    (c.record.value('run.outcome') !== undefined || c.record.last('run.stream')) &&
    stream === 'none' &&
    seen &&
    !early
  )
    return 'There was no stream in the first run.';
  const stopped = c.record.value('run.outcome') === 'stopped' && stoppedFor.get(c.record.value('run.reason'));
  return stopped ? `${stopped}, and was not run again since.` : undefined;
}
