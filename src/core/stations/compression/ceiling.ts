import { PSI } from '../../units/factors.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy } from '../../findings/limit.ts';
import { atSeaLevel, pressureAtAltitude } from '../../physics/atmosphere.ts';
import { expectedRange } from './expected.ts';

/** Range of cranking pressure of each kind of engine, Pa gauge at sea level (C; below it is a question, never a fault). */
export const kindRange = { two: [90 * PSI, 150 * PSI], four: [120 * PSI, 210 * PSI] } as const;

/** Over what such an engine gives by this share, a reading is not of the engine alone (M). */
const BEYOND = 0.1;

/**
 * The most that a sound, dry cylinder of this engine may show, Pa gauge at sea level: the top of its kind, or what its own size and ratio
 * give where that is more, or a fifth over the manual's figure. Nothing where its strokes are unknown.
 */
export function ceiling(c: Context): number | undefined {
  const { strokes } = c.survey.engine.profile;
  if (strokes !== 'two' && strokes !== 'four') return undefined;
  const figure = judgedBy(c, 'compression.figure');
  const expected = expectedRange(c);
  const ownHigh = expected ? atSeaLevel(expected.high, expected.from.ambient) : 0;
  return (1 + BEYOND) * Math.max(kindRange[strokes][1], ownHigh, figure ? 1.1 * figure.value : 0);
}

/** A pressure of this place, Pa gauge, as it would have been at sea level; nothing where no altitude was told. */
export function seaLevel(c: Context, pressure: number): number | undefined {
  const altitude = known(c.record.value('safe.altitude'));
  return altitude === undefined ? undefined : atSeaLevel(pressure, pressureAtAltitude(altitude));
}

/** Whether a pressure, Pa gauge at this place, is more than this engine gives, by more than the gauge can be off. */
export function overCeiling(c: Context, pressure: number, gauge: number): boolean {
  const { strokes } = c.survey.engine.profile;
  if (strokes !== 'two' && strokes !== 'four') return false;
  const level = (seaLevel(c, pressure) ?? pressure) - gauge;
  // The model is asked only where the range of its kind is passed.
  return level > kindRange[strokes][1] && level > ceiling(c)!;
}
