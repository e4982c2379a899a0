import type { DimensionName, System } from '../units/index.ts';

/** One input of a reference sum: its unit of entry follows from the dimension, its first value from the reader's units. */
export interface SumField {
  readonly id: string;
  readonly label: string;
  readonly dimension: DimensionName;
  readonly standard: Readonly<Record<System, string>>;
  /** May be left empty. */
  readonly optional?: true;
}

export interface SumResult {
  /** The answer, large. */
  readonly figure: string;
  readonly says: string;
  readonly rows?: readonly (readonly [label: string, value: string])[];
}

/** A sum of the reference: a page of its own that can be linked with its inputs. Values are SI. */
export interface Sum {
  readonly title: string;
  readonly about: string;
  readonly fields: readonly SumField[];
  /** Throws RangeError, with a sentence, on inputs that cannot be. */
  readonly run: (v: Readonly<Record<string, number | undefined>>, units: System) => SumResult;
  readonly formula: string;
  readonly source: string;
}
