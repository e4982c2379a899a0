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

/** Mean price of the parts of a job, cr, over the suspects that become it; nothing where none does. */
function partsOf(step: string): number {
  const kinds = suspectKinds.filter((k) => k.step === step);
  return kinds.length ? Math.min(...kinds.map((k) => pertMean(k.parts))) : 0;
}

/** Hands at the shop's rate, and parts at this engine's size, cr. */
const priced = (minutes: number, parts: number, money: Money): number =>
  (minutes / 60) * money.rate + parts * money.scale;

/** What jobs cost, cr: hands, and the cheapest parts that each of them asks for. */
export function costOf(c: Context, jobs: readonly Step[]): number {
  const money = moneyOf(c);
  return jobs.reduce((sum, s) => sum + priced(s.minutes, partsOf(s.id), money), 0);
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
