import type { Judging } from '../station.ts';
import { known } from '../../engine/profile.ts';
import { spoken } from '../../findings/fact.ts';
import { show } from '../../units/index.ts';
import { analyse } from './analyse.ts';
import { words } from './words.ts';

export const judging = {
  analyse: (c) => spoken('run', analyse(c), words, c.units),
  // A run is sound by how it ended.
  aside: (_, { id }) => id !== 'run.ran',
  sounding: (c) => {
    const minutes = known(c.record.value('run.minutes'));
    return minutes === undefined ? undefined : show(minutes, 'minutes', c.units);
  }
} as const satisfies Judging;
