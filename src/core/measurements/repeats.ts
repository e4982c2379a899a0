/** Readings of one thing taken alike, and which of them speak. */
export interface Repeats<T> {
  /** Those that speak; all of them while nothing says which of them is wrong. */
  readonly speaking: readonly T[];
  /** They do not agree, and no repeat has said yet which of them is wrong: nothing is built on them. */
  readonly scattered: boolean;
}

/** So many in a row that agree outweigh whatever was read before them (C). */
const OUTWEIGHS = 3;

/**
 * Repeats that lie further apart than the tolerance are not averaged: one of them is wrong, and which one only another repeat tells.
 * The last ones speak once they agree among themselves and are more than those they contradict, or three in a row; one before them that
 * agrees with them is contradicted by nothing.
 * @param list oldest first
 * @param agree whether two readings are within the tolerance of one another
 * @example repeatsOf([125, 125, 50], within15) // { speaking: all three, scattered: true }
 * @example repeatsOf([50, 125, 125], within15) // { speaking: [125, 125], scattered: false }
 * @example repeatsOf([125, 50, 125, 125], within15) // { speaking: [125, 125], scattered: false }
 */
export function repeatsOf<T>(list: readonly T[], agree: (a: T, b: T) => boolean): Repeats<T> {
  let from = list.length;
  while (from > 0 && list.slice(from).every((later) => agree(list[from - 1]!, later))) from -= 1;
  const latest = list.slice(from);
  if (from === 0) return { speaking: list, scattered: false };
  const contradicted = list.slice(0, from).filter((earlier) => !latest.every((later) => agree(earlier, later)));
  const outweighs = latest.length >= OUTWEIGHS || (latest.length > 1 && latest.length > contradicted.length);
  return outweighs ? { speaking: latest, scattered: false } : { speaking: list, scattered: true };
}
