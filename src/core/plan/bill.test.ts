import { describe, expect, it } from 'vitest';
import { billOf } from './bill.ts';
import type { Step } from './plan.ts';

type Jobs = Parameters<typeof billOf>[0];
const work = (probability: number, price: number): Jobs[number]['works'][number] => ({
  label: `${price}`,
  probability,
  parts: [price, price, price],
  minutes: [0, 0, 0]
});
const bill = (works: readonly (readonly [number, number])[], state?: Step['state']): ReturnType<typeof billOf> =>
  billOf(
    [{ id: 'x', works: works.map(([p, price]) => work(p, price)) }],
    state ? [{ id: 'x', state } as Step] : [],
    60
  );

describe('what is established, and what is likely besides', () => {
  it('certain work is established, whether or not it is on the list', () => {
    const sums = bill([
      [1, 40],
      [1, 10]
    ]);
    expect(sums).toEqual({ established: 50, likely: 0 });
  });
  it('of a job on the list its likeliest is established, and what it may turn out to be only costs what is more', () => {
    const sums = bill(
      [
        [0.9, 10],
        [0.6, 110]
      ],
      'open'
    );
    expect(sums.established).toBeCloseTo(10);
    expect(sums.likely).toBeCloseTo(0.6 * 100);
  });
  it('from even odds on it counts, and below them it is of the reserve', () => {
    const beside = (p: number): number =>
      bill(
        [
          [0.9, 10],
          [p, 110]
        ],
        'open'
      ).likely;
    expect(beside(0.5)).toBeCloseTo(50);
    expect(beside(0.49)).toBe(0);
  });
  it('what is cheaper than the likeliest takes nothing off', () => {
    const sums = bill(
      [
        [0.9, 110],
        [0.6, 10]
      ],
      'open'
    );
    expect(sums.likely).toBe(0);
  });
  it('a job that is not on the list, or is done, costs by its likeliest, from even odds on', () => {
    expect(bill([[0.7, 100]])).toEqual({ established: 0, likely: 70 });
    expect(bill([[0.7, 100]], 'done')).toEqual({ established: 0, likely: 70 });
    expect(bill([[0.4, 100]])).toEqual({ established: 0, likely: 0 });
  });
  it('hours cost by the rate', () => {
    const jobs: Jobs = [{ id: 'x', works: [{ label: 'x', probability: 1, parts: [0, 0, 0], minutes: [30, 30, 30] }] }];
    expect(billOf(jobs, [], 60).established).toBeCloseTo(30);
  });
});
