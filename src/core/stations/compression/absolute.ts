import { PSI } from '../../units/factors.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { withoutAdapter, type WithoutAdapter } from '../../physics/adapter.ts';
import { atSeaLevel, pressureAtAltitude, SEA_LEVEL_PRESSURE } from '../../physics/atmosphere.ts';
import { comparedRows, type Comparison } from './compare.ts';
import { deadVolume } from './measure.ts';
import { cylinderOf } from './shape.ts';

export interface Absolute {
  /** Ambient pressure, Pa, and whether the altitude was entered or taken as sea level. */
  readonly ambient: number;
  readonly altitudeKnown: boolean;
  /** Gauge error common to all cylinders, Pa, two-sided limit. */
  readonly gauge: number;
  /** Best cylinder brought to sea level, and the lowest. */
  readonly best: number;
  readonly lowest: number;
  /** What the lowest reading would be without the adapter's volume, when that volume counts and can be computed. */
  readonly adapter?: WithoutAdapter & { readonly dead: number };
  readonly strokes?: 'two' | 'four';
}

/** Readings against sea level and against what the adapter alone explains. */
export function absolute(c: Context, comparison: Comparison): Absolute {
  const altitude = known(c.record.value('safe.altitude'));
  const ambient = altitude === undefined ? SEA_LEVEL_PRESSURE : pressureAtAltitude(altitude);
  const means = comparedRows(comparison).map((r) => r.mean);
  const { instrument } = comparison;
  const profile = c.survey.engine.profile;
  const strokes = profile.strokes === 'two' || profile.strokes === 'four' ? profile.strokes : undefined;
  const lowest = Math.min(...means);
  const dead = deadVolume(instrument);
  const cylinder = dead > 0 ? cylinderOf(c) : undefined;
  const adapter = cylinder ? { dead, ...withoutAdapter(lowest, cylinder, dead, ambient) } : undefined;
  return {
    ambient,
    altitudeKnown: altitude !== undefined,
    gauge: (instrument.accuracy ?? 0.02) * (instrument.range ?? 300 * PSI),
    best: atSeaLevel(Math.max(...means), ambient),
    lowest: atSeaLevel(lowest, ambient),
    ...(adapter ? { adapter } : {}),
    ...(strokes ? { strokes } : {})
  };
}
