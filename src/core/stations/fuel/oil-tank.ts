import type { Context } from '../../findings/context.ts';
import { byTime, isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { oilWay } from './oil-way.ts';

/** When oil last went into its tank: what was seen in it before is gone. */
const filledAt = (c: Context): Instant => latestAt(c.renewed('fuel.oilTank').map((at) => ({ at })));

/** Somebody looked into the oil tank as it is now, whether or not he could tell. */
export const oilTankAsked = (c: Context): boolean =>
  c.record.all('fuel.oilTank').some((r) => isAfter(r.at, filledAt(c)));

/** Fuel to a part of oil at which what is mixed in stands for the injection until it is mended (M: three times 50:1). */
const STANDS_FOR_INJECTION = 150;

/** Oil is in the fuel as well, as for a first tank: the cylinders get theirs whatever the injection does. */
const standsIn = (mix: number | undefined): boolean => mix !== undefined && mix <= STANDS_FOR_INJECTION;

/** What the oil of the injection is seen to do: its own way, or nothing that was seen since it was worked on. */
export function oilMoves(c: Context): 'moves' | 'still' | undefined {
  const seen = c.record.last('fuel.oilMoves');
  return seen && !c.renewed('fuel.oilMoves').some((at) => isAfter(at, seen.at))
    ? (seen.value as 'moves' | 'still')
    : undefined;
}

/** The injection gives the cylinders no oil, or water with it; in words, nothing where it does or where nobody looked. `mix`: fuel to a part of oil that is in the fuel besides. */
export function injectionStarved(c: Context, mix: number | undefined): string | undefined {
  if (oilWay(c) !== 'tank') return undefined;
  const level = oilTankAsked(c) ? c.record.value('fuel.oilTank') : undefined;
  if (level === 'water') return 'There is water or dirt in the oil tank: it goes to every bearing.';
  if (standsIn(mix)) return undefined;
  if (level === 'empty') return 'The oil tank is empty, and its cylinders get their oil from nowhere else.';
  return oilMoves(c) === 'still' ? 'The oil injection gives no oil, and there is none in the fuel.' : undefined;
}

/** Oil was told to be in the fuel before an instant, and nothing was said of it since: what is mixed afterwards helped no run. */
function mixedBefore(c: Context, at: Instant): boolean {
  const told = [...c.record.all('fuel.mix'), ...c.record.all('fuel.tankMix')]
    .filter((r) => typeof r.value === 'number' && !isAfter(r.at, at))
    .sort(byTime)
    .at(-1);
  return (
    standsIn(told?.value as number | undefined) &&
    !c.renewed('fuel.mix').some((w) => isAfter(w, told?.at) && !isAfter(w, at))
  );
}

/** When it last ran on an oil tank that was told to be empty, or on oil that did not move, with nothing done to it between the two. */
export function ranOnEmptyTank(c: Context, runs: readonly { readonly at: Instant }[]): Instant | undefined {
  if (oilWay(c) !== 'tank') return undefined;
  const seenFilled = c.record
    .all('fuel.oilTank')
    .flatMap((r) => (r.value === 'full' || r.value === 'low' ? [r.at] : []));
  const empty = c.record.all('fuel.oilTank').filter((r) => r.value === 'empty');
  const still = c.record.all('fuel.oilMoves').filter((r) => r.value === 'still');
  const told = [
    ...empty.map((r) => ({ at: r.at, undone: [...c.touched('fuel.oilTank'), ...seenFilled] })),
    ...still.map((r) => ({ at: r.at, undone: c.touched('fuel.oilMoves') }))
  ];
  return runs.findLast(
    ({ at }) =>
      !mixedBefore(c, at) &&
      told.some((t) => {
        const [first, last] = isAfter(at, t.at) ? [t.at, at] : [at, t.at];
        return !t.undone.some((f) => isAfter(f, first) && !isAfter(f, last));
      })
  )?.at;
}
