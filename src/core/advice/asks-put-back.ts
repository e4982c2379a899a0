import { LASHES } from '../stations/compression/lash.ts';
import { askedSinceApart } from '../findings/apart-since.ts';
import type { Context } from '../findings/context.ts';
import type { ItemId } from '../stations/items.ts';
import { goOn, look, repeat, type Asks } from './ask.ts';

const SHIFT: readonly ItemId[] = ['turn.neutral', 'turn.forward', 'turn.reverse'];
const READ: readonly ItemId[] = ['compression.pressure', 'compression.pulls', 'compression.leakdown'];

/** Not asked since it was put together; asked once and not told, it stays a doubt, and is not asked again by itself. */
const unasked =
  (items: readonly ItemId[]) =>
  (c: Context): boolean =>
    !askedSinceApart(c, items);

/** What was taken apart and put together again: tried again before it is trusted, where the good reading is from before. */
export const putBackAsks: Asks = {
  'turn.leg-was-off': [
    look('Shift through by hand, the leg back on', SHIFT, 2, {
      only: ['cannot-tell'],
      late: 'start',
      open: (c) => SHIFT.some((item) => unasked([item])(c))
    })
  ],
  // Before anything cranks it.
  'turn.belt-was-off': [
    repeat('Timing belt: two turns by hand, marks in line', 'turn', 10, {
      items: ['turn.belt'],
      open: unasked(['turn.belt'])
    })
  ],
  'compression.lash-before': [
    goOn('Valve lash, the head back on', 'compression', 20, { items: LASHES, open: unasked(LASHES) })
  ],
  'compression.head-was-off': [
    goOn('Compression of every cylinder, the head back on', 'compression', 12, {
      items: ['compression.pressure'],
      needs: 'crank',
      open: (c, f) => {
        const { cylinders } = f.values as { readonly cylinders: readonly number[] };
        return cylinders.some((cylinder) => !askedSinceApart(c, READ, { cylinder }));
      }
    })
  ]
};
