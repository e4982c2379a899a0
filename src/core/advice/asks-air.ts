import { leakDown, taken } from './asks-compression.ts';
import { unnamed } from '../stations/compression/crankcase-unnamed.ts';
import { at, job, look, repeat, type Asks, type AskRule } from './ask.ts';

/** Air is let in with the piston held: nothing is cranked for it, though the check is made by cranking. */
const uncranked = ({ needs: _cranks, ...still }: AskRule): AskRule => still;
const airAgain = (...given: Parameters<typeof repeat>): AskRule => uncranked(repeat(...given));

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
    airAgain((_, f) => `Leak-down${at(f)} again, piston held at top, the place watched`, 'compression', 8, {
      items: ['compression.leakdown'],
      open: (c, f) => c.record.all('compression.leakdown', { cylinder: f.cylinder! }).length < 2
    })
  ],
  'compression.leakdown-port': [
    airAgain((_, f) => `Leak-down${at(f)} again, piston exactly at top`, 'compression', 5, {
      items: ['compression.leakdown']
    })
  ],
  'compression.leakdown-against': [
    airAgain((_, f) => `Leak-down${at(f)} again, piston at top of its compression stroke`, 'compression', 5, {
      items: ['compression.leakdown']
    })
  ],
  'compression.leakdown-water': [job('water-in', { only: ['fault'] })],
  'compression.escape-unread': [leakDown],
  'compression.crankcase': [
    airAgain(
      (_, f) => `Crankcase under pressure again${at(f)}, soapy water over seal, reeds and joints`,
      'compression',
      10,
      {
        items: ['compression.crankcase'],
        // Under soap once and nothing named: what closes it is opened.
        open: (c, f) => f.cylinder !== undefined && unnamed(c).includes(f.cylinder)
      }
    ),
    job('crank-seal')
  ],
  'compression.leakdown-gasket': [job('head-gasket', { only: ['fault'] })]
};
