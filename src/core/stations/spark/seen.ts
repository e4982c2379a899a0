import type { Context } from '../../findings/context.ts';
import type { Seen } from './facts.ts';
import type { Alike } from '../../measurements/measure.ts';
import { byTime, isAfter, latestOf } from '../../units/instant.ts';
import { isSlow, isWarm, sparks, type SparkReading } from './measure.ts';

/** Equal looks in a row that close the doubt about those before them (C). */
const SETTLES = 3;

/** Looks along one path that differ, and the last ones do not yet agree. */
const isMixed = (list: readonly SparkReading[]): boolean =>
  new Set(list.map((r) => r.value)).size > 1 &&
  (list.length <= SETTLES || new Set(list.slice(-SETTLES).map((r) => r.value)).size > 1);

/** Watched for a while and steady, after the last look that was not good. */
function watched(c: Context, cylinder: number, list: readonly SparkReading[]): boolean {
  const odd = list.findLast((r) => r.value !== 'good');
  const steady = c.record.last('spark.steady', cylinder);
  return steady?.value === 'steady' && list.at(-1)?.value === 'good' && isAfter(steady.at, odd?.at);
}

/** Whether a look that was not good has sun or slow cranking to explain it. */
const excused = (r: SparkReading): boolean => isSlow(r) || r.conditions?.light === 'sun';

/** Not seen at a later look: made less well it does not take the place of the good one, and it is not silenced
 * by it either, but where sunlight or slow cranking says why. */
const gone = (list: readonly SparkReading[], good: SparkReading): boolean =>
  list.some((r) => r.value !== 'good' && isAfter(r.at, good.at) && !excused(r));

/**
 * What speaks for a cylinder: the best method. Where its last looks were all poor along other paths, with nothing to explain them, the
 * latest of those speaks: a good one of before does not stand over them for ever.
 */
function speaking(groups: readonly Alike<SparkReading>[]): Alike<SparkReading> | undefined {
  if (groups[0]?.readings.at(-1)?.value !== 'good') return groups[0];
  const latest = groups
    .flatMap((g) => g.readings)
    .toSorted(byTime)
    .slice(-SETTLES);
  const lost = latest.length === SETTLES && latest.every((r) => r.value !== 'good' && !excused(r));
  return lost ? groups.find((g) => g.readings.includes(latest.at(-1)!)) : groups[0];
}

/** What the latest look at a warm engine shows that a look at a cold one did not; sun and slow cranking hide a spark as well. */
function failsWarm(groups: readonly Alike<SparkReading>[]): Pick<Seen, 'failsWarm' | 'failedAt'> | undefined {
  const all = groups.flatMap((g) => g.readings);
  const last = latestOf(all.filter(isWarm));
  if (!last || last.value === 'good' || excused(last)) return undefined;
  const cold = all.filter((r) => !isWarm(r));
  return cold.some((r) => r.value === 'good')
    ? { failsWarm: last.value as 'weak' | 'none', failedAt: last.at }
    : undefined;
}

/** The looks at the cold engine, where it is the warm one that fails: what they say is said of them alone. */
const coldOnly = (groups: readonly Alike<SparkReading>[]): Alike<SparkReading>[] =>
  groups.map((g) => ({ ...g, readings: g.readings.filter((r) => !isWarm(r)) })).filter((g) => g.readings.length > 0);

/** What speaks for each cylinder: the latest look by the best method, with what makes it doubtful. */
export function sparkSeen(c: Context): Seen[] {
  return [...sparks(c).values()]
    .flatMap(({ groups }): Seen[] => {
      const warm = failsWarm(groups);
      const told = warm ? coldOnly(groups) : groups;
      const group = speaking(told);
      const last = group?.readings.at(-1);
      if (!group || !last) return [];
      const { light, path } = last.conditions ?? {};
      const lost = last.value === 'good' && told.some((g) => g !== group && gone(g.readings, last));
      return [
        {
          cylinder: last.cylinder!,
          result: last.value as Seen['result'],
          mixed: (isMixed(group.readings) && !watched(c, last.cylinder!, group.readings)) || lost,
          ...(lost ? { lost } : {}),
          sun: light === 'sun',
          slow: isSlow(last),
          at: last.at,
          // None through the tester, and good to a bolt: what is missing is the way back.
          toBolt: groups.some((g) => g.readings.some((r) => r.value === 'good' && r.conditions?.path === 'bolt')),
          ...(light ? { light } : {}),
          ...(path ? { path } : {}),
          ...warm
        }
      ];
    })
    .sort((a, b) => a.cylinder - b.cylinder);
}

/** It was seen to fire badly or not at all, whether or not that is cured: fuel that came to it stayed unburnt. */
export const firedBadly = (c: Context, cylinder: number): boolean =>
  c.record.all('spark.result', { cylinder }).some((r) => r.value === 'none' || r.value === 'weak');

/** Poor while it was cranked slowly, and no cylinder sparks well: too slow for the ignition, for all that is known. */
export const undrivenBy = (list: readonly Seen[], s: Seen): boolean =>
  s.result !== 'good' && s.slow && !list.some((x) => x.result === 'good');
