import { askedAfter } from '../../findings/asked-after.ts';
import type { Context } from '../../findings/context.ts';
import { byTime, isAfter, latestAt, latestInstant, type Instant } from '../../units/instant.ts';

type Tried = 'not-yet' | 'not-run' | 'fine' | 'poor';

/** The water it ran on at an instant. */
const waterAt = (c: Context, at: Instant): unknown =>
  c.record.all('cooling.source').findLast((r) => r.value !== 'unknown' && !isAfter(r.at, at))?.value;

/** When other water, or the same seated anew, was noted after an instant. */
const changedAfter = (c: Context, at: Instant): Instant | undefined =>
  c.record.all('cooling.source').find((r) => r.value !== 'unknown' && isAfter(r.at, at))?.at;

const unmended = (c: Context, at: Instant): boolean => !c.worked('cooling').some((w) => isAfter(w, at));

/**
 * What came of the water where the stream was poor on muffs since the last work on it, which sit loose or get too little as often as a pump fails (C): nothing was
 * changed since; changed and not run again; the stream was strong then, or poor again. Nothing where it was not poor on muffs.
 */
export function muffsTried(c: Context): Tried | undefined {
  const streams = [...c.record.all('cooling.stream'), ...c.record.all('run.stream')]
    .filter((r) => r.value !== 'unknown' && r.value !== 'not-fitted' && unmended(c, r.at))
    .sort(byTime);
  // The first time: what was poor again with the muffs seated anew was tried.
  const onMuffs = streams.find((s) => s.value !== 'strong' && waterAt(c, s.at) === 'muffs');
  if (!onMuffs) return undefined;
  const changed = changedAfter(c, onMuffs.at);
  if (!changed) return 'not-yet';
  const since = streams.findLast((s) => isAfter(s.at, changed));
  return since ? (since.value === 'strong' ? 'fine' : 'poor') : 'not-run';
}

/**
 * The same of a run that was stopped for its heat on muffs, though its stream came: one intake fed is enough for a stream. Only other water, and a
 * head that was read on it, say that it was the muffs; the same ones seated anew are a cause to write down.
 */
export function hotOnMuffs(c: Context): Tried | undefined {
  const stop = c.record
    .all('run.reason')
    .find((r) => r.value === 'temperature' && unmended(c, r.at) && waterAt(c, r.at) === 'muffs');
  if (!stop) return undefined;
  const changed = changedAfter(c, stop.at);
  if (!changed) return 'not-yet';
  const since = c.record.all('run.outcome').findLast((r) => r.value !== 'unknown' && isAfter(r.at, changed));
  if (!since) return 'not-run';
  if (since.value !== 'ran') return 'poor';
  if (waterAt(c, since.at) === 'muffs') return undefined;
  return c.record.all('run.temperature').some((r) => isAfter(r.at, changed)) ? 'fine' : 'not-run';
}

/** It was on muffs then, and in other water, with nothing else done, the stream was strong and the run good: it was the muffs, and that is on record. */
export const muffsWereIt = (c: Context, at: Instant): boolean =>
  (muffsTried(c) === 'fine' || hotOnMuffs(c) === 'fine') &&
  waterAt(c, at) === 'muffs' &&
  c.record.all('run.outcome').some((r) => r.value === 'ran' && isAfter(r.at, at)) &&
  !c.worked('cooling').some((w) => isAfter(w, at));

/**
 * A pump was put together anew, and its stream came poor on the run after that: what was seen of it open was seen before it went back. Not
 * once it was opened again.
 */
export const poorSincePump = (c: Context): boolean =>
  streamSince(c, latestInstant(c.renewed('cooling.set')), ['weak', 'none']);

/** The same of a pump that was only looked into: it was good, went back on, and then brought nothing. Weak may be much else; nothing is not. */
export const noneSincePump = (c: Context): boolean =>
  streamSince(c, latestAt(OPEN_PUMP.flatMap((item) => c.record.all(item).filter((r) => r.value !== 'unknown'))), [
    'none'
  ]);

/** What is read of a pump that is open. */
const OPEN_PUMP = ['cooling.set', 'cooling.tube', 'cooling.cover', 'cooling.housing'] as const;

/** The last stream after a moment was one of these, and the pump was not opened since. */
function streamSince(c: Context, pump: Instant, poor: readonly unknown[]): boolean {
  const last = [...c.record.all('cooling.stream'), ...c.record.all('run.stream')]
    .filter((r) => r.value !== 'unknown' && r.value !== 'not-fitted' && isAfter(r.at, pump))
    .sort(byTime)
    .at(-1);
  return pump !== '' && last !== undefined && poor.includes(last.value) && !askedAfter(c, OPEN_PUMP, last.at);
}
