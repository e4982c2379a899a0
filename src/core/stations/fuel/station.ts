import { spoken } from '../../findings/fact.ts';
import { show } from '../../units/index.ts';
import { fuelAge } from './age.ts';
import type { Station } from '../station.ts';
import { analyse } from './analyse.ts';
import { items } from './readings.ts';
import { words } from './words.ts';

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
  waits: () => [{ label: 'Jar standing', minutes: JAR, because: 'water settles below; cloudy fuel shows its layer' }],
  analyse: (c) => spoken('fuel', analyse(c), words, c.units),
  sounding: (c) => {
    const { months, assumed } = fuelAge(c);
    if (months === undefined || assumed) return undefined;
    return months > 24 ? show(months / 12, 'years', c.units) : show(months, 'months', c.units);
  }
} as const satisfies Station;
