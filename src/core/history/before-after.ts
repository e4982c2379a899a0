import type { Context } from '../findings/context.ts';
import { allItems, itemIds, type ItemId } from '../stations/items.ts';
import { roundOf } from '../record/current.ts';
import { sayValue } from '../items/check-entry.ts';
import type { Reading } from '../record/reading.ts';
import { say } from '../units/index.ts';
import { differ, estimateOf, type Estimate } from './resolvable.ts';

export type Verdict = 'better' | 'worse' | 'changed' | 'same' | 'cannot-tell' | 'not-comparable';

export interface BeforeAfter {
  readonly what: ItemId;
  readonly cylinder?: number;
  readonly label: string;
  /** With what repeats and instrument leave open: "112 ± 4 psi". */
  readonly before: string;
  readonly after: string;
  readonly changed: boolean;
  readonly verdict: Verdict;
  /** The verdict in words. */
  readonly said: string;
}

/** Which way is better; of everything else it is only said that it changed. */
const better: Partial<Record<ItemId, 1 | -1>> = {
  'compression.pressure': 1,
  'compression.leakdown': -1,
  'cooling.head': -1,
  'run.temperature': -1
};

const words: Readonly<Record<Verdict, string>> = {
  better: 'better',
  worse: 'worse',
  changed: 'changed',
  same: 'as before',
  'cannot-tell': 'cannot be told apart with this instrument',
  'not-comparable': 'taken under other conditions: not compared'
};

/** Conditions that have to be alike before two measurements are compared. */
const alike = (a: Reading, b: Reading): boolean =>
  (['throttle', 'bores', 'engine', 'stage', 'spot', 'bank'] as const).every(
    (k) => (a.conditions?.[k] ?? 'unknown') === (b.conditions?.[k] ?? 'unknown')
  ) && (a.instrument?.adapterVolume ?? 0) === (b.instrument?.adapterVolume ?? 0);

/** Every item read in more than one round: the first round beside the latest, the mean where it was repeated. */
export function beforeAfter(c: Context): BeforeAfter[] {
  return itemIds.flatMap((what) => {
    const item = allItems[what];
    const list = c.record.all(what);
    const cylinders = item.perCylinder
      ? [...new Set(list.map((r) => r.cylinder))].sort((a, b) => (a ?? 0) - (b ?? 0))
      : [undefined];
    return cylinders.flatMap((cylinder): BeforeAfter[] => {
      const mine = list.filter((r) => r.cylinder === cylinder);
      const rounds = mine.map(roundOf);
      const [first, last] = [Math.min(...rounds), Math.max(...rounds)];
      if (!mine.length || first === last) return [];
      const at = (round: number): { readings: Reading[]; said: string; estimate?: Estimate } => {
        const readings = mine.filter((r) => roundOf(r) === round);
        const numbers = readings.map((r) => r.value).filter((v) => typeof v === 'number');
        if (!numbers.length || item.kind !== 'quantity')
          return { readings, said: sayValue(item, readings.at(-1)?.value, c.units) };
        const estimate = estimateOf(readings, item.dimension);
        const spread = estimate.u > 0 ? ` ± ${say(2 * estimate.u, item.dimension, c.units).split(' ')[0]}` : '';
        const mean = sayValue(item, estimate.mean, c.units);
        // A temperature's ± is a difference: it does not shift by the zero of its scale.
        return {
          readings,
          said: item.dimension === 'temperature' || !spread ? mean : mean.replace(/^(\S+)/, `$1${spread}`),
          estimate
        };
      };
      const [before, after] = [at(first), at(last)];
      const verdict = verdictOf(what, before, after);
      return [
        {
          what,
          ...(cylinder === undefined ? {} : { cylinder }),
          label: cylinder === undefined ? item.label : `${item.label}, cylinder ${cylinder}`,
          before: before.said,
          after: after.said,
          changed: before.said !== after.said,
          verdict,
          said: words[verdict]
        }
      ];
    });
  });
}

type Side = { readonly readings: readonly Reading[]; readonly said: string; readonly estimate?: Estimate };

function verdictOf(what: ItemId, before: Side, after: Side): Verdict {
  if (!before.estimate || !after.estimate) return before.said === after.said ? 'same' : 'changed';
  if (!alike(before.readings.at(-1)!, after.readings.at(-1)!)) return 'not-comparable';
  if (!differ(before.estimate, after.estimate, before.readings.at(-1)!, after.readings.at(-1)!)) return 'cannot-tell';
  const way = better[what];
  if (!way) return 'changed';
  return Math.sign(after.estimate.mean - before.estimate.mean) === way ? 'better' : 'worse';
}
