import { known } from '../../engine/profile.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import type { FactOf } from '../../findings/fact.ts';
import { judgedBy } from '../../findings/limit.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import type { LeakDownFacts } from './facts.ts';
import { NO_LASH, TIGHT_LASH } from './readings.ts';

type LeakDownFact = FactOf<LeakDownFacts>;

/** A valve with more than this, m, is past any maker's figure (C). */
const WIDE_LASH = 0.6e-3;

/** One so many times as wide as the same valves of the others has slipped or worn, above this, m: engines are set alike (C, the figures M). */
const ODD_LASH = { times: 2, from: 0.3e-3 } as const;

export const LASHES = ['compression.lashIn', 'compression.lashEx'] as const;
export type Lash = (typeof LASHES)[number];

/** Where air was heard to come out of a cylinder; empty where nobody listened, or heard nothing. */
const heardAt = (c: Context, cylinder: number | undefined): readonly unknown[] => {
  const heard = c.record.value('compression.escape', cylinder);
  return Array.isArray(heard) ? heard : [];
};

/** Air was heard, and not at a valve: no lash explains that. */
export const pastNoValve = (c: Context, cylinder: number | undefined): boolean => {
  const heard = heardAt(c, cylinder);
  return heard.length > 0 && !heard.some((x) => x === 'intake' || x === 'exhaust');
};

/** The lash that answers for a leak of this cylinder: of the valve that the air was heard at, else of both. */
export const lashOf = (c: Context, cylinder: number | undefined): readonly Lash[] => {
  const heard = heardAt(c, cylinder);
  if (heard.includes('intake') === heard.includes('exhaust')) return LASHES;
  return [heard.includes('intake') ? 'compression.lashIn' : 'compression.lashEx'];
};

/** Whether a valve stands far wider than at least two others of its kind. */
function oddlyWide(c: Context, what: Lash, cylinder: number): boolean {
  const of = (k: number): number | undefined => known(ofThisPart(c, what, k));
  const mine = of(cylinder) ?? 0;
  const others = cylindersOf(c).flatMap((k) => (k === cylinder ? [] : (of(k) ?? [])));
  return others.length > 1 && mine > ODD_LASH.from && others.every((x) => mine > ODD_LASH.times * x);
}

/** A lash of this cylinder that wants setting before anything is blamed for its leak: under the manual's figure, or close where there is none. */
export const lashWants = (c: Context, cylinder: number): boolean =>
  LASHES.some((what) => {
    const lash = known(ofThisPart(c, what, cylinder));
    return lash !== undefined && lash < (judgedBy(c, what)?.value ?? TIGHT_LASH);
  });

/** Valve lash of four-strokes against the manual; a closed one is a fault whatever the manual says. */
export const lashFacts = (c: Context, suspect: ReadonlySet<number>): LeakDownFact[] =>
  cylindersOf(c).flatMap((cylinder) =>
    (
      [
        ['lashIn', 'intake'],
        ['lashEx', 'exhaust']
      ] as const
    ).flatMap(([key, valve]): LeakDownFact[] => {
      const lash = known(ofThisPart(c, `compression.${key}`, cylinder));
      if (lash === undefined) return [];
      const limit = judgedBy(c, `compression.${key}`);
      const common = { id: `lash-${valve}`, cylinder, values: { valve, lash }, ...(limit ? { limit } : {}) };
      if (lash <= NO_LASH) return [{ ...common, kind: 'no-lash', condition: 'fault' }];
      if (limit?.to === undefined && lash < TIGHT_LASH) {
        const low = suspect.has(cylinder);
        const values = { ...common.values, low };
        return [{ ...common, kind: 'tight-lash', condition: low ? 'watch' : 'cannot-tell', values }];
      }
      if (limit?.to === undefined)
        return lash > WIDE_LASH
          ? [{ ...common, kind: 'wide-lash', condition: 'watch' }]
          : oddlyWide(c, `compression.${key}`, cylinder)
            ? [{ ...common, kind: 'wide-lash', condition: 'watch', values: { ...common.values, beside: true } }]
            : [];
      const within = lash >= limit.value && lash <= limit.to;
      return [{ ...common, kind: 'lash', condition: within ? 'sound' : 'watch' }];
    })
  );
