import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { heating, type Heating } from '../../physics/heating.ts';
import { withoutOutliers } from './odd.ts';
import type { Track } from './runs.ts';

/** Within this of the air's temperature an engine counts as cold at its start, K (M). */
const COLD = 3;

const byTrack = new WeakMap<Track, Heating>();
/** Fits of the latest tracks by what they hold: the same readings are judged at every keystroke. */
const byReadings = new Map<string, Heating>();
const KEPT = 40;

/** The warm-up of one place; from the air's temperature where it started cold. */
export function heatingOf(c: Context, track: Track): Heating {
  const air = known(c.record.value('safe.air'));
  const first = track.samples[0];
  const cold =
    air !== undefined && first !== undefined && first.seconds < 45 && Math.abs(first.temperature - air) < COLD;
  const old = byTrack.get(track);
  if (old) return old;
  const key =
    track.samples.length > 200
      ? ''
      : `${cold ? air : ''}:${track.samples.map((s) => `${s.seconds},${s.temperature}`).join(';')}`;
  const found = byReadings.get(key) ?? heating(withoutOutliers(track.samples), cold ? { start: air } : {});
  byTrack.set(track, found);
  if (key) {
    if (byReadings.size >= KEPT) byReadings.delete(byReadings.keys().next().value!);
    byReadings.set(key, found);
  }
  return found;
}
