import { engineOil } from '../procedures/engine-oil.ts';
import { flush } from '../procedures/flush.ts';
import { gearOil } from '../procedures/gear-oil.ts';
import { monthlyTurn } from '../procedures/monthly-turn.ts';
import { plugsRenew } from '../procedures/plugs-renew.ts';
import { pumpKit } from '../procedures/pump-kit.ts';
import { shortJob, type Flow } from './flow.ts';

/** Twenty-minute jobs on an engine that is in use. */
export const serviceFlows: readonly Flow[] = [
  shortJob(gearOil, { holds: ['gear-chips', 'gear-water'], counts: ['gear-oil'] }),
  shortJob(engineOil, { holds: ['oil', 'indoors', 'water'], counts: ['engine-oil'] }),
  shortJob(pumpKit, { id: 'pump', title: 'Water pump', holds: ['water'], counts: ['impeller'] }),
  shortJob(plugsRenew, {
    id: 'plugs',
    title: 'Spark plugs',
    holds: ['drowned', 'drowned-running'],
    counts: ['plugs']
  }),
  shortJob(flush, { holds: ['indoors', 'water'], counts: ['flush'] }),
  shortJob(monthlyTurn, { holds: ['drowned', 'drowned-running', 'locked'], counts: ['monthly-turn'] })
];
