import type { Context } from '../../findings/context.ts';
import type { Seen } from './facts.ts';
import { isSlow, sparks } from './measure.ts';

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
          mixed: new Set(group.readings.map((r) => r.value)).size > 1,
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
