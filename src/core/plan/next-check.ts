import { against, type Hold } from '../holds/index.ts';
import { stations, stationsFor } from '../stations/register.ts';
import type { StationId } from '../stations/items.ts';
import type { Condition } from '../survey/finding.ts';
import type { Profile } from '../engine/profile.ts';

export interface NextCheck {
  readonly station: StationId;
  readonly title: string;
  readonly minutes: number;
  readonly because: string;
}

/**
 * The next check in working order: what keeps it from being turned over first, then what was not looked at, then what
 * could not be told, and only then what a hold against starting waits for: cheap decisive checks come before that work.
 * Rule-based; ranking by gain per minute comes with the suspects.
 */
export function nextCheck(
  profile: Profile,
  states: Readonly<Partial<Record<StationId, Condition>>>,
  holds: readonly Hold[]
): NextCheck | undefined {
  const order = stationsFor(profile);
  const at = (station: StationId, because: string): NextCheck => ({
    station,
    title: stations[station].text.title,
    minutes: stations[station].text.minutes,
    because
  });
  const raised = holds.filter((h) => !h.override && !h.standing);
  if (raised.some((h) => h.needs.some((n) => n.never))) return undefined;
  const fromHolds = (list: readonly Hold[]): NextCheck | undefined => {
    for (const hold of list) {
      const need = hold.needs.find((n) => !n.done && n.station);
      if (need?.station) return at(need.station, `${hold.title}: ${need.text}.`);
    }
    return undefined;
  };
  const cranking = fromHolds(raised.filter((h) => h.blocks.includes('crank')));
  if (cranking) return cranking;
  const blocked = (s: StationId): boolean =>
    ((s === 'compression' || s === 'spark') && against(holds, 'crank').length > 0) ||
    (s === 'run' && against(holds, 'start').length > 0);
  const unseen = order.find((s) => (states[s] ?? 'not-looked-at') === 'not-looked-at' && !blocked(s));
  if (unseen) return at(unseen, 'Not looked at yet, and it comes first in working order.');
  const unclear = order.find((s) => states[s] === 'cannot-tell' && !blocked(s));
  if (unclear) return at(unclear, 'The readings so far cannot tell; one more decides.');
  return fromHolds([...raised, ...holds.filter((h) => !h.override && h.standing)]);
}
