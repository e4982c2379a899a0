import type { StationText } from '../text.ts';

export const text: StationText = {
  title: 'Fuel',
  short: 'Fuel',
  minutes: 8,
  how: [
    'Look into the tank first. Then a sample in a clear jar, left to stand.',
    'Old fuel never goes through the engine; small tanks and bowls are emptied, not diluted.',
    'Squeeze the bulb: firm and holds, soft, or sucked flat each point somewhere.'
  ],
  hazards: ['vapour', 'fuel-pressure', 'waste']
};
