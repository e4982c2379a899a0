import { PSI } from '../units/factors.ts';
import { ownLimits } from '../engine/limits.ts';
import { judgedBy } from '../findings/limit.ts';
import { about } from './about.ts';
import { drainStep } from './gear-steps.ts';
import { gearHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Which pressures belong to which stage: under vacuum, up to half way from the low stage to the high one, and above. */
const BETWEEN = 7.5 * PSI;
const stage =
  (belongs: (pressure: number) => boolean) =>
  (what: string, value: unknown): boolean =>
    what !== 'gear.casePressure' || (typeof value === 'number' && belongs(value));
const ofStage = {
  low: stage((p) => p > 0 && p < BETWEEN),
  high: stage((p) => p >= BETWEEN),
  vacuum: stage((p) => p < 0)
};

/** Case test in its stages (C: common practice; the maker’s manual stands above it). */
export const caseTest: Procedure = {
  id: 'case-test',
  title: 'Case test in its stages',
  means: 'Low, high, vacuum; each held with the shafts turned, each read twice.',
  minutes: 25,
  jobs: ['case-test'],
  hazards: ['air', 'leg', 'waste'],
  tools: ['regulator and gauge', 'adapter for the plug thread', 'hand vacuum pump', 'soapy water', 'clock'],
  parts: ['plug washers'],
  wrong: [
    'Pressure straight from the line: a seal is blown out that was good.',
    'Shafts not turned: a seal leaks only where its lip is worn.',
    'Oil still inside: it closes a leak for an hour.'
  ],
  proof: { station: 'gear', text: 'every stage held, shafts turned' },
  handOver: gearHandOver,
  steps: (c) => {
    const { say } = about(c);
    const most = judgedBy(c, 'gear.casePressure', ownLimits.casePressure, 'common practice').value;
    return [
      drainStep(c),
      {
        id: 'connect',
        text: 'Level and vent shut with fresh washers, the adapter in the lowest hole, regulator at its lowest.',
        careful: ['air'],
        tools: ['adapter for the plug thread', 'regulator and gauge']
      },
      {
        id: 'low',
        text: 'Low stage: 3 to 5 psi, shut the supply, read at once and again.',
        because: 'A lip that is only tired leaks at low pressure and seals at high.',
        careful: ['air'],
        wait: 5,
        accepts: ofStage.low,
        items: ['gear.casePressure']
      },
      {
        id: 'low-turn',
        text: 'Both shafts turned, shift moved through its gears, meanwhile the gauge watched.',
        turns: { way: about(c).way, from: 'above' },
        items: ['gear.caseTurned']
      },
      {
        id: 'high',
        text: 'High stage: about 10 psi, read at once and again, shafts turned.',
        careful: ['air'],
        figures: [
          {
            label: 'Never above',
            dimension: 'pressure',
            value: most,
            because: c.survey.engine.manual?.['gear.casePressure']
              ? 'The manual’s figure.'
              : `Common practice: ${say(most, 'pressure')}, more only with the manual’s figure.`
          }
        ],
        wait: 10,
        accepts: ofStage.high,
        items: ['gear.casePressure', 'gear.caseTurned']
      },
      {
        id: 'soap',
        text: 'If it falls: soapy water on shafts, plugs, joint, shift shaft; or the whole leg in a tub.',
        items: ['gear.caseBubbles'],
        branch: [
          { seen: 'At a plug', then: 'Fresh washer, same stage again.' },
          { seen: 'At a shaft', then: 'Its seals.', job: 'reseal' },
          { seen: 'At the joint or through the wall', then: 'O-ring or crack.', job: 'crack' },
          { seen: 'Nowhere', then: 'Inwards, past the drive shaft: bubbles in the pump’s seat.' }
        ]
      },
      {
        id: 'vacuum',
        text: 'Vacuum stage: 3 to 5 inHg, held; it tries the lips the other way.',
        because: 'In use water pushes inward: this is the stage that says whether it gets in.',
        tools: ['hand vacuum pump'],
        wait: 5,
        accepts: ofStage.vacuum,
        items: ['gear.casePressure']
      },
      {
        id: 'open',
        text: 'Pressure or vacuum let off before anything is turned or opened.',
        careful: ['air'],
        items: ['gear.caseOpen']
      }
    ];
  }
};
