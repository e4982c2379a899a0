import type { Profile } from '../src/core/engine/profile.ts';
import { allItems, type ItemId } from '../src/core/stations/items.ts';

const common = {
  supply: 'bulb',
  shift: 'shift',
  thermostat: 'fitted',
  indicator: 'fitted',
  magnet: 'drain'
} as const;
/** Engines whose sheets ask most of what there is to ask. */
export const engines: Readonly<Record<string, Profile>> = {
  'a two-stroke with a carburettor': {
    ...common,
    strokes: 'two',
    cylinders: 2,
    fuelSystem: 'carburettor',
    ignition: 'cdi',
    starting: 'both',
    lubrication: 'premix',
    premixRatio: 50
  },
  'an injected four-stroke': {
    ...common,
    strokes: 'four',
    cylinders: 2,
    fuelSystem: 'electronic',
    ignition: 'digital',
    starting: 'electric',
    lubrication: 'sump',
    camDrive: 'belt'
  }
};

/** Every answer in words that an item of this engine can have and that says something. */
export const answers = (what: ItemId, profile: Profile): readonly unknown[] => {
  const item = allItems[what];
  if (item.when && !item.when(profile)) return [];
  if (item.kind === 'choice')
    return item.options.map((o) => o.value).filter((v) => v !== 'unknown' && v !== 'not-fitted');
  return item.kind === 'several' ? item.options.map((o) => [o.value]) : [];
};
