import type { Station } from '../station.ts';
import { items } from './readings.ts';

/** Minutes a jar sample stands (C). */
const JAR = 15;

export const station = {
  items,
  title: 'Fuel',
  short: 'Fuel',
  minutes: 8,
  how: [
    'Look into the tank first. Then a sample in a clear jar, left to stand.',
    'Old fuel never goes through the engine; small tanks and bowls are emptied, not diluted.',
    'Squeeze the bulb: firm and holds, soft, or sucked flat each point somewhere.'
  ],
  hazards: { before: ['vapour', 'waste'], during: ['fuel-pressure'] },
  tools: ['clear jar', 'siphon', 'labelled can'],
  anchor: 'fuel line',
  looksAt: 'engine',
  firstPass: ['level', 'kind', 'age', 'jar', 'vent', 'bulb', 'tank', 'line', 'bowl'],
  beforeRelease: true,
  waits: () => [{ label: 'Jar standing', minutes: JAR, because: 'water settles below; cloudy fuel shows its layer' }]
} as const satisfies Station;
