import type { Context } from '../../findings/context.ts';
import { isAfter } from '../../units/instant.ts';

/** A hub that slips drives in no gear: its propeller is mended first, and each gear is tried again before a linkage is set. */
export function hubSlip(c: Context): { readonly hub?: 'slips' | 'mended' } {
  const seen = c.record.all('look.twist').findLast((r) => r.value === 'slips');
  const failed = c.record.last('run.gears');
  if (!seen || !failed) return {};
  const mended = c.renewed('look.twist').filter((at) => !isAfter(seen.at, at));
  if (!mended.length) return c.record.value('look.twist') === 'slips' ? { hub: 'slips' } : {};
  return mended.some((at) => isAfter(at, failed.at)) ? { hub: 'mended' } : {};
}
