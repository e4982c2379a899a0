import type { Station } from '../station.ts';
import { items } from './readings.ts';

export const station = {
  items,
  title: 'Make it safe',
  short: 'Safe',
  minutes: 10,
  how: [
    'Stand rated for the weight, leg locked, two people for a large cowl.',
    'Stop lanyard out, battery off, propeller clear; off on a direct-drive engine.',
    'Say where it will run and what the weather will do: later judgements need both.'
  ],
  hazards: { before: ['lift', 'leg', 'propeller', 'battery', 'carbon-monoxide'], during: [] },
  tools: ['chock', 'rag'],
  anchor: 'cowl top',
  looksAt: 'surroundings',
  firstPass: ['lanyard', 'battery', 'propeller', 'secured', 'place'],
  first: 'Before a hand goes near it: lanyard, battery, propeller, stand.'
} as const satisfies Station;
