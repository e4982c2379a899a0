import type { ItemId } from '../stations/items.ts';
import { isAfter } from '../units/instant.ts';
import { asked, job, look, type AskRule } from './ask.ts';

/** Emptied, where water was seen in it: seen once more before it counts as clean. */
export const onceMore = (
  title: string,
  items: readonly ItemId[],
  place: 'fuel.bowl' | 'fuel.line',
  minutes: number
): AskRule =>
  look(title, items, minutes, {
    open: (c) => {
      const seen = c.record.last(items[0]!);
      if (!seen || !asked(c, items[0]!)) return true;
      return c.record.all(place).some((r) => (r.value === 'drained' || r.value === 'fresh') && isAfter(r.at, seen.at));
    }
  });
/** Water where the jets draw comes with the fuel: that is drained, and then the bowl is looked into once more. */
export const drained: readonly AskRule[] = [
  onceMore('Bowl off once more: dry, and its jets seen through', ['fuel.bowlLook', 'fuel.jets'], 'fuel.bowl', 15),
  job('fuel-drain')
];
