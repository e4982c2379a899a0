import { known } from '../engine/profile.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { loggedOutings, outingMeter, type MeterReading } from './outings.ts';
import { byTime, isAfter, MONTH, type Instant } from '../units/instant.ts';

export type { MeterReading } from './outings.ts';

/** The meter over the years: its readings without slips, and where another meter was fitted. */
export interface Meter {
  /** Oldest first, one list for each meter that was fitted. */
  readonly runs: readonly (readonly MeterReading[])[];
  /** Hours a month: measured between two readings, else what the owner says; nothing where neither is known. */
  readonly rate?: number;
  readonly last?: MeterReading;
  /** Where no meter was ever read: what each outing is said to have taken, oldest first. */
  readonly logged?: readonly MeterReading[];
}

/** Two readings tell how much it runs when they lie this far apart, months: a summer is no year (M). */
const TELLS = 6;

/**
 * The meter from all that is known of it: hours beside work that was marked done, and `noted`, the engine's own hours each with the day
 * they were noted. Without those the hours of the engine are taken as old as its latest assessment. A reading that is lower than the one
 * before is a slip where a later one is at least as high as that, else another meter. Hours that run backward never make anything less due.
 */
export function meterOf(surveys: readonly SurveyFile[], noted?: readonly MeterReading[]): Meter {
  const latest = surveys.at(-1);
  const hours = known(latest?.engine.history.hours);
  const own = noted ?? (latest && hours !== undefined ? [{ at: latest.assessment.startedAt, hours }] : []);
  const marked = surveys.flatMap((s) =>
    (s.steps ?? []).flatMap((m) => (m.state === 'done' && m.hours !== undefined ? [{ at: m.at, hours: m.hours }] : []))
  );
  const all = [...own, ...(latest ? outingMeter(latest.engine) : []), ...marked].sort(byTime);
  const runs: MeterReading[][] = [];
  all.forEach((r, k) => {
    const run = runs.at(-1);
    const top = run?.at(-1);
    if (!run || !top) runs.push([r]);
    else if (r.hours >= top.hours) run.push(r);
    else if (!all.slice(k + 1).some((x) => x.hours >= top.hours)) runs.push([r]);
  });
  const now = runs.at(-1);
  const last = now?.at(-1);
  const logged = last || !latest ? [] : estimated(latest);
  // What the first outing took lies before the span that it begins.
  const measured =
    now && last
      ? rateOver(now[0], last, last.hours - now[0]!.hours)
      : rateOver(logged[0], logged.at(-1), sum(logged.slice(1)));
  const rate = measured ?? known(latest?.engine.history.hoursAMonth);
  return {
    runs,
    ...(rate === undefined ? {} : { rate }),
    ...(last ? { last } : {}),
    ...(logged.length ? { logged } : {})
  };
}

/** Hours a month between two moments; nothing where they lie too near each other to tell. */
function rateOver(first: MeterReading | undefined, last: MeterReading | undefined, hours: number): number | undefined {
  const months = first && last ? (Date.parse(last.at) - Date.parse(first.at)) / MONTH : 0;
  return months >= TELLS ? hours / months : undefined;
}

const sum = (list: readonly MeterReading[]): number => list.reduce((all, m) => all + m.hours, 0);

/** What each outing is said to have taken, at the end of its day. */
const estimated = ({ engine }: SurveyFile): MeterReading[] =>
  loggedOutings(engine).flatMap((o) =>
    o.hours === undefined ? [] : [{ at: `${o.on}T23:59:00.000Z`, hours: o.hours }]
  );

/** Hours run since the meter showed `hours` at an instant, up to its last reading; over another meter as far as the readings tell. */
export function runSince({ runs }: Meter, at: Instant, hours: number): number {
  const last = runs.at(-1)?.at(-1);
  if (!last) return 0;
  // The meter that it was read on is the last one that had been fitted by then.
  const k = Math.max(
    0,
    runs.findLastIndex((run) => !isAfter(run[0]!.at, at))
  );
  const then = Math.max(0, runs[k]!.at(-1)!.hours - hours);
  return then + runs.slice(k + 1).reduce((sum, run) => sum + run.at(-1)!.hours - run[0]!.hours, 0);
}

/**
 * Hours run after something was done, as far as anything tells: by the meter where it was read then, else by what the outings since are
 * said to have taken, where no meter is. Nothing where neither tells; never less than what was written down.
 */
export function ranAfter(meter: Meter, done: { readonly on: string; readonly hours?: number }): number | undefined {
  if (done.hours !== undefined) return meter.last ? runSince(meter, `${done.on}T23:59:59.999Z`, done.hours) : 0;
  return meter.logged && sum(meter.logged.filter((m) => m.at.slice(0, 10) > done.on));
}
