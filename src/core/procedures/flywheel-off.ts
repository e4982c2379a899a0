import { school } from '../house-rules/rules.ts';
import { about } from './about.ts';
import { ignitionHandOver } from './hand-over.ts';
import { wheelOff, wheelOn } from './ignition-steps.ts';
import type { Procedure } from './procedure.ts';

/** Flywheel off: key, taper, what lies under it (C: common practice; the maker’s manual stands above it). */
export const flywheelOff: Procedure = {
  id: 'flywheel-off',
  title: 'Flywheel off: key, taper, what lies under it',
  means: 'Held, pulled by its hub, key seen, taper dry, back to its torque.',
  minutes: 45,
  jobs: ['flywheel-key', 'advance'],
  hazards: ['flywheel', 'eyes', 'high-voltage'],
  tools: ['puller for the flywheel', 'flywheel holder', 'torque wrench'],
  parts: ['flywheel key'],
  wrong: [
    'Pulled by the rim: magnets crack or it bends.',
    'Hammer on the crank’s end: the thread, and the bearing under it.',
    'Put back on a greasy taper.'
  ],
  proof: { station: 'spark', text: 'mark in line with the key; timing as the manual wants it' },
  handOver: ignitionHandOver,
  steps: (c) => [
    ...wheelOff,
    {
      id: 'key',
      text: 'Key: whole, half sheared, crushed? Slots in wheel and crank: oval?',
      items: ['spark.keyLook'],
      branch: [
        {
          seen: 'Lost, or none at hand',
          then:
            school(c.rules, 'lostKey') === 'improvised'
              ? 'One cut from key steel of its section, never harder; dated, and the right one ordered.'
              : 'Only the right one: it waits for it.'
        },
        { seen: 'Half sheared', then: 'Renewed; and why: a loose nut, a greasy taper, a propeller strike.' },
        { seen: 'Slot oval', then: 'The wheel or the crank: a specialist says which.', job: 'overhaul' }
      ]
    },
    {
      id: 'taper',
      text: 'Taper: rust rings, galling? Lapped dry with fine paste by hand, a few turns, washed off.',
      careful: ['chemicals']
    },
    {
      id: 'under',
      text: 'Under it: rubbed coils, loose screws, oil from the seal, chewed wires.',
      items: ['spark.trigger'],
      branch: [{ seen: 'Oil', then: 'Upper crank seal.', job: 'crank-seal' }]
    },
    { ...wheelOn, proves: true },
    {
      id: 'turn',
      text: 'Turned by hand, its way: nothing rubs.',
      turns: { way: about(c).way, from: 'above' },
      items: ['turn.result']
    }
  ]
};
