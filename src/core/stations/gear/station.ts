import { known } from '../../engine/profile.ts';
import { drainMinutes } from '../../physics/viscosity.ts';
import { say } from '../../units/index.ts';
import type { Station } from '../station.ts';
import { items } from './readings.ts';

/** Minutes a case drains at 20 °C, and a case test holds at least (C). */
const DRAIN = 20;
const HOLD = 10;

export const station = {
  items,
  title: 'Gear oil',
  short: 'Gear',
  minutes: 20,
  how: [
    'Upright a while, then the lower plug a crack: free water comes first.',
    'Then the vent, and let it drain, longer in the cold. Measure what came out.',
    'Wipe the magnet and look. Refill from the lowest plug, bubble-free, one fresh washer a plug.'
  ],
  hazards: { before: ['waste', 'leg'], during: ['propeller', 'air'] },
  tools: ['driver that fills the slot', 'drain pan', 'clear jar'],
  anchor: 'gear case',
  looksAt: 'engine',
  beforeRelease: true,
  waits: (c) => {
    const air = known(c.record.value('safe.air'));
    const drain = air === undefined || air < 235 || air > 350 ? DRAIN : drainMinutes(air, DRAIN);
    return [
      {
        label: 'Gear oil draining',
        minutes: Math.max(5, Math.round(drain)),
        because:
          air === undefined
            ? `${DRAIN} min at 20 °C; record the air temperature and it follows the oil’s viscosity`
            : `${DRAIN} min at 20 °C, by the oil’s viscosity at ${say(air, 'temperature', c.units)} (ASTM D341)`
      },
      { label: 'Case test held', minutes: HOLD, because: 'at least; the longer, the smaller a leak it shows' }
    ];
  }
} as const satisfies Station;
