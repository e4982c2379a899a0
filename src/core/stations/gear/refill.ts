import type { Profile } from '../../engine/profile.ts';

export interface RefillStep {
  readonly id: string;
  readonly text: string;
}

/** Plugs this case has, for the washers; nothing while one of them is unknown. */
export function plugCount(p: Profile): number | undefined {
  const list = [p.plugDrain, p.plugLevel, p.plugVent];
  return list.some((x) => x === undefined || x === 'unknown') ? undefined : list.filter((x) => x === 'fitted').length;
}

/** How this case is filled, by the plugs it has. C: common practice; the manual wins. */
export function refillSteps(p: Profile): RefillStep[] {
  const n = plugCount(p);
  const fitted = (x: string | undefined): boolean => x === 'fitted';
  const upper = fitted(p.plugLevel) ? 'level plug' : fitted(p.plugVent) ? 'vent plug' : 'upper plug';
  const both = fitted(p.plugLevel) && fitted(p.plugVent);
  return [
    { id: 'upright', text: 'Upright, leg vertical. Any other attitude only by the manual, and then provisional.' },
    {
      id: 'washers',
      text:
        n === undefined
          ? 'One fresh washer laid out for every plug there is: count them first, the profile does not know them all.'
          : `${n} fresh ${n === 1 ? 'washer' : 'washers'} laid out, one a plug; the old ones off the plugs and off the case.`
    },
    {
      id: 'pump',
      text: `Pump in at the lowest plug, slowly, ${both ? 'level and vent open' : `${upper} open`}, until it runs out there without bubbles.`
    },
    {
      id: 'upper',
      text: both
        ? 'Vent plug in first, then the level plug: the column hangs in the case.'
        : `${upper.charAt(0).toUpperCase()}${upper.slice(1)} in first: the column hangs in the case.`
    },
    { id: 'lower', text: 'Pump out and the lower plug in quickly; a few drops are lost, no more.' },
    { id: 'settle', text: 'Ten minutes, level plug a crack once more: oil at the lip, else top up.' }
  ];
}

/** Bottles for one fill, and what is left over of the last, m³. Throws RangeError on a bottle or a case of nothing. */
export function bottlesFor(capacity: number, bottle: number): { readonly bottles: number; readonly over: number } {
  if (!(capacity > 0 && bottle > 0)) throw new RangeError('needs a capacity and a bottle above zero');
  const bottles = Math.ceil(capacity / bottle - 1e-9);
  return { bottles, over: bottles * bottle - capacity };
}
