import { addMonths, differenceInCalendarDays, format, formatISO, parseISO } from 'date-fns';
import { known } from '../engine/profile.ts';
import { contextOf } from '../findings/context.ts';
import { doBy, hoursThen } from '../jobs/do-by.ts';
import { contextWithWork } from '../jobs/work.ts';
import type { HouseRules } from '../house-rules/rules.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { firstOil, intervalsOf, type CareId, type Interval } from './intervals.ts';
import { isJobId, jobOf } from '../jobs/register.ts';
import type { JobEdit } from '../record/work.ts';
import { ruleNumber } from '../house-rules/rules.ts';
import { MONTH, byTime, isAfter } from '../units/instant.ts';
import { lastDone, type Done } from './done.ts';
import { dueByLog, type LogDue } from './from-log.ts';
import { meterOf, ranAfter, type Meter, type MeterReading } from './meter.ts';

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
/** The day of an instant, the same wherever the server stands. */
const dayOf = (instant: number | string): string => new Date(instant).toISOString().slice(0, 10);
const daysBetween = (day: string, now: Date): number =>
  differenceInCalendarDays(parseISO(day), parseISO(dayOf(now.getTime())));
/** The same day so many months later; the last of the month where that is shorter. */
export const monthsLater = (day: string, months: number): string =>
  formatISO(addMonths(parseISO(day), months), { representation: 'date' });

/** Something with a date or hours on it, whether it comes round or comes once. */
type Dated = Omit<Interval, 'id'> & { readonly id: string; readonly once?: true };

/**
 * When an interval is due after it was last done. Hours count from the day the meter was last read, at the rate it runs: what they have
 * reached since is overdue, though nobody has looked. Unknown stays unknown.
 */
function dueOf(i: Dated, last: Done | undefined, meter: Meter, now: Date): Due {
  const on = i.months !== undefined && last ? monthsLater(last.on, i.months) : undefined;
  const read = meter.last ?? meter.logged?.at(-1);
  const ran = i.hours === undefined || !last ? undefined : ranAfter(meter, last);
  const left = ran === undefined ? undefined : i.hours! - ran;
  const atHours =
    left === undefined || last?.hours === undefined
      ? undefined
      : meter.last
        ? meter.last.hours + left
        : last.hours + i.hours!;
  const past = left !== undefined && read !== undefined && left <= 0;
  const { rate } = meter;
  const months = left !== undefined && rate ? left / rate : undefined;
  // A log may end before the work that the hours count from.
  const from = read && last && !meter.last && last.on > read.at ? last.on : read?.at;
  const hoursOn = past
    ? dayOf(read.at)
    : from && months !== undefined && months < FAR
      ? dayOf(Date.parse(from) + months * MONTH)
      : undefined;
  const day = [on, hoursOn].filter((d) => d !== undefined).sort()[0];
  const days = day === undefined ? undefined : daysBetween(day, now);
  const state =
    past || (days !== undefined && days < 0)
      ? 'overdue'
      : days === undefined
        ? 'unknown'
        : days <= SOON
          ? 'soon'
          : 'later';
  const guessed = !past && hoursOn !== undefined && hoursOn === day && daysBetween(hoursOn, now) < 0;
  return {
    id: i.id,
    title: i.title,
    ...(on ? { on } : {}),
    ...(atHours === undefined ? {} : { atHours }),
    ...(hoursOn ? { hoursOn } : {}),
    ...(day ? { day } : {}),
    state,
    ...(last ? { last } : {}),
    because: `${sayWhy(i, last, rate, ran)}${guessed ? ' By how much it runs the hours are reached by now: read the meter.' : ''}`,
    school: i.school
  };
}

function sayWhy(i: Dated, last: Done | undefined, rate: number | undefined, ran: number | undefined): string {
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
        ? `${i.once ? 'since' : 'last'} ${format(parseISO(last.on), 'd MMM yyyy')}${last.hours !== undefined ? ` at ${last.hours} h` : ran ? `, ${Math.round(ran * 10) / 10} h logged since` : ''}`
        : 'never recorded here';
  const unknown = ran !== undefined && rate === undefined;
  return `${i.id === 'first-oil' || i.once ? 'After' : 'Every'} ${i.id === 'first-oil' || i.once ? every : every.replace(/^a /, '')}; ${since}. ${i.because}${unknown ? ' How much it runs is not known: only the calendar counts.' : ''}`;
}

/** Repairs that were mended for now and still are: the latest word on each of them counts. */
function temporaryOf(surveys: readonly SurveyFile[], now: Date): Due[] {
  const latest = new Map<string, JobEdit>();
  const edits = surveys.flatMap((s) => s.jobs ?? []).sort(byTime);
  for (const e of edits) {
    if (e.temporary === null || e.dropped) latest.delete(e.step);
    else if (e.temporary) latest.set(e.step, e);
  }
  // Done for good after that, or found not to be needed.
  for (const s of surveys)
    for (const m of s.steps ?? []) {
      const e = latest.get(m.step);
      if (e && m.state === 'not-needed' && isAfter(m.at, e.at)) latest.delete(m.step);
    }
  return [...latest.values()].map((j): Due => {
    const { until, why } = j.temporary!;
    const left = daysBetween(until, now);
    return {
      id: `inspect-${j.step}`,
      title: `Looked at again: ${j.title ?? (isJobId(j.step) ? jobOf(j.step).title : j.step)}`,
      on: until,
      day: until,
      state: left < 0 ? 'overdue' : left <= SOON ? 'soon' : 'later',
      because: `Mended for now: ${why}.`,
      school: 'a temporary repair is dated'
    };
  });
}

/** What the log makes due: by its hours where the meter tells them, at once where none are left. */
function logDue({ id, title, from, meter: hours, hours: after, because }: LogDue, meter: Meter, now: Date): Due {
  const dated = { id, title, once: true as const, hours: after, because, school: 'the log of outings' };
  const last: Done = { on: from, what: 'logged', ...(hours === undefined ? {} : { hours }) };
  const due = dueOf(after > 0 ? dated : { ...dated, months: 0 }, last, meter, now);
  return { ...due, because };
}

/** Since when the head itself runs, on the meter: a new engine from nothing, a fitted head from where the meter stood if that is an old one's. */
function headStart(latest: SurveyFile, meter: Meter, rules: HouseRules): number | undefined {
  const { history } = latest.engine;
  const [hours, head] = [known(history.hours), known(history.headHours)];
  if (head !== undefined && hours !== undefined) return hours - head;
  if (hours === undefined) return undefined;
  const first = meter.runs.at(-1)?.[0]?.hours ?? hours;
  return latest.assessment.kind === 'fitted-head' && first > ruleNumber(rules, 'firstOil') ? first : 0;
}

/**
 * Everything that falls due on an engine, the next one first; unknown ones after those with a day.
 * `noted` are the engine's hours with the days on which they were noted, where those are known.
 */
export function dueList(
  surveys: readonly SurveyFile[],
  rules: HouseRules,
  now: Date,
  noted?: readonly MeterReading[]
): Due[] {
  const latest = surveys.at(-1);
  if (!latest) return [];
  const { assessment } = latest;
  const fresh = assessment.kind === 'new-engine' || assessment.kind === 'fitted-head';
  const meter = meterOf(surveys, noted);
  const done = lastDone(surveys);
  const begun: Done = { on: dayOf(assessment.startedAt), what: 'taken in' };
  const head = headStart(latest, meter, rules);
  const start: Partial<Record<CareId, Done>> = {
    'first-oil': head === undefined ? begun : { ...begun, hours: head },
    'monthly-turn': begun
  };
  const intervals = [
    ...(fresh && !done.has('engine-oil') ? [firstOil(rules)] : []),
    ...intervalsOf(contextOf({ ...latest, houseRules: rules }, now, 'metric'), stands(latest))
  ];
  const list = intervals.map((i) => dueOf(i, done.get(i.id) ?? start[i.id], meter, now));
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
      meter,
      now
    );
  });
  // Serviced since, or taken in again: that says more than the log before it.
  const since: Record<LogDue['id'], string> = {
    'log-oil': done.get('engine-oil')?.on ?? '',
    'log-stream': [done.get('impeller')?.on ?? '', begun.on].sort().at(-1)!,
    flush: done.get('flush')?.on ?? ''
  };
  const byLog = dueByLog(put)
    // An engine is flushed on the day of the outing itself.
    .filter((d) => (d.id === 'flush' ? d.from > since.flush : d.from >= since[d.id]))
    .map((d) => logDue(d, meter, now));
  return [...list, ...later, ...byLog, ...temporaryOf(surveys, now)].sort((a, b) =>
    (a.day ?? '9') < (b.day ?? '9') ? -1 : (a.day ?? '9') > (b.day ?? '9') ? 1 : 0
  );
}

/** Laid up, and not run since: it is turned by hand each month. */
function stands({ assessment, engine, readings }: SurveyFile): boolean {
  if (assessment.kind === 'lay-up') return true;
  return engine.history.laidUp === 'yes' && !readings.some((r) => r.what === 'run.outcome' && r.value === 'ran');
}
