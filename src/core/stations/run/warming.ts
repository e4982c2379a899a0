import { ownLimits } from '../../engine/limits.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy, type Judged, sayLimit } from '../../findings/limit.ts';
import type { Heating } from '../../physics/heating.ts';
import { secondsUntil } from '../../physics/warm-up.ts';
import { say } from '../../units/index.ts';
import { withoutOutliers, jumped } from './odd.ts';
import { heatingOf, mainTrack, spots, type Run, type Track } from './runs.ts';

/** No plateau is promised before this many time constants: the curve is still a straight line before (M). */
const PROMISE = 1.4;

export type WarmState = 'few' | 'odd' | 'over' | 'will-pass' | 'may-pass' | 'open' | 'settles' | 'steady';

export interface Warming {
  readonly track: Track;
  readonly heating: Heating;
  readonly limit: Judged;
  readonly state: WarmState;
  readonly sentence: string;
  /** Seconds from the start of the run at which the best curve reaches the limit. */
  readonly limitAt?: number;
}

/** Gravest first: the track that speaks for a run. */
const gravest: readonly WarmState[] = ['over', 'will-pass', 'odd', 'may-pass', 'open', 'few', 'settles', 'steady'];

/**
 * What the temperatures of a run say while it runs, and after it. Every place on the metal is judged and the worst one
 * speaks: many readings of a good bank never hide a bad one. A place with too few readings speaks only where no other does.
 */
export function warmingOf(c: Context, run: Run): Warming | undefined {
  const all = run.tracks.filter((t) => t.spot !== 'stream').map((t) => warmingOfTrack(c, run, t));
  const told = all.filter((w) => w.state !== 'few');
  const main = mainTrack(run);
  return (told.length ? told : all)
    .sort((a, b) => Number(b.track === main) - Number(a.track === main))
    .reduce<Warming | undefined>(
      (worst, w) => (worst && gravest.indexOf(worst.state) <= gravest.indexOf(w.state) ? worst : w),
      undefined
    );
}

/** The next reading comes as long after the last as that came after the one before, s, between these: by then it must not have passed its limit. */
const NEXT = { least: 30, most: 60 };
/** No head climbs faster than this and has water, K/s (M: 20 K a minute). */
const FASTEST = 20 / 60;

/** Where the last two readings alone take it by the next one; nothing with fewer than two. */
function racing(track: Track, limit: number): { readonly by: number; readonly rate: number } | undefined {
  const [a, b] = withoutOutliers(track.samples).slice(-2);
  if (!a || !b || b.seconds <= a.seconds) return undefined;
  const rate = (b.temperature - a.temperature) / (b.seconds - a.seconds);
  const next = Math.min(NEXT.most, Math.max(NEXT.least, b.seconds - a.seconds));
  const by = b.temperature + rate * next;
  // A cold engine warms fast for its first minutes: the rate alone counts where it is warm already.
  return by >= limit || (rate > FASTEST && b.temperature > WARM) ? { by, rate } : undefined;
}

/** A thermostat that works brings every head over this, K, within so many minutes (M: 45 °C in ten minutes). */
export const NEVER_WARM = { under: 318, minutes: 10 } as const;

/** From here a head is warm: the thermostat is about to open, K (C). */
export const WARM = 323.15;

/** What the temperatures of one place say. */
export function warmingOfTrack(c: Context, run: Run, track: Track): Warming {
  const limit = judgedBy(c, 'cooling.hot', ownLimits.headHot);
  const h = heatingOf(c, track);
  const t = (k: number): string => say(k, 'temperature', c.units);
  const base = { track, heating: h, limit };
  const top = run.hottest && run.hottest.spot === track.spot ? run.hottest.temperature : undefined;
  if (jumped(track.samples)) {
    const [before, last] = withoutOutliers(track.samples).slice(-2);
    return {
      ...base,
      state: 'odd',
      sentence: `${run.stoppedAt ? '' : 'Stop now. '}${t(last!.temperature)} after ${t(before!.temperature)} a moment before: no head with water does that. Read it again; if it was a slip, take it back.`
    };
  }
  const hottest = top ?? Math.max(...withoutOutliers(track.samples).map((s) => s.temperature));
  if (hottest >= limit.value)
    return {
      ...base,
      state: 'over',
      sentence: `It reached ${t(hottest)} at the ${spots[track.spot]}, limit ${sayLimit(limit, c.units)}.${run.stoppedAt ? '' : ' Stop.'}`
    };
  const race = run.stoppedAt ? undefined : racing(track, limit.value);
  if (race)
    return {
      ...base,
      state: 'will-pass',
      sentence: `Stop now: ${spots[track.spot]} at ${t(track.samples.at(-1)!.temperature)}, climbing ${Math.round(race.rate * 60 * (c.units === 'us' ? 1.8 : 1))} ${c.units === 'us' ? '°F' : 'K'} a minute${race.by >= limit.value ? `: past the limit of ${sayLimit(limit, c.units)} before the next reading` : ': no head with water does that'}.`
    };
  const fit = h.fit;
  const elapsed = (track.samples.at(-1)?.seconds ?? 0) - h.from;
  const shut = h.opened === undefined ? '' : `The thermostat opened at about ${clock(h.opened)}. `;
  if (h.steady && (!fit || elapsed >= PROMISE * fit.tau || fit.tau > 3600 || fit.plateau - h.steady.at < 3))
    return {
      ...base,
      state: 'steady',
      sentence: `${shut}Steady at ${t(h.steady.at)}, under the limit of ${sayLimit(limit, c.units)}.`
    };
  if (!fit)
    return {
      ...base,
      state: 'few',
      sentence:
        track.samples.length < 5
          ? 'Too few readings for a forecast: five over a minute or more.'
          : `${shut}It does not climb steadily; no forecast.`
    };
  const at = secondsUntil(fit, limit.value);
  const limitAt = at === undefined ? undefined : h.from + at;
  const left = limitAt === undefined ? undefined : limitAt - (track.samples.at(-1)?.seconds ?? 0);
  const timed = limitAt === undefined ? base : { ...base, limitAt };
  const range = fit.high === undefined ? `over ${t(fit.low)}, no upper limit yet` : `${t(fit.low)} to ${t(fit.high)}`;
  const soon =
    left === undefined
      ? ''
      : left <= 60
        ? ' It gets there within a minute.'
        : ` It gets there in about ${Math.round(left / 60)} min.`;
  if (fit.low >= limit.value && elapsed >= 60)
    return {
      ...timed,
      state: 'will-pass',
      sentence: `${shut}${run.stoppedAt ? 'It was heading' : 'Stop it: it heads'} for ${range}, over the limit of ${sayLimit(limit, c.units)}.${run.stoppedAt ? '' : soon}`
    };
  if (fit.high === undefined || elapsed < PROMISE * fit.tau)
    return {
      ...timed,
      state: fit.plateau > limit.value ? 'may-pass' : 'open',
      sentence: `${shut}Still climbing; where it ends cannot be told yet (${range}).${fit.plateau > limit.value ? ` Be ready to stop.${soon}` : ''}`
    };
  if (fit.high >= limit.value)
    return {
      ...timed,
      state: 'may-pass',
      sentence: `${shut}It heads for ${range}: that may pass the limit of ${sayLimit(limit, c.units)}. Be ready to stop.${soon}`
    };
  return {
    ...timed,
    state: 'settles',
    sentence: `${shut}It settles between ${t(fit.low)} and ${t(fit.high)}, under the limit of ${sayLimit(limit, c.units)}.`
  };
}

/** "4:05": minutes and seconds from a start. */
export const clock = (seconds: number): string => {
  const s = Math.max(0, Math.floor(seconds));
  const h = Math.floor(s / 3600);
  const rest = `${String(Math.floor((s % 3600) / 60)).padStart(h ? 2 : 1, '0')}:${String(s % 60).padStart(2, '0')}`;
  return h ? `${h}:${rest}` : rest;
};

/** Banks of one engine further apart than this are looked into, K (M). */
export const BANKS_APART = 8;

/** Both banks at their latest, where both were read in the last minutes of a run, K apart. */
export function bankDifference(run: Run): { readonly port: number; readonly starboard: number } | undefined {
  const last = (spot: string): { seconds: number; temperature: number } | undefined =>
    run.tracks.find((t) => t.spot === spot)?.samples.at(-1);
  const [port, starboard] = [last('head-port'), last('head-starboard')];
  return port && starboard && Math.abs(port.seconds - starboard.seconds) <= 180
    ? { port: port.temperature, starboard: starboard.temperature }
    : undefined;
}
