import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { pressureAtAltitude, SEA_LEVEL_PRESSURE } from '../../physics/atmosphere.ts';
import { crank } from '../../physics/cranking.ts';
import { shapeOf } from './shape.ts';

/** Cranking speeds, 1/min, of an arm and of a starter with the plugs out (C/M). */
export const crankingSpeed = {
  rope: { best: 350, low: 250, high: 450 },
  electric: { best: 280, low: 210, high: 350 },
  unknown: { best: 300, low: 200, high: 450 }
} as const;

/** Wall heat transfer of small air-filled cylinders while cranking, W/(m²·K) (M). */
const HEAT = { low: 150, high: 500 } as const;
/** A sound engine leaks like a hole of this diameter, m (M: ring gaps). */
export const SOUND_HOLE = 0.5e-3;
/** The same as Cd·A, m². */
const SOUND_LEAK = 0.16e-6;

export interface Expected {
  /** Pa gauge at the place of the test. */
  readonly low: number;
  readonly high: number;
  /** What the model was given: cranking speed 1/min, trapped ratio, Pa, K. */
  readonly from: {
    readonly rpm: { readonly low: number; readonly high: number };
    readonly ratio: { readonly low: number; readonly high: number };
    readonly ambient: number;
    readonly temperature: number;
  };
}

/** Speeds, 1/min, that were noted for a test, or by themselves. */
const notedSpeeds = (c: Context): number[] =>
  [
    ...c.record.all('compression.pressure').map((r) => r.conditions?.rpm),
    ...c.record.all('compression.pulls').map((r) => r.conditions?.rpm),
    known(c.record.value('plugs.rpm'))
  ].filter((v) => v !== undefined && v > 0) as number[];

/** Speed range of the test: what was noted, ±5 %, else what arm or starter give. */
export const speedOf = (c: Context): Speed => around(c, notedSpeeds(c).at(-1));

/** Speed range at which the engine is judged: slow cranking is an excuse for a reading, no reason to ask less of the engine. */
const judgedSpeed = (c: Context): Speed =>
  around(
    c,
    notedSpeeds(c).findLast((rpm) => rpm >= ownLimits.slowCranking)
  );

interface Speed {
  readonly best: number;
  readonly low: number;
  readonly high: number;
}

function around(c: Context, rpm: number | undefined): Speed {
  if (rpm) return { best: rpm, low: 0.95 * rpm, high: 1.05 * rpm };
  const { starting } = c.survey.engine.profile;
  return crankingSpeed[
    starting === 'rope' ? 'rope' : starting === 'electric' || starting === 'both' ? 'electric' : 'unknown'
  ];
}

const kept = new Map<string, { low: number; high: number }>();

/**
 * Compression to be expected of this engine: its size and ratio, the air of the place, arm or starter, by the cranking
 * model between its leaky, slow, cold-walled end and its tight, fast one. Nothing where strokes or displacement are
 * unknown. A reading under it is a question, never a fault (M).
 */
export function expectedRange(c: Context): Expected | undefined {
  const given = shapeOf(c);
  if (!given) return undefined;
  const altitude = known(c.record.value('safe.altitude'));
  const ambient = altitude === undefined ? SEA_LEVEL_PRESSURE : pressureAtAltitude(altitude);
  const temperature = known(c.record.value('safe.air')) ?? 293;
  const rpm = judgedSpeed(c);
  const key = JSON.stringify([given, ambient, temperature, rpm]);
  let range = kept.get(key);
  if (!range) {
    const { shape, ratioReach } = given;
    const at = (ratio: number, speed: number, heat: number, leak: number): number =>
      crank({
        cylinder: { ...shape, ratio },
        rpm: speed,
        pulls: 5,
        gauge: 2e-6,
        ambient,
        temperature,
        heat,
        leak,
        step: 2
      }).needle.at(-1)!;
    range = {
      low: at(Math.max(2, shape.ratio - ratioReach), rpm.low, HEAT.high, SOUND_LEAK),
      high: at(shape.ratio + ratioReach, rpm.high, HEAT.low, 0)
    };
    if (kept.size > 64) kept.clear();
    kept.set(key, range);
  }
  return {
    ...range,
    from: {
      rpm,
      ratio: { low: given.shape.ratio - given.ratioReach, high: given.shape.ratio + given.ratioReach },
      ambient,
      temperature
    }
  };
}
