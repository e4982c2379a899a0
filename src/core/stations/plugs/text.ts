import type { StationText } from '../text.ts';

export const text: StationText = {
  title: 'Plugs',
  short: 'Plugs',
  minutes: 8,
  how: [
    'Blow the seats clean, then out, kept in cylinder order; read each one and measure its gap.',
    'Look into the hole with a light, for water or debris, before anything spins.',
    'Oil in the bores by house rule, the amount noted: oil is volume and raises every reading after it.',
    'Only now the starter: stop circuit safe, propeller clear, last battery connection away from fuel vapour.'
  ],
  hazards: ['vapour', 'backfire', 'battery', 'propeller']
};
