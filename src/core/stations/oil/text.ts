import type { StationText } from '../text.ts';

export const text: StationText = {
  title: 'Engine oil',
  short: 'Oil',
  minutes: 3,
  how: [
    'Raise it so the head drains, lower it, upright and level, wait.',
    'Wipe, dip, and dip again until two dips agree.',
    'Above the mark: overfilled or diluted are told apart before anything is taken apart.'
  ],
  hazards: ['waste', 'hot']
};
