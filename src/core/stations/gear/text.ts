import type { StationText } from '../text.ts';

export const text: StationText = {
  title: 'Gear oil',
  short: 'Gear',
  minutes: 20,
  how: [
    'Upright a while, then the lower plug a crack: free water comes first.',
    'Then the vent, and let it drain, longer in the cold. Measure what came out.',
    'Wipe the magnet and look. Refill from the lowest plug, bubble-free, one fresh washer a plug.'
  ],
  hazards: ['waste', 'propeller', 'leg', 'air']
};
