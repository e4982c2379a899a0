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

export type Unlike = 'instrument' | 'adapter' | 'throttle' | 'bores' | 'engine';

export interface AgainstReference {
  readonly label: string;
  /** In what the two differ, so that they cannot be put side by side; empty when they can. */
  readonly unlike: readonly Unlike[];
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
  const differs: Readonly<Record<Unlike, boolean>> = {
    instrument: found.instrument.name !== then.instrument.name,
    adapter: (found.instrument.adapterVolume ?? -1) !== (then.instrument.adapterVolume ?? -1),
    throttle: (found.conditions.throttle ?? 'unknown') !== (then.conditions.throttle ?? 'unknown'),
    bores: (found.conditions.bores ?? 'unknown') !== (then.conditions.bores ?? 'unknown'),
    engine: (found.conditions.engine ?? 'unknown') !== (then.conditions.engine ?? 'unknown')
  };
  const unlike = (Object.keys(differs) as Unlike[]).filter((k) => differs[k]);
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
  return { label: then.label, unlike, rows };
}
