import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import type { ItemId, ReadingValue } from '../../src/core/stations/items.ts';
import { say } from '../../src/core/units/index.ts';
import { Bench } from '../case.ts';

const rope: Profile = { strokes: 'two', cylinders: 1, shift: 'direct', starting: 'rope', ignition: 'points' };
const carburetted: Profile = { strokes: 'two', cylinders: 2, fuelSystem: 'carburettor', ignition: 'cdi' };
const injected: Profile = { strokes: 'four', cylinders: 4, fuelSystem: 'electronic', ignition: 'coil-on-plug' };
const single: Profile = { strokes: 'four', cylinders: 1, fuelSystem: 'carburettor', starting: 'rope' };

/** What is said, and asked for, once one thing was read. */
function said<I extends ItemId>(profile: Profile, what: I, value: ReadingValue<I>, cylinder?: number): string {
  const a = new Bench(profile).read(what, value, cylinder === undefined ? {} : { cylinder }).assessed();
  const found = a.findings.filter((f) => f.id.startsWith(what.slice(0, what.indexOf('.')))).map((f) => f.sentence);
  const asked = a.moves.filter((m) => found.includes(m.because)).map((m) => m.title);
  return [...found, ...asked].join('\n');
}

describe('nothing is said of parts that an engine has not', () => {
  it('direct drive and rope: no neutral, no starter pinion', () => {
    for (const felt of ['tight', 'noise', 'play'] as const)
      expect(said(rope, 'turn.feel', [felt])).not.toMatch(/neutral|pinion/i);
    expect(said(rope, 'turn.result', 'gritty')).not.toMatch(/neutral|pinion/i);
    expect(said({ ...rope, shift: 'shift' }, 'turn.result', 'gritty')).toMatch(/neutral first/);
  });
  it('spits back: reeds or valves, passages or injectors', () => {
    expect(said(carburetted, 'run.idles', 'spits')).toMatch(/Idle passages, an air leak, the reeds/);
    expect(said(injected, 'run.idles', 'spits')).toMatch(/An injector, an air leak, the valves/);
    expect(said({ cylinders: 2 }, 'run.idles', 'spits')).not.toMatch(/reeds|valves/);
  });
  it('a condenser belongs to points, a jet to a carburettor, a choke too', () => {
    expect(said(carburetted, 'spark.colour', 'orange', 1)).not.toMatch(/condenser/i);
    expect(said({ ...carburetted, ignition: 'points' }, 'spark.colour', 'orange', 1)).toMatch(/Condenser/);
    expect(said(injected, 'fuel.jar', 'dark')).not.toMatch(/carburettor|jet/i);
    expect(said(injected, 'run.pulls', 30)).not.toMatch(/choke/i);
  });
  it('a single has no other cylinders', () => {
    expect(said(single, 'run.temperature', 403)).not.toMatch(/every cylinder/);
    expect(said(single, 'cooling.head', 410)).not.toMatch(/every cylinder/);
  });
  it('a two-stroke’s leak-down is repeated with its ports covered', () => {
    const twice = (p: Profile): string =>
      new Bench(p)
        .read('compression.leakdown', 0.04, { cylinder: 1 })
        .read('compression.leakdown', 0.5, { cylinder: 1 })
        .said('compression.leakdown');
    expect(twice(carburetted)).toMatch(/ports covered/);
    expect(twice(injected)).toMatch(/valves shut/);
  });
});

describe('a resistance is said as a meter shows it', () => {
  it.each([
    [0.314, '0.31 Ω'],
    [45, '45.0 Ω'],
    [312.4, '312 Ω'],
    [4200, '4200 Ω'],
    [12_340, '12.3 kΩ'],
    [500_000, '500 kΩ']
  ])('%d Ω: %s', (ohms, shown) => {
    expect(say(ohms, 'resistance', 'metric')).toBe(shown);
  });
});
