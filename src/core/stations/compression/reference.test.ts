import { describe, expect, it } from 'vitest';
import { Bench } from '../../../../test/case.ts';
import { PSI } from '../../units/factors.ts';
import { compare } from './compare.ts';
import { againstReference, referenceOf } from './reference.ts';

const shop = { range: 300 * PSI, accuracy: 0.02, resolution: PSI, adapterVolume: 0, valve: 'plug end' } as const;

describe('last time and the sister engine', () => {
  const found = (list: [number, number][], name = 'shop') =>
    compare(
      new Bench({ strokes: 'two', cylinders: 3 })
        .psi(list, { instrument: { ...shop, name }, conditions: { throttle: 'open', bores: 'dry' } })
        .judged().context
    )!;
  it('are put side by side with the same instrument only', () => {
    const then = referenceOf(
      'last spring',
      found([
        [1, 120],
        [2, 119]
      ])
    );
    const same = againstReference(
      found([
        [1, 119],
        [2, 98]
      ]),
      then
    );
    expect(same.unlike).toEqual([]);
    expect(same.rows.map((r) => r.real)).toEqual([false, true]);
    expect(againstReference(found([[1, 119]], 'other'), then).unlike).toEqual(['instrument']);
  });
});
