import type { Station } from '../station.ts';
import { items } from './readings.ts';

export const station = {
  items,
  title: 'Plugs',
  short: 'Plugs',
  minutes: 8,
  how: [
    'Blow the seats clean, then out, kept in cylinder order; read each one and measure its gap.',
    'Look into the hole with a light, for water or debris, before anything spins.',
    'Oil in the bores by house rule, the amount noted: oil is volume and raises every reading after it.',
    'Only now the starter: stop circuit safe, propeller clear, last battery connection away from fuel vapour.'
  ],
  hazards: { before: ['vapour', 'battery'], during: ['backfire', 'propeller'] },
  tools: ['plug wrench', 'plug tray', 'gap gauge'],
  anchor: 'plug',
  acts: { volts: 'crank', rpm: 'crank', starterCircuit: 'crank', starterDirect: 'crank' },
  looksAt: 'engine',
  coloursCylinders: true
} as const satisfies Station;
