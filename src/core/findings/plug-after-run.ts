import { cylindersOf, type Context } from './context.ts';
import { runs } from './ran.ts';
import { drowned } from '../record/drowned.ts';
import { known } from '../engine/profile.ts';
import { byTime, isAfter, type Instant } from '../units/instant.ts';

/** So long after a run water on a plug is of that run, and not of rain or of damp that settled since, ms (M). */
const OF_THAT_RUN = 24 * 3_600_000;
/** A run shorter than this burns off nothing that stood in the cylinder before it, min (M). */
const DRIES = 1;

export interface PlugAfterRun {
  readonly at: Instant;
  readonly value: 'wet' | 'dry';
}

/** Whether the run before an instant lasted long enough to burn off what was there before, and is not long past. */
function ranBefore(c: Context, at: Instant): boolean {
  const events = c.record.all('run.event');
  const began = events.findLast((r) => r.value === 'start' && !isAfter(r.at, at))?.at;
  const next = events.find((r) => r.value === 'start' && isAfter(r.at, at))?.at;
  // How it went, and how long, may be written down after its plugs were read.
  const ofIt = (r: { readonly at: Instant; readonly value: unknown }): boolean =>
    r.value !== 'unknown' &&
    (began === undefined ? !isAfter(r.at, at) : !isAfter(began, r.at) && (next === undefined || isAfter(next, r.at)));
  const outcome = c.record.all('run.outcome').findLast(ofIt);
  if (outcome?.value === 'failed' || (began === undefined && outcome === undefined)) return false;
  const stopped = events.find((r) => r.value === 'stop' && began !== undefined && isAfter(r.at, began))?.at ?? at;
  const told = known(c.record.all('run.minutes').findLast(ofIt)?.value);
  const clock =
    began === undefined ? DRIES : (Date.parse(isAfter(stopped, at) ? at : stopped) - Date.parse(began)) / 60_000;
  const since = Date.parse(at) - Date.parse(began ?? outcome!.at);
  return (told ?? clock) >= DRIES && since <= OF_THAT_RUN;
}

const wet = (value: unknown): boolean => Array.isArray(value) && value.includes('water');

/**
 * Water on a plug after a run, or none, oldest first: as it was told of the run, or read off the plugs that came out after one. An engine that
 * was under still has its own water to dry, until it had its long run.
 */
export function plugsAfterRun(c: Context): readonly PlugAfterRun[] {
  const told = c.record
    .all('run.plugAfter')
    .flatMap((r): PlugAfterRun[] => (r.value === 'wet' || r.value === 'dry' ? [{ at: r.at, value: r.value }] : []));
  const dried = (at: Instant): boolean =>
    !drowned(c) || c.record.all('run.longRun').some((r) => r.value === 'yes' && !isAfter(r.at, at));
  const plugs = cylindersOf(c).map((cylinder) => c.record.all('plugs.read', { cylinder }));
  const read = plugs
    .flat()
    .flatMap((r): PlugAfterRun[] =>
      wet(r.value) && dried(r.at) && ranBefore(c, r.at) ? [{ at: r.at, value: 'wet' }] : []
    );
  // Told of as such alone, they stand in the order of their rounds.
  if (!read.length) return told;
  const last = [...told, ...read].sort(byTime).at(-1);
  // Every plug came out dry after another run.
  const again = last?.value === 'wet' ? runs(c).find((r) => isAfter(r.at, last.at))?.at : undefined;
  const after = plugs.map((list) => list.findLast((r) => Array.isArray(r.value) && isAfter(r.at, again)));
  const dry =
    again !== undefined && after.length > 0 && after.every((r) => r && !wet(r.value))
      ? [
          {
            at: after
              .map((r) => r!)
              .toSorted(byTime)
              .at(-1)!.at,
            value: 'dry' as const
          }
        ]
      : [];
  return [...told, ...read, ...dry].sort(byTime);
}

/** The latest word on the plugs after a run. */
export const plugAfterRun = (c: Context): PlugAfterRun['value'] | undefined => plugsAfterRun(c).at(-1)?.value;
