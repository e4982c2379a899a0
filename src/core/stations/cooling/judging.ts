import type { Judging } from '../station.ts';
import { spoken } from '../../findings/fact.ts';
import { show } from '../../units/index.ts';
import { kindOf } from '../../findings/finding.ts';
import { ranWellAfter } from '../../findings/ran.ts';
import { analyse, pumpingSince } from './analyse.ts';
import { lastSeen } from './seen.ts';
import { words } from './words.ts';

const parts: ReadonlySet<string> = new Set(['cooling.screen', 'cooling.source', 'cooling.thermostat']);

export const judging = {
  analyse: (c) => spoken('cooling', analyse(c), words, c.units),
  // Water that comes is seen in the stream, the head, the drill or the open pump, and in a run that settled.
  aside: (c, { id }) =>
    !ranWellAfter(c) && (parts.has(kindOf(id)) || (id === 'cooling.pump-young' && !pumpingSince(c))),
  sounding: (c) => {
    const t = lastSeen(c).head;
    return t === undefined ? undefined : show(t, 'temperature', c.units);
  }
} as const satisfies Judging;
