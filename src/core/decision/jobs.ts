import { isShortKind } from '../engine/case-kind.ts';
import type { Context } from '../findings/context.ts';
import { absentParts } from '../plan/absent.ts';
import { FIT_MISSING, partsOf, SERVICE } from '../plan/costs.ts';
import type { Weighing } from '../diagnosis/weighing.ts';
import type { Step } from '../plan/plan.ts';
import type { Job, Work } from './monte-carlo.ts';
import type { Three } from '../physics/pert.ts';

/** From this chance a work is called likely. */
export const LIKELY = 0.5;
/** Suspects below this chance are left to the reserve everybody keeps (M). */
const COUNTS = 0.01;

const times = ([a, m, b]: Three, k: number): Three => [a * k, m * k, b * k];

/** Everything that may cost money: service, what the job list asks for, and suspects at their chances. */
export function jobsOf(c: Context, w: Weighing, steps: readonly Step[]): Job[] {
  const { model, belief, money, mended } = w;
  const works = new Map<string, Work[]>();
  const has = new Set<string>();
  model.suspects.forEach(({ kind, label, id }, i) => {
    if (kind.step) has.add(kind.step);
    const probability = belief.posterior[i]!;
    if (kind.artefact || probability < COUNTS || mended.has(id)) return;
    const job = kind.step ?? id;
    const work = { label, probability, parts: times(kind.parts, money.scale), minutes: kind.minutes as Three };
    works.set(job, [...(works.get(job) ?? []), work]);
  });
  const open = steps.filter((s) => s.state === 'open');
  const ownWork = (s: Step): Work => ({
    label: s.title,
    probability: 1,
    parts: times(partsOf(s.id), money.scale),
    minutes: times([0.7, 1, 1.6], s.minutes)
  });
  // What is on the list will be done: for what it probably cures, else for what raised it, and then as cheaply as it can be.
  for (const s of open) {
    const mine = works.get(s.id)?.toSorted((a, b) => b.probability - a.probability);
    if (!mine) continue;
    const likely = mine[0]!.probability >= LIKELY;
    works.set(s.id, likely ? [{ ...mine[0]!, probability: 1 }, ...mine.slice(1)] : [ownWork(s), ...mine]);
  }
  const listed: Job[] = open.filter((s) => !works.has(s.id)).map((s) => ({ id: s.id, works: [ownWork(s)] }));
  const short = isShortKind(c.survey.assessment.kind);
  const service: Job = {
    id: 'service',
    works: [
      {
        label: 'service items and the gates',
        probability: 1,
        parts: times(SERVICE.parts, short ? 0 : money.scale),
        minutes: times(SERVICE.minutes, short ? 0 : 1)
      }
    ]
  };
  const missing: Job[] = (short ? [] : absentParts(c)).map(({ label, parts }) => ({
    id: label,
    works: [{ label, probability: 1, parts: times(parts, money.scale), minutes: FIT_MISSING }]
  }));
  return [service, ...missing, ...listed, ...[...works].map(([id, list]) => ({ id, works: list }))];
}
