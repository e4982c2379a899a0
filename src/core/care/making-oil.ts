import { ownLimits } from '../engine/limits.ts';
import { known } from '../engine/profile.ts';
import type { Context } from '../findings/context.ts';
import { judgedBy } from '../findings/limit.ts';
import { slopes, type Slope, type Stretch } from '../physics/slopes.ts';
import { markGap } from '../stations/oil/position.ts';
import { say } from '../units/index.ts';
import { loggedOutings, totalsOf, type Logged } from './outings.ts';

/** One dip of the log: engine hours since the log began, and m over the low mark. */
export interface LogDip {
  readonly on: string;
  readonly hours: number;
  readonly level: number;
  /** Dips of one stretch have no oil added or changed, and no unknown hours, between them. */
  readonly stretch: number;
  /** Of those hours at idle, where every outing up to there said so. */
  readonly idle?: number;
}

export interface MakingOil {
  readonly verdict: 'rises' | 'falls' | 'steady' | 'cannot-tell' | 'no-dips';
  readonly dips: readonly LogDip[];
  /** m an hour, 95 %. */
  readonly rate?: Slope;
  /** The same at idle and under load, where the log can tell them apart. */
  readonly byLoad?: { readonly idle: Slope; readonly loaded: Slope };
  /** Share of the hours at idle. */
  readonly idle?: number;
  /** m over the low mark at the last dip, and how far that is over the full mark. */
  readonly last?: number;
  readonly over?: number;
  /** Share of fuel in the oil since it was last changed, where volumes are known. */
  readonly fuel?: Slope;
  /** Engine hours until the limit, from the last dip; no upper end where it may never come. */
  readonly forecast?: { readonly to: 'dilution' | 'full mark'; readonly soonest: number; readonly latest?: number };
  readonly sentence: string;
  readonly advice: string;
  readonly because: readonly string[];
}

/** Dips of different days scatter so much, m; worth as many dips as knowledge of it before the log (M: boat, slope, heat). */
const SCATTER = { sigma: 1.5e-3, weighs: 6 };
/** A rise or fall under this is none, m an hour (M). */
const LITTLE = 0.25e-3;
/** Over the full mark by more than a dip is read to, m. */
const OVER = 1e-3;
/** From this share at idle an engine is idled (M). */
const IDLED = 0.4;

interface Walked {
  readonly dips: readonly LogDip[];
  /** Hours at which the oil was last changed, where that is in the log. */
  readonly changedAt?: number;
}

/** The log as dips along engine hours: each change, addition or outing of unknown length begins a stretch of its own. */
function walk(list: readonly Logged[]): Walked {
  const dips: LogDip[] = [];
  let [hours, stretch] = [0, 0];
  let idle: number | undefined = 0;
  let changedAt: number | undefined;
  for (const o of list) {
    const put = (level: number | undefined): void => {
      if (level !== undefined && !o.tilted)
        dips.push({ on: o.on, hours, level, stretch, ...(idle === undefined ? {} : { idle }) });
    };
    put(o.oilBefore);
    if (o.changed) changedAt = hours;
    if (o.changed || o.added) stretch++;
    if (o.hours === undefined) stretch++;
    hours += o.hours ?? 0;
    idle =
      idle === undefined || o.idle === undefined || o.hours === undefined
        ? o.hours
          ? undefined
          : idle
        : idle + o.idle * o.hours;
    put(o.oilAfter);
  }
  return { dips, ...(changedAt === undefined ? {} : { changedAt }) };
}

/** Dips in stretches, against hours alone or against hours at idle and under load. */
function stretchesOf(dips: Walked['dips'], byLoad: boolean): Stretch[] {
  return [...grouped(dips).values()].map((g) => ({
    x: g.map((d) => (byLoad ? [d.idle!, d.hours - d.idle!] : [d.hours])),
    y: g.map((d) => d.level)
  }));
}
function grouped(dips: Walked['dips']): Map<number, Walked['dips'][number][]> {
  const out = new Map<number, Walked['dips'][number][]>();
  for (const d of dips) out.set(d.stretch, [...(out.get(d.stretch) ?? []), d]);
  return out;
}

/** m³ for each metre of the stick, where what lies between the marks is known. */
function volumePerMetre(c: Context): number | undefined {
  const volume = known(c.record.value('oil.markVolume'));
  const gap = known(c.record.value('oil.markGap'));
  return volume === undefined || gap === undefined || gap <= 0 ? undefined : volume / gap;
}

const times = (s: Slope, k: number): Slope => ({ value: s.value * k, low: s.low * k, high: s.high * k });

/** Hours until a limit at a rate that lies between two ends; it may never come where the slower end does not rise. */
const until = (left: number, { low, high }: Slope): { soonest: number; latest?: number } => ({
  soonest: Math.max(0, left) / high,
  ...(low > 0 ? { latest: Math.max(0, left) / low } : {})
});

const mm = (x: number): string => `${x < 0 ? '−' : ''}${Math.abs(1000 * x).toFixed(1)} mm`;

/**
 * Whether a four-stroke makes oil: the rise of its level by the engine hour, from dips of many outings, with additions and changes taken
 * out. Never from one dip. Levels in m over the low mark; rates in m an hour; a forecast in engine hours.
 */
export function makingOil(c: Context): MakingOil {
  const list = loggedOutings(c.survey.engine);
  const { dips, changedAt } = walk(list);
  const { idle } = totalsOf(list);
  const gap = markGap(c);
  const last = dips.at(-1)?.level;
  const over = last === undefined ? undefined : last - gap;
  const fit = slopes(stretchesOf(dips, false), 1, SCATTER)?.[0];
  const told = dips.every((d) => d.idle !== undefined);
  const two = told ? slopes(stretchesOf(dips, true), 2, SCATTER) : undefined;
  const [atIdle, atLoad] = two ?? [];
  const base = {
    dips,
    ...(idle === undefined ? {} : { idle }),
    ...(last === undefined ? {} : { last }),
    ...(over === undefined ? {} : { over }),
    ...(fit ? { rate: fit } : {}),
    ...(atIdle && atLoad ? { byLoad: { idle: atIdle, loaded: atLoad } } : {})
  };
  const hours = dips.length ? dips.at(-1)!.hours - dips[0]!.hours : 0;
  const because = [
    `${dips.length} ${dips.length === 1 ? 'dip' : 'dips'} over ${hours.toFixed(1)} engine hours; additions and changes begin anew`,
    ...(fit ? [`${mm(fit.value)} an hour, ${mm(fit.low)} to ${mm(fit.high)} (95 %)`] : []),
    ...(atIdle && atLoad
      ? [`at idle ${mm(atIdle.low)} to ${mm(atIdle.high)}, under load ${mm(atLoad.low)} to ${mm(atLoad.high)} an hour`]
      : []),
    `dips of different days scatter by about ${mm(SCATTER.sigma)} (from memory)`
  ];
  if (!dips.length)
    return {
      ...base,
      verdict: 'no-dips',
      sentence: 'The oil was never dipped in this log.',
      advice: 'Dip it before and after the next outing, level, settled.',
      because
    };
  const full = over !== undefined && over > OVER;
  const tell = fit && Math.max(Math.abs(fit.low), Math.abs(fit.high)) <= LITTLE;
  // What only idling does is hidden where the log mixes both: told apart, the worse of the two speaks.
  const idles = atIdle !== undefined && atIdle.low > 0 && atIdle.value > LITTLE;
  const verdict: MakingOil['verdict'] = !fit
    ? 'cannot-tell'
    : idles || (fit.low > 0 && fit.value > LITTLE)
      ? 'rises'
      : fit.high < 0 && fit.value < -LITTLE
        ? 'falls'
        : tell
          ? 'steady'
          : 'cannot-tell';
  if (verdict === 'cannot-tell' || !fit)
    return {
      ...base,
      verdict: 'cannot-tell',
      sentence: !fit
        ? `${dips.length === 1 ? 'One dip tells' : 'These dips tell'} nothing of a rise: two with known hours between them, and no oil added, are the least.`
        : `By these dips the level moves by ${mm(fit.low)} to ${mm(fit.high)} an hour: that may be a rise or nothing.`,
      advice: `Dip it before and after each outing, level and settled, with hours and how much of them was idling; nothing is opened on this.${full ? ' It stands over the full mark: draw it down to the mark first, that is the same for both.' : ''}`,
      because
    };
  if (verdict === 'steady')
    return {
      ...base,
      verdict,
      sentence: `The level holds (${mm(fit.low)} to ${mm(fit.high)} an hour)${full ? `, and stands ${mm(over!)} over the full mark: overfilled, it makes no oil` : ''}.`,
      advice: full ? 'Draw it down to between the marks.' : 'Nothing to do.',
      because
    };
  const perMetre = volumePerMetre(c);
  if (verdict === 'falls')
    return {
      ...base,
      verdict,
      sentence: `It uses oil: ${mm(-fit.high)} to ${mm(-fit.low)} an hour${perMetre === undefined ? '' : `, ${say(-fit.high * perMetre, 'volume', c.units)} to ${say(-fit.low * perMetre, 'volume', c.units)}`}.`,
      advice:
        'Leaks outside first, then smoke: blue on the overrun is guides, blue under load is rings. Keep it between the marks meanwhile.',
      because
    };
  const fill = known(c.survey.engine.profile.sumpWithFilter) ?? known(c.survey.engine.profile.sumpWithoutFilter);
  const share = perMetre !== undefined && fill !== undefined ? times(fit, perMetre / fill) : undefined;
  const limit = judgedBy(c, 'oil.dilution', ownLimits.dilutionFault).value;
  const sinceChange = dips.at(-1)!.hours - (changedAt ?? dips[0]!.hours);
  const fuel = share && times(share, sinceChange);
  const pace = share ?? fit;
  const left = share ? limit - fuel!.value : gap - last!;
  const forecast =
    pace.value > 0 ? { to: share ? ('dilution' as const) : ('full mark' as const), ...until(left, pace) } : undefined;
  const soaked = (fuel && fuel.value >= limit) || full;
  const eases = idles && atLoad !== undefined && atLoad.value < LITTLE && atLoad.value < atIdle.low;
  const rise = eases
    ? `At idle it makes oil: the level rises ${mm(atIdle.low)} to ${mm(atIdle.high)} an hour; under load it does not (${mm(atLoad.low)} to ${mm(atLoad.high)}).`
    : `It makes oil: the level rises ${mm(fit.low)} to ${mm(fit.high)} an hour${atIdle && atLoad ? `, at idle ${mm(atIdle.value)}, under load ${mm(atLoad.value)}` : ''}.`;
  const dilution = fuel
    ? ` About ${(100 * Math.max(0, fuel.value)).toFixed(1)} % of fuel by volume ${changedAt === undefined ? 'since the log began' : 'since its change'}.`
    : '';
  return {
    ...base,
    verdict,
    ...(fuel ? { fuel } : {}),
    ...(forecast ? { forecast } : {}),
    sentence: `${rise}${dilution}${forecast ? ` ${sayForecast(forecast)}` : ''}`,
    advice: adviceOn({ soaked: Boolean(soaked), idle, loadCures: eases }),
    because
  };
}

function sayForecast(f: NonNullable<MakingOil['forecast']>): string {
  const what = f.to === 'dilution' ? 'The limit of fuel in the oil' : 'The full mark';
  const h = (x: number): string => (x < 10 ? x.toFixed(1) : String(Math.round(x)));
  if (f.soonest === 0) return `${what} is passed.`;
  return f.latest === undefined
    ? `${what} may come after ${h(f.soonest)} h.`
    : `${what} comes after ${h(f.soonest)} to ${h(f.latest)} h.`;
}

/** By its state: what helps most for least first. C: common practice. */
function adviceOn({
  soaked,
  idle,
  loadCures
}: {
  soaked: boolean;
  idle: number | undefined;
  loadCures: boolean;
}): string {
  const change = soaked ? 'Change the oil before it runs loaded again. ' : '';
  if (loadCures)
    return `${change}Loaded it holds its level: run it warm under load at the end of each outing, and idle it less.`;
  if (idle === undefined)
    return `${change}Note how much of each outing is idling: that decides between loading it and looking for why.`;
  if (idle >= IDLED)
    return `${change}It idles ${Math.round(100 * idle)} % of its hours: load it, warm and for half an hour, then dip again. Nothing is opened before.`;
  return `${change}It is loaded and makes oil all the same: look for why. A thermostat that stays open or is missing, a cylinder that misfires, an injector or needle that leaks, a pump diaphragm.`;
}
