import type { Station } from '../station.ts';
import { items } from './readings.ts';

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
  looksAt: 'engine'
} as const satisfies Station;
