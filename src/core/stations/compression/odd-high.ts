import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy } from '../../findings/limit.ts';
import { atSeaLevel, pressureAtAltitude, SEA_LEVEL_PRESSURE } from '../../physics/atmosphere.ts';
import { isAfter } from '../../units/instant.ts';
import { kindRange } from './ceiling.ts';
import type { Comparison } from './compare.ts';
import { gaugeErrorOf } from './gauge.ts';
import { comparedRows, type Row } from './row.ts';

/** So much over the manual's figure a reading is no longer the engine's own, share (M). */
const OVER_FIGURE = 0.1;

/** From so much over what is usual on, share, the others say nothing of themselves until the one was read again (M). */
const PLAINLY_OVER = 0.15;

export interface OddHigh {
  readonly row: Row;
  /** The highest of the others, Pa gauge. */
  readonly others: number;
  /** The most that such engines usually show, Pa gauge at sea level. */
  readonly usual: number;
  /** It was read again, and reads as high. */
  readonly again: boolean;
}

/** The one that stands over all the others, and by what share of the usual most, whether or not that is more than its gauge can be off. */
function standsAlone(
  c: Context,
  found: Comparison
): (OddHigh & { readonly over: number; readonly sure: boolean }) | undefined {
  const { strokes } = c.survey.engine.profile;
  const rows = comparedRows(found);
  if ((strokes !== 'two' && strokes !== 'four') || rows.length < 3 || found.conditions.bores === 'oiled')
    return undefined;
  const row = rows.reduce((a, b) => (b.mean > a.mean ? b : a));
  const rest = rows.filter((r) => r !== row).map((r) => r.mean);
  const [least, others] = [Math.min(...rest), Math.max(...rest)];
  const within = 1 - found.limit.value;
  if (others >= within * row.mean || least < within * others) return undefined;
  const altitude = known(c.record.value('safe.altitude'));
  const ambient = altitude === undefined ? SEA_LEVEL_PRESSURE : pressureAtAltitude(altitude);
  const figure = judgedBy(c, 'compression.figure');
  const [floor, usual] = figure
    ? [within * figure.value, (1 + OVER_FIGURE) * figure.value]
    : [kindRange[strokes][0], kindRange[strokes][1]];
  const gauge = gaugeErrorOf(found.instrument);
  if (atSeaLevel(least, ambient) + gauge < floor) return undefined;
  const looked = c.record.last('plugs.hole', row.cylinder);
  const since = looked && isAfter(looked.at, row.at);
  // What was found in it explains it: it is read again once that is out.
  const explained = since && (looked.value === 'water' || looked.value === 'debris');
  const again = row.readings.length > 1 && !explained;
  if (again && since) return undefined;
  const level = atSeaLevel(row.mean, ambient);
  return { row, others, usual, again, over: level / usual - 1, sure: level - gauge > usual };
}

/**
 * The one cylinder that stands over all the others, where those agree with one another, read what such an engine gives, and it reads more
 * than one usually does: oil, fuel, water or carbon in one chamber is sooner so than two or more that lost the same. While it was not read
 * again and looked into, the others are not called low, and not called sound. Nothing of fewer than three cylinders, or of oiled bores.
 */
export function oddHigh(c: Context, found: Comparison): OddHigh | undefined {
  const alone = standsAlone(c, found);
  if (!alone?.sure) return undefined;
  const { row, others, usual, again } = alone;
  return { row, others, usual, again };
}

/** How far the doubt of that one takes from what its neighbours' distance to it says, 0 to 1; it grows with how much it is over the usual. */
export const oddWeight = (c: Context, found: Comparison): number =>
  Math.min(1, Math.max(0, (standsAlone(c, found)?.over ?? 0) / PLAINLY_OVER));
