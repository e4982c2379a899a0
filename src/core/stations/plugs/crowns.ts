import { cylindersOf, type Context } from '../../findings/context.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { tightOnes } from '../compression/analyse.ts';

/** Looks into one bore that found its crown burnt or holed, after which a tight leak-down is believed: burnt, and not through (C). */
const SIGHTS = 2;

export interface Crown {
  readonly cylinder: number;
  /** Leak-down finds the cylinder tight. */
  readonly tight: boolean;
  /** Seen so often that a tight leak-down does not contradict it. */
  readonly sure: boolean;
}

/** Crowns that were seen burnt or holed, and are still in the engine. */
export function burntCrowns(c: Context): Crown[] {
  const tight = tightOnes(c);
  return cylindersOf(c)
    .filter((cylinder) => ofThisPart(c, 'plugs.hole', cylinder) === 'holed')
    .map((cylinder) => ({
      cylinder,
      tight: tight.has(cylinder),
      sure: c.record.all('plugs.hole', { cylinder }).filter((r) => r.value === 'holed').length >= SIGHTS
    }));
}
