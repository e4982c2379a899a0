import type { StationText } from '../text.ts';

export const text: StationText = {
  title: 'Look-over',
  short: 'Look',
  minutes: 10,
  how: [
    'From the cowl down and aft, before anything is touched; a twin the same on both.',
    'Gloves and mask for a nest. Squeeze and bend every hose. Wipe what is at the hub before naming it.',
    'A photograph of the identity plate, and of whatever you will want to have seen before.'
  ],
  hazards: ['chemicals', 'lift', 'leg', 'propeller']
};
