import { known } from '../engine/profile.ts';
import type { Context } from '../findings/context.ts';
import { about, manualFigure } from './about.ts';
import { BORE_OIL, lashCorrection } from './figures.ts';
import type { Figure } from './procedure.ts';

/** Oil into each bore, by what it sweeps. */
export function boreDose(c: Context): Figure | undefined {
  const swept = known(c.survey.engine.profile.displacement);
  const n = about(c).cylinders;
  return swept && n
    ? {
        label: 'Into each bore',
        dimension: 'volume',
        value: ((swept / n) * (BORE_OIL.low + BORE_OIL.high)) / 2,
        low: (swept / n) * BORE_OIL.low,
        high: (swept / n) * BORE_OIL.high,
        because: `1 to 2 mL for each 100 mL swept where the manual is silent (from memory); ${about(c).say(swept / n, 'volume')} a cylinder.`
      }
    : undefined;
}

/** What the lash has to change by, for the first cylinder whose lash is out of the manual's range. */
export function lashFigures(c: Context, item: 'compression.lashIn' | 'compression.lashEx', valve: string): Figure[] {
  const m = manualFigure(c, item);
  if (!m) return [];
  return c.record
    .all(item)
    .filter((r) => typeof r.value === 'number' && (r.value < m.low || r.value > m.high))
    .map((r) => {
      const by = lashCorrection(r.value as number, m.low, m.high);
      return {
        label: `Cylinder ${r.cylinder ?? 1}, ${valve}: ${by > 0 ? 'thicker shim, or screw in, by' : 'thinner shim, or screw out, by'}`,
        dimension: 'length',
        value: Math.abs(by),
        because: `To the middle of the manual’s range${m.page ? `, page ${m.page}` : ''}.`
      };
    });
}
