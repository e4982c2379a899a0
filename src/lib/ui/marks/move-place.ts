import type { Move } from '$core/moves/move.ts';

/** Where a move is made: at its check, on the job list, at the decision or at the gates. */
export function placeOf(move: Move, base: string): string {
  if (move.sheet) return `${base}/${move.sheet}`;
  if (move.kind === 'release') return `${base}/ready`;
  if (move.kind === 'ask') return `${base}/suspects#worth-title`;
  if (move.kind === 'decide' && !move.station) return `${base}/suspects#worth-title`;
  if (move.kind === 'decide' || (move.id.startsWith('gate:') && !move.station)) return `${base}/ready`;
  if (move.kind === 'job') return `${base}/jobs#job-${move.job}`;
  return move.station ? `${base}/${move.station}` : `${base}/jobs`;
}

/** The minutes of a move as they stand beside it; nothing where it takes none. */
export const minutesOf = (move: Move): string => {
  if (!move.minutes) return '';
  if (move.minutes < 120) return `${move.minutes} min`;
  const hours = move.minutes / 60;
  return hours < 48 ? `${Math.round(hours)} h` : `${Math.round(hours / 24)} days`;
};
