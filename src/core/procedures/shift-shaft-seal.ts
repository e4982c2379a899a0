import { drainStep, fillSteps, legOff, legOn, testAfter } from './gear-steps.ts';
import { gearHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Shift-shaft seal (C: common practice; the maker’s manual stands above it). */
export const shiftShaftSeal: Procedure = {
  id: 'shift-shaft-seal',
  title: 'Shift-shaft seal',
  means: 'The little seal that is forgotten: rod out, seal and O-ring in, gears tried.',
  minutes: 70,
  jobs: ['reseal'],
  fits: (e) => e.profile.shift !== 'direct',
  hazards: ['leg', 'eyes', 'waste'],
  tools: ['spanners for the leg bolts', 'pick', 'small driver'],
  parts: ['shift-shaft seal', 'shift-shaft O-ring'],
  wrong: [
    'Rod pulled in gear: the cradle drops off the dog, and the carrier comes out for it.',
    'Rod screwed back to another length: a gear that jumps out.'
  ],
  proof: { station: 'gear', text: 'the case holds with the shift moved' },
  handOver: gearHandOver,
  steps: (c) => [
    drainStep(c),
    legOff(true),
    {
      id: 'length',
      text: 'Length of the rod above the case measured in neutral, gear position noted.',
      because: 'It goes back to this length, whatever the thread says.',
      tools: ['rule', 'marker']
    },
    {
      id: 'rod',
      text: 'Retainer off, the rod lifted or unscrewed as the manual says, in neutral.',
      takesOff: ['retainer', 'shift rod'],
      branch: [
        {
          seen: 'Rod pitted under the seal',
          then: 'Polished around, or renewed: the seal is small and forgives little.'
        }
      ]
    },
    {
      id: 'seal',
      text: 'Old seal and O-ring picked out, seat cleaned, new ones in square and greased.',
      renew: ['shift-shaft seal', 'shift-shaft O-ring'],
      tools: ['pick', 'small driver']
    },
    {
      id: 'rod-in',
      text: 'Rod in to the measured length, retainer on, gears felt at the propeller.',
      fits: ['shift rod', 'retainer'],
      items: ['turn.neutral', 'turn.forward', 'turn.reverse']
    },
    testAfter,
    ...legOn(c).filter((s) => s.id !== 'shift'),
    ...fillSteps(c)
  ]
};
