import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { blendViscosity, massFraction } from '../../physics/viscosity.ts';
import { levelVolume } from './position.ts';

export type Rival = 'overfilled' | 'diluted';

export interface RivalWeight {
  readonly says: string;
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
/** Density of petrol and of engine oil, kg/L; their viscosities, mm²/s: petrol at 40 °C, a warm multigrade at 100 °C (P/M: handbook values). */
/**
 * Densities as poured, kg/L; viscosities both at 100 °C, mm²/s. Petrol as n-heptane near its boiling point: 0.20 mPa·s at
 * 0.61 kg/L (CRC Handbook, from memory); at 40 °C it would be 0.5, and no blend is computed of two temperatures.
 */
const PETROL = { density: 0.74, viscosity: 0.33 };
const OIL = { density: 0.86, viscosity: 10.5 };

/** Viscosity, mm²/s at 100 °C, of engine oil with a share of petrol by volume. Volume becomes mass before it is blended. */
export function dilutedViscosity(share: number): number {
  const mass = massFraction(share, PETROL.density, OIL.density);
  return blendViscosity([
    { mass, viscosity: PETROL.viscosity },
    { mass: 1 - mass, viscosity: OIL.viscosity }
  ]);
}

/** The sump of this engine, m³: as it was last filled, with filter first. */
export const sumpOf = (c: Context): number | undefined =>
  known(c.survey.engine.profile.sumpWithFilter) ?? known(c.survey.engine.profile.sumpWithoutFilter);

/**
 * Oil above the mark: too much was poured in, or fuel came into it. Each look weighs between the two by how much likelier
 * it is under one than under the other; what nobody looked at weighs nothing.
 */
export function rivals(c: Context): Rivals {
  const weights: RivalWeight[] = [];
  const add = (says: string, ratio: number): void => void weights.push({ says, ratio });
  const smell = c.record.value('oil.smell');
  const look = c.record.value('oil.look');
  // "Thin, smells of fuel" is one answer to both; the smell asked again adds little.
  if (smell === 'fuel') add('it smells of fuel', look === 'thin' ? 2 : 6);
  else if (smell === 'oil') add('it smells of oil only', 1 / 3);
  if (look === 'thin') add('it is thin and smells of fuel', 8);
  else if (look === 'clean' || look === 'dark') add('it has body', 1 / 2);
  const then = c.record.value('oil.lastMark');
  if (then === 'between') add('it stood between the marks after the last fill, so it has risen since', 8);
  else if (then === 'above') add('it stood above the mark already after the last fill', 1 / 8);
  const fill = known(c.record.value('oil.lastFill'));
  const sump = sumpOf(c);
  if (fill !== undefined && sump !== undefined) {
    if (fill > 1.05 * sump) add('more was poured in than the sump holds', 1 / 6);
    else if (fill <= 1.02 * sump) add('no more was poured in than the sump holds', 3);
  }
  const drained = known(c.record.last('oil.drained')?.value as number | undefined);
  if (drained !== undefined && fill !== undefined && fill > 0) {
    if (drained > 1.04 * fill) add('more came out than was poured in', 8);
    else if (drained <= 1.01 * fill) add('no more came out than was poured in', 1 / 4);
  }
  const odds = weights.reduce((o, w) => o * w.ratio, 1);
  const dilution = odds / (1 + odds);
  const level = levelVolume(c);
  const full = fill ?? sump;
  const share = level && level.beyond > 0 && full ? level.beyond / (full + level.beyond) : undefined;
  return {
    weights,
    dilution,
    verdict: dilution >= SURE ? 'diluted' : dilution <= 1 - SURE ? 'overfilled' : 'cannot-tell',
    ...(share === undefined ? {} : { share, viscosity: dilutedViscosity(share) })
  };
}
