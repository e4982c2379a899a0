import { PSI } from '../../units/factors.ts';

/** Whether a needle fell from one pull to the next by more than its own step. */
export const falls = (needle: readonly number[], step = PSI): boolean =>
  needle.some((p, k) => k > 0 && p < needle[k - 1]! - 1.01 * step);
