import type { Context } from '../../findings/context.ts';
import { isAfter, latestBy } from '../../units/instant.ts';
import { unmended } from '../../findings/unmended.ts';
import { items } from './readings.ts';
import type { Bank } from './thermostat.ts';

/** What a hose through the passages showed of one bank, or of an engine that has one. */
export interface Passages {
  readonly bank: Bank | undefined;
  readonly is: 'free' | 'slow';
}

/** Every bank that water was run through since it was last flushed, the thermostat out; what could not be told is no answer. */
export function passages(c: Context): Passages[] {
  const flushed = c.renewed('cooling.passages');
  const told = c.record
    .all('cooling.passages')
    .filter((r) => r.value !== 'unknown' && !flushed.some((at) => isAfter(at, r.at)));
  return [...latestBy(told, (r) => r.conditions?.bank ?? '').values()].flatMap((r): Passages[] => {
    const bank = r.conditions?.bank as Bank | undefined;
    // Slow at the look before, and nobody flushed them: one of the two is wrong.
    const doubted = unmended(c, 'cooling.passages', items.passages, bank ? { bank } : {}) !== undefined;
    return doubted ? [] : [{ bank, is: r.value as Passages['is'] }];
  });
}
