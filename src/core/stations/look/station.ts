import { spoken } from '../../findings/fact.ts';
import type { Station } from '../station.ts';
import { analyse } from './analyse.ts';
import { items } from './readings.ts';
import { words } from './words.ts';

export const station = {
  items,
  title: 'Look-over',
  short: 'Look',
  minutes: 10,
  how: [
    'From the cowl down and aft, before anything is touched; a twin the same on both.',
    'Gloves and mask for a nest. Squeeze and bend every hose. Wipe what is at the hub before naming it.',
    'A photograph of the identity plate, and of whatever you will want to have seen before.'
  ],
  hazards: { before: ['chemicals', 'lift', 'leg', 'propeller'], during: [] },
  tools: ['light', 'gloves'],
  anchor: 'cowl side',
  looksAt: 'engine',
  analyse: (c) => spoken('look', analyse(c), words, c.units)
} as const satisfies Station;
