import type { StationText } from '../text.ts';

export const text: StationText = {
  title: 'Compression',
  short: 'Compr.',
  minutes: 8,
  how: [
    'All plugs out, leads safe, throttle wide open, until the needle stops rising.',
    'Every cylinder under like conditions, in one order, then in reverse.',
    'Doubt a low reading first: repeat it, throttle really open, good battery, without the adapter.'
  ],
  hazards: ['vapour', 'high-voltage', 'flywheel', 'propeller']
};
