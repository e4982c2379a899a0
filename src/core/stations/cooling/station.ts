import type { Station } from '../station.ts';
import { items } from './readings.ts';

export const station = {
  items,
  title: 'Cooling',
  short: 'Cool',
  minutes: 12,
  how: [
    'Screens, outlet and its line, then the age of the impeller.',
    'Say what water it will run on; the source caps the throttle.',
    'A weak stream is the outlet or its line until the temperature says otherwise.'
  ],
  hazards: { before: ['leg'], during: ['hot', 'eyes', 'propeller'] },
  tools: ['light', 'soft wire', 'bucket or muffs'],
  anchor: 'water intake',
  looksAt: 'engine',
  firstPass: ['screen', 'strainer', 'source', 'impellerAge', 'opened'],
  beforeRelease: true
} as const satisfies Station;
