import type { Context } from '../../findings/context.ts';
import { known } from '../../engine/profile.ts';
import type { WarmSample } from '../../physics/warm-up.ts';
import { withoutOutliers } from './odd.ts';
import type { Run } from './runs.ts';
import { USUAL_STAMP } from './warming.ts';

/** Banks of one engine further apart than this are looked into, K (M). */
export const BANKS_APART = 8;

/** Readings of two banks within so much of each other, s, belong together where neither lies between two of the other (M). */
const TOGETHER = 180;

/** A head that climbs faster than this is still warming up, K/s (M: 1.5 K a minute). */
const CLIMBING = 1.5 / 60;
/** A thermostat that begins to open at its stamp is wide open so much over it, K (C). */
const WIDE_OPEN = 10;
/** The rate is taken over at least so much of a track, s: a probe moves by a kelvin between two readings. */
const STRETCH = { least: 30, most: 90 } as const;

/** The temperature of a track at a moment between two of its readings, K. */
function temperatureAt(samples: readonly WarmSample[], seconds: number): number | undefined {
  const next = samples.findIndex((s) => s.seconds >= seconds);
  const [a, b] = [samples[next - 1], samples[next]];
  if (!b) return undefined;
  if (!a || b.seconds === seconds) return b.seconds === seconds ? b.temperature : undefined;
  return a.temperature + ((b.temperature - a.temperature) * (seconds - a.seconds)) / (b.seconds - a.seconds);
}

/** How fast a track climbed when it was last read, K/s; nothing where it was read once, or twice in a moment. */
function climb(samples: readonly WarmSample[]): number | undefined {
  const last = samples.at(-1)!;
  const before = samples.filter((s) => last.seconds - s.seconds >= STRETCH.least);
  const from = before.find((s) => last.seconds - s.seconds <= STRETCH.most) ?? before.at(-1);
  return from && (last.temperature - from.temperature) / (last.seconds - from.seconds);
}

export interface BankDifference {
  /** K, of one moment. */
  readonly port: number;
  readonly starboard: number;
  /** Both still climb and neither thermostat need be open yet: that one is ahead says nothing of its water. */
  readonly warming: boolean;
}

/**
 * Both banks of a run at the latest moment at which both are known, K; nothing where they were never read within minutes
 * of each other. While both warm up the one that was read later is the hotter, and thermostats that open a few kelvin
 * apart let one bank run ahead: `warming` says so.
 */
export function bankDifference(c: Context, run: Run): BankDifference | undefined {
  const of = (spot: string): readonly WarmSample[] =>
    withoutOutliers(run.tracks.find((t) => t.spot === spot)?.samples ?? []);
  const [port, starboard] = [of('head-port'), of('head-starboard')];
  const [p, s] = [port.at(-1), starboard.at(-1)];
  if (!p || !s) return undefined;
  const both = Math.min(p.seconds, s.seconds);
  const between = { port: temperatureAt(port, both), starboard: temperatureAt(starboard, both) };
  if (Math.abs(p.seconds - s.seconds) > TOGETHER) return undefined;
  const climbing = [climb(port), climb(starboard)].every((rate) => rate !== undefined && rate > CLIMBING);
  const opens =
    c.survey.engine.profile.thermostat === 'not-fitted'
      ? 0
      : Math.min(USUAL_STAMP, (known(c.record.value('cooling.thermostatStamp')) ?? USUAL_STAMP) + WIDE_OPEN);
  return {
    port: between.port ?? p.temperature,
    starboard: between.starboard ?? s.temperature,
    warming: climbing && Math.max(p.temperature, s.temperature) < opens
  };
}
