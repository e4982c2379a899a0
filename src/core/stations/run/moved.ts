import type { Context } from '../../findings/context.ts';
import { isAfter } from '../../units/instant.ts';

/** What is changed over with a neighbour’s, on an engine that runs on the others. */
export const swapItems = { plug: 'spark.plugSwap', lead: 'spark.leadSwap', coil: 'spark.coilSwap' } as const;
export type SwappedPart = keyof typeof swapItems;

/** The part with which the fault of a cylinder that does no work went over to its neighbour; nothing once work was done on it. */
export function movedWith(c: Context, cylinder: number): SwappedPart | undefined {
  const drop = c.record.last('run.drop', cylinder);
  if (drop?.value !== 'same') return undefined;
  const worked = (['spark', 'plugs'] as const).flatMap((s) => c.worked(s));
  return (Object.keys(swapItems) as SwappedPart[]).find((part) => {
    const swap = c.record.last(swapItems[part]);
    if (swap?.value !== 'moves' || !isAfter(swap.at, drop.at)) return false;
    return !worked.some((at) => isAfter(at, swap.at));
  });
}
