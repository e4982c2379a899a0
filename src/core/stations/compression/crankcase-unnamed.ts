import { cylindersOf, type Context } from '../../findings/context.ts';
import { isAfter } from '../../units/instant.ts';
import { boreWork } from './measure.ts';

/** Cylinders whose crankcase was found once not to hold, and nobody has put soap on it: seal, reed or joint is not known. */
export const unnamed = (c: Context): number[] =>
  cylindersOf(c).filter((cylinder) => {
    if (c.record.value('compression.crankcase', cylinder) !== 'falls') return false;
    const worked = boreWork(c);
    const seen = c.record.all('compression.crankcase', { cylinder });
    return seen.filter((r) => !worked.some((w) => isAfter(w, r.at))).length < 2;
  });
