import { propellerOff, propellerOn } from './gear-steps.ts';
import type { Procedure } from './procedure.ts';

/** Propeller off, looked at, on (C: common practice; the maker’s manual stands above it). */
export const propeller: Procedure = {
  id: 'propeller',
  title: 'Propeller off, looked at, on',
  means: 'Parts in order, line behind it, nicks, hub slip with a mark, anodes while one is there.',
  minutes: 25,
  jobs: ['propeller', 'anodes'],
  hazards: ['propeller', 'leg', 'eyes'],
  tools: ['block of wood', 'socket for the propeller nut', 'pliers', 'file', 'paint pen'],
  parts: ['split pin', 'grease', 'anodes'],
  wrong: [
    'Hand on a blade, lanyard in.',
    'Thrust piece left off: the hub eats into the case.',
    'Paint on an anode: it is asleep.'
  ],
  proof: { station: 'look', text: 'propeller and what lies behind it seen and good' },
  handOver: 'Bent or welded blades are balanced by a propeller shop.',
  steps: () => [
    {
      id: 'safe',
      text: 'Lanyard out, in neutral, leg locked.',
      careful: ['propeller', 'leg'],
      items: ['safe.lanyard']
    },
    propellerOff,
    {
      id: 'line',
      text: 'Behind it: line, weed; seal wet with oil?',
      items: ['look.hub'],
      branch: [{ seen: 'Line', then: 'Cut out, and the seal is under suspicion: case test.', job: 'case-test' }]
    },
    {
      id: 'shaft',
      text: 'Shaft turned slowly: does its end wobble? Splines twisted?',
      branch: [{ seen: 'Wobbles', then: 'It was hit: gears and seal looked at.', job: 'metal' }]
    },
    {
      id: 'blades',
      text: 'Blades: nicks filed round, cracks at the root, alike in pitch by a rule.',
      careful: ['eyes'],
      tools: ['file'],
      items: ['look.propeller']
    },
    {
      id: 'hub',
      text: 'A line of paint across hub and sleeve, from inside to outside.',
      because: 'After the next run under load the line tells whether the rubber slips.',
      items: ['look.twist']
    },
    {
      id: 'anodes',
      text: 'Anodes: under half is renewed; face bright, no paint, bolts clean.',
      items: ['look.anodes'],
      renew: ['anodes where under half']
    },
    propellerOn,
    { id: 'spin', text: 'Turned by hand both ways: free, no scrape.', careful: ['propeller'] }
  ]
};
