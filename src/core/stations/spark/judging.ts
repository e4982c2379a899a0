import type { Judging } from '../station.ts';
import { spoken } from '../../findings/fact.ts';
import { analyse } from './analyse.ts';
import { words } from './words.ts';

export const judging = {
  analyse: (c) => spoken('spark', analyse(c), words, c.units)
} as const satisfies Judging;
