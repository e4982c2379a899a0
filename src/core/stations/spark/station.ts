import type { Station } from '../station.ts';
import { items } from './readings.ts';

export const station = {
  items,
  title: 'Spark',
  short: 'Spark',
  minutes: 5,
  again: 'Look at the spark again',
  how: [
    'Lanyard in, switch to run. Tester to clean metal, one cylinder at a time, in shade.',
    'Every other lead grounded; coil on plug: unplug the primaries and stop the injectors instead.',
    'Note the cranking speed: some electronic ignitions give nothing below a minimum.'
  ],
  hazards: { before: ['vapour'], during: ['high-voltage', 'flywheel'] },
  tools: ['spark tester', 'meter', 'ground leads'],
  anchor: 'plug lead',
  act: 'crank',
  acts: { result: 'crank', gap: 'crank' },
  looksAt: 'engine',
  coloursCylinders: true,
  usualConditions: () => ({ path: 'tester', light: 'shade' })
} as const satisfies Station;
