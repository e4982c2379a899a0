import { ruleNumber } from '../../house-rules/rules.ts';
import type { Station } from '../station.ts';
import { items } from './readings.ts';
import { gearsUntried } from './gears-tried.ts';

export const station = {
  items,
  title: 'Turn and shift',
  short: 'Turn',
  minutes: 7,
  how: [
    'In the engine’s direction only, slowly, two full turns.',
    'Count the bumps; feel for a tight spot, grit, noise, play.',
    'Neutral spins freely, forward and reverse follow, the reverse lock rises.',
    'Locked: plugs out first, then neutral, starter pinion, leg off. Soak and wait a day; no force.'
  ],
  hazards: { before: ['chemicals'], during: ['flywheel', 'propeller', 'backfire'] },
  tools: ['spanner for the flywheel nut', 'depth gauge'],
  anchor: 'flywheel',
  acts: { startLock: 'crank' },
  looksAt: 'engine',
  firstPass: ['plugs', 'result', 'bumps', 'water', 'feel'],
  beforeRelease: true,
  untried: gearsUntried,
  coloursCylinders: true,
  waits: (c) => {
    const hours = ruleNumber(c.rules, 'nextDay');
    return [
      { label: 'Bores soaking', minutes: hours * 60, because: `turned again after ${hours} h at least (house rule)` }
    ];
  }
} as const satisfies Station;
