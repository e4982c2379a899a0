import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { ruleNumber } from '../../house-rules/rules.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { monthsSince } from '../../findings/elapsed.ts';
import { drowned } from '../../record/drowned.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';

export type FuelAge = 'fresh' | 'use' | 'doubtful' | 'drain' | 'unknown';

export interface AgedFuel {
  readonly verdict: FuelAge;
  /** Months, and whether they were entered or follow from the years it stood. */
  readonly months: number | undefined;
  readonly assumed: boolean;
  readonly limit: Judged;
}

const places = { tank: 'tank', line: 'line and filter', bowl: 'bowl or vapour separator' } as const;
const placeIds = Object.keys(places) as (keyof typeof places)[];

/** The months at which fuel of this kind is drained, with the factor for ethanol and whether it is stabilised. */
function drainLimit(c: Context): { readonly factor: number; readonly stabilised: boolean; readonly limit: Judged } {
  const kind = c.record.value('fuel.kind') ?? c.survey.engine.history.fuelLeft;
  const stabilised = (c.record.value('fuel.stabilised') ?? c.survey.engine.history.stabilised) === 'yes';
  const factor = kind === 'plain' ? 1 : ruleNumber(c.rules, 'ethanolFactor');
  const own = factor * ruleNumber(c.rules, stabilised ? 'fuelStabilised' : 'fuelDrain');
  const limit = judgedBy(
    c,
    'fuel.age',
    own,
    `house rule${kind === 'plain' ? '' : ', shortened for ethanol or unknown'}${stabilised ? ', stabilised' : ''}`
  );
  return { factor, stabilised, limit };
}

/** When all that is in it was filled fresh, by the oldest of its fills; nothing where some of it is older or is not told. */
function filledFresh(c: Context): Instant | undefined {
  const last = placeIds.map((k) => c.record.last(`fuel.${k}`));
  const told = last.every((r) => ['fresh', 'drained', 'not-fitted'].includes(String(r?.value)));
  const fills = last.flatMap((r) => (r?.value === 'fresh' ? [r.at] : []));
  return told && fills.length ? fills.reduce((a, b) => (isAfter(a, b) ? b : a)) : undefined;
}

/**
 * The age of the fuel against the house's months; ethanol shortens them, stabiliser lengthens the last. It grows from when it was told,
 * and what was filled fresh from then. `oldest`: of the oldest that was ever said to be in it, since its gum stays where it was.
 */
export function fuelAge(c: Context, oldest = false): AgedFuel {
  const ages = c.record.all('fuel.age').flatMap((r) => (typeof r.value === 'number' ? [r.value] : []));
  const told = c.record.all('fuel.age').findLast((r) => typeof r.value === 'number');
  const fresh = filledFresh(c);
  const now =
    fresh && (!told || isAfter(fresh, told.at))
      ? monthsSince(c, fresh)
      : told && (told.value as number) + monthsSince(c, told.at);
  const idle = known(c.survey.engine.history.yearsIdle);
  const stood = idle !== undefined && idle > 0 && c.survey.engine.history.fuelLeft !== 'none' ? idle * 12 : undefined;
  // What it stood with was in it, whatever was filled since.
  const entered = oldest && (ages.length || stood !== undefined) ? Math.max(...ages, stood ?? 0) : now;
  const months = entered ?? stood;
  const { factor, stabilised, limit } = drainLimit(c);
  const verdict: FuelAge =
    months === undefined
      ? 'unknown'
      : months > limit.value
        ? 'drain'
        : stabilised
          ? 'use'
          : months <= factor * ruleNumber(c.rules, 'fuelFresh')
            ? 'fresh'
            : months <= factor * ruleNumber(c.rules, 'fuelUse')
              ? 'use'
              : 'doubtful';
  return {
    verdict,
    months,
    assumed: entered === undefined && months !== undefined,
    limit
  };
}

/** Where old fuel was said to be in it, by the latest word on each: whatever the fuel beside it is. */
export const oldFuelIn = (c: Context): string[] =>
  placeIds.flatMap((k) => (c.record.value(`fuel.${k}`) === 'old' ? [places[k]] : []));

/** When water was last seen in the bowl or separator, where it was not seen clean since. */
export const bowlWater = (c: Context): Instant | undefined => waterIn(c, 'fuel.bowlLook');
/** The same of the filter: the line holds what it holds. */
export const filterWater = (c: Context): Instant | undefined => waterIn(c, 'fuel.filter');

function waterIn(c: Context, item: 'fuel.bowlLook' | 'fuel.filter'): Instant | undefined {
  const look = c.record.last(item);
  return look?.value === 'water' && !c.touched(item).some((at) => isAfter(at, look.at)) ? look.at : undefined;
}

/** How long a cloudy sample stands before it counts, ms: air and cold clear in minutes, water does not (C: a quarter of an hour, the watch not looked at). */
const STANDS = 10 * 60_000;

/** The latest jar is cloudy, of fuel that is still in there: seen once, or again after it stood. */
export function cloudyJar(c: Context): 'once' | 'stood' | undefined {
  const jars = c.record.all('fuel.jar').filter((r) => r.value !== 'unknown');
  const last = jars.at(-1);
  if (last?.value !== 'cloudy' || clearedSince(c, last.at)) return undefined;
  const before = jars.slice(0, -1).filter((r) => !clearedSince(c, r.at));
  const since = before.slice(before.findLastIndex((r) => r.value !== 'cloudy') + 1)[0];
  return since && Date.parse(last.at) - Date.parse(since.at) >= STANDS ? 'stood' : 'once';
}

/** Everything that holds fuel has been emptied or filled fresh, or is not there. */
export function fuelCleared(c: Context): { readonly open: string[]; readonly cleared: boolean } {
  // A bad jar is of what was in there then: what was called fresh or drained before it is so no more.
  const bad = latestAt([
    ...c.record.all('fuel.jar').filter((r) => r.value === 'layers' || r.value === 'dark'),
    ...(cloudyJar(c) === 'stood' ? c.record.all('fuel.jar').slice(-1) : []),
    ...c.record.all('fuel.jarWater').filter((r) => typeof r.value === 'number' && r.value > E10_HOLDS)
  ]);
  const good = latestAt(c.record.all('fuel.jar').filter((r) => r.value === 'clear'));
  const doubted = bad !== '' && !isAfter(good, bad);
  const cleared = (k: keyof typeof places): boolean => {
    const r = c.record.last(`fuel.${k}`);
    if (r?.value === 'not-fitted') return true;
    const wet = k === 'bowl' ? bowlWater(c) : k === 'line' ? filterWater(c) : undefined;
    if (wet && !isAfter(r?.at ?? '', wet)) return false;
    // Fresh is what it was when it was filled.
    if (r?.value === 'fresh' && monthsSince(c, r.at) > drainLimit(c).limit.value) return false;
    return (r?.value === 'drained' || r?.value === 'fresh') && !(doubted && !isAfter(r.at, bad));
  };
  const open = placeIds.filter((k) => !cleared(k)).map((k) => places[k]);
  return { open, cleared: open.length === 0 };
}

/** Whether everything that holds fuel was emptied, or filled fresh, after an instant, or is not there. */
export const clearedSince = (c: Context, at: Instant): boolean => {
  const last = placeIds.map((k) => c.record.last(`fuel.${k}`));
  const emptied = last.filter((r) => (r?.value === 'drained' || r?.value === 'fresh') && isAfter(r.at, at));
  return emptied.length > 0 && last.every((r) => r?.value === 'not-fitted' || emptied.includes(r));
};

/** Water was seen in filter or bowl after the tank had been emptied twice: it comes from somewhere, and a third time tells no more. */
export function waterComesBack(c: Context): boolean {
  const seen = latestAt([filterWater(c), bowlWater(c)].flatMap((at) => (at ? [{ at }] : [])));
  const emptied = c.record.all('fuel.tank').filter((r) => r.value === 'drained' || r.value === 'fresh');
  const times = emptied.filter((r, k) => k === 0 || Date.parse(r.at) - Date.parse(emptied[k - 1]!.at) >= STANDS);
  return seen !== '' && times.filter((r) => isAfter(seen, r.at)).length > 1;
}

/** E10 holds about half a percent of water before it separates (P/M: US EPA 1995), share by volume. */
export const E10_HOLDS = 0.005;

/** Whether the jar shows water: two layers, or more than a blend can hold. */
export const watered = (c: Context): boolean =>
  c.record.value('fuel.jar') === 'layers' || (known(c.record.value('fuel.jarWater')) ?? 0) > E10_HOLDS;

/**
 * What is in it has to come out before fresh fuel goes in, for its age or for what was seen in it, or because the engine was under
 * water; or a cloudy jar has not said yet whether it has to.
 */
export const fuelComesOut = (c: Context): boolean =>
  !fuelCleared(c).cleared &&
  (drowned(c) ||
    ['drain', 'unknown'].includes(fuelAge(c).verdict) ||
    oldFuelIn(c).length > 0 ||
    watered(c) ||
    c.record.value('fuel.jar') === 'dark' ||
    cloudyJar(c) !== undefined ||
    bowlWater(c) !== undefined ||
    filterWater(c) !== undefined);
