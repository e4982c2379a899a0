import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Profile } from '../../../core/engine/profile.ts';
import { geometryOf, placesOn } from './geometry.ts';

const profiles = fc.record({
  cylinders: fc.oneof(fc.integer({ min: 1, max: 12 }), fc.constant('unknown' as const)),
  layout: fc.constantFrom('inline', 'v', 'unknown'),
  leg: fc.constantFrom('short', 'long', 'extra-long', 'unknown')
}) as fc.Arbitrary<Profile>;

describe('the elevation', () => {
  it('draws every cylinder once, inside the cowl, none over another in its bank', () => {
    fc.assert(
      fc.property(profiles, (profile) => {
        const g = geometryOf(profile);
        const all = g.banks.flat();
        const n = typeof profile.cylinders === 'number' ? profile.cylinders : 1;
        expect(all.map((c) => c.cylinder).sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, k) => k + 1));
        for (const c of all) {
          expect(c.y - g.barrel.height / 2).toBeGreaterThan(48);
          expect(c.y + g.barrel.height / 2).toBeLessThan(170);
        }
        for (const bank of g.banks)
          for (let k = 1; k < bank.length; k++) expect(bank[k]!.y - bank[k - 1]!.y).toBeGreaterThan(g.barrel.height);
      })
    );
  });
  it('a V has odd numbers on one bank and even on the other', () => {
    const g = geometryOf({ cylinders: 6, layout: 'v' });
    expect(g.banks.map((b) => b.map((c) => c.cylinder))).toEqual([
      [1, 3, 5],
      [2, 4, 6]
    ]);
  });
  it('a longer leg is drawn longer, and every mark stays on the sheet', () => {
    const height = (leg: Profile['leg']) => geometryOf({ ...(leg ? { leg } : {}) }).height;
    expect(height('short')).toBeLessThan(height('long'));
    expect(height('long')).toBeLessThan(height('extra-long'));
    fc.assert(
      fc.property(profiles, (profile) => {
        const g = geometryOf(profile);
        for (const [x, y] of Object.values(g.anchors)) expect(x >= 0 && x <= 200 && y >= 0 && y <= g.height).toBe(true);
      })
    );
  });
  it('the places of the walk stay on the sheet, a thumb apart at the width they are drawn', () => {
    fc.assert(
      fc.property(profiles, (profile) => {
        const { height } = geometryOf(profile);
        const all = Object.values(placesOn(profile));
        for (const [x, y] of all) expect(x >= 0 && x <= 200 && y >= 0 && y <= height).toBe(true);
        for (const [k, a] of all.entries())
          for (const b of all.slice(k + 1)) expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeGreaterThan(24);
      })
    );
  });
});
