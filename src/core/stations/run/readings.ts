import { choice, quantity, text } from '../../survey/items.ts';

/** The first run, in short: what has to be true before, and what was seen. */
export const items = {
  outcome: choice({
    label: 'First run',
    options: { ran: 'ran and settled', stopped: 'stopped early', failed: 'would not start' }
  }),
  minutes: quantity({ label: 'Ran for', dimension: 'minutes', min: 0, max: 600 }),
  lamp: choice({ label: 'Warning lamp or horn', options: { none: 'none', came: 'came on' }, absent: true }),
  smoke: choice({
    label: 'Smoke',
    options: { none: 'none', first: ['the first minutes', 'preservation oil, normal'], keeps: 'keeps coming' }
  }),
  leaks: choice({ label: 'Leaks', options: { none: 'none', oil: 'oil', fuel: 'fuel', water: 'water' } }),
  gears: choice({
    label: 'Shifts',
    options: { both: 'forward, neutral, reverse', fails: 'a gear missing or jumps' },
    absent: true
  }),
  cause: text({ label: 'Why it was stopped, and what was found', long: true })
} as const;
