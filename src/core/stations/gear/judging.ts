import type { Judging } from '../station.ts';
import { spoken } from '../../findings/fact.ts';
import { known } from '../../engine/profile.ts';
import { show } from '../../units/index.ts';
import { analyse } from './analyse.ts';
import { words } from './words.ts';

export const judging = {
  analyse: (c) => spoken('gear', analyse(c), words, c.units),
  sounding: (c) => {
    const drained = known(c.record.value('gear.drained'));
    return drained === undefined ? undefined : show(drained, 'volume', c.units);
  }
} as const satisfies Judging;
