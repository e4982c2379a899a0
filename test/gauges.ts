import type { Instrument } from '../src/core/record/reading.ts';
import { PSI } from '../src/core/units/factors.ts';

/** A gauge whose valve sits at the plug, and the same at the end of a hose of eight millilitres. */
export const direct: Instrument = {
  name: 'shop',
  range: 300 * PSI,
  accuracy: 0.02,
  resolution: PSI,
  valve: 'plug end',
  adapterVolume: 0
};
export const hose: Instrument = { ...direct, name: 'long hose', valve: 'gauge end', adapterVolume: 8e-6 };
