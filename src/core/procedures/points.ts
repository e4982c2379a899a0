import { ownLimits } from '../engine/limits.ts';
import { judgedBy } from '../findings/limit.ts';
import { about } from './about.ts';
import { ignitionHandOver } from './hand-over.ts';
import { wheelOff, wheelOn } from './ignition-steps.ts';
import type { Procedure } from './procedure.ts';

/** Points cleaned and gapped, condenser paired (C: common practice; the maker’s manual stands above it). */
export const points: Procedure = {
  id: 'points',
  title: 'Points cleaned and gapped, condenser paired',
  means:
    'Seen, cleaned, measured closed, gapped at the highest of the cam, spark tried; condenser with them where the house says so.',
  minutes: 60,
  jobs: ['points'],
  fits: (e) => e.profile.ignition === 'points',
  hazards: ['high-voltage', 'flywheel', 'eyes'],
  tools: ['feeler gauges', 'points file and card', 'meter', 'puller for the flywheel', 'torque wrench'],
  parts: ['points', 'condenser', 'cam grease'],
  wrong: [
    'Emery left between the points: they burn again at once.',
    'Gapped off the top of the cam.',
    'Grease on the faces.',
    'The wire left against the wheel.'
  ],
  proof: { station: 'spark', text: 'spark on every cylinder at the hand’s speed, over its gap' },
  handOver: ignitionHandOver,
  steps: (c) => {
    const a = about(c);
    const limit = judgedBy(c, 'spark.pointsGap', ownLimits.pointsGap, 'common practice');
    return [
      ...wheelOff,
      {
        id: 'look',
        text: 'Points: grey is good; blue, pitted with a peak, oily? Rub block worn, felt dry?',
        items: ['spark.pointsLook', 'spark.rubBlock'],
        branch: [
          { seen: 'A peak on one side', then: 'Condenser and points as a pair.' },
          { seen: 'Oily', then: 'The crank seal above or below weeps.', job: 'crank-seal' }
        ]
      },
      {
        id: 'clean',
        text: 'Filed only until flat, then a clean card drawn through, then solvent; no emery.',
        items: ['spark.pointsClean']
      },
      {
        id: 'ohms',
        text: 'Closed, measured across: under half an ohm?',
        tools: ['meter'],
        items: ['spark.pointsOhms']
      },
      {
        id: 'gap',
        text: 'Turned, only its way, until the rub block stands on the highest of the cam; gap by the feeler, screw tight, measured again.',
        turns: { way: a.way, from: 'above' },
        items: ['spark.pointsGap'],
        figures: [
          {
            label: 'Gap',
            dimension: 'length',
            value: limit.value,
            because: limit.manual ? 'The manual’s.' : 'Common practice on older magnetos; the manual’s counts.'
          }
        ],
        branch: [{ seen: 'Another cylinder’s points differ', then: 'Each by itself: unlike gaps are unlike timing.' }]
      },
      {
        id: 'condenser',
        text: 'Condenser: charged by the meter it climbs to endless; across the points no burning spark.',
        items: ['spark.condenserSwap'],
        because: 'It dies warm: cold it may test good. Renewed with burnt points.'
      },
      { id: 'felt', text: 'A rice grain of cam grease on the felt; wires clear of wheel and cam.' },
      wheelOn,
      {
        id: 'spark',
        proves: true,
        act: 'crank',
        text: 'Spark by the tester, each cylinder, turned by the rope.',
        careful: ['high-voltage', 'vapour'],
        items: ['spark.result', 'spark.gap']
      }
    ];
  }
};
