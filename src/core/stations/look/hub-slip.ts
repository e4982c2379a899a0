import type { Context } from '../../findings/context.ts';
import { isAfter, type Instant } from '../../units/instant.ts';

/**
 * Of something that did not drive at a moment: the propeller's hub slips, which drives in no gear, or it slipped then and was mended since.
 * Nothing where it was not seen to slip, or failed with the hub mended already.
 */
export function hubSlip(c: Context, failed: Instant | undefined): 'slips' | 'mended' | undefined {
  const seen = c.record.all('look.twist').findLast((r) => r.value === 'slips');
  if (!seen || failed === undefined) return undefined;
  const mended = c.renewed('look.twist').filter((at) => !isAfter(seen.at, at));
  if (!mended.length) return c.record.value('look.twist') === 'slips' ? 'slips' : undefined;
  return mended.some((at) => isAfter(at, failed)) ? 'mended' : undefined;
}
