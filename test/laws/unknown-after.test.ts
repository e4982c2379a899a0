import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { allItems, itemIds, type ItemId } from '../../src/core/stations/items.ts';
import { readyToRun } from '../stories/all-good.ts';
import type { Bench } from '../case.ts';

/** Law 2, told in time: what was seen once is not taken back by a later look that could not tell. */
const common = {
  supply: 'bulb',
  shift: 'shift',
  thermostat: 'fitted',
  indicator: 'fitted',
  magnet: 'drain'
} as const;
const engines: Readonly<Record<string, Profile>> = {
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

const answers = (what: ItemId, profile: Profile): readonly unknown[] => {
  const item = allItems[what];
  if (item.when && !item.when(profile)) return [];
  if (item.kind === 'choice')
    return item.options.map((o) => o.value).filter((v) => v !== 'unknown' && v !== 'not-fitted');
  return item.kind === 'several' ? item.options.map((o) => [o.value]) : [];
};
const faults = (b: Bench): string[] => b.ids().filter((id) => id.endsWith(':fault'));

describe.each(Object.entries(engines))('of %s', (_, profile) => {
  const before = new Set(faults(readyToRun(profile)));
  it.each(itemIds.filter((what) => answers(what, profile).length))('%s', (what) => {
    const where = allItems[what].perCylinder ? { cylinder: 1 } : {};
    for (const answer of answers(what, profile)) {
      const b = readyToRun(profile)
        .wait(1)
        .read(what, answer as never, where);
      const found = faults(b).filter((id) => !before.has(id));
      if (!found.length) continue;
      const holds = b.holds();
      b.wait(1).read(what, 'unknown' as never, where);
      expect(faults(b), String(answer)).toEqual(expect.arrayContaining(found));
      expect(b.holds(), String(answer)).toEqual(expect.arrayContaining(holds));
    }
  });
});
