import type { Context } from '../findings/context.ts';
import type { Reading } from '../record/reading.ts';
import { mostPressure, stageTest, type CaseStage } from '../stations/gear/case-test.ts';
import { about } from './about.ts';
import { drainStep } from './gear-steps.ts';
import { gearHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** A stage is through when the check calls it held or leaking: one reading, or too short a hold, is neither. */
const judged =
  (c: Context, stage: CaseStage) =>
  (r: Reading): boolean => {
    if (r.what !== 'gear.casePressure') return true;
    const test = stageTest(c, stage);
    return (test?.verdict === 'held' || test?.verdict === 'leaks') && test.readings.some((x) => x.at === r.at);
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
    const most = mostPressure(c).value;
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
        accepts: judged(c, 'low'),
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
        accepts: judged(c, 'high'),
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
        accepts: judged(c, 'vacuum'),
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
