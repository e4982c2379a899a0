import { contradictions, type Contradiction } from '../diagnosis/contradictions.ts';
import { openLooks, rankChecks, type RankedCheck } from '../diagnosis/ranking.ts';
import { Removals, suspectViews, type SuspectView } from '../diagnosis/suspects.ts';
import { weighing, type Weighing } from '../diagnosis/weighing.ts';
import { against } from '../holds/against.ts';
import type { Action } from '../holds/hold.ts';
import type { Judgement } from '../judge.ts';

/** What is probably wrong, what to look at next, and what the readings have against each other. Plain data. */
export interface Advice {
  readonly suspects: readonly SuspectView[];
  readonly checks: readonly RankedCheck[];
  readonly contradictions: readonly Contradiction[];
  /** By what is known, mending costs more than it is worth. */
  readonly hopeless: boolean;
  /** Readings that spoke. */
  readonly weighed: number;
}

/** Checks that travel with the advice: the rest pays for nobody’s minutes. */
const SHOWN = 18;

/** The whole advice of one survey; pure, no clock of its own. */
export function advise(j: Judgement, w: Weighing = weighing(j.context, j.findings)): Advice {
  const { context: c, holds } = j;
  const { model, belief, position } = w;
  const looks = openLooks(c, model, belief);
  const removals = new Removals(belief);
  const blocked = (action: Action): string | undefined => {
    // What is only not recorded yet is asked where the check is made; it does not hide the check.
    const hold = against(holds, action).find((h) => !h.standing);
    return hold && `held: ${hold.title.charAt(0).toLowerCase()}${hold.title.slice(1)}`;
  };
  const checks = rankChecks(c, model, belief, position, blocked, looks);
  const suspects = suspectViews(model, belief, removals, looks, w, (a) => blocked(a) !== undefined);
  // Nothing is given up for one noise: by what is known it must not be worth it, and a dear cause must be established.
  const serious = new Set(position.serious.map((i) => model.suspects[i]!.id));
  const shown = suspects.some(
    (s) => s.raised && !s.mended && s.settling === 'shows' && s.probability > 0.8 && serious.has(s.id)
  );
  const hopeless = shown && position.stops(position.going(belief.posterior));
  return {
    suspects,
    checks: checks.slice(0, SHOWN),
    contradictions: contradictions(model, belief, removals, w.passedOver),
    hopeless,
    weighed: belief.evidence.size
  };
}
