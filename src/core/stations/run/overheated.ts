import { ownLimits } from '../../engine/limits.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';
import { byTime, isAfter, type Instant } from '../../units/instant.ts';
import { thermometersDiffer } from './thermometers.ts';
import { ranWithoutOil } from '../fuel/ran-without-oil.ts';
import { runsOf } from './runs.ts';

/** A head this far past its limit may have cost its gasket, a piston or the rings' spring, K (M: 15 K). */
const COOKED = 15;

export interface Overheated {
  /** K. */
  readonly hottest: number;
  readonly limit: Judged;
  readonly at: Instant;
}

/** Every time the head was so far past its limit, oldest first; none where two thermometers differ and nobody knows which is right. */
export function overheats(c: Context): Overheated[] {
  const limit = judgedBy(c, 'cooling.hot', ownLimits.headHot);
  const past = (hottest: number): boolean => hottest >= limit.value + COOKED;
  const noted = c.record
    .all('cooling.head')
    .flatMap((r) => (typeof r.value === 'number' && past(r.value) ? [{ hottest: r.value, limit, at: r.at }] : []));
  const inRuns = runsOf(c).flatMap(({ startedAt, hottest }) =>
    hottest && past(hottest.temperature)
      ? [
          {
            hottest: hottest.temperature,
            limit,
            at: new Date(startedAt.getTime() + hottest.seconds * 1000).toISOString()
          }
        ]
      : []
  );
  const all = [...noted, ...inRuns].sort(byTime);
  return all.length && thermometersDiffer(c) ? [] : all;
}

/**
 * The latest time the head was so far past its limit that what was read of its cylinders before tells nothing of them now; nothing
 * once every cylinder was read again, by pressure or by leak-down.
 */
export function overheated(c: Context): Overheated | undefined {
  const last = overheats(c).at(-1);
  return last && unreadSince(c, last.at) ? last : undefined;
}

const reads = ['compression.pressure', 'compression.pulls', 'compression.leakdown'] as const;
/** A cylinder was not read since, neither by pressure nor by leak-down. */
const unreadSince = (c: Context, at: Instant): boolean =>
  cylindersOf(c).some(
    (cylinder) => !reads.some((item) => c.record.all(item, { cylinder }).some((r) => isAfter(r.at, at)))
  );

/** It ran on fuel without oil, and not every cylinder was read since. */
export const ranWithoutOilUnread = (c: Context): boolean => {
  const at = ranWithoutOil(c);
  return at !== undefined && unreadSince(c, at);
};

/** When a run did to the cylinders what makes readings before it readings of before. */
export const harmedAt = (c: Context): readonly Instant[] => [
  ...overheats(c).map(({ at }) => at),
  ...[ranWithoutOil(c)].flatMap((at) => at ?? [])
];
