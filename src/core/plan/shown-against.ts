import type { Context } from '../findings/context.ts';
import { kindOf, type Finding } from '../findings/finding.ts';
import type { JobRule, Proof } from '../jobs/job.ts';
import { readSince } from '../jobs/proof-read.ts';
import { jobs } from '../jobs/register.ts';
import type { ItemId } from '../stations/items.ts';
import { isAfter } from '../units/instant.ts';
import { raisers, type AroundWork } from './around-work.ts';

/** How grave a finding is where work is proved: what came out better than it was is proved, and watched. */
export const grave = (f: Finding): number =>
  ['sound', 'not-looked-at', 'cannot-tell', 'watch', 'fault', 'held'].indexOf(f.condition);

/** It is to be watched, and work is on the list for it. */
const asksForWork = (f: Finding): boolean => f.condition === 'watch' && jobs.some((j) => raisers(j, [f]).length > 0);

/** Measured and no worse than to be watched, or a sight that is better than it was: the work is through, and that is looked at again by its date. */
const watchedOn = (f: Finding, was: readonly Finding[]): boolean =>
  f.condition === 'watch' &&
  (f.because.limit !== undefined ||
    (f.station === 'look' && was.some((x) => kindOf(x.id) === kindOf(f.id) && grave(x) > grave(f))));

/** Told since, and not what proves it: then the least of what is found there stands against it. */
const fallsShort = (c: Context, { wants }: Proof, at: string, cylinders: readonly number[]): boolean =>
  Object.entries(wants ?? {}).some(([item, good]) => {
    const told = c.record.all(item as ItemId).filter((r) => r.value !== 'unknown' && isAfter(r.at, at));
    // Of each cylinder it was for the last word, of the engine where it belongs to none.
    const last = new Map(told.map((r) => [r.cylinder, r.value]));
    return [...last].some(
      ([k, value]) => value !== good && (k === undefined || !cylinders.length || cylinders.includes(k))
    );
  });

/**
 * Findings that rest on the readings that should prove a piece of work, taken since it was done, and are no proof of it: a fault, or what asks
 * for work. A sight that speaks of something else says nothing of the work.
 */
export function shownAgainst(
  c: Context,
  found: readonly Finding[],
  { raisedAt, restsOn }: AroundWork,
  { rule, proof, at }: { readonly rule: JobRule; readonly proof: Proof; readonly at: string }
): Finding[] {
  const { reads, station } = proof;
  if (!reads || !readSince(c, proof, at)) return [];
  const was = raisedAt(rule, at);
  const mine = [...new Set(was.flatMap((f) => f.cylinder ?? []))];
  const short = fallsShort(c, proof, at, mine);
  const bad = (f: Finding): boolean =>
    f.condition === 'fault' ||
    (f.condition === 'cannot-tell' && (short || raisers(rule, [f]).length > 0)) ||
    (f.condition === 'watch' && (short || (asksForWork(f) && !watchedOn(f, was))));
  const standing = found.filter(
    (f) =>
      f.station === station &&
      bad(f) &&
      !rule.tellsOfOthers?.includes(kindOf(f.id)) &&
      (f.cylinder === undefined || !mine.length || mine.includes(f.cylinder))
  );
  return standing.filter((f) => restsOn(f, station, reads, at));
}
