import { ownLimits } from '../engine/limits.ts';
import { judgedBy } from '../findings/limit.ts';
import { school, schoolSaid } from '../house-rules/rules.ts';
import { figures } from './about.ts';
import { PLUG_THREAD, threadTravel } from './figures.ts';
import type { Procedure } from './procedure.ts';

/** Plugs read, gapped, fitted (C: common practice; the maker’s manual stands above it). */
export const plugsRenew: Procedure = {
  id: 'plugs-renew',
  title: 'Plugs read, gapped, fitted',
  means: 'Cold, in order, holes looked into; reach and heat range from the manual; by fingers first.',
  minutes: 25,
  jobs: ['plugs'],
  hazards: ['high-voltage', 'hot', 'eyes'],
  tools: ['plug wrench', 'gap gauge', 'torque wrench', 'low-pressure air'],
  parts: ['plugs'],
  wrong: [
    'The wrong reach: too long meets the piston, too short fouls.',
    'Dirt round the hole falls in: blown off before it is loosened.',
    'Crossed thread by starting with the wrench.'
  ],
  proof: { station: 'plugs', text: 'gaps by the manual; the first run clean' },
  handOver: 'A stripped thread gets a full-length insert, the head’s chips caught: by one who has the tool.',
  steps: (c) => {
    const gap = judgedBy(c, 'plugs.gap', ownLimits.plugGap, 'from memory');
    const angle = school(c.rules, 'plugTight') === 'angle';
    return [
      {
        id: 'blow',
        text: 'Engine cold; caps off by the cap, round each plug blown clean.',
        careful: ['eyes', 'hot'],
        tools: ['low-pressure air']
      },
      {
        id: 'out',
        text: 'Out, laid in cylinder order.',
        takesOff: ['plugs in cylinder order'],
        items: ['plugs.order']
      },
      {
        id: 'read',
        text: 'Each read; a light into each hole.',
        items: ['plugs.read', 'plugs.hole'],
        branch: [
          { seen: 'One wet, one white', then: 'It tells of its cylinder: written down before it is thrown away.' }
        ]
      },
      {
        id: 'right',
        text: 'The number on the new one against the manual: reach, heat range, seat.',
        because: 'Compared beside the old one: thread as long?'
      },
      {
        id: 'gap',
        text: 'Gap set by bending the side wire only.',
        items: ['plugs.gap'],
        figures: [
          {
            label: 'Gap',
            dimension: 'length',
            value: gap.value,
            because: gap.manual
              ? 'The manual’s.'
              : 'From memory, where the manual’s is not entered: 0.6 to 1.1 mm covers most.'
          }
        ]
      },
      {
        id: 'old',
        text:
          school(c.rules, 'oldPlugs') === 'clean'
            ? 'Old ones that are sound: brushed, washed, gapped; wet or oiled ones renewed.'
            : 'Renewed: those that were wet or fouled, and then all of them.',
        because: schoolSaid(c.rules, 'oldPlugs'),
        renew: ['plugs']
      },
      {
        id: 'in',
        text: angle
          ? 'By fingers to the seat; then by angle: a new gasket half to two thirds of a turn, a used one an eighth to a quarter, a tapered seat a sixteenth.'
          : 'By fingers to the seat; then the torque wrench.',
        because: `${schoolSaid(c.rules, 'plugTight')}. Fingers feel a crossed thread, a wrench does not.`,
        fits: ['plugs in cylinder order'],
        torque: ['torque.plug'],
        ...figures(
          angle
            ? {
                label: 'Half a turn moves it',
                dimension: 'length',
                value: threadTravel(PLUG_THREAD, 0.5),
                because: 'Pitch of the usual M14 plug, 1.25 mm (ISO 28741): what crushes the gasket.'
              }
            : undefined
        )
      },
      { id: 'leads', text: 'Caps on until they click, leads clear of hot and moving parts.' }
    ];
  }
};
