import type { CaseKind } from '../../src/core/engine/case-kind.ts';
import type { History, Profile } from '../../src/core/engine/profile.ts';
import type { OptionId } from '../../src/core/record/options.ts';
import { Bench } from '../case.ts';

/** A whole case as it stands in a survey, and what a good technician concludes from it. All of them made up (C/M). */
export interface Vignette {
  readonly name: string;
  readonly survey: Bench;
  /** The suspect at the top of those something points to. */
  readonly suspect?: string;
  /** Suspects that must not be called likely. */
  readonly not?: readonly string[];
  /** The next check, by a part of its title. */
  readonly next?: RegExp;
  readonly decision?: readonly OptionId[];
}

export const gauge = { name: 'screw-in gauge', adapterVolume: 0, valve: 'plug end' } as const;
export const hose = { name: 'hose gauge', adapterVolume: 9e-6, valve: 'gauge end' } as const;
export const single: Profile = {
  strokes: 'two',
  cylinders: 1,
  displacement: 99e-6,
  fuelSystem: 'carburettor',
  ignition: 'points',
  starting: 'rope',
  supply: 'gravity',
  thermostat: 'not-fitted',
  indicator: 'not-fitted',
  shift: 'direct',
  decompression: 'not-fitted',
  lubrication: 'premix',
  premixRatio: 50
};
export const twin: Profile = {
  strokes: 'two',
  cylinders: 2,
  displacement: 430e-6,
  fuelSystem: 'carburettor',
  ignition: 'cdi',
  starting: 'electric',
  supply: 'bulb',
  thermostat: 'fitted',
  indicator: 'fitted',
  shift: 'shift',
  decompression: 'not-fitted',
  lubrication: 'premix',
  premixRatio: 50,
  magnet: 'drain'
};
export const four: Profile = {
  strokes: 'four',
  cylinders: 4,
  layout: 'inline',
  displacement: 1.1e-3,
  fuelSystem: 'electronic',
  ignition: 'digital',
  starting: 'electric',
  supply: 'bulb',
  thermostat: 'fitted',
  indicator: 'fitted',
  shift: 'shift',
  decompression: 'not-fitted',
  lubrication: 'sump',
  magnet: 'drain'
};
export const six: Profile = { ...twin, cylinders: 6, layout: 'v', displacement: 2.5e-3, lubrication: 'injection' };

/** Taken in, made safe, turned over: where most cases begin. */
export const begun = (profile: Profile, kind: CaseKind, history: History = {}): Bench =>
  new Bench(profile, kind, history)
    .read('safe.lanyard', 'out')
    .read('safe.battery', 'off')
    .read('safe.propeller', 'clear')
    .read('safe.secured', 'yes')
    .read('safe.place', 'outdoors')
    .read('turn.plugs', 'in')
    .read('turn.result', 'bumps')
    .read('turn.feel', []);
export const sparks = (b: Bench, word: 'good' | 'none' | 'weak', ...cylinders: number[]): Bench => {
  for (const cylinder of cylinders)
    b.read('spark.result', word, { cylinder, conditions: { light: 'shade', path: 'tester' } });
  return b;
};
export const twice = (b: Bench, list: readonly (readonly [number, number])[], instrument: object = gauge): Bench =>
  b
    .psi(list, { instrument: instrument as typeof gauge })
    .psi([...list].reverse(), { instrument: instrument as typeof gauge });
