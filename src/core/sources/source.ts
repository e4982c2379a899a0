import type { Provenance } from '../engine/limits.ts';

export interface Source {
  readonly name: string;
  readonly value: string;
  readonly provenance: Provenance;
  readonly source: string;
}
