import type { Profile } from '../src/core/engine/profile.ts';

/** For tests: one engine of each kind that work differs by, and one of which nothing is known. */
export const kinds: readonly Profile[] = [
  {},
  {
    strokes: 'two',
    cylinders: 1,
    fuelSystem: 'carburettor',
    supply: 'gravity',
    ignition: 'points',
    starting: 'rope',
    lubrication: 'premix',
    premixRatio: 25,
    shift: 'direct',
    displacement: 100e-6,
    thermostat: 'not-fitted'
  },
  {
    strokes: 'two',
    cylinders: 2,
    fuelSystem: 'carburettor',
    supply: 'pressurised',
    ignition: 'points',
    starting: 'both',
    lubrication: 'premix',
    turning: 'clockwise',
    gearCapacity: 250e-6
  },
  {
    strokes: 'two',
    cylinders: 6,
    layout: 'v',
    fuelSystem: 'direct',
    supply: 'bulb',
    ignition: 'digital',
    starting: 'electric',
    lubrication: 'injection',
    steering: 'remote',
    installation: 'port',
    displacement: 2.5e-3
  },
  {
    strokes: 'four',
    cylinders: 4,
    fuelSystem: 'electronic',
    supply: 'bulb',
    ignition: 'coil-on-plug',
    starting: 'electric',
    lubrication: 'sump',
    sumpWithFilter: 4e-3,
    interference: 'yes',
    tilt: 'hydraulic',
    steering: 'remote',
    turning: 'anticlockwise',
    gearCapacity: 700e-6,
    plugVent: 'not-fitted'
  },
  {
    strokes: 'four',
    cylinders: 1,
    fuelSystem: 'carburettor',
    supply: 'gravity',
    ignition: 'cdi',
    starting: 'rope',
    lubrication: 'sump',
    displacement: 130e-6
  }
];
