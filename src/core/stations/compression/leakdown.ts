import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import type { FactOf } from '../../findings/fact.ts';
import { judgedBy } from '../../findings/limit.ts';
import { bandOn, holeOfLeakDown, publishedTester, type LeakTester } from '../../physics/leak-down.ts';
import type { LeakDownAnalysed, LeakDownFacts } from './facts.ts';

export interface LeakDownRow {
  readonly cylinder: number;
  /** Mean of the repeats, drop over supply. */
  readonly share: number;
  /** The hole that would make this tester show it, m. */
  readonly hole: number;
  readonly escapes: readonly string[];
}

/** The tester of the latest leak-down reading; the published one where none was named. */
export function testerOf(c: Context): LeakTester & { readonly name: string } {
  const instrument = c.record.last('compression.leakdown')?.instrument;
  return {
    name: instrument?.name ?? 'published tester, 80 psi and 0.040 in',
    supply: instrument?.supply ?? publishedTester.supply,
    restrictor: instrument?.restrictor ?? publishedTester.restrictor
  };
}

/** Leak-down of the latest round, cylinder by cylinder. */
export function leakDownRows(c: Context): LeakDownRow[] {
  const tester = testerOf(c);
  const round = c.record.round('compression.leakdown');
  return cylindersOf(c).flatMap((cylinder) => {
    const values = c.record
      .all('compression.leakdown', { cylinder, round })
      .map((r) => r.value)
      .filter((v) => typeof v === 'number');
    if (!values.length) return [];
    const share = values.reduce((a, b) => a + b, 0) / values.length;
    const escape = c.record.value('compression.escape', cylinder);
    return [{ cylinder, share, hole: holeOfLeakDown(share, tester), escapes: Array.isArray(escape) ? escape : [] }];
  });
}

/** Percent by this instrument's own bands, where the air comes out, and lash. */
export function analyseLeakDown(c: Context): LeakDownAnalysed {
  const tester = testerOf(c);
  const limit = judgedBy(c, 'compression.leakdown', ownLimits.leakdownWatch);
  // A manual's figure belongs to its own tester; our bands are written for the published one and moved to this one.
  const bands = limit.manual
    ? { watch: limit.value, fault: 2 * limit.value, limit }
    : { watch: bandOn(ownLimits.leakdownWatch, tester), fault: bandOn(ownLimits.leakdownFault, tester), limit };
  const strokes = c.survey.engine.profile.strokes === 'two' ? 'two' : 'other';
  const facts = leakDownRows(c).map(({ cylinder, share, hole, escapes }): LeakDownFact => {
    const condition = share >= bands.fault ? 'fault' : share >= bands.watch ? 'watch' : 'sound';
    const gasket = escapes.includes('neighbour') || escapes.includes('edge');
    return {
      kind: gasket && condition !== 'sound' ? 'leakdown-gasket' : 'leakdown',
      cylinder,
      condition,
      values: { share, hole, escapes, bands, strokes },
      limit
    };
  });
  return { basis: tester, facts: [...facts, ...lashFacts(c)] };
}

type LeakDownFact = FactOf<LeakDownFacts>;

/** A valve with less lash than this, m, does not close (C). */
const NO_LASH = 0.01e-3;

/** Valve lash of four-strokes against the manual; a closed one is a fault whatever the manual says. */
const lashFacts = (c: Context): LeakDownFact[] =>
  cylindersOf(c).flatMap((cylinder) =>
    (
      [
        ['lashIn', 'intake'],
        ['lashEx', 'exhaust']
      ] as const
    ).flatMap(([key, valve]): LeakDownFact[] => {
      const lash = known(c.record.value(`compression.${key}`, cylinder));
      if (lash === undefined) return [];
      const limit = judgedBy(c, `compression.${key}`);
      const common = { id: `lash-${valve}`, cylinder, values: { valve, lash }, ...(limit ? { limit } : {}) };
      if (lash <= NO_LASH) return [{ ...common, kind: 'no-lash', condition: 'fault' }];
      if (limit?.to === undefined) return [];
      const within = lash >= limit.value && lash <= limit.to;
      return [{ ...common, kind: 'lash', condition: within ? 'sound' : 'watch' }];
    })
  );
