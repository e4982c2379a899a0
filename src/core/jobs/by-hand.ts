import type { ItemId } from '../items/register.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { byTime, isAfter } from '../units/instant.ts';
import type { DoneWork } from './done-work.ts';
import { jobOf, type JobId } from './register.ts';

interface ByHand {
  readonly item: ItemId;
  /** What it was at the look before; empty where the answer itself tells that it was so and is no more. */
  readonly from: readonly string[];
  readonly to: readonly string[];
  /** The job that it is, where it is one; else what it changes. */
  readonly job?: JobId;
  readonly proof?: DoneWork['proof'];
  /** What was entered between the two looks that is the work; without it they only disagree. */
  readonly by?: ItemId;
}

/** What is put right by hand as soon as it is seen, and told as it is then: nobody ticks a job for an opened vent (C). */
const byHand: readonly ByHand[] = [
  { item: 'fuel.vent', from: ['closed', 'blocked'], to: ['open'], job: 'fuel-open' },
  { item: 'fuel.shutoff', from: ['closed', 'stuck'], to: ['open'], job: 'fuel-open' },
  { item: 'fuel.level', from: ['empty'], to: ['some', 'full'], job: 'fuel-fill' },
  { item: 'cooling.outlet', from: ['shut'], to: ['clear'], job: 'outlet', proof: jobOf('outlet').proof },
  { item: 'cooling.outlet', from: [], to: ['blocked'], job: 'outlet', proof: jobOf('outlet').proof },
  // By the tally, until it stands between the marks.
  { item: 'oil.dip', from: ['below', 'none'], to: ['between'], job: 'oil-level', by: 'oil.poured' },
  { item: 'oil.dip', from: ['above'], to: ['between'], job: 'oil-level', by: 'oil.drained' },
  // Out, it stopped every cylinder; what was read of each coil and lead is as it was.
  { item: 'spark.lanyard', from: ['no'], to: ['yes'], proof: { station: 'spark', reads: ['spark.result'] } }
];

export interface DoneByHand extends DoneWork {
  readonly job?: JobId;
}

const kept = new WeakMap<SurveyFile['readings'], readonly DoneByHand[]>();

/** What the readings themselves tell as put right by hand: bad, and good at the next look that told anything. */
export function doneByHand({ readings }: SurveyFile): readonly DoneByHand[] {
  const old = kept.get(readings);
  if (old) return old;
  const made = changedByHand(readings);
  kept.set(readings, made);
  return made;
}

const items: ReadonlySet<string> = new Set(byHand.map((h) => h.item));

function changedByHand(readings: SurveyFile['readings']): DoneByHand[] {
  const mine = readings.filter((r) => items.has(r.what) && !r.withdrawn && r.value !== 'unknown').sort(byTime);
  return byHand.flatMap(({ item, from, to, job, proof, by }) => {
    const told = mine.filter((r) => r.what === item);
    return told.flatMap((r, k): DoneByHand[] => {
      const before = told[k - 1];
      const was = from.length ? before && from.includes(String(before.value)) : before?.value !== r.value;
      if (!was || !to.includes(String(r.value))) return [];
      const work = readings.findLast(
        (x) =>
          x.what === by && !x.withdrawn && x.value !== 'unknown' && !isAfter(before!.at, x.at) && !isAfter(x.at, r.at)
      );
      if (by && !work) return [];
      return [
        { at: work?.at ?? r.at, proof: proof ?? { station: jobOf(job!).proof.station }, ...(job ? { job } : {}) }
      ];
    });
  });
}
