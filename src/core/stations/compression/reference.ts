import type { Conditions, Instrument } from '../../record/reading.ts';
import type { Comparison } from './compare.ts';

/** Compression of another time or of the sister engine, reduced to what is compared. Pa gauge. */
export interface ReferenceTest {
  readonly label: string;
  readonly rows: readonly { readonly cylinder: number; readonly mean: number; readonly u: number }[];
  readonly instrument: Instrument;
  readonly conditions: Conditions;
}

export const referenceOf = (label: string, found: Comparison): ReferenceTest => ({
  label,
  rows: found.rows.map(({ cylinder, mean, u }) => ({ cylinder, mean, u })),
  instrument: found.instrument,
  conditions: found.conditions
});

export interface AgainstReference {
  readonly label: string;
  /** Why the two cannot be put side by side; nothing when they can. */
  readonly unlike?: string;
  readonly rows: readonly {
    readonly cylinder: number;
    readonly then: number;
    readonly now: number;
    /** Whether the change is more than two deviations of the two readings. */
    readonly real: boolean;
  }[];
}

/** This test beside an earlier one or the sister's: only with the same instrument under the same conditions. C. */
export function againstReference(found: Comparison, then: ReferenceTest): AgainstReference {
  const differs = [
    found.instrument.name !== then.instrument.name && 'another instrument',
    (found.instrument.adapterVolume ?? -1) !== (then.instrument.adapterVolume ?? -1) && 'another adapter',
    (found.conditions.throttle ?? 'unknown') !== (then.conditions.throttle ?? 'unknown') && 'another throttle',
    (found.conditions.bores ?? 'unknown') !== (then.conditions.bores ?? 'unknown') && 'other oil in the bores',
    (found.conditions.engine ?? 'unknown') !== (then.conditions.engine ?? 'unknown') && 'warm against cold'
  ].filter(Boolean);
  const rows = found.rows.flatMap((r) => {
    const old = then.rows.find((x) => x.cylinder === r.cylinder);
    return old
      ? [
          {
            cylinder: r.cylinder,
            then: old.mean,
            now: r.mean,
            real: Math.abs(r.mean - old.mean) > 2 * Math.hypot(r.u, old.u)
          }
        ]
      : [];
  });
  return { label: then.label, ...(differs.length ? { unlike: differs.join(', ') } : {}), rows };
}
