import type { Step } from '../plan/plan.ts';
import { suspectKinds } from '../diagnosis/knowledge/index.ts';
import { moneyOf } from '../diagnosis/value.ts';
import type { Judgement } from '../judge.ts';
import { pertMean } from '../physics/pert.ts';

/** Mean price of the parts of a job, cr, over the suspects that become it; nothing where none does. */
function partsOf(step: string): number {
  const kinds = suspectKinds.filter((k) => k.step === step);
  return kinds.length ? Math.min(...kinds.map((k) => pertMean(k.parts))) : 0;
}

/** What the open jobs cost, cr: hands at the shop’s rate, and the cheapest parts that each of them asks for. */
export function establishedCost(p: Judgement & { readonly steps: readonly Step[] }): number {
  const money = moneyOf(p.context);
  return p.steps
    .filter((s) => s.state === 'open')
    .reduce((sum, s) => sum + (s.minutes / 60) * money.rate + partsOf(s.id) * money.scale, 0);
}
