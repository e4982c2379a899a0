import { about } from './about.ts';
import type { Procedure } from './procedure.ts';

/** Getting home with a failing pump or no spring (C: common practice; the maker’s manual stands above it). */
export const wayHome: Procedure = {
  id: 'way-home',
  title: 'Getting home with a failing pump or no spring',
  means: 'A card for the boat: what to do on the water, and when to stop.',
  minutes: 10,
  jobs: [],
  hazards: ['hot', 'flywheel', 'propeller', 'fuel-pressure'],
  tools: ['emergency rope', 'paddle', 'anchor'],
  parts: [],
  wrong: ['Run on without a stream: the head is gone in minutes.', 'Lanyard off because hands are needed.'],
  proof: { station: 'run', text: 'looked at ashore before it runs again' },
  handOver: 'In danger: the distress call first, the engine after.',
  steps: (c) => [
    { id: 'anchor', text: 'Anchor down or drifting free of danger, lifejackets on; then the engine.' },
    {
      id: 'stream',
      text: 'No stream: stop within half a minute. Weed off the intake, outlet probed, started again; still none: not on.',
      careful: ['hot', 'propeller'],
      items: ['run.stream']
    },
    ...(c.survey.engine.profile.supply === 'gravity'
      ? []
      : [
          {
            id: 'pump',
            text: 'Fuel pump failing: vent open, bulb primed, in gear, half throttle, the bulb squeezed every half minute.',
            careful: ['fuel-pressure'] as const
          }
        ]),
    {
      id: 'rope',
      text: 'Starter broken: cover off, knotted rope in the notch, wound its way, in neutral, lanyard on, nobody behind; the cover stays off.',
      careful: ['flywheel'],
      turns: { way: about(c).way, from: 'above' }
    },
    {
      id: 'slow',
      text: 'Home at the speed that keeps it cool and even; a hand near the stream every few minutes.',
      careful: ['hot']
    },
    {
      id: 'note',
      text: 'Ashore: what it did, after how long; it does not run again before it was looked at.',
      items: ['run.remark', 'run.reason']
    }
  ]
};
