import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { ranAfter } from '../../findings/ran.ts';
import { plugsAt } from './plugs-out.ts';

/** What comes out of the plug holes when it is turned by hand, and since when. */
export interface HoleWater {
  readonly state: 'comes' | 'out';
  /** As it was answered. */
  readonly said: string;
  readonly at: Instant;
}

const words = {
  'turn.water': { none: 'out', oil: 'out', some: 'comes', much: 'comes' },
  // Drops are a film in the oil: the next pass shows whether anything is behind them.
  'turn.pass': { clear: 'out', water: 'comes' }
} as const;

/**
 * The last word on water out of the plug holes: turned by hand, or thrown out by a pass of water-displacing oil (C).
 * Nothing where nobody saw, or could not tell.
 */
export function holeWater(c: Context): HoleWater | undefined {
  const said = (['turn.water', 'turn.pass'] as const).flatMap((item) =>
    c.record.all(item).flatMap((r): HoleWater[] => {
      const state = (words[item] as Readonly<Partial<Record<string, HoleWater['state']>>>)[String(r.value)];
      return state ? [{ state, said: item === 'turn.water' ? String(r.value) : 'with the oil', at: r.at }] : [];
    })
  );
  return said.reduce<HoleWater | undefined>(
    // Of one instant, the unfavourable word counts.
    (last, w) => (!last || isAfter(w.at, last.at) || (w.state === 'comes' && !isAfter(last.at, w.at)) ? w : last),
    undefined
  );
}

/** Water came out of the plug holes when it was turned, and nobody has turned it dry since. */
export const waterComes = (c: Context): boolean => holeWater(c)?.state === 'comes';

/** When it was last turned until no more water came, an empty text where it never was. */
const turnedDryAt = (c: Context): Instant =>
  latestAt([
    ...c.record.all('turn.water').filter((r) => r.value === 'none' || r.value === 'oil'),
    ...c.record.all('turn.pass').filter((r) => r.value === 'clear')
  ]);

/** A plug that lay on the bench when the engine was turned dry, and was not put back since, got wet before that. */
function wetBefore(c: Context, dry: Instant): boolean {
  if (!dry || plugsAt(c, dry) !== 'out') return false;
  return !c.record.all('turn.plugs').some((r) => r.value === 'in' && isAfter(r.at, dry)) && !ranAfter(c, dry);
}

/** Plug and hole read within this are one look, ms (M: a quarter of an hour). */
const SAME_LOOK = 15 * 60_000;

/** Where nobody said how many it has: up to the last one of which something was read. */
function named(c: Context): number[] {
  const last = Math.max(1, ...c.survey.readings.map((r) => r.cylinder ?? 1));
  return Array.from({ length: last }, (_, k) => k + 1);
}

/** Cylinders with water in them, or on their plug, that nobody has seen empty since. */
export function waterIn(c: Context): number[] {
  const dry = turnedDryAt(c);
  const all = cylindersOf(c);
  return (all.length ? all : named(c)).filter((k) => {
    const hole = c.record.all('plugs.hole', { cylinder: k }).findLast((r) => r.value !== 'unknown');
    const plug = c.record.last('plugs.read', k);
    const onPlug = Array.isArray(plug?.value) && plug.value.includes('water') ? plug.at : '';
    if (hole?.value === 'water') return !dry || !isAfter(dry, hole.at);
    // Water on the plug speaks for the cylinder until somebody looked into it and saw none, or turned it dry. One answer
    // names one thing: rust, debris or a scored bore say nothing of what stands beside it.
    // Seen clean before: of another look it was, unless the plug has lain beside the engine since then.
    const earlier =
      hole !== undefined &&
      onPlug !== '' &&
      Date.parse(onPlug) - Date.parse(hole.at) > SAME_LOOK &&
      !wetBefore(c, hole.at);
    return (
      onPlug !== '' &&
      (hole === undefined || hole.value !== 'clean' || earlier) &&
      (!dry || (!isAfter(dry, onPlug) && !wetBefore(c, dry)))
    );
  });
}

/** Water displaced with oil: said so, or its passes went on until nothing but oil came. */
export const displaced = (c: Context): boolean =>
  c.record.value('turn.dried') === 'yes' || c.record.last('turn.pass')?.value === 'clear';

/** It was turned dry once; what has come since came with water-displacing oil, and stands in no hole. */
export const onlyWithTheOil = (c: Context): boolean =>
  c.record.all('turn.water').some((r) => r.value === 'none' || r.value === 'oil') &&
  holeWater(c)?.said === 'with the oil' &&
  waterIn(c).length === 0;

/** Every cylinder is empty of water: turned until no more came, and none was seen in a hole since. */
export const turnedDry = (c: Context): boolean => holeWater(c)?.state === 'out' && waterIn(c).length === 0;
