import { describe, expect, it } from 'vitest';
import { jobs } from '../jobs/register.ts';
import type { Engine } from '../engine/engine.ts';
import type { PartLine } from '../record/work.ts';
import { supplyNames, suppliesOf } from './needs.ts';

const engine: Engine = {
  identity: {},
  history: {},
  profile: {
    strokes: 'four',
    cylinders: 4,
    gearCapacity: 600e-6,
    sumpWithFilter: 3e-3,
    plugDrain: 'fitted',
    plugLevel: 'fitted',
    plugVent: 'not-fitted'
  }
};
const open = (...ids: string[]) => ids.map((id) => ({ id, state: 'open' as const }));
const line = (key: string, state: PartLine['state']): PartLine => ({
  id: key,
  at: '2026-11-01T08:00:00.000Z',
  key,
  name: key,
  state
});

describe('what open work takes of what is bought by the bottle', () => {
  it('calls each supply as the jobs do', () => {
    const named = new Set(jobs.flatMap((j) => [...(j.parts ?? []), ...(j.consumables ?? [])]));
    for (const name of supplyNames.keys()) expect(named, name).toContain(name);
  });
  it('by the capacity, the plugs and the cylinders of the engine', () => {
    const needs = suppliesOf(engine, open('gear-refill', 'plugs', 'oil-level'), []);
    expect(needs).toContainEqual({ supply: 'gearOil', amount: 600e-6 });
    expect(needs).toContainEqual({ supply: 'sparkPlugs', amount: 4 });
    expect(needs).toContainEqual({ supply: 'engineOil', amount: 3e-3 });
  });
  it('what two jobs fill is filled once, and three changes take three fills', () => {
    const oil = suppliesOf(engine, open('oil-level', 'sump-water'), []).filter((n) => n.supply === 'engineOil');
    expect(oil).toHaveLength(1);
    expect(oil[0]!.amount).toBeCloseTo(9e-3, 12);
  });
  it('plugs of some cylinders are so many plugs', () => {
    expect(suppliesOf(engine, [{ id: 'plugs', state: 'open', cylinders: [2] }], [])).toContainEqual({
      supply: 'sparkPlugs',
      amount: 1
    });
  });
  it('what nobody entered has no amount, and is not nothing', () => {
    const bare = { ...engine, profile: {} };
    expect(suppliesOf(bare, open('gear-refill'), [])).toContainEqual({ supply: 'gearOil' });
  });
  it('what is done, here or not wanted is not bought', () => {
    expect(suppliesOf(engine, [{ id: 'plugs', state: 'done' }], [])).toEqual([]);
    expect(suppliesOf(engine, open('plugs'), [line('plugs/spark plugs', 'arrived')])).toEqual([]);
    expect(suppliesOf(engine, open('plugs'), [line('plugs/spark plugs', 'not-needed')])).toEqual([]);
    expect(suppliesOf(engine, open('plugs'), [line('plugs/spark plugs', 'ordered')])).toHaveLength(1);
    expect(suppliesOf(engine, open('constructor', 'own-1'), [])).toEqual([]);
  });
});
