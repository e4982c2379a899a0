import type { Judging } from '../station.ts';
import { spoken } from '../../findings/fact.ts';
import { analyse } from './analyse.ts';
import { words } from './words.ts';

export const judging = {
  analyse: (c) => spoken('spark', analyse(c), words, c.units),
  // Windings and timing are of what makes the spark; it is sound when it was seen at every cylinder.
  aside: (_, { id }) => id !== 'spark.good'
} as const satisfies Judging;
