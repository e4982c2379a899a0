import type { StationText } from '../text.ts';

export const text: StationText = {
  title: 'Cooling',
  short: 'Cool',
  minutes: 12,
  how: [
    'Screens, outlet and its line, then the age of the impeller.',
    'Say what water it will run on; the source caps the throttle.',
    'A weak stream is the outlet or its line until the temperature says otherwise.'
  ],
  hazards: ['leg', 'hot', 'eyes', 'propeller']
};
