import { holdAgainst, unliftable, type Hold } from '../holds/index.ts';
import { stations, stationsFor } from '../stations/register.ts';
import type { StationId } from '../stations/items.ts';
import type { RankedCheck } from '../diagnosis/ranking.ts';
import type { Condition, Finding } from '../findings/finding.ts';
import type { Profile } from '../engine/profile.ts';

export interface NextCheck {
  readonly station: StationId;
  readonly title: string;
  readonly minutes: number;
  readonly because: string;
  /** Looking is over: what is known decides. */
  readonly decide?: true;
}

/**
 * The next check: what keeps it from being turned over first, and what makes it safe; then the open check that gains
 * most for its minutes; then what the gates still ask for, what could not be told, and what a hold waits for.
 * `hopeless` says that by what is known it is not worth mending: then it is decided, not looked at further.
 */
export function nextCheck(
  profile: Profile,
  states: Readonly<Partial<Record<StationId, Condition>>>,
  holds: readonly Hold[],
  ranked: readonly RankedCheck[] = [],
  hopeless = false,
  found: readonly Finding[] = []
): NextCheck | undefined {
  const order = stationsFor(profile);
  const at = (station: StationId, because: string): NextCheck => ({
    station,
    title: stations[station].title,
    minutes: stations[station].minutes,
    because
  });
  const raised = holds.filter((h) => !h.override && !h.standing);
  if (unliftable(holds)) return undefined;
  const fromHolds = (list: readonly Hold[]): NextCheck | undefined => {
    for (const hold of list) {
      const need = hold.needs.find((n) => !n.done && n.station);
      if (need?.station) return at(need.station, `${hold.title}: ${need.text}.`);
    }
    return undefined;
  };
  const seen = (s: StationId): boolean => (states[s] ?? 'not-looked-at') !== 'not-looked-at';
  const cranking = fromHolds(raised.filter((h) => h.blocks.includes('crank')));
  if (cranking) return cranking;
  for (const s of order) {
    const { first } = stations[s];
    if (first && !seen(s)) return at(s, first);
  }
  // Doubt before belief: nothing is built on a reading that is doubted while its repeat can be had.
  const doubted = found.find((f) => f.repeat && stations[f.station].again && !holdAgainst(holds, f.station));
  if (doubted && !hopeless)
    return { ...at(doubted.station, doubted.sentence), title: stations[doubted.station].again! };
  const best = ranked.find((r) => r.worthIt && !r.waits);
  if (hopeless && !best?.doubted)
    return {
      station: best?.station ?? 'look',
      title: 'Stop and decide',
      minutes: 0,
      because: 'By what is known, mending costs more than the engine is worth: decide before more hours go in.',
      decide: true
    };
  if (best) return { station: best.station, title: best.title, minutes: best.minutes, because: best.because };
  const blocked = (s: StationId): boolean => holdAgainst(holds, s) !== undefined;
  const unseen = order.find((s) => !seen(s) && !blocked(s));
  if (unseen) return at(unseen, 'Nothing points there; it is looked at before the engine goes back.');
  const unclear = order.find((s) => states[s] === 'cannot-tell' && !blocked(s));
  if (unclear) return at(unclear, 'The readings so far cannot tell; one more decides.');
  return fromHolds([...raised, ...holds.filter((h) => !h.override && h.standing)]);
}
