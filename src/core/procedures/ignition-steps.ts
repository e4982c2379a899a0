import type { ProcedureStep } from './procedure.ts';

/** Flywheel off and on: what points, key, trigger and charge coil have in common. */
export const wheelOff: readonly ProcedureStep[] = [
  {
    id: 'safe',
    text: 'Lanyard out, battery off, plugs out, leads grounded.',
    careful: ['high-voltage', 'flywheel'],
    items: ['safe.battery', 'safe.lanyard']
  },
  {
    id: 'cover',
    text: 'Rope starter or cover off, its screws by length.',
    takesOff: ['starter screws', 'rope starter or cover'],
    careful: ['eyes']
  },
  {
    id: 'nut',
    text: 'Flywheel held by a strap or holder, never by a screwdriver in its teeth; nut loosened to the end of its thread and left there.',
    because: 'The nut keeps the thread from spreading and the wheel from flying.',
    tools: ['flywheel holder', 'socket for the flywheel nut'],
    takesOff: ['flywheel nut', 'washer']
  },
  {
    id: 'pull',
    text: 'Puller in the three threads of the hub: how deep may the bolts go before they meet what lies under the wheel?',
    because: 'Measured with a rod first. A bolt too long is a coil pierced.',
    tools: ['puller for the flywheel', 'rod or calliper'],
    careful: ['eyes'],
    takesOff: ['flywheel', 'key'],
    branch: [
      {
        seen: 'It does not come',
        then: 'Tight on the puller, one blow on its screw; soak; never on the rim: magnets crack.'
      }
    ]
  }
];
export const wheelOn: ProcedureStep = {
  id: 'wheel-on',
  text: 'Taper and bore wiped dry of every trace of oil, key in its slot and the mark in line, wheel on, nut to its torque.',
  because: 'A greasy taper slips, and the key shears: the taper carries the wheel, not the key.',
  fits: ['key', 'flywheel', 'washer', 'flywheel nut', 'rope starter or cover', 'starter screws'],
  torque: ['torque.flywheel'],
  items: ['spark.keyLook']
};
