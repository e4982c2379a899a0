/**
 * Strokes of a hand pump until a case that takes `capacity` m³ is full, at `perStroke` m³ measured once; the fraction counts whole.
 * @example strokesToFill(300e-6, 14e-6) // 22
 * @throws RangeError on a stroke or a capacity that is not above zero
 */
export function strokesToFill(capacity: number, perStroke: number): number {
  if (!(capacity > 0 && perStroke > 0)) throw new RangeError('needs a capacity and a stroke above zero');
  return Math.ceil(capacity / perStroke - 1e-9);
}

/**
 * Bottles for an amount, both m³.
 * @example bottlesFor(600e-6, 355e-6) // 2
 * @throws RangeError on a bottle that is not above zero
 */
export function bottlesFor(amount: number, bottle: number): number {
  if (!(bottle > 0 && amount >= 0)) throw new RangeError('needs a bottle above zero');
  return Math.ceil(amount / bottle - 1e-9);
}

/**
 * Diameter of the driver for a lip seal, m, from the diameter of its lip and of its outside: it bears on the metal ring, clear of
 * the lip, and passes into the bore. Half a millimetre under the outside, and not less than half way out from the lip (M).
 * @example sealDriver(0.017, 0.03) // { value: 0.0295, low: 0.0235, high: 0.0297 }
 * @throws RangeError where the outside is not the larger one
 */
export function sealDriver(lip: number, outside: number): { value: number; low: number; high: number } {
  if (!(lip > 0 && outside > lip + 1e-3)) throw new RangeError('the outside of a seal is larger than its lip');
  const low = (lip + outside) / 2;
  return { value: Math.max(low, outside - 0.5e-3), low, high: outside - 0.3e-3 };
}

/** How far a new seal may stand from where the old one stood before it counts as cocked or driven too deep, m (M). */
export const SEAL_DEPTH = 0.3e-3;

/**
 * How far the fuel stands from where it should, m, for a float set by its height with the body upside down: the float hangs from a
 * lever, so that the fuel moves by half to all of the error, and the other way (M: levers differ).
 * @example floatLevel(0.016, 0.014) // { value: -0.0015, low: -0.002, high: -0.001 }
 */
export function floatLevel(measured: number, wanted: number): { value: number; low: number; high: number } {
  const error = wanted - measured;
  return { value: 0.75 * error, low: Math.min(0.5 * error, error), high: Math.max(0.5 * error, error) };
}

/**
 * How far a shim or a screw has to move for a lash, m: what was measured less the middle of what the manual wants. Above zero: a
 * thicker shim, or the screw in.
 * @example lashCorrection(0.25e-3, 0.15e-3, 0.2e-3) // 0.075e-3
 * @throws RangeError on a range upside down
 */
export function lashCorrection(measured: number, low: number, high: number): number {
  if (!(high >= low)) throw new RangeError('a range goes from the smaller to the larger');
  return measured - (low + high) / 2;
}

/**
 * How far a thread of `pitch` m moves in `turns` of a turn, m. P: a thread.
 * @example threadTravel(1.25e-3, 0.5) // 0.625e-3
 */
export const threadTravel = (pitch: number, turns: number): number => pitch * turns;

/** Pitch of the usual M14 spark plug thread, m (P: ISO 28741). */
export const PLUG_THREAD = 1.25e-3;

/** Oil into a bore where the manual names no dose, as a share of what the piston sweeps: 1 to 2 mL for each 100 mL (M). */
export const BORE_OIL = { low: 0.01, high: 0.02 } as const;
