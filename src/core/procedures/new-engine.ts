import { about } from './about.ts';
import type { Procedure } from './procedure.ts';

/** A new engine out of its box (C: common practice; the maker’s manual stands above it). */
export const newEngine: Procedure = {
  id: 'new-engine',
  title: 'A new engine out of its box',
  means:
    'Contents against the list, oil in, numbers written down, first start on water; break-in from its first minute.',
  minutes: 90,
  jobs: [],
  hazards: ['lift', 'carbon-monoxide', 'propeller', 'vapour'],
  tools: ['stand', 'manual', 'funnel', 'torque wrench'],
  parts: ['engine oil', 'gear oil where it came dry', 'fresh fuel', 'battery where electric'],
  wrong: [
    'Started without oil: many come dry.',
    'Laid on the wrong side: oil in the cylinders.',
    'Warranty card forgotten in the box.'
  ],
  proof: { station: 'run', text: 'ten minutes at idle on water, stream, no leak' },
  handOver: 'Warranty wants the first inspection by whom its card names.',
  steps: (c) => {
    const a = about(c);
    return [
      { id: 'box', text: 'Unpacked on its stand by two; on the side the box says, if laid at all.', careful: ['lift'] },
      {
        id: 'list',
        text: 'Contents ticked against the list: propeller, nut, pin, thrust piece, lanyard and spare, tools, manual, tank and hose.',
        branch: [{ seen: 'Something missing', then: 'Written to the seller with a picture today.' }]
      },
      {
        id: 'numbers',
        text: 'Plate photographed; serial number of head and leg written down.',
        items: ['look.platePhoto']
      },
      {
        id: 'manual',
        text: 'From the manual, with its pages: oils, plugs, gap, idle, torque of propeller and plugs, break-in, first service.'
      },
      ...(a.two
        ? [
            {
              id: 'oil',
              text: a.premix
                ? 'Mix for the break-in as the manual gives it, richer than later.'
                : 'Oil tank filled, air bled, and the first tank mixed as the manual wants.',
              items: ['fuel.oilAdded'] as const
            }
          ]
        : [
            {
              id: 'oil',
              text: 'Engine oil in by the manual; two dips that agree, upright.',
              items: ['oil.poured', 'oil.dip'] as const
            }
          ]),
      { id: 'gear', text: 'Gear oil: is it in? Level looked at, not believed.', items: ['gear.levelHole'] },
      {
        id: 'mount',
        text: 'On the boat: height, clamps and bolts, safety chain; controls joined and tried.',
        careful: ['lift'],
        items: ['look.mounts']
      },
      {
        id: 'propeller',
        text: 'Shaft greased; thrust piece, propeller, washer, nut, split pin, as the manual draws them.',
        careful: ['propeller'],
        torque: ['torque.propeller']
      },
      { id: 'safe', text: 'Lanyard on whoever drives: pulled once, it stops.', items: ['safe.lanyard'] },
      {
        id: 'start',
        text: 'On water: start, stream within half a minute, ten minutes at idle and a little above.',
        careful: ['carbon-monoxide', 'propeller'],
        act: 'start',
        items: ['run.stream']
      },
      { id: 'look', text: 'Off: leaks, levels, bolts; hours noted; break-in begins.', items: ['run.leaks'] }
    ];
  }
};
