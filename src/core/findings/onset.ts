import type { Instant } from '../units/instant.ts';

/**
 * When something went wrong that had been right before: what was tried or tested of it until then was tried of something else. Nothing
 * where it was never seen right, or is right now.
 * @param readings of one item, in order of time
 * @param isWrong which of its answers are wrong in this way
 */
export function onsetOf(
  readings: readonly { readonly at: Instant; readonly value: unknown }[],
  isWrong: (value: unknown) => boolean
): Instant | undefined {
  const told = readings.filter((r) => r.value !== 'unknown');
  const right = told.findLastIndex((r) => !isWrong(r.value));
  return right < 0 ? undefined : told[right + 1]?.at;
}
