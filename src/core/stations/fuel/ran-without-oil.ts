import type { Context } from '../../findings/context.ts';
import { runs } from '../../findings/ran.ts';
import { isAfter, type Instant } from '../../units/instant.ts';
import { askedMix } from './asked-mix.ts';
import { ranOnEmptyTank } from './oil-tank.ts';
import { oilWay } from './oil-way.ts';

/** From this many times the fuel that is asked to a part of oil it ran dry, whatever it looked like meanwhile (M). */
const RAN_DRY = 3;

/**
 * When it last ran on fuel that was told to have no oil in it, or far too little, before or after that run, with nothing filled in or
 * mixed between the two; nothing where it did not.
 */
export function ranWithoutOil(c: Context): Instant | undefined {
  const way = oilWay(c);
  if (way === 'tank') return ranOnEmptyTank(c, runs(c));
  if (way !== 'fuel') return undefined;
  const wanted = askedMix(c)?.wanted.value;
  const lean = (v: unknown): boolean => typeof v === 'number' && wanted !== undefined && v > RAN_DRY * wanted;
  const told = [
    ...c.record.all('fuel.tankOil').filter((r) => r.value === 'plain'),
    ...c.record.all('fuel.mix').filter((r) => lean(r.value)),
    ...c.record.all('fuel.tankMix').filter((r) => lean(r.value))
  ];
  const filled = [
    ...c.touched('fuel.mix'),
    ...c.record.all('fuel.tank').flatMap((r) => (r.value === 'unknown' ? [] : [r.at])),
    ...c.record.all('fuel.oilAdded').map((r) => r.at)
  ];
  return runs(c).findLast(({ at }) =>
    told.some((t) => {
      const [first, last] = isAfter(at, t.at) ? [t.at, at] : [at, t.at];
      return !filled.some((f) => isAfter(f, first) && !isAfter(f, last));
    })
  )?.at;
}
