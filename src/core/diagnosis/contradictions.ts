import type { StationId } from '../stations/items.ts';
import type { Belief } from './belief.ts';
import type { Model } from './model.ts';
import { saySign, speaksFor, stationOfSign, type Removals } from './suspects.ts';

export interface Contradiction {
  readonly sentence: string;
  readonly station: StationId;
}

/** A reading is unexplained when, more likely than this, none of its causes is there (M). */
const UNEXPLAINED = 0.6;
/** A sign that is often there for no reason needs no explanation (M). */
const COMMON = 0.04;
/** Another reading speaks against its causes when it takes the odds of an explanation down by this factor (M). */
const AGAINST = 3;

const nothingExplains = (model: Model, posterior: Float64Array, s: number): number =>
  model.network.signs[s]!.causes.reduce((p, { cause }) => p * (1 - posterior[cause]!), 1);

/**
 * Readings that do not fit one another: one is plainly there, and what would explain it is ruled out by another.
 * Named instead of being resolved in silence; the first of the two is to be repeated.
 */
export function contradictions(model: Model, belief: Belief, removals: Removals, passedOver = 0): Contradiction[] {
  if (!belief.possible)
    return [
      {
        sentence:
          'These readings cannot all be true by the rules in force: look at the last ones again, or at the strengths set in the house rules.',
        station: 'look'
      }
    ];
  const out: Contradiction[] = passedOver
    ? [
        {
          sentence: `So much is wrong at once that ${passedOver} readings could not be weighed with the rest. Settle the first suspects, then look again.`,
          station: 'look'
        }
      ]
    : [];
  for (const [s, l] of belief.evidence) {
    const { causes, leak } = model.network.signs[s]!;
    if (l.present < 20 * l.absent || !causes.length || leak > COMMON) continue;
    const now = nothingExplains(model, belief.posterior, s);
    if (now < UNEXPLAINED) continue;
    let rival: number | undefined;
    let lift = AGAINST;
    const mine = new Set(causes.map((c) => c.cause));
    for (const other of belief.evidence.keys()) {
      if (other === s || speaksFor(belief, other)) continue;
      if (!model.network.signs[other]!.causes.some((c) => mine.has(c.cause))) continue;
      const then = 1 - nothingExplains(model, removals.without(other).posterior, s);
      const factor = then / (1 - then) / Math.max(1e-9, (1 - now) / now);
      if (factor > lift) [rival, lift] = [other, factor];
    }
    const first = saySign(model, s, true);
    out.push({
      sentence:
        rival === undefined
          ? `Nothing known here explains this well: ${first}. Look at it once more.`
          : `These two do not fit one another: ${first}, but ${saySign(model, rival, false)}. Repeat the first.`,
      station: stationOfSign(model, s)
    });
  }
  return out.slice(0, 3);
}
