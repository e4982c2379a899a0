import { cylindersOf, type Context } from '../../findings/context.ts';
import { school } from '../../house-rules/rules.ts';
import { mayHaveRunUnder } from '../../record/drowned.ts';
import { lossFromLowPiston, pistonDepths, type Depths } from './depths.ts';
import type { TurnFact } from './facts.ts';

/** So far past what passes between cylinders a gauge would have told, share (M). */
const TOLD = 0.05;

/** Piston depths, and what a low piston would have looked like to a compression gauge. */
export function depthFacts(c: Context): TurnFact[] {
  const depths = pistonDepths(c);
  // Of an engine that did not go under running, nobody asked what one piston's depth says.
  if (depths.alone && depths.rows.length && mayHaveRunUnder(c))
    return [{ kind: 'depth-alone', id: 'depths', condition: 'cannot-tell', values: {} }];
  if (depths.rows.length < (depths.right === undefined ? 2 : 1)) return [];
  const shallowest = depths.right ?? Math.min(...depths.rows.map((r) => r.depth));
  const { odd } = depths;
  if (odd) {
    const scatters = depths.scattered.includes(odd.cylinder);
    return scatters
      ? [{ kind: 'depths-scatter', id: 'depths', condition: 'cannot-tell', values: { cylinders: [odd.cylinder] } }]
      : [{ kind: 'depth-odd', cylinder: odd.cylinder, condition: odd.again ? 'watch' : 'cannot-tell', values: odd }];
  }
  if (!depths.low.length) return [noneLow(c, depths, shallowest)];
  const passes = Number(school(c.rules, 'spread'));
  return depths.low.flatMap((cylinder): TurnFact[] => {
    const row = depths.rows.find((r) => r.cylinder === cylinder)!;
    const by = row.depth - shallowest;
    const loss = lossFromLowPiston(c, by);
    return [
      { kind: 'depth', cylinder, condition: 'fault', values: { by, once: row.n < 2 } },
      ...(loss !== undefined && loss < passes + TOLD
        ? [{ kind: 'depth-compression', cylinder, condition: 'watch', values: { by, loss, passes } } as const]
        : [])
    ];
  });
}

/** What is said of depths where no piston is known to stand low. */
function noneLow(c: Context, depths: Depths, shallowest: number): TurnFact {
  const doubt = { id: 'depths', condition: 'cannot-tell' } as const;
  if (depths.agree) return { kind: 'depths-agree', id: 'depths', condition: 'sound', values: {} };
  if (depths.scattered.length) return { ...doubt, kind: 'depths-scatter', values: { cylinders: depths.scattered } };
  if (depths.rows.length < cylindersOf(c).length) return { ...doubt, kind: 'depths-missing', values: {} };
  const apart = Math.max(...depths.rows.map((r) => Math.abs(r.depth - shallowest)));
  return { ...doubt, kind: 'depths-close', values: { apart, ...(depths.right === undefined ? {} : { figure: true }) } };
}
