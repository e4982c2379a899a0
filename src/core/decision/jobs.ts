import type { Context } from '../findings/context.ts';
import { absentParts } from './absent.ts';
import type { Weighing } from '../diagnosis/weighing.ts';
import type { Step } from '../plan/plan.ts';
import type { Job, Work } from './monte-carlo.ts';
import type { Three } from '../physics/pert.ts';

/** Suspects below this chance are left to the reserve everybody keeps (M). */
const COUNTS = 0.01;
/** What goes into any engine before it goes back: oil, washers, plugs, fuel, an hour's looks (M; demo currency). */
const SERVICE = { parts: [35, 55, 95] as Three, minutes: [45, 60, 100] as Three };

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
  const listed: Job[] = steps
    .filter((s) => s.state === 'open' && !works.has(s.id))
    .map((s) => ({
      id: s.id,
      works: [{ label: s.title, probability: 1, parts: [0, 0, 0], minutes: times([0.7, 1, 1.6], s.minutes) }]
    }));
  const service: Job = {
    id: 'service',
    works: [
      {
        label: 'service items and the gates',
        probability: 1,
        parts: times(SERVICE.parts, money.scale),
        minutes: SERVICE.minutes
      }
    ]
  };
  const missing: Job[] = absentParts(c).map(({ label, parts }) => ({
    id: label,
    works: [{ label, probability: 1, parts: times(parts, money.scale), minutes: [5, 10, 20] }]
  }));
  return [service, ...missing, ...listed, ...[...works].map(([id, list]) => ({ id, works: list }))];
}
