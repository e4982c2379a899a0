import type { JobRule } from './job.ts';

/** After a first run. */
export const running = {
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
    minutes: 30,
    hazards: ['carbon-monoxide', 'propeller', 'hot'],
    proof: { station: 'run', text: 'ran and settled, no lamp, no leak' },
    uses: ['tank'],
    noisy: true,
    phase: 'running',
    isFirstRun: true
  }
} as const satisfies Readonly<Record<string, JobRule>>;
