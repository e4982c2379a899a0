import type { StationText } from '../text.ts';

export const text: StationText = {
  title: 'First run',
  short: 'Run',
  minutes: 20,
  how: [
    'Outdoors, water on and checked, extinguisher at hand. On muffs: idle only.',
    'Stream within about half a minute where there is one, else temperature and exhaust water.',
    'Watch temperature, lamp, smoke and leaks to the end; shift each way.'
  ],
  hazards: ['carbon-monoxide', 'propeller', 'flywheel', 'hot', 'vapour']
};
