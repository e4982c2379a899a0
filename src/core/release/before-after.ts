import type { Context } from '../judgement.ts';
import { allItems, itemIds, type ItemId } from '../stations/items.ts';
import { roundOf } from '../survey/current.ts';
import { sayValue } from '../survey/check-entry.ts';

export interface BeforeAfter {
  readonly what: ItemId;
  readonly cylinder?: number;
  readonly label: string;
  readonly before: string;
  readonly after: string;
  readonly changed: boolean;
}

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
      const at = (round: number): string => {
        const values = mine.filter((r) => roundOf(r) === round).map((r) => r.value);
        const numbers = values.filter((v) => typeof v === 'number');
        const value = numbers.length ? numbers.reduce((a, b) => a + b, 0) / numbers.length : values.at(-1);
        return sayValue(item, value, c.units);
      };
      const [before, after] = [at(first), at(last)];
      return [
        {
          what,
          ...(cylinder === undefined ? {} : { cylinder }),
          label: cylinder === undefined ? item.label : `${item.label}, cylinder ${cylinder}`,
          before,
          after,
          changed: before !== after
        }
      ];
    });
  });
}
