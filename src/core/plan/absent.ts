import type { Context } from '../findings/context.ts';
import type { Three } from '../physics/pert.ts';

/** What a part that was missing on arrival costs, cr: low, likely, high. Invented for the demo’s currency (M). */
const prices: Readonly<Record<string, readonly [string, Three]>> = {
  cowl: ['cowl', [90, 180, 420]],
  controls: ['controls', [120, 220, 420]],
  harness: ['harness plug', [60, 130, 260]],
  tank: ['tank', [50, 90, 180]],
  hose: ['fuel hose', [20, 35, 60]],
  switch: ['key switch', [15, 30, 70]],
  lanyard: ['stop lanyard', [5, 12, 25]],
  propeller: ['propeller', [60, 140, 320]],
  battery: ['battery', [60, 110, 190]]
};

/** Parts that were missing on arrival, with their price: they count before the first repair. */
export function absentParts(c: Context): { readonly name: string; readonly label: string; readonly parts: Three }[] {
  const { absent } = c.survey.engine.profile;
  if (!Array.isArray(absent)) return [];
  return absent.flatMap((a) => {
    const price = Object.hasOwn(prices, a) ? prices[a] : undefined;
    return price ? [{ name: price[0], label: `missing: ${price[0]}`, parts: price[1] }] : [];
  });
}
