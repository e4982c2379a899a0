import type { Conditions, Instrument } from '../../src/core/record/reading.ts';
import type { Bench } from '../case.ts';
import { direct } from '../gauges.ts';

/** Cylinder and pressure, psi. */
type Pressures = readonly (readonly [number, number])[];
export const dry: Conditions = { throttle: 'open', bores: 'dry', engine: 'cold' };

/** Compression of some cylinders, as a stage of a story. */
export const psi =
  (list: Pressures, conditions: Conditions = dry, instrument: Instrument = direct) =>
  (b: Bench): Bench =>
    b.psi(list, { conditions, instrument });
/** The same twice: repeated, it is believed. */
export const twice =
  (list: Pressures) =>
  (b: Bench): Bench =>
    psi(list)(psi(list)(b));
