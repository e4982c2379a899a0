import type { Context } from '../../findings/context.ts';
import { ranWellAfter } from '../../findings/ran.ts';
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

/** The latest noise, heard or what a run was stopped for; `gone` where a later run was said to be without it. */
export function lastNoise(c: Context): (Noise & { readonly gone: boolean }) | undefined {
  const told = c.record.all('run.noise').filter((r) => r.value !== 'unknown');
  const placed = told.findLast((r) => places.has(r.value));
  const silent = told.findLast((r) => r.value === 'none');
  const stop = c.record.all('run.reason').findLast((r) => r.value === 'noise');
  // Stopped for one after a run without it: that is another noise, and nobody has placed it yet.
  const another = stop && silent && placed && isAfter(silent.at, placed.at) && isAfter(stop.at, silent.at);
  const heard = another ? undefined : placed;
  const shown = heard ?? stop;
  if (!shown) return undefined;
  const gone = told.some((r) => r.value === 'none' && isAfter(r.at, shown.at)) || (!heard && ranWellAfter(c, shown.at));
  const place = heard ? (heard.value as NoisePlace) : undefined;
  // Work at another place quietens nothing; of a noise that nobody placed, any that may.
  const worked = c.renewed('run.noise', place);
  // Heard and told of one run; what was written down after either explains it.
  const explained = [causeAt(c), ...worked].some((x) => x !== '' && !isAfter(shown.at, x));
  return { at: shown.at, ...(place ? { place } : {}), explained, gone };
}

/** The noise that is open: no later run was said to be without it. */
export function noiseOf(c: Context): Noise | undefined {
  const noise = lastNoise(c);
  return noise?.gone ? undefined : noise;
}
