import { ownLimits } from '../engine/limits.ts';
import { chosenSchool, sayChoice, school, schoolSaid } from '../house-rules/rules.ts';
import { about, figures } from './about.ts';
import { legOff, legOn } from './gear-steps.ts';
import { coolingHandOver } from './hand-over.ts';
import { mirrored } from './procedure.ts';
import type { Procedure, ProcedureStep } from './procedure.ts';

/** Water pump: kit or impeller (C: common practice; the maker’s manual stands above it). */
export const pumpKit: Procedure = {
  id: 'pump-kit',
  title: 'Water pump: kit or impeller',
  means:
    'Leg down, pump apart in order, judged, built as the mirror, vanes laid the engine’s way, tried before the leg goes up.',
  minutes: 70,
  jobs: ['pump', 'leg-water'],
  hazards: ['leg', 'eyes'],
  tools: [
    'spanners for the leg bolts',
    'soft mallet',
    'pick',
    'torque wrench',
    'low-speed drill with a socket for the shaft'
  ],
  parts: ['pump kit or impeller, as the finding says', 'key', 'O-ring grease'],
  wrong: [
    'A washer left in the housing or put on the wrong side: the impeller runs on metal.',
    'Vanes laid backward: it pumps at once and tires in a season.',
    'Key left out: the shaft turns, the impeller stands.',
    'Grease on the spline’s end: the leg will not seat and the crank bearing pays.'
  ],
  proof: { station: 'cooling', text: 'it pumps in the drill test, the stream is strong, shift tried' },
  handOver: coolingHandOver,
  steps: (c) => {
    const a = about(c);
    const kit = school(c.rules, 'pump') === 'kit';
    const set = a.number('cooling.set');
    const apart: ProcedureStep[] = [
      legOff(c.survey.engine.profile.shift !== 'direct'),
      {
        id: 'mark',
        text: 'A line scribed across housing, plate and case; photographed from above before the first screw.',
        tools: ['scriber']
      },
      {
        id: 'housing',
        text: 'Housing screws out in order, crosswise; housing up the shaft. Which washers come with it, and which side up?',
        because: 'Washers stick to grease: count them now.',
        takesOff: ['housing screws', 'housing', 'washers above the impeller'],
        items: ['cooling.washersPhoto'],
        branch: [
          {
            seen: 'A screw turns and does not rise',
            then: 'Heat and a firm pull; a sheared one is drilled square before anything is cleaned.'
          }
        ]
      },
      {
        id: 'impeller',
        text: 'Impeller up the shaft, key caught, plate and gaskets off.',
        careful: ['eyes'],
        tools: ['pick', 'two levers with rags'],
        takesOff: ['impeller', 'key', 'washers under the impeller', 'plate', 'pump gaskets'],
        items: ['cooling.bush'],
        branch: [
          {
            seen: 'Bush seized on the shaft',
            then: 'Rubber off, bush split with a chisel along the shaft; the shaft polished, not filed.'
          },
          {
            seen: 'Key sheared or missing',
            then: 'Why: a stone, ice, or somebody’s home-made key. A proper one goes in.'
          }
        ]
      }
    ];
    return [
      ...apart,
      {
        id: 'judge',
        text: 'Vanes: how far are they set, cracked, are any missing? Every piece is found before it is closed.',
        items: ['cooling.vanes', 'cooling.set', 'cooling.cracked', 'cooling.missing'],
        ...figures(
          set === undefined
            ? undefined
            : {
                label: set > ownLimits.vaneSet ? 'Set: renewed' : 'Set: within what still seals',
                dimension: 'angle',
                value: set,
                because: `Renewed from about ${ownLimits.vaneSet}° (from memory).`
              }
        ),
        branch: [{ seen: 'Pieces missing', then: 'They lie in the tube or at the thermostat.', job: 'pieces' }]
      },
      {
        id: 'faces',
        text: 'Housing cup and plate: a fingernail across. Blue, melted, grooved is run dry.',
        items: ['cooling.housing'],
        because: `${schoolSaid(c.rules, 'pump')}.`,
        branch: [
          {
            seen: 'Grooved or blue',
            then: kit ? 'The kit, all of it.' : 'Cup and plate with the impeller, whatever the house’s rule.'
          },
          {
            seen: 'Clean and flat',
            then:
              kit && (a.number('cooling.impellerAge') ?? 9) <= 3
                ? 'Impeller, gaskets and O-rings.'
                : sayChoice(chosenSchool(c.rules, 'pump'))
          }
        ]
      },
      {
        id: 'under',
        text: 'The cover under the pump: its lip, and rust on the shaft where a seal runs.',
        items: ['cooling.cover'],
        branch: [{ seen: 'Lip gone', then: 'Now, while it is open.', job: 'leg-water' }]
      },
      {
        id: 'build',
        text: 'Built as the mirror of what came off: gaskets, plate, washers, key, impeller, washers, housing; each against the photograph.',
        because: 'The manual’s drawing stands above the photograph: somebody may have built it wrong before.',
        fits: mirrored(apart.slice(2)),
        renew: ['pump gaskets', 'O-rings'],
        items: ['cooling.assembled']
      },
      {
        id: 'vanes',
        text: `${school(c.rules, 'pumpGrease') === 'film' ? 'A film of grease on the vanes' : 'Vanes and cup greased well'}, none on the shaft’s end face; housing pushed down while the shaft is turned, only the engine’s way, so that every vane lies back.`,
        because: `${schoolSaid(c.rules, 'pumpGrease')}. One turn backward folds them.`,
        turns: { way: a.way, from: 'above' },
        careful: ['eyes']
      },
      {
        id: 'drill',
        proves: true,
        text: 'In neutral, clamped, sleeves clear: intake in a bucket, low-speed drill on the shaft, its own way: water from the tube within seconds?',
        careful: ['eyes'],
        because: 'A minute now, or the leg comes down again.',
        turns: { way: a.way, from: 'above' },
        tools: ['low-speed drill with a socket for the shaft', 'bucket'],
        items: ['cooling.drill'],
        branch: [{ seen: 'Nothing', then: 'Key, vanes, plate gasket; in this order, before the leg goes up.' }]
      },
      ...legOn(c),
      {
        id: 'stream',
        text: 'On water, first start: the stream within half a minute, or stop.',
        careful: ['carbon-monoxide', 'propeller'],
        act: 'start',
        items: ['cooling.stream']
      }
    ];
  }
};
