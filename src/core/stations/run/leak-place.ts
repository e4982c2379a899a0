import type { Context } from '../../findings/context.ts';
import { isAfter } from '../../units/instant.ts';
import { causeStations } from './symptoms.ts';

/** Which work a place of a leak asks for: along the fuel line each part has its own. */
export type LeakJob = 'hose' | 'filter' | 'pump' | 'bowl' | 'case' | 'part';

export interface LeakPlace {
  readonly what: string;
  readonly at: string;
  readonly job: LeakJob;
}

const ofFuel: ReadonlyMap<string, LeakJob> = new Map([
  ['hose', 'hose'],
  ['filter', 'filter'],
  ['pump', 'pump'],
  ['carburettor', 'bowl']
]);

/** Whether somebody saw where the latest leak comes from, mended since or not. */
export function leakTraced(c: Context): boolean {
  const leak = c.record.all('run.leaks').findLast((r) => r.value !== 'none' && r.value !== 'unknown');
  const seen = c.record.last('run.leakAt');
  return leak !== undefined && seen !== undefined && seen.value !== 'unknown' && !isAfter(leak.at, seen.at);
}

/**
 * Where what leaks comes from, as somebody saw it; nothing where it was seen before the latest leak, or before work that may have stopped it.
 */
export function leakPlace(c: Context): LeakPlace | undefined {
  const leak = c.record.last('run.leaks');
  const seen = c.record.last('run.leakAt');
  const what = leak?.value;
  if (!leak || !seen || seen.value === 'unknown' || isAfter(leak.at, seen.at)) return undefined;
  if (what !== 'fuel' && what !== 'oil' && what !== 'water') return undefined;
  const worked = [...c.renewed('run.leaks'), ...causeStations(c, 'run.leaks').flatMap((s) => c.worked(s))];
  if (worked.some((at) => isAfter(at, seen.at))) return undefined;
  const at = String(seen.value);
  const job = what === 'fuel' ? (ofFuel.get(at) ?? 'part') : what === 'oil' && at === 'case' ? 'case' : 'part';
  return { what, at, job };
}
