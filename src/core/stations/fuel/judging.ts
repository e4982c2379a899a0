import type { Judging } from '../station.ts';
import { spoken } from '../../findings/fact.ts';
import { ranWellAfter } from '../../findings/ran.ts';
import { show } from '../../units/index.ts';
import { fuelAge } from './age.ts';
import { analyse } from './analyse.ts';
import { words } from './words.ts';

export const judging = {
  analyse: (c) => spoken('fuel', analyse(c), words, c.units),
  // How old it is says nothing of what carries it, until it ran on it.
  aside: (c, { id }) => id === 'fuel.age' && !ranWellAfter(c),
  sounding: (c) => {
    const { months, assumed } = fuelAge(c);
    if (months === undefined || assumed) return undefined;
    return months > 24 ? show(months / 12, 'years', c.units) : show(months, 'months', c.units);
  }
} as const satisfies Judging;
