import type { Judging } from '../station.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { spoken } from '../../findings/fact.ts';
import { kindOf } from '../../findings/finding.ts';
import { show } from '../../units/index.ts';
import { analyseTest } from './analyse.ts';
import { compare } from './compare.ts';
import { stepOf } from './gauge.ts';
import { leakDownWords, leakWords } from './leak-words.ts';
import { analyseLeak } from './leak.ts';
import { analyseLeakDown } from './leakdown.ts';
import { testWords } from './words.ts';

/** Of a part, whatever the cylinder above it holds. */
const parts: ReadonlySet<string> = new Set([
  'compression.flatness',
  'compression.lash-intake',
  'compression.lash-exhaust',
  'compression.crankcase'
]);

/** Whether leak-down was read of some cylinders, and nothing of the others. */
const partlyLeakTested = (c: Context): boolean =>
  !c.record.last('compression.pressure') &&
  cylindersOf(c).some((cylinder) => !c.record.last('compression.leakdown', cylinder));

export const judging = {
  analyse: (c) => {
    const test = analyseTest(c);
    const leak = test && analyseLeak(c);
    return [
      ...spoken('compression', analyseLeakDown(c), leakDownWords, c.units),
      ...(test ? spoken('compression', test, testWords, c.units) : []),
      ...(leak ? spoken('compression', leak, leakWords, c.units) : [])
    ];
  },
  aside: (c, { id }) => parts.has(kindOf(id)) || (id.startsWith('compression.leakdown.') && partlyLeakTested(c)),
  sounding: (c) => {
    const found = compare(c);
    return found && show(Math.min(...found.rows.map((r) => r.mean)), 'pressure', c.units, stepOf(found.instrument));
  }
} as const satisfies Judging;
