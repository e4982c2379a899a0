import { listed } from '../../findings/context.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import { say, type System } from '../../units/index.ts';
import type { TurnBasis, TurnFacts } from './facts.ts';

function depthsBecause({ depths }: TurnBasis, units: System): Because & { readonly inputs: readonly string[] } {
  const length = (m: number): string => say(m, 'length', units);
  const reach = 2 * Math.max(...depths.rows.map((r) => r.u));
  return {
    inputs: [
      ...depths.rows.map((r) => `cylinder ${r.cylinder}: ${length(r.depth)} (${r.n} taken)`),
      ...(depths.right === undefined ? [] : [`a straight rod: ${length(depths.right)}`])
    ],
    limit: sayLimit(depths.limit, units),
    uncertainty: `${length(reach)} on a depth (two deviations, ${length(depths.deviation)} each from the repeats)`,
    formula: `depth − ${depths.right === undefined ? 'shallowest depth' : 'depth of a straight rod'} − its interval > tolerance`,
    provenance: 'M',
    source: 'From memory: a rod bent by water stands lower at top; compression can look normal.'
  };
}

const percent = (x: number): string => `${Math.round(100 * x)} %`;

type DepthKind = Extract<keyof TurnFacts, `depth${string}`>;

/** What is said of piston depths. */
export const depthWords: WordsOf<Pick<TurnFacts, DepthKind>, TurnBasis> = {
  depth: ({ cylinder, values: { by, once } }, basis, units) => ({
    found: `Piston ${cylinder} stands low at top, by ${say(by, 'length', units)}.`,
    advice: [
      'A rod bent by water shows like this even when compression is good: specialist or parts.',
      ...(once ? ['Taken once: find its top anew and measure it again before anybody pays for it.'] : [])
    ].join(' '),
    because: depthsBecause(basis, units)
  }),
  'depth-compression': ({ cylinder, values: { by, loss, passes } }, basis, units) => ({
    found: `A gauge would not have found it: standing ${say(by, 'length', units)} low takes about ${percent(loss)} off the compression of cylinder ${cylinder}, and up to ${percent(passes)} between cylinders passes.`,
    because: {
      inputs: [...depthsBecause(basis, units).inputs, 'displacement and ratio of the profile'],
      value: `${percent(loss)} lower`,
      uncertainty: 'ratio known to ±1, bore taken as square where it is not in the profile',
      limit: `${percent(passes)} spread (house rule)`,
      formula: 'r′ = (V + A·Δ)/(V_c + A·Δ), p ∝ r′^1.3',
      provenance: 'P',
      source: 'Polytropic law (P), exponent and square bore from memory (M)'
    }
  }),
  'depth-odd': ({ cylinder, values: { by, others, again } }, basis, units) => ({
    found: `Piston ${cylinder} reads ${say(by, 'length', units)} higher than the other ${others}, which agree${again ? ', and did so again' : ''}: water bends a rod short, never long.`,
    advice: again
      ? 'Another piston or rod was fitted there, or the others are bent alike: a specialist says which, before any spin.'
      : 'Find its top anew and measure it again before any of the others is called low.',
    because: depthsBecause(basis, units)
  }),
  'depths-agree': (_, basis, units) => ({
    found: 'Every piston’s depth at top agrees.',
    because: depthsBecause(basis, units)
  }),
  'depths-scatter': ({ values }, basis, units) => ({
    found: `Depths of piston ${listed(values.cylinders)} lie further apart than the tolerance: one of them is wrong.`,
    advice: 'Measure again, and take the slip back.',
    because: depthsBecause(basis, units)
  }),
  'depths-missing': (_, basis, units) => ({
    found: 'Not every piston’s depth is taken yet.',
    because: depthsBecause(basis, units)
  }),
  'depths-close': ({ values }, basis, units) => ({
    found: values.figure
      ? `Against the figure of a straight rod it cannot be told: up to ${say(values.apart, 'length', units)} from it.`
      : `The depths lie too close to the tolerance to tell: ${say(values.apart, 'length', units)} between them.`,
    advice: values.figure
      ? 'Take it again, and look whether the figure is of this model and of this plug’s seat.'
      : 'Take each of them again; more readings narrow it.',
    because: depthsBecause(basis, units)
  }),
  'depth-alone': (_, basis, units) => ({
    found: 'One piston has no other to be laid beside: its depth alone says nothing of its rod.',
    advice:
      'The maker’s figure, or the same depth on another engine of the model; without either a specialist looks at the rod before any spin.',
    because: depthsBecause(basis, units)
  })
};
