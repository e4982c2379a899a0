import type { Context } from '../../findings/context.ts';
import { isAfter, latestInstant, type Instant } from '../../units/instant.ts';

/** Where air comes into the fuel line, told joint by joint. */
export type AirPlace = 'pickup' | 'coupling' | 'hose' | 'filter' | 'pump';

const places: ReadonlySet<unknown> = new Set<AirPlace>(['pickup', 'coupling', 'hose', 'filter', 'pump']);

/** Work at a place that is right for the air that comes in there; work at another one mends none of it. */
const workAt = (c: Context, place: unknown): readonly Instant[] =>
  place === 'pump'
    ? c.renewed('fuel.pump')
    : place === 'filter'
      ? c.renewed('fuel.filter')
      : place === 'pickup'
        ? c.touched('fuel.pickup')
        : c.renewed('fuel.airAt');

/** When the line was last worked on for its air, where that was found; for couplings and hose where it was not. */
export const airWork = (c: Context): Instant => latestInstant(workAt(c, c.record.last('fuel.airAt')?.value));

/**
 * Where the line draws air: the place, as it was found; nowhere, where every joint was tried or nobody could tell; not told yet, though
 * bubbles stand in the hose. Nothing where there are none. What was told before the line was worked on is of the line as it was.
 */
export function airAt(c: Context): AirPlace | 'nowhere' | 'untold' | undefined {
  const mended = airWork(c);
  const said = [c.record.last('fuel.airAt'), c.record.asked('fuel.airAt')];
  const told = said.find((r) => r && isAfter(r.at, mended))?.value;
  if (places.has(told)) return told as AirPlace;
  const hose = c.record.last('fuel.hose');
  if (hose?.value !== 'bubbles' || !isAfter(hose.at, mended)) return undefined;
  return told === undefined && !fallsToIt(c) ? 'untold' : 'nowhere';
}

/** Fuel that falls to the engine stands under no vacuum, so that no joint can be tried; with the tank full enough it is the hose. */
const fallsToIt = (c: Context): boolean =>
  c.survey.engine.profile.supply === 'gravity' && ['some', 'full'].includes(c.record.value('fuel.level') ?? '');

/** Bubbles stood in the hose, the line was worked on for them, and nobody looked whether they are gone. */
export function bubblesUnseen(c: Context): boolean {
  const hose = c.record.last('fuel.hose');
  return hose?.value === 'bubbles' && isAfter(airWork(c), hose.at);
}

/** The air comes in at a part that has work of its own, and not by hose or couplings. */
export const airElsewhere = (c: Context): boolean => ['pickup', 'filter', 'pump'].includes(String(airAt(c)));
