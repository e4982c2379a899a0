import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { dilutedShare } from '../../physics/viscosity.ts';
import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { changedAfter } from './changed.ts';

/**
 * Share by which a viscosity measured at 100 °C may be off (M: reproducibility of kinematic viscosity is about one per cent for
 * fresh oil, ASTM D445 from memory; used oil and a figure from a data sheet are worse).
 */
export const LABORATORY_SHARE = 0.025;

/**
 * Densities as poured, kg/L; petrol’s viscosity at 100 °C, mm²/s: as n-heptane near its boiling point, 0.20 mPa·s at 0.61 kg/L
 * (CRC Handbook, from memory). At 40 °C it would be 0.5, and no blend is computed of two temperatures.
 */
export const PETROL = { density: 0.74, viscosity: 0.33 };
export const OIL_DENSITY = 0.86;

export interface Laboratory {
  /** mm²/s at 100 °C. */
  readonly used: number;
  readonly fresh: number;
  /** Share of petrol by volume that would thin it so, and the ends of its 95 % interval; zero where it is not thinner. */
  readonly share: number;
  readonly low: number;
  readonly high: number;
  /** Thicker than fresh by more than the figures can be off: share. */
  readonly thicker?: number;
}

/** When the oil that a laboratory tested was changed or worked on: its figure says how it was until then. Empty where it is still in. */
function testedUntil(c: Context): Instant {
  const at = c.record.last('oil.viscosity')?.at;
  return at === undefined
    ? ''
    : latestAt([changedAfter(c, at), ...c.worked('oil')].filter((w) => isAfter(w, at)).map((w) => ({ at: w })));
}

/** The viscosity of the oil that is in the engine now, mm²/s at 100 °C, as a laboratory found it. */
export const testedViscosity = (c: Context): number | undefined =>
  testedUntil(c) ? undefined : known(c.record.value('oil.viscosity'));

/** A laboratory found fuel in the oil, it was worked on since, and nobody has smelt or looked at it after that. */
export function thinBeforeWork(c: Context): boolean {
  const until = testedUntil(c);
  const lab = until ? compared(c) : undefined;
  const seen = latestAt(
    [...c.record.all('oil.look'), ...c.record.all('oil.smell')].filter((r) => r.value !== 'unknown')
  );
  return lab !== undefined && lab.low >= ownLimits.dilutionWatch && !isAfter(seen, until);
}

/** What a laboratory’s viscosity says of the oil that is in the engine now, beside that of the same oil fresh; nothing without both. */
export const laboratory = (c: Context): Laboratory | undefined => (testedUntil(c) ? undefined : compared(c));

function compared(c: Context): Laboratory | undefined {
  const used = known(c.record.value('oil.viscosity'));
  const fresh = known(c.record.value('oil.viscosityFresh'));
  if (used === undefined || fresh === undefined) return undefined;
  const reach = Math.SQRT2 * LABORATORY_SHARE;
  const share = (ratio: number): number =>
    dilutedShare(fresh * ratio, fresh, PETROL.viscosity, PETROL.density, OIL_DENSITY);
  const ratio = used / fresh;
  return {
    used,
    fresh,
    share: share(ratio),
    low: share(ratio * (1 + reach)),
    high: share(ratio * (1 - reach)),
    ...(ratio > 1 + reach ? { thicker: ratio - 1 } : {})
  };
}
