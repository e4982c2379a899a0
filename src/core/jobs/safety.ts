import type { JobRule } from './job.ts';

/** Making it safe. */
export const safety = {
  safe: {
    title: 'Make it safe',
    raisedBy: ['safe.open'],
    how: 'Do what the finding names before a hand goes near the engine.',
    minutes: 10,
    hazards: ['lift', 'battery', 'propeller'],
    proof: { station: 'safe', text: 'lanyard, battery, propeller and stand recorded' },
    phase: 'first'
  }
} as const satisfies Readonly<Record<string, JobRule>>;
