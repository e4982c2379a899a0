import type { Context } from '../../findings/context.ts';
import { isAfter, type Instant } from '../../units/instant.ts';
import { sumpOf, takenOut } from './sump.ts';

/** From so much over what the sump takes on, more came out than a hand pours by mistake, share (M). */
const OVER = 0.1;
/** Smelt or looked at so long before it was drained, it is the same oil, ms (M: a day). */
const SAME_OIL = 86_400_000;

export interface CameOver {
  /** m³ that came out, and that the sump takes with its filter. */
  readonly volume: number;
  readonly sump: number;
  /** Nobody has smelt what came out. */
  readonly unsmelt: boolean;
  readonly at: Instant;
}

/** More oil came out than the engine takes: it was overfilled, or fuel or water had joined it (C). Nothing where either is not known. */
export function cameOver(c: Context): CameOver | undefined {
  const [out, sump] = [takenOut(c), sumpOf(c)];
  if (out?.how !== 'emptied' || sump === undefined || out.volume <= (1 + OVER) * sump) return undefined;
  const smelt = c.record
    .all('oil.smell')
    .some((r) => r.value !== 'unknown' && (isAfter(r.at, out.at) || Date.parse(out.at) - Date.parse(r.at) < SAME_OIL));
  return { volume: out.volume, sump, unsmelt: !smelt, at: out.at };
}
