import type { Estimate } from '../../physics/spread.ts';
import type { Instant } from '../../units/instant.ts';

/** One cylinder of a comparison: pressures in Pa gauge. */
export interface Row extends Estimate {
  readonly cylinder: number;
  readonly readings: readonly number[];
  /** The needle after each pull, of the tests in which it was read. */
  readonly series: readonly (readonly number[])[];
  /** Its mean is under the limit of the best one. */
  readonly low: boolean;
  /** More than such an engine gives: it is not compared with, where others are there. */
  readonly high?: true;
  /** Its repeats lie further apart than the limit between cylinders: it is not compared until another one tells which is wrong. */
  readonly scattered?: true;
  /** Read through another volume only, and brought to this one by the model: its interval is wider. */
  readonly converted?: true;
  /** When its latest reading was taken. */
  readonly at: Instant;
}

/** The rows that are compared: those too high to be true, or that do not agree with themselves, only where there are no others. */
export function comparedRows({ rows }: { readonly rows: readonly Row[] }): readonly Row[] {
  const usual = rows.filter((r) => !r.high && !r.scattered);
  return usual.length ? usual : rows;
}
