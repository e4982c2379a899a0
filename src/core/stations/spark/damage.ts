import type { Context } from '../../findings/context.ts';
import { ofThisPart } from '../../findings/renewed.ts';

export type Damaged = 'lead' | 'coil';

/** The part of a cylinder that was seen damaged or arcing: it explains a poor spark there before anything is swapped. */
export function damagedPart(c: Context, cylinder: number): Damaged | undefined {
  const stray = ofThisPart(c, 'spark.stray', cylinder);
  if (ofThisPart(c, 'spark.leadLook', cylinder) === 'damaged' || stray === 'lead' || stray === 'cap') return 'lead';
  return ofThisPart(c, 'spark.coilLook', cylinder) === 'cracked' || stray === 'coil' ? 'coil' : undefined;
}
