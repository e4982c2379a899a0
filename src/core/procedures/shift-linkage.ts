import { about } from './about.ts';
import type { Procedure } from './procedure.ts';

/** Shift linkage and a look at the clutch dog (C: common practice; the maker’s manual stands above it). */
export const shiftLinkage: Procedure = {
  id: 'shift-linkage',
  title: 'Shift linkage and a look at the clutch dog',
  means: 'Neutral in the middle, full engagement both ways; what jumps out after that is worn inside.',
  minutes: 40,
  jobs: ['linkage', 'gears'],
  fits: (e) => e.profile.shift !== 'direct',
  hazards: ['propeller', 'flywheel'],
  tools: ['spanners', 'marker', 'rule'],
  parts: ['linkage pins and clips'],
  wrong: [
    'Gear pushed in with nothing turning: the dogs stand tooth on tooth. Turn the propeller while shifting.',
    'Set to look right at the lever while the cable is stretched.'
  ],
  proof: { station: 'turn', text: 'neutral free, forward and reverse follow' },
  handOver: 'A dog or gear with round edges means an open case: see the job for it.',
  steps: (c) => [
    {
      id: 'safe',
      text: 'Lanyard out, plugs out, in neutral.',
      careful: ['propeller'],
      items: ['safe.lanyard']
    },
    {
      id: 'slack',
      text: 'Each pin and joint of the linkage moved by hand: slack is renewed before anything is set.',
      branch: [{ seen: 'Holes oval, pins thin', then: 'Renewed first; setting a worn joint sets its slack.' }]
    },
    {
      id: 'neutral',
      text: 'Lever in neutral: the propeller turns free both ways. Mark the middle between where forward and reverse begin to catch.',
      items: ['turn.neutral']
    },
    {
      id: 'set',
      text: 'Joint set so that the lever’s neutral lies on the mark; threads engaged by at least their own thickness.'
    },
    {
      id: 'forward',
      proves: true,
      text: 'Forward, the propeller turned while shifting: full travel, the lever over its detent, no spring in the linkage.',
      turns: { way: 'clockwise', from: 'behind' },
      because:
        'Clockwise from behind is ahead for a right-hand propeller; a counter-turning leg of a pair is the other way.',
      items: ['turn.forward']
    },
    {
      id: 'rod',
      text: 'Lever from stop to stop: the shift rod in the leg follows all the way, its joint tight.',
      items: ['turn.shiftRod'],
      branch: [
        { seen: 'The joint slips', then: 'Mark, set, or renew it before anything is set again.', job: 'shift-joint' }
      ]
    },
    { id: 'reverse', text: 'Reverse the same; the reverse lock rises.', items: ['turn.reverse', 'turn.reverseLock'] },
    {
      id: 'load',
      text: 'Propeller held with a strap against the gear: does it stay in?',
      careful: ['propeller'],
      branch: [{ seen: 'It jumps out, linkage right', then: 'The dog or its gear is round.', job: 'clutch-dog' }]
    },
    ...(about(c).electric
      ? [
          {
            id: 'start-switch',
            text: 'Neutral switch: in gear the starter must do nothing.',
            items: ['turn.startLock'] as const
          }
        ]
      : [])
  ]
};
