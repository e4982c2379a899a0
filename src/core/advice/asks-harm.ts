import { cylindersOf } from '../findings/context.ts';
import { askedAfter } from '../findings/asked-after.ts';
import { harmedAt } from '../stations/run/overheated.ts';
import { look, repeat, type Asks, type AskRule } from './ask.ts';

/** A run did the cylinders harm, or may have: what was read before it is how they were. */
const readAgain: AskRule = look(
  (c) => {
    const whose = cylindersOf(c).length === 1 ? '' : ' of every cylinder';
    return c.record.all('compression.pressure').length
      ? `Compression${whose} once more, beside what it was`
      : `Compression${whose}, after what that run may have done`;
  },
  ['compression.pressure'],
  12,
  { open: () => true }
);

/** What a run that was too hot, or without oil, asks of the cylinders. C: common practice. */
export const harmAsks: Asks = {
  'compression.overheated': [readAgain],
  'compression.ran-dry': [
    repeat('Turned by hand: does it drag?', 'turn', 2, {
      items: ['turn.result', 'turn.feel'],
      open: (c) => {
        const ran = harmedAt(c).at(-1);
        return ran !== undefined && !askedAfter(c, 'turn.result', ran);
      }
    }),
    readAgain
  ]
};
