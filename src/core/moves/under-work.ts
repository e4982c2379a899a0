import { renewedItem } from '../jobs/job.ts';
import { isJobId, jobOf, traitsOf } from '../jobs/register.ts';
import { seenRunning } from '../jobs/work.ts';
import { stationOf } from '../stations/items.ts';
import { stations } from '../stations/register.ts';
import type { Action } from '../holds/hold.ts';
import type { Move } from './move.ts';
import type { Position } from './position.ts';

/**
 * What work that still goes on stands in the way of: what is with a specialist is neither turned nor looked at here, and what
 * soaks, sets or works in the water ways is not run in.
 */
export function underWork({ steps }: Position, m: Move, needs: Action | undefined): string | undefined {
  for (const { id, busyUntil, title } of steps) {
    if (!busyUntil || !isJobId(id)) continue;
    const rule = jobOf(id);
    const does = needs ?? (m.station && stations[m.station].act);
    const read = [rule.proof.station, ...(rule.renews ?? []).map((r) => stationOf(renewedItem(r)))];
    const away =
      traitsOf(id).phase === 'away' && (does === 'crank' || does === 'start' || read.some((x) => x === m.station));
    if (away) return 'First: the power head is back.';
    if (needs === 'start' && seenRunning(rule))
      return `First: ${title.charAt(0).toLowerCase()}${title.slice(1)}, which still goes on.`;
  }
  return undefined;
}
