import { addDays, parseISO } from 'date-fns';
import type { Due } from './due.ts';

/** An all-day entry of a calendar: RFC 5545 dates, no clock, so no time zone moves it. */
export interface CareEvent {
  /** Stays the same for the same thing on the same engine: a calendar updates it instead of doubling it. */
  readonly uid: string;
  readonly title: string;
  readonly description: string;
  readonly start: [number, number, number];
  readonly end: [number, number, number];
  /** RFC 5545 recurrence. */
  readonly rule?: string;
}

const ymd = (d: Date): [number, number, number] => [d.getFullYear(), d.getMonth() + 1, d.getDate()];

/** Everything that has a day, as calendar entries. */
export const eventsOf = (engineId: string, tag: string, due: readonly Due[]): CareEvent[] =>
  due.flatMap((d) => {
    if (!d.day) return [];
    const day = parseISO(d.day);
    return [
      {
        uid: `${engineId}-${d.id}@indaga`,
        title: `${tag}: ${d.title}`,
        description: `${d.because}${d.atHours === undefined ? '' : ` Or at ${d.atHours} engine hours, if they come first.`}`,
        start: ymd(day),
        end: ymd(addDays(day, 1)),
        ...(d.id === 'monthly-turn' ? { rule: 'FREQ=MONTHLY' } : {})
      }
    ];
  });
