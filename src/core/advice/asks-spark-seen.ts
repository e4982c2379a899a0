import { askedAfter } from '../findings/asked-after.ts';
import type { Finding } from '../findings/finding.ts';
import type { ItemId } from '../stations/items.ts';
import { cranksWeakly } from '../stations/plugs/weak-cranking.ts';
import { isWarm } from '../stations/spark/measure.ts';
import { windingIds, windings } from '../stations/spark/windings.ts';
import { asked, at, job, look, repeat, type Asks, type AskRule } from './ask.ts';
import { others } from './asks-others.ts';

/** Corroded ends are made bright, and then the spark tells whether that was it; where it was never looked at, it is looked at in its turn. */
const afterBright = (part: string, seen: ItemId): AskRule =>
  look((_, f: Finding) => `Bright metal at the ${part}${at(f)}, then spark again`, ['spark.result'], 5, {
    only: ['watch'],
    open: (c, f) => {
      const where = f.cylinder === undefined ? {} : { cylinder: f.cylinder };
      return (
        asked(c, 'spark.result', f.cylinder) &&
        !askedAfter(c, 'spark.result', c.record.all(seen, where).at(-1)?.at, where)
      );
    }
  });

/** Outside the manual's range by somebody's word, and it sparks: the figure itself, cold, before anything is bought. */
const figure = (title: string, item: ItemId): AskRule =>
  look(title, [item], 10, { only: ['watch', 'cannot-tell'], conditions: { engine: 'cold' } });

/** What cylinders that nobody looked at, lead, coil, charge coil and trigger ask for where they were looked at or measured. C: common practice. */
export const sparkSeenAsks: Asks = {
  'spark.missing': others('Spark of the other cylinders', 'spark', 2, ['spark.result'], (c) => !cranksWeakly(c)),
  // Seen at the look-over only: it waits with the other work; once spark was looked for there, it comes first.
  'spark.damaged-lead': [
    afterBright('lead', 'spark.leadLook'),
    job('lead', { only: ['fault'], open: (c, f) => asked(c, 'spark.result', f.cylinder) && job('lead').open(c, f) })
  ],
  'spark.damaged-coil': [afterBright('coil', 'spark.coilLook')]
};

/** By the part that was measured. */
export const figures: Readonly<Record<string, readonly AskRule[]>> = {
  charge: [figure('Charge coil, cold: its resistance, its temperature noted', 'spark.charge')],
  trigger: [figure('Trigger, cold: its resistance, its temperature noted', 'spark.trigger')]
};

/** By the winding that was measured. */
export const windingAsks: Asks = Object.fromEntries(
  windingIds.map((winding) => [
    `spark.${winding}`,
    [
      repeat(
        (_, f) => `Resistance of the ${windings[winding].label}${at(f)} again, leads touched together first`,
        'spark',
        3,
        {
          only: ['cannot-tell'],
          items: [`spark.${winding}` as const]
        }
      ),
      job('coil', { only: ['fault'] }),
      // It sparks all the same: whether it does so hot is seen once it is.
      look((_, f) => `Spark once it is hot${at(f)}`, ['spark.result'], 3, {
        only: ['watch'],
        late: 'release',
        conditions: { engine: 'warm' },
        open: (c, f) =>
          c.record.value('run.outcome') === 'ran' &&
          !c.record.all('spark.result', f.cylinder === undefined ? {} : { cylinder: f.cylinder }).some(isWarm)
      })
    ]
  ])
);
