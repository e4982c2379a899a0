/** Premix sums. Ratios are fuel to oil by volume; volumes in m³ throughout (any one unit works). P: arithmetic. */

const positive = (value: number, what: string): void => {
  if (!(value > 0) || !Number.isFinite(value)) throw new RangeError(`${what} must be above zero`);
};

/** Oil for an amount of fuel at a ratio: 4 L at 50:1 → 80 mL. */
export function oilFor(fuel: number, ratio: number): number {
  positive(ratio, 'the ratio');
  if (!(fuel >= 0)) throw new RangeError('fuel cannot be under zero');
  return fuel / ratio;
}

/** The ratio that an amount of oil in an amount of fuel makes: 100 mL in 4 L → 40. */
export function ratioMade(fuel: number, oil: number): number {
  positive(fuel, 'fuel');
  positive(oil, 'oil');
  return fuel / oil;
}

export interface Pour {
  readonly oil: number;
  readonly ratio: number;
  /** Signed share by which the oil exceeds what was wanted; above zero is the safe, richer side. */
  readonly error: number;
  readonly safeSide: boolean;
}

/** The pour that a cup with this graduation allows, rounded up so that it errs on the side of more oil. */
export function pourWithCup(fuel: number, ratio: number, graduation: number): Pour {
  positive(graduation, 'the graduation of the cup');
  const wanted = oilFor(fuel, ratio);
  const oil = Math.ceil(wanted / graduation - 1e-9) * graduation;
  const error = wanted === 0 ? 0 : oil / wanted - 1;
  return { oil, ratio: oil > 0 ? fuel / oil : Infinity, error, safeSide: error >= 0 };
}

export interface Correction {
  /** Oil to add; zero when there is enough. */
  readonly oil: number;
  /** Extra plain fuel that would be needed instead, when there is too much oil. */
  readonly moreFuel: number;
}

/**
 * Corrects a tank: `volume` of mix standing at `now` (Infinity: no oil in it), to be `wanted` after `fuel` more is added.
 * Throws RangeError on a ratio of zero or a negative volume.
 */
export function correctTank(volume: number, now: number, fuel: number, wanted: number): Correction {
  if (now !== Infinity) positive(now, 'the present ratio');
  positive(wanted, 'the ratio wanted');
  if (!(volume >= 0 && fuel >= 0)) throw new RangeError('volumes cannot be under zero');
  const oilIn = now === Infinity ? 0 : volume / (now + 1);
  const fuelIn = volume - oilIn + fuel;
  const oil = fuelIn / wanted - oilIn;
  return { oil: Math.max(0, oil), moreFuel: Math.max(0, oilIn * wanted - fuelIn) };
}
