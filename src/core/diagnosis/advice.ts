import { against, type Action } from '../holds/index.ts';
import type { Judgement } from '../judge.ts';
import type { Context } from '../judgement.ts';
import { doneAt, mendedSteps } from '../plan/done.ts';
import { nextCheck, type NextCheck } from '../plan/next-check.ts';
import type { Finding } from '../survey/finding.ts';
import { Belief } from './belief.ts';
import { TooClose } from './component.ts';
import { contradictions, type Contradiction } from './contradictions.ts';
import { evidenceOf } from './evidence/index.ts';
import { modelOf, type Model } from './model.ts';
import type { Likelihood } from './network.ts';
import { openLooks, rankChecks, type RankedCheck } from './ranking.ts';
import { Removals, suspectViews, type SuspectView } from './suspects.ts';
import { moneyOf, Position, type Money } from './value.ts';

/** What is probably wrong, what to look at next, and what the readings have against each other. Plain data. */
export interface Advice {
  readonly suspects: readonly SuspectView[];
  readonly checks: readonly RankedCheck[];
  readonly contradictions: readonly Contradiction[];
  readonly next: NextCheck | undefined;
  /** By what is known, mending costs more than it is worth. */
  readonly hopeless: boolean;
  /** Readings that spoke. */
  readonly weighed: number;
}

export interface Weighing {
  readonly model: Model;
  readonly belief: Belief;
  readonly position: Position;
  readonly money: Money;
  readonly mended: ReadonlySet<string>;
  /** Readings left out because too much is there at once. */
  readonly passedOver: number;
}

/** Puts the record into the network of this engine. */
export function weighing(c: Context, found: readonly Finding[]): Weighing {
  const mended = mendedSteps(c);
  const model = modelOf(c, mended);
  const seen = evidenceOf(c, model, found, doneAt(c));
  const money = moneyOf(c);
  const { belief, passedOver } = believe(model, new Map([...seen].map(([k, o]) => [k, o.likelihood])));
  return { model, belief, position: new Position(model, money, mended), money, mended, passedOver };
}

/**
 * Weighs everything exactly; where so much is there at once that nobody could, the readings with the most explanations
 * are left out, a quarter at a time, until the rest can be. It is said how many.
 */
function believe(model: Model, evidence: ReadonlyMap<number, Likelihood>): { belief: Belief; passedOver: number } {
  const left = new Map(evidence);
  for (;;)
    try {
      return { belief: new Belief(model.network, left), passedOver: evidence.size - left.size };
    } catch (e) {
      if (!(e instanceof TooClose)) throw e;
      const open = (s: number): number => model.network.signs[s]!.causes.length;
      const crowded = [...e.signs].sort((a, b) => open(b) - open(a));
      for (const s of crowded.slice(0, Math.ceil(crowded.length / 4))) left.delete(s);
    }
}

/** Checks that travel with the advice: the rest pays for nobody’s minutes. */
const SHOWN = 18;

/** The whole advice of one survey; pure, no clock of its own. */
export function advise(j: Judgement, w: Weighing = weighing(j.context, j.findings)): Advice {
  const { context: c, holds } = j;
  const { model, belief, position, mended } = w;
  const looks = openLooks(c, model, belief);
  const removals = new Removals(belief);
  const blocked = (action: Action): string | undefined => {
    // What is only not recorded yet is asked where the check is made; it does not hide the check.
    const hold = against(holds, action).find((h) => !h.standing);
    return hold && `held: ${hold.title.charAt(0).toLowerCase()}${hold.title.slice(1)}`;
  };
  const checks = rankChecks(c, model, belief, position, blocked, looks);
  const hopeless = position.stops(position.going(belief.posterior));
  const states = Object.fromEntries(j.stations.map((s) => [s.id, s.condition]));
  return {
    suspects: suspectViews(model, belief, removals, looks, mended),
    checks: checks.slice(0, SHOWN),
    contradictions: contradictions(model, belief, removals, w.passedOver),
    next: nextCheck(c.survey.engine.profile, states, holds, checks, hopeless),
    hopeless,
    weighed: belief.evidence.size
  };
}
