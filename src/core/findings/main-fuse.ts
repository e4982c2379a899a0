import { compareInstants, isAfter, latestOf, type Instant } from '../units/instant.ts';
import type { Context } from './context.ts';

/** Who says that the main fuse is blown: the eye, or the meter that found where the volts end. */
const SEEN = ['look.wiring', 'plugs.voltsEnd'] as const;

/** When it was first put right after it was last seen blown; nothing where it was never seen so. */
function lastBlown(c: Context): { readonly mended: Instant | undefined } | undefined {
  const words = SEEN.flatMap((item) => c.record.all(item)).filter((r) => r.value !== 'unknown');
  const blown = latestOf(words.filter((r) => r.value === 'fuse'));
  if (!blown) return undefined;
  const mended = [
    ...SEEN.flatMap((item) => c.touched(item)),
    ...words.flatMap((r) => (r.value === 'fuse' ? [] : [r.at])),
    ...c.record.all('plugs.starterCircuit').flatMap((r) => (r.value === 'turns' ? [r.at] : []))
  ];
  return { mended: mended.filter((at) => isAfter(at, blown.at)).toSorted(compareInstants)[0] };
}

/** The main fuse was seen blown, and nobody has put it right since, nor seen it whole, nor its starter turn through it. */
export function mainFuseBlown(c: Context): boolean {
  const fuse = lastBlown(c);
  return fuse !== undefined && fuse.mended === undefined;
}

/** Read while the main fuse was blown, as far as anybody knows: before it was seen so as well, and until it was put right. */
export function withoutMainFuse(c: Context, at: Instant): boolean {
  const fuse = lastBlown(c);
  return fuse !== undefined && (fuse.mended === undefined || !isAfter(at, fuse.mended));
}
