import type { Action, Station } from '../station.ts';
import { items } from './readings.ts';
import { unnoted } from './unnoted.ts';

const ended = new Set<unknown>(['stop', 'stopped', 'died', 'failed']);
/** To record it is to say that the engine runs; that it stopped may always be recorded. */
const unlessEnded = (value: unknown): Action | undefined => (ended.has(value) ? undefined : 'start');
/** To record that it shifts is to have shifted it running; that a gear is missing may always be recorded. */
const shifted = (value: unknown): Action | undefined => (value === 'both' ? 'gear' : undefined);

export const station = {
  items,
  title: 'First run',
  short: 'Run',
  minutes: 20,
  how: [
    'Outdoors, water on and checked, extinguisher at hand. On muffs: idle only.',
    'Stream within about half a minute where there is one, else temperature and exhaust water.',
    'Watch temperature, lamp, smoke and leaks to the end; shift each way.'
  ],
  hazards: { before: ['vapour'], during: ['carbon-monoxide', 'propeller', 'flywheel', 'hot'] },
  tools: ['muffs or tank', 'thermometer', 'extinguisher'],
  anchor: 'propeller',
  act: 'start',
  // The log of a run under way, its stop and its cause are never refused.
  acts: { event: unlessEnded, outcome: unlessEnded, minutes: 'start', longRun: 'start', gears: shifted },
  looksAt: 'running',
  beforeRelease: true,
  untried: unnoted
} as const satisfies Station;
