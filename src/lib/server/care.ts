import { createEvents } from 'ics';
import { eventsOf } from '../../core/care/calendar-events.ts';
import { dueList, type Due } from '../../core/care/due.ts';
import { log } from './log.ts';
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
    due: dueList(surveys, currentRules(o).rules, o.now ?? new Date())
  };
}

/** Care of the whole yard; of so many engines at most, newest first. */
const MOST = 400;
export const careOfAll = (o: StoreOptions = {}): EngineCare[] =>
  openSurveys(o)
    .slice(-MOST)
    .flatMap((s) => {
      try {
        return careOf(s.engineId, o) ?? [];
      } catch (err) {
        // One bad record takes its own dates away, not everybody's; the yard shows it.
        log.error({ err, engine: s.engineId }, 'care of an engine could not be worked out');
        return [];
      }
    });

/** The dates as iCalendar (P: RFC 5545), written by a library. Throws when it cannot be written. */
export function calendarText(list: readonly EngineCare[]): string {
  const events = list.flatMap((e) => eventsOf(e.engineId, e.tag, e.due));
  if (!events.length) return 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Indaga//Care//EN\r\nEND:VCALENDAR\r\n';
  const { error, value } = createEvents(
    events.map(({ uid, title, description, start, end, rule }) => ({
      uid,
      title,
      description,
      start,
      end,
      startInputType: 'local' as const,
      ...(rule ? { recurrenceRule: rule } : {}),
      busyStatus: 'FREE' as const,
      alarms: [{ action: 'display' as const, description: title, trigger: { days: 7, before: true } }]
    })),
    { productId: '-//Indaga//Care//EN', calName: 'Outboard care' }
  );
  if (error || !value) throw error ?? new Error('the calendar could not be written');
  return value;
}

export const calendarResponse = (text: string, name: string): Response =>
  new Response(text, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': `attachment; filename="${name.replace(/[^A-Za-z0-9_-]+/g, '-')}.ics"`
    }
  });
