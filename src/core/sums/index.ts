import { resistance, sparkGap } from './electric.ts';
import { caseTest, drainTime } from './leg.ts';
import { coolingWater, oilResidue, shedAir, stabiliser } from './oil.ts';
import { adapter, altitude, leakDown, wetDose } from './pressure.ts';
import type { Sum } from './sum.ts';

export type { Sum, SumField, SumResult } from './sum.ts';

/** The sums of the reference, by the address they are linked under. */
export const sums = {
  adapter,
  'wet-dose': wetDose,
  'spark-gap': sparkGap,
  altitude,
  resistance,
  'leak-down': leakDown,
  'case-test': caseTest,
  'drain-time': drainTime,
  'oil-changes': oilResidue,
  stabiliser,
  'cooling-water': coolingWater,
  'shed-air': shedAir
} as const satisfies Record<string, Sum>;
export type SumId = keyof typeof sums;
export const sumIds = Object.keys(sums) as SumId[];
