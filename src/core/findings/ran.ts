import type { Reading } from '../record/reading.ts';
import { byTime, isAfter, type Instant } from '../units/instant.ts';
import type { Context } from './context.ts';

const UNDER_POWER: ReadonlySet<unknown> = new Set(['ran', 'stopped', 'died']);

/** What says that it ran under its own power, however that ended, by time. A start that failed is no run, and unknown is none either. */
export const runs = (c: Context): readonly Reading[] =>
  [
    ...c.record.all('run.event').filter((r) => r.value === 'start'),
    ...c.record.all('run.outcome').filter((r) => UNDER_POWER.has(r.value))
  ].sort(byTime);

/** Whether it ran after an instant, however that ended; by default at all. */
export const ranAfter = (c: Context, at?: Instant): boolean => runs(c).some((r) => isAfter(r.at, at));

/** Runs that ended well: it ran and settled. */
export const goodRuns = (c: Context): readonly Reading[] =>
  c.record.all('run.outcome').filter((r) => r.value === 'ran');

/** Whether a run ended well after an instant; by default at all. */
export const ranWellAfter = (c: Context, at?: Instant): boolean => goodRuns(c).some((r) => isAfter(r.at, at));
