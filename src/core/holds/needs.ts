import { ofThisOil } from '../stations/oil/as-it-is.ts';
import { drowned } from '../record/drowned.ts';
import type { Context } from '../findings/context.ts';
import { school } from '../house-rules/rules.ts';
import { unmended } from '../findings/unmended.ts';
import { items as oilItems } from '../stations/oil/readings.ts';
import { fuelCleared } from '../stations/fuel/age.ts';
import type { Need } from './hold.ts';

export const fourStroke = (c: Context): boolean => c.survey.engine.profile.strokes === 'four';

/** What old or watered fuel waits for; a drowned engine waits for the same. */
export const fuelNeeds = (c: Context): Need[] => {
  const { open } = fuelCleared(c);
  const fresh = (['tank', 'line', 'bowl'] as const).some((k) => c.record.value(`fuel.${k}`) === 'fresh');
  return [
    {
      text: open.length ? `${open.join(', ')}: drained or not fitted` : 'tank, line and bowl drained',
      done: open.length === 0,
      station: 'fuel',
      items: ['fuel.tank', 'fuel.line', 'fuel.bowl']
    },
    { text: 'fresh fuel recorded', done: fresh, station: 'fuel', items: ['fuel.tank', 'fuel.line', 'fuel.bowl'] }
  ];
};

/** The oil that is in it is milky, or was when it was last looked at and nothing was done that would have changed that. */
export const milkyNow = (c: Context): boolean =>
  unmended(c, 'oil.look', oilItems.look)?.was.value === 'milky' || ofThisOil(c, 'oil.look') === 'milky';

/** By the house's rule it may be spun with its old oil, but not started on it. */
export const spunFirst = (c: Context): boolean =>
  drowned(c) && school(c.rules, 'drownedSpin') === 'before' && c.record.value('oil.sump') !== 'drained';
