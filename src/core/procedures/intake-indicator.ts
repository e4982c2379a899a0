import { known } from '../engine/profile.ts';
import { coolingHandOver } from './hand-over.ts';
import type { Procedure } from './procedure.ts';

/** Intake, strainer and indicator line (C: common practice; the maker’s manual stands above it). */
export const intakeIndicator: Procedure = {
  id: 'intake-indicator',
  title: 'Intake, strainer and indicator line',
  means: 'The minutes that come before any pump is opened: what water comes in by and what it shows itself by.',
  minutes: 20,
  jobs: ['screen', 'outlet', 'strainer'],
  hazards: ['leg', 'hot'],
  tools: ['pick', 'brush', 'soft wire', 'low-pressure air'],
  parts: [],
  wrong: [
    'Wire pushed so far that it bends round and stays.',
    'Paint scraped into the slots.',
    'Hot water follows when a blocked outlet opens.'
  ],
  proof: { station: 'cooling', text: 'screens clear, stream strong' },
  handOver: coolingHandOver,
  steps: (c) => [
    { id: 'safe', text: 'Out of the water, lanyard out, leg locked.', careful: ['leg'] },
    {
      id: 'screens',
      text: 'Every slot of every intake picked, brushed, seen through; paint out of the edges.',
      tools: ['pick', 'brush'],
      items: ['cooling.screen']
    },
    ...(c.survey.engine.profile.thermostat === 'not-fitted'
      ? []
      : [
          {
            id: 'strainer',
            text: 'Small strainer under the cowl, where one is fitted: opened, rinsed.',
            items: ['cooling.strainer'] as const
          }
        ]),
    {
      id: 'outlet',
      text: 'A soft wire up the outlet, gently, an inch or two.',
      careful: ['hot'],
      tools: ['soft wire'],
      items: ['cooling.outlet'],
      branch: [
        {
          seen: 'It comes back with salt or a nest',
          then: 'The hose too: off its nipple, blown through toward the outlet.'
        }
      ]
    },
    {
      id: 'hose',
      text: 'Hose off at the engine, water or low air through it; nipple probed.',
      tools: ['low-pressure air'],
      because: 'Nipples at the block close with salt first.'
    },
    {
      id: 'run',
      proves: true,
      text: 'On water: stream within half a minute; then a bucket timed for half a minute.',
      careful: ['carbon-monoxide', 'propeller'],
      act: 'start',
      items: ['cooling.stream', 'cooling.bucket'],
      branch: [{ seen: 'Weak still', then: 'The pump.', job: 'pump' }]
    },
    ...(known(c.survey.engine.profile.cylinders)
      ? [
          {
            id: 'note',
            text: 'Flow written down with the engine speed: next year’s comparison.',
            items: ['run.rpm'] as const
          }
        ]
      : [])
  ]
};
