import { cylindersOf, type Context } from '../../findings/context.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';
import { repeatsOf } from '../../measurements/repeats.ts';
import { at20 } from '../../physics/resistance.ts';
import { isAfter, latestAt } from '../../units/instant.ts';
import type { LimitId } from '../../engine/limits.ts';

export const windings = {
  primary: { label: 'coil primary', perCylinder: true },
  secondary: { label: 'coil secondary', perCylinder: true },
  charge: { label: 'charge coil', perCylinder: false },
  trigger: { label: 'trigger or sensor', perCylinder: false }
} as const;
export type WindingId = keyof typeof windings;
export const windingIds = Object.keys(windings) as WindingId[];

/** Temperature taken where none was noted, K (20 °C). */
const ASSUMED = 293.15;
/** Two readings this far apart, K, are a cold and a warm one (M). */
const WARM_STEP = 12;
/** What meter, leads and a guessed temperature leave between two readings of a good winding, share (M). */
export const METER_SHARE = 0.05;
/** Between cylinders a winding may differ by this, share (C/M). */
export const BETWEEN = 0.15;

/** Resistance past which a winding is broken whatever its maker asks, Ω (C: primaries are under a few ohms, the others under some tens of kilohms). */
export const OPEN: Readonly<Record<WindingId, number>> = { primary: 1e3, secondary: 5e5, charge: 1e5, trigger: 1e5 };

/**
 * Resistance under which a winding is shorted whatever its maker asks, Ω (C, from memory: secondaries are thousands of ohms, charge coils and
 * triggers tens and more). A primary is itself under an ohm or so: no meter tells it from a short.
 */
export const SHORTED: Readonly<Partial<Record<WindingId, number>>> = { secondary: 100, charge: 1, trigger: 1 };
/** What an ordinary meter and its leads are off by on any of them, Ω (M). */
const METER_OHMS = 0.3;
/** No leads are more than this share of what was read, or there was no winding in it (M). */
const LEADS_MOST = 0.8;
/** Under this no meter of a workshop tells one figure from another, Ω (M): nothing is divided by it. */
const RESOLVED = 1e-3;

export interface WindingRow {
  readonly winding: WindingId;
  readonly cylinder?: number;
  readonly readings: readonly { readonly ohms: number; readonly temperature?: number; readonly at20: number }[];
  /** Read alike more than once, further apart than any winding changes: one of them is wrong. */
  readonly scattered?: true;
  /** How many of them speak. */
  readonly repeated: number;
  /** Mean brought to 20 °C, Ω. */
  readonly ohms20: number;
  readonly limit?: Judged;
  /** Against the manual's range: out of it, or in it, only by more than meter and temperature can be off. */
  readonly range?: 'inside' | 'outside' | 'close';
  /** Warm over cold, both brought to 20 °C: 1 for sound copper. Nothing without a cold and a warm reading. */
  readonly warmOverCold?: number;
  /** The same, with what meter and leads may be off by in it. */
  readonly warmReach?: { readonly low: number; readonly high: number };
}

function against(ohms: number, low: number, high: number): 'inside' | 'outside' | 'close' {
  const [least, most] = [ohms * (1 - METER_SHARE), ohms * (1 + METER_SHARE)];
  if (most < low || least > high) return 'outside';
  // A manual's range is read with an ordinary meter as it is: inside is inside.
  return ohms >= low && ohms <= high ? 'inside' : 'close';
}

type Read = { readonly ohms: number; readonly temperature?: number };

/**
 * Warm over cold at the ends of what meter and leads may add to both: on a primary of an ohm, a few tenths in the leads alone make sound copper
 * look as if it turned short with heat.
 */
function warmReach(cold: Read, warm: Read): { low: number; high: number } {
  const leads = Math.min(METER_OHMS, LEADS_MOST * Math.min(cold.ohms, warm.ohms));
  const ratio = (off: number): number =>
    at20(warm.ohms - off, warm.temperature!) / at20(cold.ohms - off, cold.temperature!);
  const ends = [ratio(0), ratio(leads)];
  return { low: Math.min(...ends) * (1 - METER_SHARE), high: Math.max(...ends) * (1 + METER_SHARE) };
}

/** Every winding that was read, brought to 20 °C, against the manual's range and cold against warm. P: IEC 60028. */
export function windingRows(c: Context): WindingRow[] {
  return windingIds.flatMap((winding) => {
    const limit = judgedBy(c, `spark.${winding}` as LimitId);
    const places = windings[winding].perCylinder ? cylindersOf(c) : [undefined];
    return places.flatMap((cylinder): WindingRow[] => {
      const taken = c.record.all(`spark.${winding}`, cylinder === undefined ? {} : { cylinder });
      // Read again after work, what was read before it is of how it was.
      const worked = latestAt(
        c
          .worked('spark')
          .filter((at) => taken.some((r) => isAfter(r.at, at)))
          .map((at) => ({ at }))
      );
      const readings = taken.flatMap((r) => {
        if (worked && !isAfter(r.at, worked)) return [];
        if (typeof r.value !== 'number') return [];
        const t = r.conditions?.temperature;
        const temperature = t === undefined ? {} : { temperature: t };
        return [{ ohms: r.value, ...temperature, at20: at20(r.value, t ?? ASSUMED) }];
      });
      if (!readings.length) return [];
      const noted = readings.filter((r) => r.temperature !== undefined).sort((a, b) => a.temperature! - b.temperature!);
      const [cold, warm] = [noted[0], noted.at(-1)];
      // What was read cold speaks: a warm reading is compared with it, never averaged in.
      const colds = readings.filter(
        (r) => cold === undefined || r.temperature === undefined || r.temperature - cold.temperature! < WARM_STEP
      );
      const { speaking, scattered } = repeatsOf(
        colds,
        (a, b) => Math.abs(a.at20 - b.at20) <= Math.max(BETWEEN * Math.max(a.at20, b.at20), METER_OHMS)
      );
      const ohms20 = speaking.reduce((sum, r) => sum + r.at20, 0) / speaking.length;
      const both = cold && warm && warm.temperature! - cold.temperature! >= WARM_STEP && cold.at20 > RESOLVED;
      return [
        {
          winding,
          ...(cylinder === undefined ? {} : { cylinder }),
          readings,
          repeated: speaking.length,
          ohms20,
          ...(scattered ? { scattered } : {}),
          ...(limit ? { limit } : {}),
          ...(limit?.to === undefined ? {} : { range: against(ohms20, limit.value, limit.to) }),
          ...(both ? { warmOverCold: warm.at20 / cold.at20, warmReach: warmReach(cold, warm) } : {})
        }
      ];
    });
  });
}
