import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cheapest, eachWay, packSchema, type Pack } from './packs.ts';

const oil = (called: string, litres: number, price: number): Pack => ({
  supply: 'gearOil',
  called,
  holds: litres * 1e-3,
  price
});
const piece = (called: string, holds: number, price: number): Pack => ({ supply: 'plugWashers', called, holds, price });
const said = (amount: number, packs: readonly Pack[]): string =>
  cheapest(amount, packs)!
    .packs.map((p) => `${p.count} ${p.pack.called}`)
    .join(' + ');

describe('the cheapest packs that hold an amount', () => {
  const shelf = [oil('tube', 0.25, 9), oil('bottle', 1, 22), oil('can', 5, 84)];
  it('mixes sizes where that is cheaper than any one of them', () => {
    expect(said(1.2e-3, shelf)).toBe('1 tube + 1 bottle');
    expect(said(4e-3, shelf)).toBe('1 can');
    expect(said(5.6e-3, shelf)).toBe('1 bottle + 1 can');
    expect(cheapest(1.2e-3, shelf)!.over).toBeCloseTo(0.05e-3, 9);
  });
  it('each way by itself, the cheapest first', () => {
    const ways = eachWay(1.2e-3, shelf);
    expect(ways.map((w) => [w.packs[0]!.pack.called, w.packs[0]!.count, w.price])).toEqual([
      ['bottle', 2, 44],
      ['tube', 5, 45],
      ['can', 1, 84]
    ]);
  });
  it('bottles that fill it to the drop are enough', () => {
    expect(said(0.75e-3, [oil('tube', 0.25, 9)])).toBe('3 tube');
    expect(cheapest(3, [piece('each', 1, 0.9)])).toMatchObject({ price: 2.7, over: 0 });
  });
  it('of equal prices the one that leaves less, then the fewer packs', () => {
    expect(said(2, [piece('five', 5, 3), piece('two', 2, 3)])).toBe('1 two');
    expect(said(4, [piece('two', 2, 3), piece('four', 4, 6)])).toBe('1 four');
  });
  it('agrees with every combination tried', () => {
    const pack = fc.record({ holds: fc.integer({ min: 1, max: 9 }), price: fc.integer({ min: 0, max: 30 }) });
    fc.assert(
      fc.property(fc.array(pack, { minLength: 1, maxLength: 3 }), fc.integer({ min: 1, max: 60 }), (list, need) => {
        const packs = list.map((p, k) => piece(`p${k}`, p.holds, p.price));
        let best = Infinity;
        const all = (k: number, left: number, price: number): void => {
          if (left <= 0) best = Math.min(best, price);
          else if (k < packs.length)
            for (let n = 0; n * packs[k]!.holds < left + packs[k]!.holds; n++)
              all(k + 1, left - n * packs[k]!.holds, price + n * packs[k]!.price);
        };
        all(0, need, 0);
        const got = cheapest(need, packs)!;
        expect(got.price).toBeCloseTo(best, 9);
        const held = got.packs.reduce((s, p) => s + p.count * p.pack.holds, 0);
        expect(held - need).toBeCloseTo(got.over, 9);
        expect(got.over).toBeGreaterThanOrEqual(0);
      })
    );
  });
  it('a thousand engines are no longer a sum than one', () => {
    const drums = [oil('odd bottle', 0.946, 12), oil('drum', 20, 180)];
    const got = cheapest(9.3, drums)!;
    expect(got.packs).toEqual([{ pack: drums[1], count: 465 }]);
    expect(got.over).toBeCloseTo(0, 9);
  });
  it('nothing to buy from, nothing needed, and what is no pack', () => {
    expect(cheapest(1, [])).toBeUndefined();
    expect(cheapest(0, shelf)).toBeUndefined();
    expect(() => cheapest(1, [shelf[0]!, piece('each', 1, 1)])).toThrow(RangeError);
    for (const bad of [oil('x', 0, 1), oil('x', 2000, 1), piece('x', 1.5, 1), { ...oil('x', 1, -1) }, oil(' ', 1, 1)])
      expect(packSchema.safeParse(bad).success).toBe(false);
    expect(packSchema.safeParse(shelf[0]).success).toBe(true);
  });
});
