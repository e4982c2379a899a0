import { describe, expect, it } from 'vitest';
import { repeatsOf } from './repeats.ts';

const agree = (a: number, b: number): boolean => Math.abs(a - b) <= 0.15 * Math.max(a, b);

describe('repeats', () => {
  it.each([
    [[], [], false],
    [[50], [50], false],
    [[125, 120, 130], [125, 120, 130], false],
    [[125, 50], [125, 50], true],
    [[50, 125], [50, 125], true],
    [[125, 125, 50], [125, 125, 50], true],
    [[125, 125, 50, 52], [125, 125, 50, 52], true],
    [[125, 125, 50, 52, 51], [50, 52, 51], false],
    [[50, 125, 125], [125, 125], false],
    [[50, 125, 50], [50, 125, 50], true],
    [[50, 51, 125, 125, 125], [125, 125, 125], false],
    [[125, 50, 125, 126], [125, 126], false],
    [[125, 50, 125], [125, 50, 125], true],
    [[125, 50, 51, 125, 126], [125, 50, 51, 125, 126], true]
  ])('of %j speak %j', (list, speaking, scattered) =>
    expect(repeatsOf(list as number[], agree)).toEqual({ speaking, scattered })
  );
  it('agree with every one of the latest, not only with the one beside them', () =>
    expect(repeatsOf([100, 112, 125], agree)).toEqual({ speaking: [112, 125], scattered: false }));
});
