import type { Context } from '../findings/context.ts';
import type { Finding } from '../findings/finding.ts';
import { doneAt, mendedSteps } from '../jobs/done.ts';
import { Belief } from './belief.ts';
import { curesOf, strengths } from './knowledge/shape.ts';
import { metByReading } from './met.ts';
import { TooClose } from './component.ts';
import { isAfter, latestAt } from '../units/instant.ts';
import { evidenceOf } from './evidence/index.ts';
import type { Observed } from './evidence/observed.ts';
import { modelOf, type Model } from './model.ts';
import type { Likelihood } from './network.ts';
import { moneyOf, Position, type Money } from './value.ts';

export interface Weighing {
  readonly model: Model;
  readonly belief: Belief;
  readonly position: Position;
  readonly money: Money;
  /** Suspects whose job is behind us and which nothing seen since then points to. */
  readonly mended: ReadonlySet<string>;
  /** Suspects whose job was marked done and which a sign seen after it points to: it failed, or was for another place. */
  readonly again: ReadonlySet<string>;
  /** Readings left out because too much is there at once. */
  readonly passedOver: number;
}

/** Puts the record into the network of this engine. */
export function weighing(c: Context, found: readonly Finding[]): Weighing {
  const old = kept.get(found);
  if (old) return old;
  const made = weigh(c, found);
  kept.set(found, made);
  return made;
}

/** By the findings of one judgement: advice and decision rest on the same weighing. */
const kept = new WeakMap<readonly Finding[], Weighing>();

function weigh(c: Context, found: readonly Finding[]): Weighing {
  const steps = mendedSteps(c);
  const model = modelOf(c, steps);
  const done = doneAt(c);
  const seen = evidenceOf(c, model, found, done);
  const again = seenAgain(model, seen, done);
  const mended = new Set(
    model.suspects
      .filter((s) => (metByReading(c, s.kind) || curesOf(s.kind).some((job) => steps.has(job))) && !again.has(s.id))
      .map((s) => s.id)
  );
  const money = moneyOf(c);
  const { belief, passedOver } = believe(model, new Map([...seen].map(([k, o]) => [k, o.likelihood])));
  return { model, belief, position: new Position(model, money, mended), money, mended, again, passedOver };
}

/** From this likelihood ratio a sign seen after the work counts as seen again (M). */
const SHOWN = 3;

/** Suspects with a sign of theirs, one that they often show, that was seen after the job that should have cured them. */
function seenAgain(
  model: Model,
  seen: ReadonlyMap<number, Observed>,
  done: ReadonlyMap<string, string>
): ReadonlySet<string> {
  const again = new Set<string>();
  if (!done.size) return again;
  for (const [sign, { likelihood, at }] of seen) {
    if (likelihood.present < SHOWN * likelihood.absent) continue;
    for (const { cause, strength } of model.network.signs[sign]!.causes) {
      if (strength < strengths.often) continue;
      const { id, kind } = model.suspects[cause]!;
      const marked = latestAt(curesOf(kind).flatMap((job) => (done.has(job) ? [{ at: done.get(job)! }] : [])));
      if (marked && isAfter(at, marked)) again.add(id);
    }
  }
  return again;
}

/** The last beliefs: the next one is nearly always one of them with a reading more. */
const recent: Belief[] = [];
const RECENT = 3;

/**
 * Weighs everything exactly; where so much is there at once that nobody could, the readings with the most explanations
 * are left out, a quarter at a time, until the rest can be. It is said how many.
 */
function believe(model: Model, evidence: ReadonlyMap<number, Likelihood>): { belief: Belief; passedOver: number } {
  const left = new Map(evidence);
  for (;;)
    try {
      const belief = new Belief(
        model.network,
        left,
        recent.find((b) => b.network.signs === model.network.signs)
      );
      recent.unshift(belief);
      recent.length = Math.min(recent.length, RECENT);
      return { belief, passedOver: evidence.size - left.size };
    } catch (e) {
      if (!(e instanceof TooClose)) throw e;
      const open = (s: number): number => model.network.signs[s]!.causes.length;
      const crowded = [...e.signs].sort((a, b) => open(b) - open(a));
      for (const s of crowded.slice(0, Math.ceil(crowded.length / 4))) left.delete(s);
    }
}
