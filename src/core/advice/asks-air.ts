import { boreWork } from '../stations/compression/measure.ts';
import { isAfter } from '../units/instant.ts';
import { leakDown, taken } from './asks-compression.ts';
import { at, job, look, repeat, type Asks } from './ask.ts';

/** What air in a cylinder or its crankcase asks for, once it was followed. C: common practice. */
export const airAsks: Asks = {
  'compression.leakdown-rings': [job('soak', { only: ['fault'] })],
  'compression.leakdown-overhaul': [job('overhaul', { only: ['fault'] })],
  'compression.leakdown-bore': [
    look((_, f) => `Light into the bore${at(f)}`, ['plugs.hole'], 5, {
      open: (c, f) => !taken(c, 'plugs.hole', f.cylinder)
    })
  ],
  'compression.leakdown-through': [
    repeat((_, f) => `Leak-down${at(f)} again, piston held at top, the place watched`, 'compression', 8, {
      items: ['compression.leakdown'],
      open: (c, f) => c.record.all('compression.leakdown', { cylinder: f.cylinder! }).length < 2
    })
  ],
  'compression.leakdown-port': [
    repeat((_, f) => `Leak-down${at(f)} again, piston exactly at top`, 'compression', 5, {
      items: ['compression.leakdown']
    })
  ],
  'compression.leakdown-against': [
    repeat((_, f) => `Leak-down${at(f)} again, piston at top of its compression stroke`, 'compression', 5, {
      items: ['compression.leakdown']
    })
  ],
  'compression.leakdown-water': [job('water-in', { only: ['fault'] })],
  'compression.escape-unread': [leakDown],
  'compression.crankcase': [
    repeat(
      (_, f) => `Crankcase under pressure again${at(f)}, soapy water over seal, reeds and joints`,
      'compression',
      10,
      {
        items: ['compression.crankcase'],
        // Under soap once and nothing named: what closes it is opened.
        open: (c, f) =>
          c.record.value('compression.crankcase', f.cylinder) === 'falls' &&
          c.record
            .all('compression.crankcase', f.cylinder === undefined ? {} : { cylinder: f.cylinder })
            .filter((r) => !boreWork(c).some((w) => isAfter(w, r.at))).length < 2
      }
    ),
    job('crank-seal')
  ],
  'compression.leakdown-gasket': [job('head-gasket', { only: ['fault'] })]
};
