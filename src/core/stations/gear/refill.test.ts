import { describe, expect, it } from 'vitest';
import { contextOf } from '../../findings/context.ts';
import { Bench } from '../../../../test/case.ts';
import { frost } from './frost.ts';
import { capacityOf } from './capacity.ts';
import { bottlesFor, plugCount, refillSteps } from './refill.ts';

describe('filling the case', () => {
  it('counts a washer for every plug there is, and none it does not know', () => {
    expect(plugCount({ plugDrain: 'fitted', plugLevel: 'fitted', plugVent: 'not-fitted' })).toBe(2);
    expect(plugCount({ plugDrain: 'fitted', plugLevel: 'fitted' })).toBeUndefined();
    expect(refillSteps({})[1]!.text).toMatch(/count them first/);
    expect(refillSteps({ plugDrain: 'fitted', plugLevel: 'fitted', plugVent: 'fitted' })[1]!.text).toMatch(
      /^3 fresh washers/
    );
  });
  it('the upper plug goes in before the pump comes out, whichever plugs there are', () => {
    for (const p of [
      { plugDrain: 'fitted', plugLevel: 'fitted', plugVent: 'fitted' },
      { plugDrain: 'fitted', plugVent: 'fitted' },
      {}
    ] as const) {
      const ids = refillSteps(p).map((s) => s.id);
      expect(ids.indexOf('upper')).toBeLessThan(ids.indexOf('lower'));
      expect(ids.indexOf('pump')).toBeLessThan(ids.indexOf('upper'));
    }
  });
  it('bottles, and what is left of the last', () => {
    expect(bottlesFor(670e-6, 250e-6)).toMatchObject({ bottles: 3 });
    expect(bottlesFor(670e-6, 250e-6).over).toBeCloseTo(80e-6, 12);
    expect(bottlesFor(500e-6, 250e-6)).toEqual({ bottles: 2, over: 0 });
    expect(() => bottlesFor(0, 250e-6)).toThrow(RangeError);
    expect(() => bottlesFor(1e-4, 0)).toThrow(RangeError);
    const profile = { gearCapacity: 2e-4 };
    expect(capacityOf({ profile })).toBe(2e-4);
    expect(capacityOf({ profile, manual: { 'gear.capacity': { value: 3e-4 } } })).toBe(3e-4);
    expect(capacityOf({ profile: { gearCapacity: 'unknown' } })).toBeUndefined();
  });
  it('trapped air shows: oil at the level hole long before the case can be full', () => {
    const b = new Bench({ gearCapacity: 400e-6 }).read('gear.poured', 200e-6).read('gear.levelHole', 'bubbleFree');
    expect(b.said('gear.poured')).toMatch(/air is trapped, or old oil stayed in/);
    expect(b.read('gear.poured', 180e-6).ids()).toContain('gear.poured:sound');
  });
});

describe('frost', () => {
  it('sets the ice’s growth against the air that was in the case', () => {
    const b = new Bench({ gearCapacity: 430e-6 }, 'neglected', { water: 'fresh' })
      .read('safe.forecast', 268.15)
      .read('gear.first', 'water')
      .read('gear.water', 100e-6)
      .read('gear.drained', 410e-6);
    const f = frost(contextOf(b.survey, new Date('2026-05-03'), 'metric'))!;
    // Source: CRC Handbook densities, 999.84 and 916.7 kg/m³: 9.07 %.
    expect(f.needs! * 1e6).toBeCloseTo(9.07, 2);
    expect(f.air! * 1e6).toBeCloseTo(20, 6);
    expect(f.freezes).toBe(true);
  });
  it('more out than the case holds leaves no air', () => {
    const b = new Bench({ gearCapacity: 430e-6 }).read('safe.forecast', 268.15).read('gear.drained', 500e-6);
    expect(frost(contextOf(b.survey, new Date(), 'metric'))!.air).toBe(0);
  });
});
