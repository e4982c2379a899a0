import { boreOil } from '../plugs/oil-in-bores.ts';
import type { Station } from '../station.ts';
import { items } from './readings.ts';

export const station = {
  items,
  title: 'Compression',
  short: 'Compr.',
  minutes: 8,
  again: 'Measure the compression again',
  how: [
    'All plugs out, leads safe, throttle wide open, until the needle stops rising.',
    'Every cylinder under like conditions, in one order, then in reverse.',
    'Doubt a low reading first: repeat it, throttle really open, good battery, without the adapter.'
  ],
  hazards: { before: ['vapour'], during: ['high-voltage', 'flywheel', 'propeller'] },
  tools: ['compression gauge with the plug’s thread and reach', 'charged battery', 'syringe and oil'],
  anchor: 'cylinder',
  act: 'crank',
  // Lash and leak-down turn the engine by hand.
  acts: { pressure: 'crank', pulls: 'crank' },
  looksAt: 'engine',
  coloursCylinders: true,
  usualConditions: (c) => {
    const oil = boreOil(c, c.now.toISOString());
    return { throttle: 'open', engine: 'cold', ...(oil ? { bores: 'oiled', dose: oil } : { bores: 'dry' }) };
  }
} as const satisfies Station;
