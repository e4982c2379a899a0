import { say, type System } from '../../units/index.ts';
import type { RunsBeside } from './compare.ts';
import { spots } from './spots.ts';

/** What two runs beside each other show. */
export function sayBeside({ verdict, before, after, places, warmNow }: RunsBeside, units: System): string {
  if (places)
    return `Taken at two places, ${spots[places[0]]} and ${spots[places[1]]}: not comparable. Take the next one at the same spot.`;
  if (before === undefined || after === undefined)
    return 'One of the two was too short to say where it would have ended.';
  const t = (k: number): string => say(k, 'temperature', units);
  if (verdict === 'same') return `No difference that these readings can tell: ${t(before)} and ${t(after)}.`;
  if (warmNow) return `It gets warm now: ${t(after)}, where it stayed at ${t(before)} before.`;
  return `${verdict === 'cooler' ? 'Cooler' : 'Hotter'} than before: ${t(after)} after ${t(before)}, beyond what the readings scatter.`;
}
