import type { CareId } from '../jobs/care-kinds.ts';
import { ruleNumber, schoolSaid, type HouseRules } from '../house-rules/rules.ts';
import type { Context } from '../findings/context.ts';
import { sayLimit } from '../findings/limit.ts';
import { impellerLimit } from '../stations/cooling/pump.ts';

export { careIds, type CareId } from '../jobs/care-kinds.ts';

export interface Interval {
  readonly id: CareId;
  readonly title: string;
  /** Engine hours, months by the calendar; whichever comes first. */
  readonly hours?: number;
  readonly months?: number;
  readonly because: string;
  readonly school: string;
}

const house = 'house rule';

/** What comes round on an engine of this kind, by the rules of the house. Provenance: common practice (C). */
export function intervalsOf(c: Context, stored: boolean): Interval[] {
  const { rules } = c;
  const p = c.survey.engine.profile;
  const hours = ruleNumber(rules, 'serviceHours');
  const months = ruleNumber(rules, 'serviceMonths');
  const sun = c.survey.engine.history.stored === 'sun';
  const impeller = impellerLimit(c);
  const four = p.strokes === 'four';
  const list: (Interval | false)[] = [
    four && {
      id: 'engine-oil',
      title: 'Engine oil and filter',
      hours,
      months,
      because: 'Fuel, water and acids gather in it.',
      school: house
    },
    {
      id: 'gear-oil',
      title: 'Gear oil, fresh washers',
      hours,
      months,
      because: 'Water in it is seen while it is still only water; always before frost.',
      school: house
    },
    {
      id: 'impeller',
      title: 'Impeller',
      hours: ruleNumber(rules, 'impellerHours'),
      months: Math.round(impeller.value * 12),
      because: sun ? 'It stands in hot sun: rubber sets faster.' : 'Rubber sets with the years, run or not.',
      school: impeller.manual ? sayLimit(impeller, c.units) : schoolSaid(rules, 'impeller')
    },
    {
      id: 'plugs',
      title: 'Spark plugs',
      hours,
      months: ruleNumber(rules, 'plugMonths'),
      because: 'Gap and insulator wear.',
      school: house
    },
    { id: 'fuel-filter', title: 'Fuel filter', hours, months, because: 'It fills unseen.', school: house },
    {
      id: 'anodes',
      title: 'Anodes',
      months: ruleNumber(rules, 'anodeMonths'),
      because: 'They go so that the case does not.',
      school: house
    },
    stored && {
      id: 'monthly-turn',
      title: 'Turned by hand, in its direction',
      months: 1,
      because: 'So that vanes and rings do not set.',
      school: 'common practice'
    }
  ];
  return list.filter((x) => x !== false);
}

/** First oil change after a new or rebuilt power head. */
export const firstOil = (rules: HouseRules): Interval => ({
  id: 'first-oil',
  title: 'First oil change',
  hours: ruleNumber(rules, 'firstOil'),
  because: 'The metal of the first hours comes out with it.',
  school: house
});
