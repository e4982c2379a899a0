import type { Due } from './due.ts';

/** An all-day entry of a calendar: RFC 5545 dates, no clock, so no time zone moves it. */
export interface CareEvent {
  /** Stays the same for the same thing on the same engine: a calendar updates it instead of doubling it. */
  readonly uid: string;
  readonly title: string;
  readonly description: string;
  /** The day, "2027-05-01"; the entry ends with it. */
  readonly day: string;
  /** RFC 5545 recurrence. */
  readonly rule?: string;
}

/** Every month on this day; in a shorter month on its last one, which a plain monthly rule would leave out (P: RFC 5545, 3.3.10). */
export function everyMonth(day: string): string {
  const date = Number(day.slice(8, 10));
  if (date <= 28) return 'FREQ=MONTHLY';
  const days = Array.from({ length: date - 27 }, (_, k) => 28 + k);
  return `FREQ=MONTHLY;BYMONTHDAY=${days.join(',')};BYSETPOS=-1`;
}

/** Everything that has a day, as calendar entries. */
export const eventsOf = (engineId: string, tag: string, due: readonly Due[]): CareEvent[] =>
  due.flatMap((d) =>
    d.day
      ? [
          {
            uid: `${engineId}-${d.id}@indaga`,
            title: `${tag}: ${d.title}`,
            description: `${d.because}${d.atHours === undefined ? '' : ` Or at ${Math.round(d.atHours)} engine hours, if they come first.`}`,
            day: d.day,
            ...(d.id === 'monthly-turn' ? { rule: everyMonth(d.day) } : {})
          }
        ]
      : []
  );
