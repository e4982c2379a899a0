import { isShortKind } from '../engine/case-kind.ts';
import type { Context } from '../findings/context.ts';
import type { Finding } from '../findings/finding.ts';
import { weighing, type Weighing } from '../diagnosis/weighing.ts';
import { pertMean, type Three } from '../physics/pert.ts';
import { absentParts } from './absent.ts';
import { partsOf } from './costs.ts';
import type { Step } from './plan.ts';

/** One thing that may have to be mended. cr and minutes, each low, likely, high. */
export interface Work {
  readonly label: string;
  readonly probability: number;
  readonly parts: Three;
  readonly minutes: Three;
}
/** Works that share their access: hands are paid once, for the longest of them; parts add up. */
export interface Job {
  readonly id: string;
  readonly works: readonly Work[];
}

/** What goes into any engine before it goes back: oil, washers, plugs, fuel, an hour's looks (M; demo currency). */
const SERVICE = { parts: [35, 55, 95] as Three, minutes: [45, 60, 100] as Three };
/** Minutes that fitting a part which was missing on arrival takes (M). */
const FIT_MISSING: Three = [5, 10, 20];
/** From this chance a work is called likely. */
const LIKELY = 0.5;
/** From this chance a job on the list is billed as what it probably cures: a belief that counts as established (C). */
const ESTABLISHED = 0.8;
/** Suspects below this chance are left to the reserve everybody keeps (M). */
const COUNTS = 0.01;

const times = ([a, m, b]: Three, k: number): Three => [a * k, m * k, b * k];

/**
 * Everything that may cost money: service, parts that were missing, what the job list asks for, and suspects at their chances. A short job is
 * billed by itself.
 */
export function jobsOf(c: Context, w: Weighing, steps: readonly Step[]): Job[] {
  const { model, belief, money, mended } = w;
  const works = new Map<string, Work[]>();
  model.suspects.forEach(({ kind, label, id }, i) => {
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
  // What is on the list will be done: for what it cures beyond doubt, else for what raised it, and then as cheaply as it can be.
  for (const s of open) {
    const mine = works.get(s.id)?.toSorted((a, b) => b.probability - a.probability);
    if (!mine) continue;
    const sure = mine[0]!.probability >= ESTABLISHED;
    works.set(s.id, sure ? [{ ...mine[0]!, probability: 1 }, ...mine.slice(1)] : [ownWork(s), ...mine]);
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

/** Mean price of one work, there for certain, cr. */
const priceOf = (x: Work, rate: number): number => pertMean(x.parts) + (pertMean(x.minutes) / 60) * rate;

/** What is established, and what is likely besides, cr on average: jobs on the list, and works from even odds on. */
export function billOf(
  jobs: readonly Job[],
  steps: readonly Step[],
  rate: number
): { readonly established: number; readonly likely: number } {
  const listed = new Set(steps.filter((s) => s.state === 'open').map((s) => s.id));
  let established = 0;
  let likely = 0;
  for (const job of jobs) {
    const certain = job.works.every((w) => w.probability === 1);
    const [most] = [...job.works].sort((a, b) => b.probability - a.probability);
    if (!most) continue;
    if (certain) established += job.works.reduce((sum, w) => sum + priceOf(w, rate), 0);
    else if (listed.has(job.id)) {
      const sure = priceOf(most, rate);
      established += sure;
      // What it may turn out to be costs what it costs beyond that.
      const [next] = job.works.filter((w) => w !== most).sort((a, b) => b.probability - a.probability);
      if (next && next.probability >= LIKELY) likely += next.probability * Math.max(0, priceOf(next, rate) - sure);
    } else if (most.probability >= LIKELY) likely += most.probability * priceOf(most, rate);
  }
  return { established, likely };
}

/** What is established of an engine as it is judged, cr: the one sum that the owner's word is held against. */
export function establishedCost(c: Context, found: readonly Finding[], steps: readonly Step[]): number {
  const w = weighing(c, found);
  return billOf(jobsOf(c, w, steps), steps, w.money.rate).established;
}
