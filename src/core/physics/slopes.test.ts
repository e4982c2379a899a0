import { describe, expect, it } from 'vitest';
// @ts-expect-error The package brings no types of its own.
import jstat from 'jstat';
import { slopes, studentT } from './slopes.ts';

const { jStat } = jstat as { jStat: { studentt: { inv(p: number, freedom: number): number } } };

describe('Student’s t', () => {
  it('is the table’s (Abramowitz & Stegun, table 26.10) and a reference library’s', () => {
    for (const [freedom, t] of [
      [1, 12.706],
      [2, 4.303],
      [3, 3.182],
      [5, 2.571],
      [10, 2.228],
      [30, 2.042]
    ] as const)
      expect(Math.abs(studentT(freedom) - t)).toBeLessThan(0.01);
    for (let n = 3; n < 60; n++) expect(studentT(n)).toBeCloseTo(jStat.studentt.inv(0.975, n), 1);
    expect(() => studentT(0)).toThrow(RangeError);
  });
});

describe('slopes shared by stretches', () => {
  const hard = { sigma: 1e-6, weighs: 1 };
  it('one stretch without prior knowledge is ordinary least squares: Anscombe’s first set (Anscombe 1973)', () => {
    const x = [10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5].map((v) => [v]);
    const y = [8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68];
    const [b] = slopes([{ x, y }], 1, { sigma: 0, weighs: 0 })!;
    expect(b!.value).toBeCloseTo(0.5001, 4);
    // Standard error 0.1179 on nine degrees of freedom.
    expect((b!.high - b!.low) / 2).toBeCloseTo(2.262 * 0.1179, 2);
  });
  it('levels of their own do not tilt it', () => {
    const [b] = slopes(
      [
        { x: [[0], [2], [4]], y: [0, 1, 2] },
        { x: [[4], [6], [8]], y: [-5, -4, -3] }
      ],
      1,
      hard
    )!;
    expect(b!.value).toBeCloseTo(0.5, 9);
  });
  it('two predictors are told apart where their proportion changes, and not where it does not', () => {
    const x = [[1, 0], [2, 1], [2, 3], [5, 3], [6, 7]]; // prettier-ignore
    const y = x.map(([a, b]) => 2 * a! - 0.5 * b!);
    const [a, b] = slopes([{ x, y }], 2, hard)!;
    expect(a!.value).toBeCloseTo(2, 9);
    expect(b!.value).toBeCloseTo(-0.5, 9);
    const tied = [1, 2, 3, 4].map((k) => [k, 2 * k]);
    expect(slopes([{ x: tied, y: [1, 2, 3, 4] }], 2, hard)).toBeUndefined();
  });
  it('one datum a stretch, or none, tells nothing', () => {
    expect(slopes([], 1, hard)).toBeUndefined();
    expect(
      slopes(
        [
          { x: [[1]], y: [1] },
          { x: [[2]], y: [5] }
        ],
        1,
        hard
      )
    ).toBeUndefined();
  });
  it('two data rest on what is known of the scatter; many on their own', () => {
    const two = slopes([{ x: [[0], [1]], y: [0, 0] }], 1, { sigma: 1, weighs: 8 })![0]!;
    expect(two.high).toBeCloseTo(studentT(8) * Math.SQRT2, 6);
    const x = Array.from({ length: 200 }, (_, k) => [k]);
    const y = x.map(([k]) => (k! % 2 ? 0.01 : -0.01));
    expect(slopes([{ x, y }], 1, { sigma: 1, weighs: 8 })![0]!.high).toBeLessThan(0.005);
  });
});
