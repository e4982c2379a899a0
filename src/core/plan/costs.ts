import { suspectKinds } from '../diagnosis/knowledge/index.ts';
import { moneyOf, type Money } from '../diagnosis/value.ts';
import { isShortKind } from '../engine/case-kind.ts';
import type { Context } from '../findings/context.ts';
import { pertMean, type Three } from '../physics/pert.ts';
import { absentParts } from './absent.ts';
import type { Step } from './plan.ts';

/** What goes into any engine before it goes back: oil, washers, plugs, fuel, an hour's looks (M; demo currency). */
export const SERVICE = { parts: [35, 55, 95] as Three, minutes: [45, 60, 100] as Three };
/** Minutes that fitting a part which was missing on arrival takes (M). */
export const FIT_MISSING: Three = [5, 10, 20];

/** Parts of a job, cr at the size of a small engine: of the cheapest thing that it cures; nothing where it cures none by itself. */
export function partsOf(step: string): Three {
  const cheapest = suspectKinds
    .filter((k) => k.step === step)
    .toSorted((a, b) => pertMean(a.parts) - pertMean(b.parts))[0];
  return cheapest?.parts ?? [0, 0, 0];
}

/** Hands at the shop's rate, and parts at this engine's size, cr. */
const priced = (minutes: number, parts: number, money: Money): number =>
  (minutes / 60) * money.rate + parts * money.scale;

/** What jobs cost, cr: hands, and the cheapest parts that each of them asks for. */
export function costOf(c: Context, jobs: readonly Step[]): number {
  const money = moneyOf(c);
  return jobs.reduce((sum, s) => sum + priced(s.minutes, pertMean(partsOf(s.id)), money), 0);
}

/** What every engine costs that goes back: service items, and the parts that were missing on arrival, cr. A short job is billed by itself. */
export function certainCost(c: Context): number {
  if (isShortKind(c.survey.assessment.kind)) return 0;
  const money = moneyOf(c);
  return absentParts(c).reduce(
    (sum, { parts }) => sum + priced(pertMean(FIT_MISSING), pertMean(parts), money),
    priced(pertMean(SERVICE.minutes), pertMean(SERVICE.parts), money)
  );
}

/** What was put into it already by jobs that were marked done, cr. */
export const spentOn = (c: Context, steps: readonly Step[]): number =>
  costOf(
    c,
    steps.filter((s) => s.markedAt !== undefined && (s.state === 'done' || s.state === 'proved'))
  );
