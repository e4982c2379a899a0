import { about } from './about.ts';
import { drainStep, fillSteps, legOff, legOn, sealSteps, shiftsOf, testAfter } from './gear-steps.ts';
import { gearHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Drive-shaft seal and the cover under the pump (C: common practice; the maker’s manual stands above it). */
export const driveShaftSeal: Procedure = {
  id: 'drive-shaft-seal',
  title: 'Drive-shaft seal and the cover under the pump',
  means: 'Leg off, pump off, cover and seal looked at, seal in, pump built as it was, leg up.',
  minutes: 100,
  jobs: ['reseal', 'leg-water'],
  hazards: ['leg', 'eyes', 'waste'],
  tools: ['spanners for the leg bolts', 'seal puller', 'seal driver'],
  parts: ['drive-shaft seals', 'cover gasket or O-ring', 'pump gaskets'],
  wrong: [
    'Shaft lifted with the key still in: the key drops into the case.',
    'A new seal over a rusty ridge: the lip is cut going on. Tape or a sleeve over the splines.',
    'Pump put back with the shaft turned backward: vanes folded.'
  ],
  proof: { station: 'gear', text: 'the case holds every stage; it pumps in the drill test' },
  handOver: gearHandOver,
  steps: (c) => [
    drainStep(c),
    legOff(shiftsOf(c)),
    {
      id: 'pump-off',
      text: 'Pump housing, impeller, key, plate and gaskets off in order; the key found before anything moves.',
      takesOff: ['pump housing', 'impeller', 'key', 'plate', 'pump gaskets'],
      items: ['cooling.vanes', 'cooling.set']
    },
    {
      id: 'cover',
      text: 'Cover under the pump off; its lip and its bore looked at, rust on the shaft above it.',
      takesOff: ['seal cover'],
      items: ['cooling.cover'],
      branch: [
        { seen: 'Lip gone, bore eaten', then: 'Cover renewed with the seal: the lip keeps water from the pump out.' }
      ]
    },
    ...sealSteps(c, 'the drive shaft', 'Often back to back: one keeps the oil in, one the water out.'),
    {
      id: 'cover-on',
      text: 'Shaft’s splines taped, cover over it with a new gasket or O-ring.',
      fits: ['seal cover'],
      renew: ['cover gasket or O-ring']
    },
    testAfter,
    {
      id: 'pump-on',
      text: 'Gaskets, plate, key, impeller, housing in the mirror order, the shaft turned its own way as the vanes go in.',
      turns: { way: about(c).way, from: 'above' },
      fits: ['pump gaskets', 'plate', 'key', 'impeller', 'pump housing'],
      renew: ['pump gaskets'],
      items: ['cooling.assembled']
    },
    ...legOn(c),
    ...fillSteps(c)
  ]
};
