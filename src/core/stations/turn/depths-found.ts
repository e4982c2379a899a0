import { school } from '../../house-rules/rules.ts';
import { cylindersOf, listed, type Context } from '../../findings/context.ts';
import { sayLimit } from '../../findings/limit.ts';
import type { findingsOf } from '../../findings/collect.ts';
import { say } from '../../units/index.ts';
import { lossFromLowPiston, pistonDepths } from './depths.ts';

type Out = ReturnType<typeof findingsOf>;

/** Piston depths, and what a low piston would have looked like to a compression gauge. */
export function depthsFound(c: Context, out: Out): void {
  const depths = pistonDepths(c);
  if (depths.rows.length < 2) return;
  const reach = 2 * Math.max(...depths.rows.map((r) => r.u));
  const why = {
    inputs: depths.rows.map((r) => `cylinder ${r.cylinder}: ${say(r.depth, 'length', c.units)} (${r.n} taken)`),
    limit: sayLimit(depths.limit, c.units),
    uncertainty: `${say(reach, 'length', c.units)} on a depth (two deviations, ${say(depths.deviation, 'length', c.units)} each from the repeats)`,
    formula: 'depth − shallowest depth − its interval > tolerance',
    provenance: 'M' as const,
    source: 'From memory: a rod bent by water stands lower at top; compression can look normal.'
  };
  const least = Math.min(...depths.rows.map((r) => r.depth));
  for (const k of depths.low) {
    const by = depths.rows.find((r) => r.cylinder === k)!.depth - least;
    const once = depths.rows.find((r) => r.cylinder === k)!.n < 2;
    out.add(
      'depth',
      'fault',
      `Piston ${k} stands low at top, by ${say(by, 'length', c.units)}. A rod bent by water shows like this even when compression is good: specialist or parts.${once ? ' Taken once: find its top anew and measure it again before anybody pays for it.' : ''}`,
      why,
      k
    );
    const loss = lossFromLowPiston(c, by);
    const limit = Number(school(c.rules, 'spread'));
    if (loss !== undefined && loss < limit + 0.05)
      out.add(
        'depth-compression',
        'watch',
        `A gauge would not have found it: standing ${say(by, 'length', c.units)} low takes about ${Math.round(100 * loss)} % off the compression of cylinder ${k}, and up to ${Math.round(100 * limit)} % between cylinders passes.`,
        {
          inputs: [...why.inputs, 'displacement and ratio of the profile'],
          value: `${Math.round(100 * loss)} % lower`,
          uncertainty: 'ratio known to ±1, bore taken as square where it is not in the profile',
          limit: `${Math.round(100 * limit)} % spread (house rule)`,
          formula: 'r′ = (V + A·Δ)/(V_c + A·Δ), p ∝ r′^1.3',
          provenance: 'P',
          source: 'Polytropic law (P), exponent and square bore from memory (M)'
        },
        k
      );
  }
  if (!depths.low.length && depths.agree) out.add('depths', 'sound', 'Every piston’s depth at top agrees.', why);
  else if (!depths.low.length && depths.scattered.length)
    out.add(
      'depths',
      'cannot-tell',
      `Depths of piston ${listed(depths.scattered)} lie further apart than the tolerance: one of them is wrong. Measure again, and take the slip back.`,
      why
    );
  else if (!depths.low.length && depths.rows.length < cylindersOf(c).length)
    out.add('depths', 'cannot-tell', 'Not every piston’s depth is taken yet.', why);
  else if (!depths.low.length)
    out.add(
      'depths',
      'cannot-tell',
      `The depths lie too close to the tolerance to tell: ${say(Math.max(...depths.rows.map((r) => r.depth)) - least, 'length', c.units)} between them. Take each of them again; more readings narrow it.`,
      why
    );
}
