import { known } from '../../engine/profile.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { judgedBy } from '../../findings/limit.ts';
import { atSeaLevel } from '../../physics/atmosphere.ts';
import { beltJumped } from '../turn/belt.ts';
import { absolute, type Absolute } from './absolute.ts';
import { kindRange } from './ceiling.ts';
import { DOUBT, type Comparison } from './compare.ts';
import { expectedRange } from './expected.ts';
import type { AgainstFloor } from './facts.ts';

/** What is asked of this engine, and what of it was read. */
export interface Floor {
  readonly values: AgainstFloor;
  /** From here on a sound one of its kind usually reads, Pa gauge at sea level: well inside its range, or the manual's figure. */
  readonly usual: number;
  /** Through another volume: what was read comes to this much without it. */
  readonly adapter: Absolute['adapter'];
  readonly oiled: boolean;
}
/** So far up a range nothing that lowers a reading was at work, share (M). */
const INSIDE = 1 / 3;
const inside = ([low, high]: readonly [number, number]): number => low + INSIDE * (high - low);
export const reaches = ({ values }: Floor): boolean => values.judged + values.gauge >= values.floor;

/** This engine's own figure, what its size gives, or the range of its kind; nothing where none is known. */
export function floorOf(c: Context, found: Comparison): Floor | undefined {
  const abs = absolute(c, found);
  const { best, lowest, gauge, ambient, altitudeKnown } = abs;
  const figure = judgedBy(c, 'compression.figure');
  const expected = figure ? undefined : expectedRange(c);
  const range = expected
    ? ([atSeaLevel(expected.low, ambient), atSeaLevel(expected.high, ambient)] as const)
    : abs.strokes && kindRange[abs.strokes];
  const asked: Pick<AgainstFloor, 'floor' | 'by'> | undefined = figure
    ? { floor: figure.value * (1 - found.limit.value), by: { of: 'manual', figure } }
    : range && {
        floor: range[0],
        by: expected ? { of: 'model', expected } : { of: 'kind', strokes: abs.strokes! }
      };
  if (!asked) return undefined;
  const { profile, history } = c.survey.engine;
  const oiled = found.conditions.bores === 'oiled';
  const excuse = excuseOf(found);
  return {
    adapter: abs.adapter,
    usual: figure ? figure.value : Math.min(...[range!, ...(abs.strokes ? [kindRange[abs.strokes]] : [])].map(inside)),
    oiled,
    values: {
      // Cylinders low against their neighbours are spoken for; a kind's range is asked of the best one only.
      judged: figure ? lowest : best,
      gauge,
      lowest,
      best,
      ambient,
      altitudeKnown,
      cylinders: found.rows.length,
      ...asked,
      decompression: profile.decompression === 'fitted',
      ...(excuse ? { excuse } : {}),
      dryFromStanding: (known(history.yearsIdle) ?? 0) >= 1 && !oiled
    }
  };
}

/** Under this share of what is asked of it no cylinder reads for wear: rings that are gone still leave a quarter (M). */
const NOTHING = 0.25;

/**
 * Next to nothing in every cylinder, read once each: that is the gauge, its hose or its valve until it is read again (C). Nothing where
 * something else lowers them all, or air was put in.
 */
export const readsNothing = (c: Context, { values }: Floor): boolean =>
  values.best + values.gauge < NOTHING * values.floor &&
  !values.excuse &&
  !values.decompression &&
  !beltJumped(c) &&
  !c.record.all('compression.leakdown').some((r) => r.value !== 'unknown') &&
  cylindersOf(c).every((cylinder) => c.record.all('compression.pressure', { cylinder }).length < 2);

/** What lowers every reading of a test: a throttle that may have been shut, weak cranking. */
export const excuseOf = ({ conditions, weak, tires }: Comparison): AgainstFloor['excuse'] =>
  conditions.throttle !== 'open' ? 'throttle' : weak || tires !== undefined ? 'cranking' : undefined;

/** What lowers readings is no doubt about those that are alike and read what such an engine usually gives all the same. */
export const reachesAnyway = ({ overLimit, rows }: Comparison, floor: Floor | undefined): boolean =>
  floor !== undefined &&
  floor.values.judged - floor.values.gauge >= floor.usual &&
  !floor.oiled &&
  !rows.some((r) => r.scattered || r.high) &&
  (rows.length === 1 || (overLimit !== undefined && overLimit < DOUBT));
