import { boatyard } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Swivel and tilt freed and greased (C: common practice; the maker’s manual stands above it). */
export const swivel: Procedure = {
  id: 'swivel',
  title: 'Swivel and tilt freed and greased',
  means: 'Oil first, moved little by little, nipples opened, new grease until the old comes out at the other end.',
  minutes: 60,
  jobs: ['structure'],
  hazards: ['leg', 'chemicals', 'lift'],
  tools: ['grease gun', 'penetrating oil', 'brush', 'spare nipples'],
  parts: ['marine grease', 'grease nipples'],
  wrong: [
    'Forced by the tiller: the arm or the tube goes.',
    'Grease pumped into a blocked nipple: it comes out beside it.',
    'Heated beside a fuel hose.'
  ],
  proof: { station: 'look', text: 'swings by one hand, stays where it is put' },
  handOver: boatyard,
  steps: (c) => [
    {
      id: 'support',
      text: 'Leg locked and chocked; engine on a stand or slung.',
      careful: ['leg', 'lift'],
      items: ['safe.secured']
    },
    {
      id: 'count',
      text: 'Nipples found and counted from the manual: swivel two, tilt tube two, steering, linkage. Wiped.',
      tools: ['brush']
    },
    {
      id: 'soak',
      text: 'Penetrating oil top and bottom of the swivel, into the tilt tube’s ends; a night.',
      careful: ['chemicals'],
      wait: 720
    },
    {
      id: 'move',
      text: 'Moved a little each way, oil again, a little further.',
      branch: [
        {
          seen: 'Not at all',
          then: 'Nipples out, heat at the outside of the tube only, no flame near fuel; else pressed by a shop.'
        }
      ]
    },
    { id: 'nipples', text: 'Blocked nipples out, passage picked, new ones in.', renew: ['grease nipples'] },
    {
      id: 'grease',
      proves: true,
      text: 'Pumped until clean grease comes at the far end, moved all the while.',
      items: ['look.swivel'],
      because: 'The old comes out before the new: rust and salt with it.'
    },
    ...(c.survey.engine.profile.tilt === 'hydraulic'
      ? [{ id: 'ram', text: 'Tilt ram: wiped, rod looked at for pits, oil level by the manual.' }]
      : [
          {
            id: 'lock',
            text: 'Reverse lock: hooks, springs, its link to the shift.',
            items: ['turn.reverseLock'] as const
          }
        ]),
    {
      id: 'bolts',
      text: 'Mount and clamp bolts by hand and spanner; what can loosen has a lock.',
      items: ['look.mounts']
    }
  ]
};
