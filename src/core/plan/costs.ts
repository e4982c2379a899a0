import { suspectKinds } from '../diagnosis/knowledge/index.ts';
import { moneyOf } from '../diagnosis/value.ts';
import type { Context } from '../findings/context.ts';
import { pertMean, type Three } from '../physics/pert.ts';
import type { Step } from './plan.ts';

/** Parts of a job, cr at the size of a small engine: of the cheapest thing that it cures; nothing where it cures none by itself. */
export function partsOf(step: string): Three {
  const cheapest = suspectKinds
    .filter((k) => k.step === step)
    .toSorted((a, b) => pertMean(a.parts) - pertMean(b.parts))[0];
  return cheapest?.parts ?? [0, 0, 0];
}

/** What jobs cost, cr: hands, and the cheapest parts that each of them asks for. */
export function costOf(c: Context, jobs: readonly Step[]): number {
  const money = moneyOf(c);
  return jobs.reduce((sum, s) => sum + (s.minutes / 60) * money.rate + pertMean(partsOf(s.id)) * money.scale, 0);
}

/** What was put into it already by jobs that were marked done, cr. */
export const spentOn = (c: Context, steps: readonly Step[]): number =>
  costOf(
    c,
    steps.filter((s) => s.markedAt !== undefined && (s.state === 'done' || s.state === 'proved'))
  );
