import { PSI } from '../units/factors.ts';
import { SEA_LEVEL_PRESSURE } from './atmosphere.ts';
import { flowNumber } from './orifice.ts';

/** The published tester: 80 psi through an orifice of 0.040 in (P: FAA AC 43.13-1B; that 0.040 in is asked of small bores is M). */
export const PUBLISHED_SUPPLY = 80 * PSI;
export const PUBLISHED_RESTRICTOR = 0.04 * 25.4e-3;

/** Supply pressure, Pa gauge, and restrictor diameter, m. Both holes are taken with the same discharge coefficient. */
export interface LeakTester {
  readonly supply: number;
  readonly restrictor: number;
}
export const publishedTester: LeakTester = { supply: PUBLISHED_SUPPLY, restrictor: PUBLISHED_RESTRICTOR };

const check = (t: LeakTester, ambient: number): void => {
  if (!(t.supply > 0 && t.restrictor > 0 && ambient > 0))
    throw new RangeError('needs a supply pressure, a restrictor and an ambient pressure above zero');
};

/**
 * Diameter, m, of the hole that would make this tester show `share` (0 to under 1: drop over supply, both gauge).
 * Two orifices in series at one temperature: A_hole/A_restrictor = p_s·ψ(p_c/p_s)/(p_c·ψ(p_a/p_c)).
 * Source (P): isentropic orifice, ISO 9300. Throws RangeError outside the range.
 */
export function holeOfLeakDown(
  share: number,
  tester: LeakTester = publishedTester,
  ambient = SEA_LEVEL_PRESSURE
): number {
  check(tester, ambient);
  if (!(share >= 0 && share < 1)) throw new RangeError('a leak-down share lies from 0 to under 1');
  const supply = tester.supply + ambient;
  const cylinder = tester.supply * (1 - share) + ambient;
  const areas = (supply * flowNumber(cylinder / supply)) / (cylinder * flowNumber(ambient / cylinder));
  return tester.restrictor * Math.sqrt(areas);
}

/** The share this tester would show for a hole of this diameter, m: the relation above turned round by halving. */
export function leakDownOfHole(
  hole: number,
  tester: LeakTester = publishedTester,
  ambient = SEA_LEVEL_PRESSURE
): number {
  check(tester, ambient);
  if (!(hole >= 0)) throw new RangeError('a hole is not under zero');
  let [low, high] = [0, 1 - 1e-9];
  for (let k = 0; k < 50; k++) {
    const middle = (low + high) / 2;
    if (holeOfLeakDown(middle, tester, ambient) < hole) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** What a band written for the published tester (10 %, 20 %) becomes on this one: the same hole, another share. */
export const bandOn = (share: number, tester: LeakTester): number => leakDownOfHole(holeOfLeakDown(share), tester);
