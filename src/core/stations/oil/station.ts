import type { Station } from '../station.ts';
import { items } from './readings.ts';

/** Minutes warm engine oil drains, and a dipstick’s oil settles (C). */
const OIL_DRAIN = 15;
const SETTLE = 10;

export const station = {
  items,
  title: 'Engine oil',
  short: 'Oil',
  minutes: 3,
  how: [
    'Raise it so the head drains, lower it, upright and level, wait.',
    'Wipe, dip, and dip again until two dips agree.',
    'Above the mark: overfilled or diluted are told apart before anything is taken apart.'
  ],
  hazards: { before: ['waste'], during: ['hot'] },
  tools: ['rag', 'funnel'],
  anchor: 'sump',
  looksAt: 'engine',
  firstPass: ['waited', 'dip', 'look', 'smell'],
  beforeRelease: true,
  applies: (p) => p.strokes !== 'two',
  absent: 'This engine has none: a two-stroke carries its oil in the fuel.',
  waits: () => [
    { label: 'Engine oil draining', minutes: OIL_DRAIN, because: 'warm and level; what comes out is measured' },
    { label: 'Oil settling', minutes: SETTLE, because: 'then two dips that agree' }
  ]
} as const satisfies Station;
