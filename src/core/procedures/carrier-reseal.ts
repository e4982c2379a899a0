import { drainStep, fillSteps, propellerOff, propellerOn, sealSteps, testAfter } from './gear-steps.ts';
import { gearHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Carrier off, propeller-shaft seals (C: common practice; the maker’s manual stands above it). */
export const carrierReseal: Procedure = {
  id: 'carrier-reseal',
  title: 'Carrier off, propeller-shaft seals',
  means: 'Propeller, carrier, seals noted, shaft judged, seals in, O-rings, carrier back, case tested dry.',
  minutes: 90,
  jobs: ['reseal'],
  hazards: ['propeller', 'eyes', 'waste', 'leg'],
  tools: ['carrier puller', 'seal puller', 'seal driver', 'torque wrench'],
  parts: ['propeller-shaft seals', 'carrier O-rings', 'split pin'],
  wrong: [
    'A carrier that is pulled without warming cracks its ears: screws or ring first, heat, even pull.',
    'A ring nut turned the wrong way: some are left-hand; the arrow on it, or the manual, says which.',
    'An O-ring dry or rolled: leaks at once in the case test.'
  ],
  proof: { station: 'gear', text: 'the case holds every stage' },
  handOver: gearHandOver,
  steps: (c) => [
    { ...drainStep(c) },
    propellerOff,
    {
      id: 'carrier-off',
      text: 'Carrier screws or ring nut out, tab washer bent clear; pulled evenly with the puller, warmed if it resists.',
      careful: ['eyes'],
      because: 'Some ring nuts have left-hand threads: follow the arrow on them.',
      tools: ['carrier puller', 'tool for the ring nut', 'hot air'],
      takesOff: ['carrier screws or ring nut', 'tab washer', 'carrier', 'carrier O-rings', 'shims in their order'],
      branch: [
        { seen: 'Shims behind it', then: 'Kept in order and count: they set the gears. A lost one is a rebuild.' },
        { seen: 'It does not move', then: 'Heat the case, not the carrier; soak a night. No hammer on the ears.' }
      ]
    },
    ...sealSteps(c, 'the carrier', 'One lip usually faces the oil, the other the water.'),
    {
      id: 'carrier-on',
      text: 'New O-rings greased, shims as they were, carrier in square, screws or ring nut crosswise.',
      because: 'Salt-proof grease around it, so that the next one comes out.',
      fits: ['shims in their order', 'carrier O-rings', 'carrier', 'tab washer', 'carrier screws or ring nut'],
      renew: ['carrier O-rings'],
      torque: ['torque.carrier']
    },
    testAfter,
    propellerOn,
    ...fillSteps(c)
  ]
};
