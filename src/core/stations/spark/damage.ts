import type { Context } from '../../findings/context.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { isAfter } from '../../units/instant.ts';
import type { Seen } from './facts.ts';

export type Damaged = 'lead' | 'coil';

/** The part of a cylinder that was seen damaged or arcing: it explains a poor spark there before anything is swapped. */
export function damagedPart(c: Context, cylinder: number): Damaged | undefined {
  const stray = ofThisPart(c, 'spark.stray', cylinder);
  if (ofThisPart(c, 'spark.leadLook', cylinder) === 'damaged' || stray === 'lead' || stray === 'cap') return 'lead';
  return ofThisPart(c, 'spark.coilLook', cylinder) === 'cracked' || stray === 'coil' ? 'coil' : undefined;
}

/** Plugs that give no spark whatever feeds them: bridged, or cracked, so that it sparks inside. */
const deadPlugs = ['bridged', 'cracked'] as const;

/**
 * What was seen explains a poor spark there: a damaged part; or a plug that can give none, where the spark was looked at on it and not
 * in its place.
 */
export function explainedBy(
  c: Context,
  { cylinder, path }: Pick<Seen, 'cylinder' | 'path'>
): Damaged | 'plug' | undefined {
  const damaged = damagedPart(c, cylinder);
  if (damaged || path === 'tester' || path === 'bolt') return damaged;
  const read = c.record.last('plugs.read', cylinder);
  if (!read || c.record.value('plugs.order') === 'no') return undefined;
  const asItIs = !c.wiped('plugs.read').some((w) => isAfter(w.at, read.at));
  const sights: unknown = read.value;
  return asItIs && Array.isArray(sights) && deadPlugs.some((x) => sights.includes(x)) ? 'plug' : undefined;
}
