import { ofThisPart } from '../../findings/renewed.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';

/** How far from flat a face may be, m: dressed on a plate up to the second, machined beyond it (M; the manual's limit wins). */
export const FLAT_FITS = 0.05e-3;
export const FLAT_DRESS = 0.1e-3;

export type Flatness = 'fits' | 'dress' | 'machine';
/**
 * What is done with a face, m of feeler under the straight edge.
 * @example flatnessVerdict(0.08e-3) // 'dress'
 */
export const flatnessVerdict = (gap: number): Flatness =>
  gap <= FLAT_FITS ? 'fits' : gap <= FLAT_DRESS ? 'dress' : 'machine';

/** The face of the head as it is now; nothing where it was not measured, or was dressed since. */
export function headFace(c: Context): { readonly gap: number; readonly verdict: Flatness } | undefined {
  const gap = known(ofThisPart(c, 'compression.flatness'));
  return gap === undefined ? undefined : { gap, verdict: flatnessVerdict(gap) };
}
