import type { Context } from '../../findings/context.ts';
import { withOilInterval } from '../../physics/wet-dose.ts';
import { say } from '../../units/index.ts';
import { practice, type findingsOf } from '../../findings/collect.ts';
import type { Comparison } from './compare.ts';
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
 */
export function wetTest(
  c: Context,
  found: Comparison,
  out: ReturnType<typeof findingsOf>,
  sayP: (pa: number) => string
): void {
  for (const wet of found.wet) {
    const dry = found.rows.find((r) => r.cylinder === wet.cylinder);
    if (!dry) continue;
    const { verdict, rise, reach, oil } = judgeWet(c, dry, wet);
    const inputs = [
      `cylinder ${wet.cylinder} dry: ${sayP(dry.mean)}`,
      `wet: ${sayP(wet.mean)}`,
      `dose: ${wet.dose === undefined ? 'not noted' : say(wet.dose, 'volume', c.units, 1e-7)}`
    ];
    const add = (condition: 'watch' | 'cannot-tell', words: string, value?: string): void =>
      out.add(
        'wet',
        condition,
        `Cylinder ${wet.cylinder} wet: ${words}`,
        {
          ...practice(
            inputs,
            'a measured dose, about 1 mL per 100 mL swept, at most 5; plug holes up, turned several times.'
          ),
          ...(value
            ? {
                value,
                uncertainty: `± ${sayP(reach)} from the readings, ratio known to ±1`,
                formula: 'oil alone: r′ = (V − v)/(V_c − v), p ∝ r′^1.3'
              }
            : {})
        },
        wet.cylinder
      );
    if (verdict === 'lower') {
      add(
        'cannot-tell',
        `${sayP(-rise)} lower than dry, which oil does not do. Repeat both with the same gauge and battery.`
      );
      continue;
    }
    if (verdict === 'flooded') {
      add(
        'cannot-tell',
        `the dose of ${say(wet.dose!, 'volume', c.units, 1e-7)} would nearly fill the chamber. Blow it out and dose about 1 mL per 100 mL.`
      );
      continue;
    }
    if (!oil) {
      add(
        'cannot-tell',
        `${sayP(rise)} over dry. Oil is volume and lifts every reading: without ${wet.dose === undefined ? 'the dose' : 'the engine’s displacement'} nobody can say how much of it is sealing.`
      );
      continue;
    }
    const left = wet.mean - oil.best;
    const value = `rise ${sayP(rise)}, of which the oil alone ${sayP(oil.best - dry.mean)} (${sayP(oil.low - dry.mean)} to ${sayP(oil.high - dry.mean)})`;
    if (verdict === 'rings')
      add(
        'watch',
        `${sayP(rise)} over dry, ${sayP(left)} more than the oil’s own volume explains: rings or bore. Soak overnight and repeat before condemning.`,
        value
      );
    else if (verdict === 'valve')
      add(
        'watch',
        `it rises no more than the oil’s own volume explains: valve, gasket or crown rather than rings. Leak-down says which.`,
        value
      );
    else
      add(
        'cannot-tell',
        `${sayP(rise)} over dry, and the oil’s own volume explains between ${sayP(oil.low - dry.mean)} and ${sayP(oil.high - dry.mean)} of it. Leak-down decides.`,
        value
      );
  }
}
