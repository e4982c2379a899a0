import type { Move } from '$core/moves/move.ts';
import { stationOf, type ItemId } from '$core/stations/items.ts';

const LOOKS: ReadonlySet<Move['kind']> = new Set(['look', 'repeat', 'continue']);

/** What the list of what to do now asks of the same check before a trial of a search; nothing where the trial is the first. */
export function beforeTrial(moves: readonly Move[], trial: ItemId): Move | undefined {
  const station = stationOf(trial);
  const first = moves.find((m) => m.station === station && LOOKS.has(m.kind) && !m.waits && m.class < 7);
  return first?.items?.includes(trial) ? undefined : first;
}
