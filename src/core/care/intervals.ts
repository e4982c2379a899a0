import type { CareId } from '../jobs/care-kinds.ts';
import { ruleNumber, school, schoolSaid, type HouseRules } from '../house-rules/rules.ts';
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
    gearOilInterval(rules, hours, months),
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
    p.ignition === 'points' && pointsInterval(rules, hours),
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

/** Months of the school that tops the gear case up while its oil is clean (C). */
const TOPPED_UP = 60;

function gearOilInterval(rules: HouseRules, hours: number, months: number): Interval {
  const chosen = school(rules, 'gearOil');
  return {
    id: 'gear-oil',
    title: 'Gear oil, fresh washers',
    ...(chosen === 'either' || chosen === 'hours' ? { hours } : {}),
    ...(chosen === 'hours' ? {} : { months: chosen === 'clean' ? TOPPED_UP : months }),
    because:
      chosen === 'clean'
        ? 'Looked at and topped up each season while it is clean: note how much, it went somewhere.'
        : 'Water in it is seen while it is still only water; always before frost.',
    school: schoolSaid(rules, 'gearOil')
  };
}

/** Years of the school that leaves points of a little-used engine alone (C: two to three). */
const SELDOM = 36;

function pointsInterval(rules: HouseRules, hours: number): Interval {
  const chosen = school(rules, 'points');
  return {
    id: 'points',
    title: 'Points: cleaned, gapped, rub block greased',
    ...(chosen === 'hours' ? { hours } : { months: chosen === 'year' ? 12 : SELDOM }),
    because: 'The rub block wears and the gap closes; timing goes with it.',
    school: schoolSaid(rules, 'points')
  };
}

/** First oil change after a new or rebuilt power head. */
export function firstOil(rules: HouseRules): Interval {
  const mineral = school(rules, 'breakIn') === 'load';
  return {
    id: 'first-oil',
    title: mineral ? 'First oil change: mineral oil out, the manual’s own in' : 'First oil change',
    hours: ruleNumber(rules, 'firstOil'),
    because: `The metal of the first hours comes out with it.${mineral ? ' Rings that have seated need no mineral oil any more.' : ''}`,
    school: mineral ? schoolSaid(rules, 'breakIn') : house
  };
}
