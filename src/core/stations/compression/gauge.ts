import { PSI } from '../../units/factors.ts';
import type { Instrument } from '../../record/reading.ts';
import type { PressureTest } from './tests.ts';

/** An ordinary gauge where none was named: 0–300 psi, ±2 % of full scale, 1 psi divisions (C). */
export const ordinaryGauge = {
  name: 'ordinary gauge',
  range: 300 * PSI,
  accuracy: 0.02,
  resolution: PSI
} as const;
/** The step a gauge is read to, Pa; one division of an ordinary gauge where none is noted. */
export const stepOf = (instrument: Instrument): number => instrument.resolution ?? ordinaryGauge.resolution;

/** Gauge error of a reading's instrument, Pa. */
export const gaugeError = (r: PressureTest): number => gaugeErrorOf(r.instrument);
/** The same, of an instrument; of an ordinary gauge where none is named. */
export const gaugeErrorOf = (i: Instrument | undefined): number =>
  (i?.accuracy ?? ordinaryGauge.accuracy) * (i?.range ?? ordinaryGauge.range);

/** Mean of readings, Pa. */
export const meanOf = (list: readonly PressureTest[]): number =>
  list.reduce((sum, r) => sum + r.value, 0) / list.length;
