import type { StationText } from '../text.ts';

export const text: StationText = {
  title: 'Make it safe',
  short: 'Safe',
  minutes: 10,
  how: [
    'Stand rated for the weight, leg locked, two people for a large cowl.',
    'Stop lanyard out, battery off, propeller clear; off on a direct-drive engine.',
    'Say where it will run and what the weather will do: later judgements need both.'
  ],
  hazards: ['lift', 'leg', 'propeller', 'battery', 'carbon-monoxide']
};
