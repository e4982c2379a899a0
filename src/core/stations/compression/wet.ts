import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { withOilInterval } from '../../physics/wet-dose.ts';
import { isAfter } from '../../units/instant.ts';
import { oilBurntOff } from '../plugs/oil-in-bores.ts';
import type { Comparison } from './compare.ts';
import type { TestFact } from './facts.ts';
import type { Row } from './row.ts';
import { cylinderOf } from './shape.ts';

/** What one wet reading says beside its dry one; "open" where the oil's own volume may or may not explain it. */
export type WetVerdict = 'lower' | 'unmeasured' | 'flooded' | 'rings' | 'valve' | 'open';

export interface WetJudged {
  readonly verdict: WetVerdict;
  /** Pa over dry, and how far the readings scatter. */
  readonly rise: number;
  readonly reach: number;
  readonly oil?: NonNullable<ReturnType<typeof withOilInterval>>;
}

/** Judges a wet reading against the dry one: what the oil's own volume cannot explain is sealing. */
export function judgeWet(c: Context, dry: Comparison['rows'][number], wet: Comparison['wet'][number]): WetJudged {
  const rise = wet.mean - dry.mean;
  const reach = 2 * Math.hypot(dry.u, wet.u);
  if (rise < -reach) return { verdict: 'lower', rise, reach };
  const cylinder = cylinderOf(c);
  if (wet.dose === undefined || !cylinder) return { verdict: 'unmeasured', rise, reach };
  const oil = withOilInterval(dry.mean, cylinder, wet.dose);
  if (!oil) return { verdict: 'flooded', rise, reach };
  const verdict = wet.mean - oil.high > reach ? 'rings' : wet.mean - oil.low < reach ? 'valve' : 'open';
  return { verdict, rise, reach, oil };
}

/**
 * The wet test: how far oil lifted a cylinder, less what the oil's own volume explains. What remains is rings or bore;
 * nothing remaining is valve, gasket or crown (C). Without the dose, or without the engine's volume, it cannot tell.
 * `inQuestion`: the cylinders that the test is for.
 */
export const wetFacts = (c: Context, found: Comparison, inQuestion: (row: Row) => boolean): TestFact[] => {
  const alike = risenAlike(c, found);
  return alike ? [alike] : eachWet(c, found, inQuestion);
};

/**
 * What oil in its bore makes of a low reading taken once. "confirms": less what the oil's own volume lifts, it reads as low again,
 * which is a second reading of its own. "oiled": it was lifted by sealing, or nobody knows by how much, and dry it cannot be read
 * again while the oil is in it: air tells.
 */
export function oilOnLow(c: Context, found: Comparison, r: Row, best: Row): 'confirms' | 'oiled' | undefined {
  const wet = found.wet.find((w) => w.cylinder === r.cylinder);
  if (!wet || oilBurntOff(c, wet.at)) return undefined;
  const { verdict, oil } = judgeWet(c, r, wet);
  if (verdict === 'lower' || verdict === 'flooded') return undefined;
  const dry = oil && wet.mean - (oil.low - r.mean);
  if (verdict === 'valve' && dry !== undefined && dry < (1 - found.limit.value) * best.mean) return 'confirms';
  // Read dry after the oil, its bore was dry again.
  return isAfter(wet.at, r.at) ? 'oiled' : undefined;
}

/** Rises that differ by no more than this share of the largest are alike (M: twice what two tests scatter). */
const ALIKE = 0.35;

/** Every cylinder read wet, none low beside the others, and all of them sealed by oil to the same degree. */
function risenAlike(c: Context, found: Comparison): TestFact | undefined {
  if (found.rows.length < 2 || found.missing.length || found.rows.some((r) => r.low || r.scattered)) return undefined;
  const judged = found.rows.map((dry) => {
    const wet = found.wet.find((w) => w.cylinder === dry.cylinder);
    return wet && judgeWet(c, dry, wet);
  });
  if (!judged.every((j) => j?.verdict === 'rings')) return undefined;
  const rises = judged.map((j) => j!.rise);
  if (Math.min(...rises) < (1 - ALIKE) * Math.max(...rises)) return undefined;
  const stood = (known(c.survey.engine.history.yearsIdle) ?? 0) >= 1;
  return { kind: 'wet-all', condition: 'cannot-tell', values: { rises, stood } };
}

const eachWet = (c: Context, found: Comparison, inQuestion: (row: Row) => boolean): TestFact[] =>
  found.wet.flatMap((wet): TestFact[] => {
    const dry = found.rows.find((r) => r.cylinder === wet.cylinder);
    // Oil beside dry readings that do not agree shows nothing.
    if (!dry || dry.scattered) return [];
    const { verdict, rise, reach, oil } = judgeWet(c, dry, wet);
    // Of a cylinder that is as it should be, what oil does says nothing; that it reads less than dry is a contradiction of any.
    if (verdict !== 'lower' && !inQuestion(dry)) return [];
    return [
      {
        kind: 'wet',
        cylinder: wet.cylinder,
        condition: verdict === 'rings' || verdict === 'valve' ? 'watch' : 'cannot-tell',
        values: {
          verdict,
          dry: dry.mean,
          wet: wet.mean,
          rise,
          reach,
          ...(wet.dose === undefined ? {} : { dose: wet.dose }),
          ...(oil ? { oil } : {})
        }
      }
    ];
  });
