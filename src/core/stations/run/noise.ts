import type { Context } from '../../findings/context.ts';
import type { StationId } from '../../items/register.ts';
import { isAfter, type Instant } from '../../units/instant.ts';
import { causeAt } from './symptoms.ts';

/** Where a noise of the running engine comes from. */
export type NoisePlace = 'head' | 'valves' | 'flywheel' | 'leg';
const places: ReadonlySet<unknown> = new Set<NoisePlace>(['head', 'valves', 'flywheel', 'leg']);

/** A noise that the latest run made, and where it was heard; nothing of the place where nobody told it. */
export interface Noise {
  readonly at: Instant;
  readonly place?: NoisePlace;
  /** Its cause was written down, or work was done where it may lie, after it was heard. */
  readonly explained: boolean;
}

/** Where the cause of each may lie (C). */
const causesAt: Readonly<Record<NoisePlace, readonly StationId[]>> = {
  head: ['turn', 'compression'],
  valves: ['compression'],
  flywheel: ['spark', 'turn', 'plugs', 'look'],
  leg: ['gear', 'turn', 'cooling']
};
const anywhere = [...new Set(Object.values(causesAt).flat())];

/** The noise that is open: heard, or what a run was stopped for, and no later run said to be without it. */
export function noiseOf(c: Context): Noise | undefined {
  const told = c.record.all('run.noise').filter((r) => r.value !== 'unknown');
  const last = told.at(-1);
  const stop = c.record.all('run.reason').findLast((r) => r.value === 'noise');
  const heard = last && places.has(last.value) ? last : undefined;
  const quiet = (at: Instant): boolean =>
    told.some((r) => r.value === 'none' && isAfter(r.at, at)) ||
    c.record.all('run.outcome').some((r) => r.value === 'ran' && isAfter(r.at, at) && !heard);
  const shown = heard ?? stop;
  if (!shown || quiet(shown.at)) return undefined;
  const place = heard ? (heard.value as NoisePlace) : undefined;
  const worked = (place ? causesAt[place] : anywhere).flatMap((s) => c.worked(s));
  // Heard and told of one run; what was written down after either explains it.
  const explained = [causeAt(c), ...worked].some((x) => x !== '' && !isAfter(shown.at, x));
  return { at: shown.at, ...(place ? { place } : {}), explained };
}
