import ICAL from 'ical.js';
import { setImmediate } from 'node:timers/promises';
import { eventsOf, type CareEvent } from '../../core/care/calendar-events.ts';
import { dueList, type Due } from '../../core/care/due.ts';
import { yearOf, type EngineYear } from '../../core/care/year.ts';
import { contextWithWork } from '../../core/jobs/work.ts';
import type { System } from '../../core/units/index.ts';
import { log } from './log.ts';
import { hoursNoted } from './store/engines.ts';
import { currentRules } from './store/house-rules.ts';
import { historyOf, openSurveys, surveysOf } from './store/surveys.ts';
import type { StoreOptions } from './store/context.ts';

export interface EngineCare {
  readonly engineId: string;
  readonly surveyId: string;
  readonly tag: string;
  readonly owner: string;
  readonly due: readonly Due[];
}

export function careOf(engineId: string, o: StoreOptions = {}): EngineCare | undefined {
  const surveys = historyOf(engineId, o);
  const latest = surveys.at(-1);
  const head = surveysOf(engineId, o)[0];
  if (!latest || !head) return undefined;
  const { identity } = latest.engine;
  return {
    engineId,
    surveyId: head.id,
    tag: identity.tag ?? 'no tag',
    owner: identity.owner ?? '',
    due: dueList(surveys, currentRules(o).rules, o.now ?? new Date(), hoursNoted(engineId, o))
  };
}

/** A year of an engine, as its owner keeps it: the one asked for, else the latest of which anything is known. */
export function yearFor(
  engineId: string,
  units: System,
  year?: number,
  o: StoreOptions = {}
): { readonly tag: string; readonly name: string; readonly owner: string; readonly of: EngineYear } | undefined {
  const surveys = historyOf(engineId, o);
  const contexts = surveys.map((s) => contextWithWork(s, new Date(s.assessment.startedAt), units));
  const of = yearOf(surveys, contexts, currentRules(o).rules, units, year);
  if (!of) return undefined;
  const { identity } = surveys.at(-1)!.engine;
  return {
    tag: identity.tag ?? 'no tag',
    name: [identity.maker, identity.model, identity.serial && `serial ${identity.serial}`].filter(Boolean).join(' '),
    owner: identity.owner ?? '',
    of
  };
}

/** A year written into an address; nothing where it is none. */
export const yearAsked = (text: string | null): number | undefined =>
  text && /^\d{4}$/.test(text) ? Number(text) : undefined;

const MOST = 400;
/** Care of the whole yard; of so many engines at most, newest first. Other requests are answered between two of them. */
export async function careOfAll(o: StoreOptions = {}): Promise<EngineCare[]> {
  const all: EngineCare[] = [];
  for (const { engineId } of openSurveys(o).slice(-MOST)) {
    try {
      const care = careOf(engineId, o);
      if (care) all.push(care);
    } catch (err) {
      // One bad record takes its own dates away, not everybody's; the yard shows it.
      log.error({ err, engine: engineId }, 'care of an engine could not be worked out');
    }
    await setImmediate();
  }
  return all;
}

/** Days before a date on which a calendar reminds of it. */
const REMIND = 7;

// The space that begins a folded line is one of its 75 octets (P: RFC 5545, 3.1); the library counts it apart.
ICAL.foldLength = 74;

const timeOf = (date: Date): ICAL.Time => ICAL.Time.fromJSDate(date, true);

function entryOf({ uid, title, description, day, rule }: CareEvent, stamp: Date): ICAL.Component {
  const entry = new ICAL.Component('vevent');
  const start = ICAL.Time.fromDateString(day);
  const end = start.clone();
  end.adjust(1, 0, 0, 0);
  entry.updatePropertyWithValue('uid', uid);
  entry.updatePropertyWithValue('dtstamp', timeOf(stamp));
  entry.updatePropertyWithValue('dtstart', start);
  entry.updatePropertyWithValue('dtend', end);
  entry.updatePropertyWithValue('summary', title);
  entry.updatePropertyWithValue('description', description);
  entry.updatePropertyWithValue('transp', 'TRANSPARENT');
  if (rule) entry.updatePropertyWithValue('rrule', ICAL.Recur.fromString(rule));
  const alarm = new ICAL.Component('valarm');
  alarm.updatePropertyWithValue('action', 'DISPLAY');
  alarm.updatePropertyWithValue('description', title);
  alarm.updatePropertyWithValue('trigger', ICAL.Duration.fromSeconds(-REMIND * 86_400));
  entry.addSubcomponent(alarm);
  return entry;
}

/** The dates as iCalendar (P: RFC 5545), written by a library: text escaped, lines folded by octets, days without a clock. */
export function calendarText(list: readonly EngineCare[], now = new Date()): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.updatePropertyWithValue('version', '2.0');
  calendar.updatePropertyWithValue('prodid', '-//Indaga//Care//EN');
  calendar.updatePropertyWithValue('x-wr-calname', 'Outboard care');
  // A program that subscribes asks again once a day (P: RFC 7986).
  calendar.addPropertyWithValue('refresh-interval', ICAL.Duration.fromSeconds(86_400));
  for (const e of list)
    for (const event of eventsOf(e.engineId, e.tag, e.due)) calendar.addSubcomponent(entryOf(event, now));
  return `${calendar.toString()}\r\n`;
}

export const calendarResponse = (text: string, name: string): Response =>
  new Response(text, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': `attachment; filename="${name.replace(/[^A-Za-z0-9_-]+/g, '-')}.ics"`
    }
  });
