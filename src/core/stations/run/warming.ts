import { ownLimits } from '../../engine/limits.ts';
import type { Context } from '../../findings/context.ts';
import { known } from '../../engine/profile.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';
import type { Heating } from '../../physics/heating.ts';
import { secondsUntil, type WarmUp } from '../../physics/warm-up.ts';
import { withoutOutliers, jumped } from './odd.ts';
import { heatingOf } from './heating-of.ts';
import { mainTrack, type Run, type Track } from './runs.ts';
import type { Spot } from './spots.ts';

/** No plateau is promised before this many time constants: the curve is still a straight line before (M). */
const PROMISE = 1.4;

export type WarmState = 'few' | 'odd' | 'over' | 'will-pass' | 'may-pass' | 'open' | 'settles' | 'steady';

/** What the temperatures of one place say, as figures: K, seconds from the start of the run. */
export interface WarmingSaid {
  readonly state: WarmState;
  readonly spot: Spot;
  readonly limit: Judged;
  /** The run is over. */
  readonly stopped: boolean;
  readonly samples: number;
  /** When the thermostat opened. */
  readonly opened?: number;
  /** Mean of the last minutes, where it no longer climbs. */
  readonly steady?: number;
  readonly fit?: Pick<WarmUp, 'plateau' | 'low' | 'high' | 'tau' | 'sigma'>;
  /** The hottest of it, where that is past the limit. */
  readonly hottest?: number;
  /** The last reading and the one before, where no head with water goes from one to the other. */
  readonly jump?: { readonly before: number; readonly now: number };
  /** By its last two readings alone: what it stands at, its rate, K/s, and whether it passes its limit by the next one. */
  readonly race?: { readonly now: number; readonly rate: number; readonly passes: boolean };
  /** It still climbs like a straight line: where it ends cannot be told yet. */
  readonly unresolved?: true;
  /** It climbs past its limit as far as the curve goes, and its thermostat is still to open: nothing to be stopped for yet. */
  readonly thermostatShut?: true;
  /** Seconds from the last reading until the best curve reaches the limit. */
  readonly left?: number;
}

export interface Warming extends WarmingSaid {
  readonly track: Track;
  readonly heating: Heating;
  /** Seconds from the start of the run at which the best curve reaches the limit. */
  readonly limitAt?: number;
}

/** Its figures without the readings and the curve they come from. */
export function saidOf({ track: _track, heating: _heating, limitAt: _limitAt, ...said }: Warming): WarmingSaid {
  return said;
}

/** Gravest first: the track that speaks for a run. */
const gravest: readonly WarmState[] = ['over', 'will-pass', 'odd', 'may-pass', 'open', 'few', 'settles', 'steady'];

/**
 * What the temperatures of a run say while it runs, and after it. Every place on the metal is judged and the worst one
 * speaks: many readings of a good bank never hide a bad one. A place with too few readings speaks only where no other does.
 */
export function warmingOf(c: Context, run: Run): Warming | undefined {
  // Water that comes out is no hotter than the metal it cooled: past the head's limit it says so of the head, below it nothing.
  const all = run.tracks.map((t) => warmingOfTrack(c, run, t)).filter((w) => w.spot !== 'stream' || w.state === 'over');
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

/** Where no stamp is known: the highest that is common, K (C: 71 °C, 160 °F). */
export const USUAL_STAMP = 344;

/** Its thermostat is still to open: until then every sound head climbs like a straight line, and no end of it can be told. */
function beforeThermostat(c: Context, track: Track, opened: number | undefined): boolean {
  if (c.survey.engine.profile.thermostat === 'not-fitted' || opened !== undefined) return false;
  const stamp = known(c.record.value('cooling.thermostatStamp')) ?? USUAL_STAMP;
  return Math.max(...track.samples.map((s) => s.temperature)) < stamp;
}

/** What the temperatures of one place say. */
export function warmingOfTrack(c: Context, run: Run, track: Track): Warming {
  const told = byCurve(c, run, track);
  // Stopped while it raced, whatever for: that nobody waited for the curve to say so takes nothing from it.
  if (!run.stoppedAt || !UNTOLD.has(told.state)) return told;
  const race = racing(track, told.limit.value);
  return race ? raced(told, race) : told;
}

/** States in which a curve does not tell where it ends. */
const UNTOLD: ReadonlySet<WarmState> = new Set(['few', 'open', 'may-pass']);

/** By its last two readings alone it passes its limit, or climbs as no head with water does. */
const raced = (w: Warming, { by, rate }: { readonly by: number; readonly rate: number }): Warming => ({
  ...w,
  state: 'will-pass',
  race: { now: w.track.samples.at(-1)!.temperature, rate, passes: by >= w.limit.value }
});

function byCurve(c: Context, run: Run, track: Track): Warming {
  const limit = judgedBy(c, 'cooling.hot', ownLimits.headHot);
  const h = heatingOf(c, track);
  const { fit } = h;
  const base = {
    track,
    heating: h,
    spot: track.spot,
    limit,
    stopped: run.stoppedAt !== undefined,
    samples: track.samples.length,
    // A bend in a head that never got warm is no thermostat that opens.
    ...(h.opened === undefined || Math.max(...track.samples.map((s) => s.temperature)) < NEVER_WARM.under
      ? {}
      : { opened: h.opened }),
    ...(h.steady ? { steady: h.steady.at } : {}),
    ...(fit
      ? {
          fit: {
            plateau: fit.plateau,
            low: fit.low,
            tau: fit.tau,
            sigma: fit.sigma,
            ...(fit.high === undefined ? {} : { high: fit.high })
          }
        }
      : {})
  };
  if (jumped(track.samples)) {
    const [before, last] = withoutOutliers(track.samples).slice(-2);
    return { ...base, state: 'odd', jump: { before: before!.temperature, now: last!.temperature } };
  }
  const top = run.hottest && run.hottest.spot === track.spot ? run.hottest.temperature : undefined;
  const hottest = top ?? Math.max(...withoutOutliers(track.samples).map((s) => s.temperature));
  if (hottest >= limit.value) return { ...base, state: 'over', hottest };
  const race = run.stoppedAt ? undefined : racing(track, limit.value);
  if (race) return raced({ ...base, state: 'will-pass' }, race);
  const elapsed = (track.samples.at(-1)?.seconds ?? 0) - h.from;
  if (h.steady && (!fit || elapsed >= PROMISE * fit.tau || fit.tau > 3600 || fit.plateau - h.steady.at < 3))
    return { ...base, state: 'steady' };
  if (!fit) return { ...base, state: 'few' };
  const at = secondsUntil(fit, limit.value);
  const limitAt = at === undefined ? undefined : h.from + at;
  const timed =
    limitAt === undefined ? base : { ...base, limitAt, left: limitAt - (track.samples.at(-1)?.seconds ?? 0) };
  if (fit.low >= limit.value && elapsed >= 60) {
    if (!beforeThermostat(c, track, h.opened)) return { ...timed, state: 'will-pass' };
    return { ...timed, state: run.stoppedAt ? 'open' : 'may-pass', unresolved: true, thermostatShut: true };
  }
  if (fit.high === undefined || elapsed < PROMISE * fit.tau)
    return { ...timed, state: fit.plateau > limit.value ? 'may-pass' : 'open', unresolved: true };
  if (fit.high < limit.value) return { ...timed, state: 'settles' };
  // Over, and by the best curve under its limit: it ended too soon to tell, which is no sign of heat.
  return { ...timed, state: run.stoppedAt && fit.plateau < limit.value ? 'open' : 'may-pass' };
}

/** One reading so soon after its start, minutes, or two that lie so near, s, with such a rise between them, K/s, show no end of the climb (M). */
export const ON_ITS_WAY = { minutes: 5, apart: 180, rate: 2 / 60 } as const;

/** Its head is on its way up, by the few readings there are: where it stands is not where it stays. */
export function climbsYet(run: Run, { state, track }: Pick<Warming, 'state' | 'track'>): boolean {
  if (run.silent || run.untimed || (state !== 'few' && state !== 'open')) return false;
  const [a, b] = track.samples.slice(-2);
  if (!a) return false;
  if (!b) return a.seconds < ON_ITS_WAY.minutes * 60;
  const apart = b.seconds - a.seconds;
  return apart > 0 && apart <= ON_ITS_WAY.apart && (b.temperature - a.temperature) / apart > ON_ITS_WAY.rate;
}

/** "4:05": minutes and seconds from a start. */
export const clock = (seconds: number): string => {
  const s = Math.max(0, Math.floor(seconds));
  const h = Math.floor(s / 3600);
  const rest = `${String(Math.floor((s % 3600) / 60)).padStart(h ? 2 : 1, '0')}:${String(s % 60).padStart(2, '0')}`;
  return h ? `${h}:${rest}` : rest;
};
