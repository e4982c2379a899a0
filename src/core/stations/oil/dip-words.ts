import { say } from '../../units/index.ts';
import type { Dip, Mark } from './position.ts';

export const markWords: Readonly<Record<Mark, string>> = {
  below: 'below the low mark',
  above: 'above the high mark',
  none: 'off the stick',
  between: 'between the marks'
};

/** "4 mm over the low mark" or the mark's words. */
export const sayDip = (d: Dip): string =>
  d.at === undefined
    ? markWords[d.mark]
    : `${say(Math.abs(d.at), 'level', 'metric')} ${d.at < 0 ? 'under' : 'over'} the low mark`;
