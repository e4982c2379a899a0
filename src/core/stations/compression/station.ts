import { spoken } from '../../findings/fact.ts';
import { show } from '../../units/index.ts';
import { boreOil } from '../plugs/oil-in-bores.ts';
import type { Station } from '../station.ts';
import { analyseTest } from './analyse.ts';
import { compare } from './compare.ts';
import { stepOf } from './gauge.ts';
import { leakDownWords, leakWords } from './leak-words.ts';
import { analyseLeak } from './leak.ts';
import { analyseLeakDown } from './leakdown.ts';
import { items } from './readings.ts';
import { testWords } from './words.ts';

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
  },
  analyse: (c) => {
    const test = analyseTest(c);
    const leak = test && analyseLeak(c);
    return [
      ...spoken('compression', analyseLeakDown(c), leakDownWords, c.units),
      ...(test ? spoken('compression', test, testWords, c.units) : []),
      ...(leak ? spoken('compression', leak, leakWords, c.units) : [])
    ];
  },
  sounding: (c) => {
    const found = compare(c);
    return found && show(Math.min(...found.rows.map((r) => r.mean)), 'pressure', c.units, stepOf(found.instrument));
  }
} as const satisfies Station;
