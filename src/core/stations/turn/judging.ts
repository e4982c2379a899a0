import type { Judging } from '../station.ts';
import { spoken } from '../../findings/fact.ts';
import { kindOf } from '../../findings/finding.ts';
import { ranWellAfter } from '../../findings/ran.ts';
import { analyse } from './analyse.ts';
import { words } from './words.ts';

/** Good, and no word on whether it turns. */
const parts: ReadonlySet<string> = new Set(['turn.depths', 'turn.belt', 'turn.shifts']);

export const judging = {
  analyse: (c) => spoken('turn', analyse(c), words, c.units),
  // That it turns is felt by hand, or seen in a run that settled.
  aside: (c, { id }) => parts.has(kindOf(id)) && !ranWellAfter(c)
} as const satisfies Judging;
