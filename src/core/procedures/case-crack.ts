import { drainStep, fillSteps, testAfter } from './gear-steps.ts';
import type { Procedure } from './procedure.ts';

/** Cracked gear case: cause first, then what to do about it (C: common practice; the maker’s manual stands above it). */
export const caseCrack: Procedure = {
  id: 'case-crack',
  title: 'Cracked gear case: cause first, then what to do about it',
  means: 'Frost, blow or corrosion; mend, weld or another case, after the power head has shown that it is worth it.',
  minutes: 240,
  jobs: ['crack'],
  hazards: ['eyes', 'chemicals', 'waste', 'leg'],
  tools: ['dye or chalk and thin oil', 'magnifier', 'drill for the crack’s end'],
  parts: [],
  wrong: [
    'Welded with seals and oil in: burnt seals, blown weld.',
    'Mended from outside over oil: nothing sticks to it.',
    'Paid for before the power head ran.'
  ],
  proof: { station: 'gear', text: 'the case holds every stage' },
  handOver: 'Welding cast aluminium or magnesium goes to a welder who asks which of the two it is.',
  steps: (c) => [
    drainStep(c),
    {
      id: 'cause',
      text: 'Why: along a water pocket and bulged is frost; at skeg or plate is a blow; crumbling white is corrosion.',
      items: ['look.case'],
      branch: [
        { seen: 'Frost', then: 'How did water get in? The seal that let it in is part of the repair.' },
        { seen: 'Blow', then: 'Shaft and gears are looked at for the same blow.' },
        { seen: 'Corrosion', then: 'There is no sound metal to mend to: another case.' }
      ]
    },
    {
      id: 'ends',
      text: 'Both ends found with dye and magnifier; through the wall or not: case test at the low stage.',
      items: ['gear.dyeCase', 'gear.dyeSkeg', 'gear.casePressure', 'gear.caseBubbles']
    },
    {
      id: 'head',
      text: 'Has the power head compression and spark, or has it run? Not before: nothing is spent on the leg.',
      items: ['compression.pressure']
    },
    {
      id: 'mend',
      text: 'Mend: end of the crack drilled, vee ground, degreased twice, metal-filled epoxy; for a crack that is not at a seal or bearing.',
      because: 'A day’s cure, cheap, watched for ever.',
      careful: ['chemicals', 'eyes'],
      wait: 1440
    },
    {
      id: 'weld',
      text: 'Or weld: case stripped to bare metal first, faces checked afterwards, bores re-cut where they moved.',
      because: 'Costs more than an afternoon’s search for another case.'
    },
    {
      id: 'other',
      text: 'Or another case: same ratio, same shaft length, same shift; numbers compared before money changes hands.',
      items: ['gear.explained']
    },
    { ...testAfter, id: 'held' },
    ...fillSteps(c)
  ]
};
