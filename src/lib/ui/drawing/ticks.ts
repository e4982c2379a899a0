import { fromSI, shownUnit, toSI, type System } from '$core/units/index.ts';
import { ticks } from 'd3-array';

/** Round figures of the unit that is shown, with where they stand on a scale in Pa. */
export function pressureTicks(
  low: number,
  high: number,
  units: System,
  place: (pa: number) => number,
  vacuum = false,
  count = 4
): { text: string; at: number }[] {
  const unit = shownUnit(vacuum ? 'vacuum' : 'pressure', units);
  return ticks(fromSI(low, unit), fromSI(high, unit), count).map((t) => ({
    text: String(t),
    at: place(toSI(t, unit))
  }));
}
