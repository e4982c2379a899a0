import { drainStep, fillSteps } from './gear-steps.ts';
import { gearHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Metal on the magnet: what each look means (C: common practice; the maker’s manual stands above it). */
export const magnetLook: Procedure = {
  id: 'magnet-look',
  title: 'Metal on the magnet: what each look means',
  means: 'Wiped on white, graded, explained or opened.',
  minutes: 30,
  jobs: ['metal'],
  hazards: ['waste', 'eyes'],
  tools: ['white cloth', 'magnifier', 'magnet', 'clear jar'],
  parts: [],
  wrong: [
    '“A little is normal” said of slivers.',
    'Bronze missed: a magnet does not hold it. Look into the oil as well.'
  ],
  proof: { station: 'gear', text: 'metal explained' },
  handOver: gearHandOver,
  steps: (c) => [
    drainStep(c),
    {
      id: 'wipe',
      text: 'Magnet wiped on white cloth, photographed beside a rule.',
      items: ['gear.magnet', 'gear.magnetPhoto']
    },
    {
      id: 'feel',
      text: 'Rubbed between fingers: paste is soft and grey, flakes catch, slivers prick.',
      branch: [
        { seen: 'Grey paste', then: 'Wear: oil, and a look at the next change.' },
        { seen: 'Flakes, bright on one side', then: 'Surface of a gear or race coming off: opened.', job: 'metal' },
        { seen: 'Slivers or a corner', then: 'Tooth or dog: nothing runs.', job: 'clutch-dog' },
        { seen: 'Rust', then: 'Water stood in it: case test.', job: 'case-test' }
      ]
    },
    { id: 'bronze', text: 'Oil through a cloth: yellow glitter is a bush or thrust washer, which no magnet holds.' },
    {
      id: 'turn',
      text: 'Propeller shaft turned slowly and pushed in and out: grit, notch, play?',
      careful: ['propeller']
    },
    { id: 'say', text: 'Written down what it is, or that it is opened.', items: ['gear.explained'] },
    ...fillSteps(c).slice(0, 1),
    { id: 'repeat', text: 'If it was paste: date and hours for the next look, at half the usual interval.' }
  ]
};
