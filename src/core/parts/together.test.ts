import { expect, it } from 'vitest';
import { addUpAll } from './needs.ts';
import type { Pack } from './packs.ts';
import { packSaid, togetherOf } from './together.ts';

const shelf: readonly Pack[] = [
  { supply: 'gearOil', called: 'tube', holds: 0.25e-3, price: 9 },
  { supply: 'plugWashers', called: 'single washer', holds: 1, price: 0.9 },
  { supply: 'gearOil', called: 'bottle', holds: 1e-3, price: 22, from: 'Quay Stores' }
];

it('adds up over the engines, and says the cheapest mix and each way by itself', () => {
  const needs = [
    { supply: 'gearOil', amount: 0.6e-3 },
    { supply: 'gearOil', amount: 0.6e-3 },
    { supply: 'gearOil' }
  ] as const;
  const [oil, ...others] = togetherOf(addUpAll(needs), shelf, 'metric');
  expect(others).toEqual([]);
  expect(oil).toMatchObject({ label: 'gear oil', engines: 2, unknown: 1, amount: '1.20 L' });
  expect(oil!.best).toBe('1 × tube + 1 × bottle, 31 cr, 0.05 L left over');
  expect(oil!.packs).toEqual([
    {
      index: 2,
      said: 'bottle of 1.00 L, 22 cr, Quay Stores',
      each: '22.00 cr/L',
      way: { count: 2, price: '44 cr', over: '0.80 L left over' }
    },
    {
      index: 0,
      said: 'tube of 0.25 L, 9 cr',
      each: '36.00 cr/L',
      way: { count: 5, price: '45 cr', over: '0.05 L left over' }
    }
  ]);
});

it('what nobody entered is not nothing, and what is not sold in packs has no price', () => {
  const [bare] = togetherOf(addUpAll([{ supply: 'gearOil' }]), shelf, 'metric');
  expect(bare).toMatchObject({ engines: 0, unknown: 1 });
  expect(bare!.amount).toBeUndefined();
  expect(bare!.packs.map((p) => [p.index, p.way])).toEqual([
    [0, undefined],
    [2, undefined]
  ]);
  const [plugs] = togetherOf(addUpAll([{ supply: 'sparkPlugs', amount: 4 }]), shelf, 'metric');
  expect(plugs).toMatchObject({ amount: '4', packs: [] });
  expect(plugs!.best).toBeUndefined();
});

it('washers are said in pieces', () => {
  const [washers] = togetherOf(addUpAll([{ supply: 'plugWashers', amount: 3 }]), shelf, 'us');
  expect(washers!.best).toBe('3 × single washer, 2.70 cr, nothing left over');
  expect(washers!.packs[0]!.each).toBe('0.90 cr each');
  expect(packSaid(shelf[1]!, 'us')).toBe('single washer, 0.90 cr');
  // A quart is what American bottles hold.
  expect(togetherOf(addUpAll([{ supply: 'gearOil', amount: 0.946352946e-3 }]), shelf, 'us')[0]).toMatchObject({
    amount: '1.00 qt'
  });
});
