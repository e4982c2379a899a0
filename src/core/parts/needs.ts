import { addUp, supplyIds, supplyOf, type SupplyId, type SupplyNeed } from '../care/supplies.ts';
import type { Engine } from '../engine/engine.ts';
import { isJobId, jobOf, type JobId } from '../jobs/register.ts';
import type { JobRule } from '../jobs/job.ts';
import type { Step } from '../plan/plan.ts';
import type { PartLine } from '../record/work.ts';
import { lineKey } from './lines.ts';

/** What the jobs call a supply, and how many fills of it they take. */
export const supplyNames: ReadonlyMap<string, { readonly supply: SupplyId; readonly fills?: number }> = new Map([
  ['engine oil', { supply: 'engineOil' }],
  ['engine oil for three changes', { supply: 'engineOil', fills: 3 }],
  ['oil filter', { supply: 'oilFilter' }],
  ['gear oil', { supply: 'gearOil' }],
  ['plug washers', { supply: 'plugWashers' }],
  ['spark plugs', { supply: 'sparkPlugs' }]
]);

/** What one engine's open work takes of a supply, m³ or pieces; without an amount nobody knows how much. */
export interface EngineNeed {
  readonly supply: SupplyId;
  readonly amount?: number;
}

/** Nobody buys what is here already, or not wanted. */
const settled = (lines: readonly PartLine[], step: string, name: string): boolean =>
  lines.some((l) => l.key === lineKey(step, name) && (l.state === 'arrived' || l.state === 'not-needed'));

/**
 * What the open work of one engine takes of what is bought by the bottle or the set. Two jobs that fill the same thing fill it once: the
 * one that takes more counts.
 */
export function suppliesOf(
  engine: Engine,
  steps: readonly Pick<Step, 'id' | 'state' | 'cylinders'>[],
  lines: readonly PartLine[]
): EngineNeed[] {
  const most = new Map<SupplyId, number | undefined>();
  for (const s of steps) {
    if (s.state !== 'open' || !isJobId(s.id)) continue;
    const rule: JobRule = jobOf(s.id as JobId);
    for (const name of [...(rule.parts ?? []), ...(rule.consumables ?? [])]) {
      const named = supplyNames.get(name);
      if (!named || settled(lines, s.id, name)) continue;
      const { supply, fills = 1 } = named;
      const whole =
        supply === 'sparkPlugs' && s.cylinders?.length ? s.cylinders.length : supplyOf(supply).amount(engine);
      const amount = whole === undefined ? undefined : whole * fills;
      const before = most.get(supply);
      most.set(supply, before === undefined ? amount : Math.max(before, amount ?? 0));
    }
  }
  return [...most].map(([supply, amount]) => ({ supply, ...(amount === undefined ? {} : { amount }) }));
}

/** What all of them take together, in the order of the supplies. */
export const addUpAll = (needs: readonly EngineNeed[]): SupplyNeed[] =>
  supplyIds.flatMap((supply) =>
    addUp(
      supply,
      needs.filter((n) => n.supply === supply).map((n) => n.amount)
    )
  );
