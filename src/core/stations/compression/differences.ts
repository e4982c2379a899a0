import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { withoutAdapter } from '../../physics/adapter.ts';
import { pressureAtAltitude } from '../../physics/atmosphere.ts';
import type { Estimate } from '../../physics/spread.ts';
import { gaugeError, meanOf } from './gauge.ts';
import { deadVolume, isWeak, weakBy } from './measure.ts';
import { cylinderOf } from './shape.ts';
import type { PressureTest as Pressure } from './tests.ts';

/** In what a reading differs from those that are compared, and what it was taken with. */
export type Difference =
  | { readonly of: 'throttle' | 'bores' | 'engine'; readonly was: string | undefined }
  | { readonly of: 'gauge' }
  /** One of the two was cranked too weakly, by what was noted of it. */
  | { readonly of: 'cranking'; readonly by: 'volts' | 'starter' };

const name = (r: Pressure): string => r.instrument?.name ?? '';

/** In what two readings differ, told of the first. */
export function differences(a: Pressure, b: Pressure): Difference[] {
  const parts: Difference[] = [];
  for (const of of ['throttle', 'bores', 'engine'] as const)
    if (a.conditions?.[of] !== b.conditions?.[of]) parts.push({ of, was: a.conditions?.[of] });
  if (name(a) !== name(b) || a.instrument?.adapterVolume !== b.instrument?.adapterVolume) parts.push({ of: 'gauge' });
  const weak = weakBy(a) ?? weakBy(b);
  if (weak && isWeak(a) !== isWeak(b)) parts.push({ of: 'cranking', by: weak });
  return parts;
}

/** Volts and 1/min at their least, where they were noted. */
export interface Weak {
  readonly volts?: number;
  readonly rpm?: number;
}

/** What was noted of the weak ones among these readings; nothing where none was weak. */
export function weakOf(readings: readonly Pressure[]): { readonly weak?: Weak } {
  const weak = readings.filter(isWeak);
  if (!weak.length) return {};
  const least = (of: 'volts' | 'rpm'): number | undefined => {
    const noted = weak.map((r) => r.conditions?.[of]).filter((v) => v !== undefined);
    return noted.length ? Math.min(...noted) : undefined;
  };
  const [volts, rpm] = [least('volts'), least('rpm')];
  return { weak: { ...(volts === undefined ? {} : { volts }), ...(rpm === undefined ? {} : { rpm }) } };
}

/** A reading through a dead volume, as it would have been without; nothing where the volume or the engine's is not known. */
export function direct(c: Context, r: Pressure, mean: number): { low: number; high: number; best: number } | undefined {
  const cylinder = cylinderOf(c);
  const dead = deadVolume(r.instrument);
  if (!cylinder || dead <= 0) return undefined;
  const altitude = known(c.record.value('safe.altitude'));
  return withoutAdapter(mean, cylinder, dead, altitude === undefined ? undefined : pressureAtAltitude(altitude));
}

/**
 * Less than this share of a brisk reading is more than weak cranking takes (M: the cranking model loses a quarter at half the speed), and
 * more than warm and cold differ by.
 */
const WEAKEST = 0.6;

/**
 * Whether what differs explains by itself why a reading of the same cylinder came out as it did. `later`: read after those that it is laid
 * beside; a throttle of which nobody noted anything may have been open, and then something changed.
 */
export function explained(
  c: Context,
  other: readonly Pressure[],
  row: Estimate,
  first: Pressure,
  later = false
): boolean {
  const r = other[0]!;
  const mean = meanOf(other);
  const differs = differences(r, first).map((d) => d.of);
  const reach = 3 * row.u;
  // What lowers a reading explains a lower one: a throttle that may have been shut, weak cranking, a volume before the valve.
  const lowers =
    (differs.includes('throttle') && r.conditions?.throttle !== 'open' && !later) ||
    (differs.includes('cranking') && isWeak(r)) ||
    deadVolume(r.instrument) > deadVolume(first.instrument);
  const raises =
    (differs.includes('bores') && r.conditions?.bores === 'oiled') ||
    (differs.includes('cranking') && isWeak(first)) ||
    (differs.includes('throttle') && first.conditions?.throttle !== 'open') ||
    deadVolume(r.instrument) < deadVolume(first.instrument);
  if (differs.includes('engine')) return mean >= WEAKEST * row.mean && mean * WEAKEST <= row.mean;
  const without = differs.join() === 'gauge' ? direct(c, r, mean) : undefined;
  if (without && deadVolume(first.instrument) === 0) {
    const room = reach + gaugeError(r) + gaugeError(first);
    return row.mean >= without.low - room && row.mean <= without.high + room;
  }
  const gauges = differs.includes('gauge') ? Math.hypot(gaugeError(r), gaugeError(first)) : 0;
  if (mean < row.mean - reach - gauges) return lowers && !(differs.join() === 'cranking' && mean < WEAKEST * row.mean);
  if (mean > row.mean + reach + gauges) return raises;
  return true;
}

/** What was read at one cylinder under other conditions than those that are compared. */
export interface OtherTest {
  readonly cylinder: number;
  readonly key: string;
  readonly readings: readonly Pressure[];
}

/** So much past the limit, share, that reading it once more would not bring it back (M). */
const PLAINLY = 0.05;

/**
 * A cylinder that was plainly low beside its neighbours in a test of its own, cold or through another gauge, and is not low in the one that
 * speaks: what lowers a whole test lowers all of its cylinders.
 */
export function lowBeside(
  o: OtherTest,
  others: readonly OtherTest[],
  limit: number,
  row: { readonly low: boolean; readonly at: Instant },
  first: Pressure
): boolean {
  // A test whose throttle was not noted is outdone by the one wide open that is made for it; not by one of before.
  const later = isAfter(latestAt(o.readings), row.at);
  const whole = (d: Difference): boolean => d.of === 'engine' || d.of === 'gauge' || (later && d.of === 'throttle');
  if (row.low || !differences(o.readings[0]!, first).every(whole)) return false;
  const best = Math.max(...others.filter((x) => x.key === o.key).map((x) => meanOf(x.readings)));
  return meanOf(o.readings) < (1 - limit - PLAINLY) * best;
}
