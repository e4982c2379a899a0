import type { StationText } from '../text.ts';

export const text: StationText = {
  title: 'Turn and shift',
  short: 'Turn',
  minutes: 7,
  how: [
    'In the engine’s direction only, slowly, two full turns.',
    'Count the bumps; feel for a tight spot, grit, noise, play.',
    'Neutral spins freely, forward and reverse follow, the reverse lock rises.',
    'Locked: plugs out first, then neutral, starter pinion, leg off. Soak and wait a day; no force.'
  ],
  hazards: ['flywheel', 'propeller', 'backfire', 'chemicals']
};
