import { drainStep, fillSteps } from './gear-steps.ts';
import { gearHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Gear oil change (C: common practice; the maker’s manual stands above it). */
export const gearOil: Procedure = {
  id: 'gear-oil',
  title: 'Gear oil change',
  means: 'Look first, drain, magnet, fresh washers, filled from below.',
  minutes: 20,
  jobs: ['gear-refill', 'gear-plugs'],
  hazards: ['leg', 'waste', 'propeller'],
  tools: ['driver that fills the slot', 'drain pan', 'hand pump with thread adapter'],
  parts: ['gear oil', 'one plug washer for each plug'],
  wrong: [
    'Filled from the top: it traps air and the level lies.',
    'A slot chewed by a driver that does not fill it: heat and a blow before force.',
    'Topped up instead of changed: where did it go?'
  ],
  proof: { station: 'gear', text: 'refilled for service, washers recorded; dry outside after a run' },
  handOver: gearHandOver,
  steps: (c) => [
    {
      id: 'first',
      text: 'Upright a while, then the lower plug a crack: what comes first?',
      because: 'Free water lies lowest. Churned water does not settle: none does not clear milky oil.',
      careful: ['leg'],
      items: ['gear.first'],
      branch: [
        { seen: 'Water', then: 'The case is tested before it is filled for service.', job: 'case-test' },
        { seen: 'Cream', then: 'Its own way out.', job: 'gear-refill' }
      ]
    },
    drainStep(c),
    {
      id: 'magnet',
      text: 'Magnet wiped on white and photographed.',
      because: 'Paste is wear; slivers and pieces are opened and explained.',
      items: ['gear.magnet'],
      branch: [{ seen: 'Slivers or pieces', then: 'Opened and explained before it turns again.', job: 'metal' }]
    },
    {
      id: 'slots',
      text: 'Plugs and their slots: good, chewed? Threads clean, seats without the old washer.',
      items: ['gear.slots']
    },
    {
      id: 'amount',
      text: 'Bottle and pump at hand: what does the bottle hold, what does ten strokes give?',
      items: ['gear.bottle', 'gear.pumpStroke']
    },
    ...fillSteps(c),
    {
      id: 'wipe',
      text: 'Case wiped dry, propeller turned by hand a few times; looked at again after ten minutes.',
      careful: ['propeller'],
      wait: 10
    }
  ]
};
