import { askedAfter } from '../../findings/asked-after.ts';
import type { Context } from '../../findings/context.ts';
import { byTime, isAfter, latestInstant, type Instant } from '../../units/instant.ts';

/**
 * What came of the water where the stream was poor on muffs since the last work on it, which sit loose or get too little as often as a pump fails (C): nothing was
 * changed since; changed and not run again; the stream was strong then, or poor again. Nothing where it was not poor on muffs.
 */
export function muffsTried(c: Context): 'not-yet' | 'not-run' | 'fine' | 'poor' | undefined {
  const sources = c.record.all('cooling.source').filter((r) => r.value !== 'unknown');
  const streams = [...c.record.all('cooling.stream'), ...c.record.all('run.stream')]
    .filter((r) => r.value !== 'unknown' && r.value !== 'not-fitted')
    .filter((r) => !c.worked('cooling').some((at) => isAfter(at, r.at)))
    .sort(byTime);
  // The first time: what was poor again with the muffs seated anew was tried.
  const onMuffs = streams.find(
    (s) => s.value !== 'strong' && sources.findLast((r) => !isAfter(r.at, s.at))?.value === 'muffs'
  );
  if (!onMuffs) return undefined;
  const changed = sources.find((r) => isAfter(r.at, onMuffs.at));
  if (!changed) return 'not-yet';
  const since = streams.findLast((s) => isAfter(s.at, changed.at));
  return since ? (since.value === 'strong' ? 'fine' : 'poor') : 'not-run';
}

/** It was on muffs then, and in other water, with nothing else done, the stream was strong and the run good: it was the muffs, and that is on record. */
export const muffsWereIt = (c: Context, at: Instant): boolean =>
  muffsTried(c) === 'fine' &&
  c.record.all('cooling.source').findLast((r) => !isAfter(r.at, at))?.value === 'muffs' &&
  c.record.all('run.outcome').some((r) => r.value === 'ran' && isAfter(r.at, at)) &&
  !c.worked('cooling').some((w) => isAfter(w, at));

/**
 * A pump was put together anew, and its stream came poor on the run after that: what was seen of it open was seen before it went back. Not
 * once it was opened again.
 */
export function poorSincePump(c: Context): boolean {
  const pump = latestInstant(c.renewed('cooling.set'));
  const streams = [...c.record.all('cooling.stream'), ...c.record.all('run.stream')]
    .filter((r) => r.value !== 'unknown' && r.value !== 'not-fitted' && isAfter(r.at, pump))
    .sort(byTime);
  const poor = streams.findLast((r) => r.value !== 'strong');
  if (pump === '' || !poor || streams.at(-1) !== poor) return false;
  return !askedAfter(c, ['cooling.set', 'cooling.tube', 'cooling.cover', 'cooling.housing'], poor.at);
}
