import { say, type System } from '../../units/index.ts';
import type { Comparison } from './compare.ts';
import { stepOf } from './gauge.ts';

/** Says pressures to the step of the gauge they were read on. */
export const pressureSaid =
  (found: Comparison, units: System) =>
  (pa: number): string =>
    say(pa, 'pressure', units, stepOf(found.instrument));
