import type { Profile } from '../../src/core/engine/profile.ts';

/** A two-stroke three and its kin, with everything fitted that a story may ask about. */
export const two: Profile = {
  strokes: 'two',
  cylinders: 3,
  layout: 'inline',
  displacement: 700e-6,
  ignition: 'cdi',
  starting: 'electric',
  fuelSystem: 'carburettor',
  supply: 'bulb',
  shift: 'shift',
  indicator: 'fitted',
  thermostat: 'fitted',
  gearCapacity: 500e-6
};
export const v6: Profile = { ...two, cylinders: 6, layout: 'v', displacement: 2.5e-3 };
export const four: Profile = { ...two, strokes: 'four', cylinders: 4, displacement: 1e-3, ignition: 'digital' };
export const magneto: Profile = {
  strokes: 'two',
  cylinders: 1,
  displacement: 120e-6,
  ignition: 'points',
  starting: 'rope'
};

/** Spark as it should be looked at, and compression as it should be read. */
export const tester = { conditions: { path: 'tester', light: 'shade' } } as const;
export const open = { conditions: { throttle: 'open', bores: 'dry', engine: 'cold' } } as const;
