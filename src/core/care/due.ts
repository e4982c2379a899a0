import { addMonths, differenceInCalendarDays, parseISO, format } from 'date-fns';
import { known } from '../engine/profile.ts';
import { contextOf } from '../findings/context.ts';
import { doBy, hoursThen } from '../jobs/do-by.ts';
import { contextWithWork } from '../jobs/work.ts';
import type { HouseRules } from '../house-rules/rules.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { firstOil, intervalsOf, type CareId, type Interval } from './intervals.ts';
import { lastDone, type Done } from './done.ts';

export interface Due {
  readonly id: string;
  readonly title: string;
  /** The day by the calendar, "2027-05-01"; nothing when it was never done and nobody knows since when it stands. */
  readonly on?: string;
  /** Engine hours at which it is due. */
  readonly atHours?: number;
  /** The day the hours are expected to be reached, by the usage rate; nothing when the rate is unknown. */
  readonly hoursOn?: string;
  /** The earlier of the two. */
  readonly day?: string;
  readonly state: 'overdue' | 'soon' | 'later' | 'unknown';
  readonly last?: Done;
  readonly because: string;
  readonly school: string;
}

/** "Soon" is within so many days (M). */
const SOON = 30;
/** Months beyond which hours are not counted on: an engine that hardly runs goes by the calendar. */
const FAR = 600;
const MONTH = (365.2425 / 12) * 864e5;
const iso = (d: Date): string => format(d, 'yyyy-MM-dd');

/** Something with a date or hours on it, whether it comes round or comes once. */
type Dated = Omit<Interval, 'id'> & { readonly id: string; readonly once?: true };

/** When an interval is due after it was last done; hours count from there at the usage rate, unknown stays unknown. */
function dueOf(
  i: Dated,
  last: Done | undefined,
  engineHours: number | undefined,
  rate: number | undefined,
  now: Date
): Due {
  const on = i.months !== undefined && last ? iso(addMonths(parseISO(last.on), i.months)) : undefined;
  const atHours = i.hours !== undefined && last?.hours !== undefined ? last.hours + i.hours : undefined;
  const past = atHours !== undefined && engineHours !== undefined && engineHours >= atHours;
  const hoursOn = past
    ? iso(now)
    : atHours !== undefined && engineHours !== undefined && rate && (atHours - engineHours) / rate < FAR
      ? iso(new Date(now.getTime() + ((atHours - engineHours) / rate) * MONTH))
      : undefined;
  const day = [on, hoursOn].filter((d) => d !== undefined).sort()[0];
  const left = day === undefined ? undefined : differenceInCalendarDays(parseISO(day), now);
  const state =
    past || (left !== undefined && left < 0)
      ? 'overdue'
      : left === undefined
        ? 'unknown'
        : left <= SOON
          ? 'soon'
          : 'later';
  return {
    id: i.id,
    title: i.title,
    ...(on ? { on } : {}),
    ...(atHours === undefined ? {} : { atHours }),
    ...(hoursOn ? { hoursOn } : {}),
    ...(day ? { day } : {}),
    state,
    ...(last ? { last } : {}),
    because: sayWhy(i, last, rate),
    school: i.school
  };
}

function sayWhy(i: Dated, last: Done | undefined, rate: number | undefined): string {
  const every = [
    i.hours && `${i.hours} h`,
    i.months &&
      (i.months === 1
        ? 'a month'
        : i.months % 12
          ? `${i.months} months`
          : i.months === 12
            ? 'a year'
            : `${i.months / 12} years`)
  ]
    .filter(Boolean)
    .join(' or ');
  const since =
    i.id === 'first-oil'
      ? `new ${last ? format(parseISO(last.on), 'd MMM yyyy') : ''}`
      : last
        ? `${i.once ? 'since' : 'last'} ${format(parseISO(last.on), 'd MMM yyyy')}${last.hours === undefined ? '' : ` at ${last.hours} h`}`
        : 'never recorded here';
  const unknown = i.hours !== undefined && last?.hours !== undefined && rate === undefined;
  return `${i.id === 'first-oil' || i.once ? 'After' : 'Every'} ${every}; ${since}. ${i.because}${unknown ? ' How much it runs is not known: only the calendar counts.' : ''}`;
}

/** Everything that falls due on an engine, the next one first; unknown ones after those with a day. */
export function dueList(surveys: readonly SurveyFile[], rules: HouseRules, now: Date): Due[] {
  const latest = surveys.at(-1);
  if (!latest) return [];
  const { engine, assessment } = latest;
  const stored = assessment.kind === 'lay-up';
  const fresh = assessment.kind === 'new-engine' || assessment.kind === 'fitted-head';
  const rate = known(engine.history.hoursAMonth);
  const hours = known(engine.history.hours);
  const done = lastDone(surveys);
  const begun: Done = { on: iso(parseISO(assessment.startedAt)), what: 'taken in' };
  /** A new or rebuilt head counts its hours from nothing. */
  const start: Partial<Record<CareId, Done>> = {
    'first-oil': hours === undefined ? begun : { ...begun, hours: 0 },
    'monthly-turn': begun
  };
  const intervals = [
    ...(fresh && !done.has('engine-oil') ? [firstOil(rules)] : []),
    ...intervalsOf(contextOf({ ...latest, houseRules: rules }, now, 'metric'), stored)
  ];
  const list = intervals.map((i) => dueOf(i, done.get(i.id) ?? start[i.id], hours, rate, now));
  const put = contextWithWork(latest, now, 'metric');
  const later = doBy(put).map((d) => {
    const then = hoursThen(put, d);
    return dueOf(
      {
        id: d.id,
        title: d.title,
        once: true,
        ...(d.months === undefined ? {} : { months: d.months }),
        ...(d.hours === undefined ? {} : { hours: d.hours }),
        because: d.because,
        school: 'dated at the release'
      },
      {
        on: d.from.slice(0, 10),
        what: d.id,
        ...(then === undefined ? {} : { hours: then })
      },
      hours,
      rate,
      now
    );
  });
  const temporary = surveys.flatMap((s) =>
    (s.jobs ?? []).flatMap((j): Due[] => {
      if (!j.temporary) return [];
      const left = differenceInCalendarDays(parseISO(j.temporary.until), now);
      return [
        {
          id: `inspect-${j.step}`,
          title: `Looked at again: ${j.title ?? j.step}`,
          on: j.temporary.until,
          day: j.temporary.until,
          state: left < 0 ? 'overdue' : left <= SOON ? 'soon' : 'later',
          because: `Mended for now: ${j.temporary.why}.`,
          school: 'a temporary repair is dated'
        }
      ];
    })
  );
  return [...list, ...later, ...temporary].sort((a, b) =>
    (a.day ?? '9') < (b.day ?? '9') ? -1 : (a.day ?? '9') > (b.day ?? '9') ? 1 : 0
  );
}
