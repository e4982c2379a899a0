import type { StepRule } from './rule.ts';

/** What cannot wait until tomorrow comes before everything. */
export const urgentSteps: readonly StepRule[] = [
  {
    id: 'frost',
    title: 'Drain the gear case today: frost is coming',
    raisedBy: ['gear.frost'],
    how: 'Lower plug out and left out, vent open, case covered; label it CASE EMPTY.',
    tools: ['driver that fills the slot', 'drain pan'],
    minutes: 10,
    wait: 60,
    hazards: ['waste'],
    proof: { station: 'gear', text: 'drained volume recorded' }
  }
];
