import { causeLookedFor } from '../stations/run/symptoms.ts';
import type { JobRule } from './job.ts';

/** After a first run. */
export const running = {
  leak: {
    title: 'Stop the leak where it was seen',
    raisedBy: ['run.leak-part'],
    how: 'Gasket, seal or plug of that place; faces clean and flat, the manual’s torque. Wiped dry, and run again with paper under it.',
    tools: ['torque wrench', 'scraper'],
    parts: ['gasket or seal as found'],
    minutes: 40,
    hazards: ['hot', 'vapour'],
    renews: ['run.leaks'],
    proof: { station: 'run', text: 'dry after the same run', reads: ['run.leaks'] },
    opens: ['cowl']
  },
  'run-again': {
    title: 'Cure the cause and repeat the first run',
    // Whatever a run showed is over when the same run was made again without it.
    raisedBy: [
      'run.failed',
      'run.stopped',
      'run.lamp',
      'run.lamp-cool',
      'run.smoke',
      'run.leaks',
      'run.noise',
      'run.died',
      'run.dies-warm',
      'run.kicks',
      'run.spits',
      'run.shakes',
      'run.no-work',
      'run.steam',
      'run.no-water',
      'run.plug-wet'
    ],
    how: 'Record the cause first. Outdoors, water on, extinguisher at hand.',
    bySchool: (c) =>
      causeLookedFor(c)
        ? {
            title: 'Make the same run again',
            how: 'Its cause was looked for and not found: once more the same, with somebody at the lanyard. Outdoors, water on, extinguisher at hand.'
          }
        : {},
    minutes: 30,
    hazards: ['carbon-monoxide', 'propeller', 'hot'],
    proof: { station: 'run', text: 'ran and settled, no lamp, no leak' },
    uses: ['tank'],
    noisy: true,
    phase: 'running',
    isFirstRun: true
  }
} as const satisfies Readonly<Record<string, JobRule>>;
