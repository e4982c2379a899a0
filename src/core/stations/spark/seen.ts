import type { Context } from '../../findings/context.ts';
import type { Seen } from './facts.ts';
import { isAfter } from '../../units/instant.ts';
import { isSlow, sparks, type SparkReading } from './measure.ts';

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

/** What speaks for each cylinder: the latest look by the best method, with what makes it doubtful. */
export function sparkSeen(c: Context): Seen[] {
  return [...sparks(c).values()]
    .flatMap(({ groups }): Seen[] => {
      const [group] = groups;
      const last = group?.readings.at(-1);
      if (!group || !last) return [];
      const { light, path } = last.conditions ?? {};
      return [
        {
          cylinder: last.cylinder!,
          result: last.value as Seen['result'],
          mixed: isMixed(group.readings) && !watched(c, last.cylinder!, group.readings),
          sun: light === 'sun',
          slow: isSlow(last),
          at: last.at,
          // None through the tester, and good to a bolt: what is missing is the way back.
          toBolt: groups.some((g) => g.readings.some((r) => r.value === 'good' && r.conditions?.path === 'bolt')),
          ...(light ? { light } : {}),
          ...(path ? { path } : {})
        }
      ];
    })
    .sort((a, b) => a.cylinder - b.cylinder);
}
