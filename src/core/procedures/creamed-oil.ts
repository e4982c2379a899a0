import { school, schoolSaid } from '../house-rules/rules.ts';
import { drainStep, fillSteps } from './gear-steps.ts';
import { gearHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Creamed gear oil: out, and why (C: common practice; the maker’s manual stands above it). */
export const creamedOil: Procedure = {
  id: 'creamed-oil',
  title: 'Creamed gear oil: out, and why',
  means: 'Water has been in it while it ran. It comes out; the way in is found before it is filled for service.',
  minutes: 40,
  jobs: ['gear-refill'],
  hazards: ['waste', 'leg', 'propeller'],
  tools: ['driver that fills the slot', 'drain pan', 'hand pump with thread adapter'],
  parts: ['plug washers', 'gear oil', 'thin oil for flushing'],
  wrong: [
    'Filled for service without a test: it creams again within hours, and the bearings pay.',
    'Flushed with the engine running: what is in it is driven into the bearings.'
  ],
  proof: { station: 'gear', text: 'the case holds its test, and the oil is clear after an hour of running' },
  handOver: gearHandOver,
  steps: (c) => {
    const flush = school(c.rules, 'creamFlush') === 'thin';
    return [
      {
        id: 'first',
        text: 'Upright a while, lower plug a crack: what comes first, and does cream stand in the jar?',
        because: 'Cream does not settle out: no free water does not clear it.',
        items: ['gear.first']
      },
      drainStep(c),
      {
        id: 'magnet',
        text: 'Magnet and the last of the oil looked at on white: paste, flakes, rust.',
        items: ['gear.magnet'],
        branch: [{ seen: 'Slivers or pieces', then: 'No flush, no run: it is opened.', job: 'metal' }]
      },
      {
        id: 'test',
        text: 'Case test, empty, in its stages, before it is flushed or filled.',
        careful: ['air'],
        because: 'Where it got in is found while it is empty.',
        items: ['gear.casePressure', 'gear.caseTurned']
      },
      ...(flush
        ? [
            {
              id: 'flush',
              text: 'Half full of thin oil, both plugs in, propeller turned by hand through neutral and gears, drained again.',
              because: `${schoolSaid(c.rules, 'creamFlush')}. By hand only.`,
              careful: ['propeller'] as const,
              wait: 15
            },
            {
              id: 'again',
              text: 'Does what came out still cloud? Once more then.',
              items: ['gear.look'] as const
            }
          ]
        : [
            {
              id: 'drip',
              text: 'Left to drain overnight, tilted both ways, covered.',
              because: `${schoolSaid(c.rules, 'creamFlush')}: what stays behind is thinned by the first fill, which is short.`,
              wait: 720
            }
          ]),
      ...fillSteps(c),
      {
        id: 'recheck',
        text: 'After an hour’s running, lower plug a crack once more; cream again is a seal, not a remnant.',
        items: ['gear.first']
      }
    ];
  }
};
