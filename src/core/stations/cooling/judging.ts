import type { Judging } from '../station.ts';
import { spoken } from '../../findings/fact.ts';
import { show } from '../../units/index.ts';
import { analyse } from './analyse.ts';
import { lastSeen } from './seen.ts';
import { words } from './words.ts';

export const judging = {
  analyse: (c) => spoken('cooling', analyse(c), words, c.units),
  sounding: (c) => {
    const t = lastSeen(c).head;
    return t === undefined ? undefined : show(t, 'temperature', c.units);
  }
} as const satisfies Judging;
