import { ofThisOil } from './as-it-is.ts';
import { sumpOf } from './sump.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { blendViscosity, massFraction } from '../../physics/viscosity.ts';
import { ownLimits } from '../../engine/limits.ts';
import { lastFill } from './fill.ts';
import { laboratory, OIL_DENSITY, PETROL } from './laboratory.ts';
import { levelVolume, seenToRise } from './position.ts';

export type Rival = 'overfilled' | 'diluted';

/** What was smelt, seen, poured or measured; `weightWords` says it. */
export type WeightId =
  | 'smells-faintly'
  | 'smells'
  | 'smells-strongly'
  | 'smells-of-oil'
  | 'thin'
  | 'body'
  | 'risen'
  | 'seen-to-rise'
  | 'above-then'
  | 'poured-more'
  | 'poured-less'
  | 'came-more'
  | 'came-less'
  | 'laboratory-thin'
  | 'laboratory-thick';

export interface RivalWeight {
  readonly id: WeightId;
  /** Times as likely under dilution as under overfilling; under one it speaks for overfilling. M. */
  readonly ratio: number;
}

export interface Rivals {
  readonly weights: readonly RivalWeight[];
  /** Probability of dilution, from even odds. */
  readonly dilution: number;
  readonly verdict: Rival | 'cannot-tell';
  /** Share by volume of fuel in the oil, if what stands over the mark is all fuel. */
  readonly share?: number;
  readonly viscosity?: number;
}

/** A verdict needs these odds, one way or the other (M). */
const SURE = 0.85;
/** A usual warm multigrade where the fresh oil’s own figure is not entered, mm²/s at 100 °C (M). */
export const USUAL_VISCOSITY = 10.5;

/** Viscosity, mm²/s at 100 °C, of engine oil with a share of petrol by volume. Volume becomes mass before it is blended. */
export function dilutedViscosity(share: number, fresh = USUAL_VISCOSITY): number {
  const mass = massFraction(share, PETROL.density, OIL_DENSITY);
  return blendViscosity([
    { mass, viscosity: PETROL.viscosity },
    { mass: 1 - mass, viscosity: fresh }
  ]);
}

/** Viscosity of the fresh oil at 100 °C, mm²/s: its own figure, or the usual. */
export const freshOil = (c: Context): number => known(c.record.value('oil.viscosityFresh')) ?? USUAL_VISCOSITY;

/**
 * Oil above the mark: too much was poured in, or fuel came into it. Each look weighs between the two by how much likelier
 * it is under one than under the other; what nobody looked at weighs nothing.
 */
export function rivals(c: Context): Rivals {
  const weights: RivalWeight[] = [];
  const add = (id: WeightId, ratio: number): void => void weights.push({ id, ratio });
  const smell = ofThisOil(c, 'oil.smell');
  const look = ofThisOil(c, 'oil.look');
  // "Thin, smells of fuel" is one answer to both; the smell asked again adds little. A trace is usual after short cold runs.
  if (smell === 'faint') add('smells-faintly', look === 'thin' ? 1.2 : 1.5);
  else if (smell === 'fuel') add('smells', look === 'thin' ? 2 : 4);
  else if (smell === 'strong') add('smells-strongly', look === 'thin' ? 3 : 10);
  else if (smell === 'oil') add('smells-of-oil', 1 / 3);
  if (look === 'thin') add('thin', 8);
  else if (look === 'clean' || look === 'dark') add('body', 1 / 2);
  const then = c.record.value('oil.lastMark');
  // Its own dips before what anybody remembers of the last fill.
  if (seenToRise(c)) add('seen-to-rise', 20);
  else if (then === 'between') add('risen', 8);
  else if (then === 'above') add('above-then', 1 / 8);
  const fill = lastFill(c);
  const sump = sumpOf(c);
  // Of a fill known as a range each verdict takes the end that speaks against it.
  if (fill !== undefined && sump !== undefined) {
    if (fill.low > 1.05 * sump) add('poured-more', 1 / 6);
    else if (fill.high <= 1.02 * sump) add('poured-less', 3);
  }
  const drained = known(c.record.last('oil.drained')?.value as number | undefined);
  if (drained !== undefined && fill !== undefined && fill.low > 0) {
    if (drained > 1.04 * fill.high) add('came-more', 8);
    else if (drained <= 1.01 * fill.low) add('came-less', 1 / 4);
  }
  const lab = laboratory(c);
  if (lab && lab.low > ownLimits.dilutionWatch) add('laboratory-thin', 20);
  else if (lab && lab.high < ownLimits.dilutionWatch) add('laboratory-thick', 1 / 20);
  const odds = weights.reduce((o, w) => o * w.ratio, 1);
  const dilution = odds / (1 + odds);
  const level = levelVolume(c);
  const full = fill === undefined ? sump : (fill.low + fill.high) / 2;
  const share = level && level.beyond > 0 && full ? level.beyond / (full + level.beyond) : undefined;
  return {
    weights,
    dilution,
    verdict: dilution >= SURE ? 'diluted' : dilution <= 1 - SURE ? 'overfilled' : 'cannot-tell',
    ...(share === undefined ? {} : { share, viscosity: dilutedViscosity(share, freshOil(c)) })
  };
}
