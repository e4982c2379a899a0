import * as z from 'zod/mini';
import type { StationId } from '../items/register.ts';
import { idSchema, stamp } from './base.ts';

/** Something that runs by itself: a drain, a soak, oil settling, a hold. It ends by another wait that supersedes it. */
const asked = {
  label: z.string().check(z.trim(), z.minLength(1, 'say what is waiting'), z.maxLength(120)),
  minutes: z
    .number()
    .check(
      z.gte(0.1, 'a wait this short is over before it is written'),
      z.lte(43_200, 'a wait of over a month is a date, not a wait')
    )
};
export const waitSchemaOf = (station: z.ZodMiniType<StationId>) =>
  z.strictObject({
    ...stamp,
    ...asked,
    station: z.optional(station),
    supersedes: z.optional(idSchema),
    ended: z.optional(z.literal(true))
  });
/** What is asked when one is started by hand. */
export const waitAsked = z.object(asked);
export type Wait = z.infer<ReturnType<typeof waitSchemaOf>>;

export interface RunningWait {
  readonly wait: Wait;
  readonly until: Date;
}

/** Waits that nobody has ended, the one that is over first, first. They run by the clock on the wall, not by any page. */
export function runningWaits(waits: readonly Wait[] = []): RunningWait[] {
  const replaced = new Set(waits.map((w) => w.supersedes).filter(Boolean));
  return waits
    .filter((w) => !w.ended && !replaced.has(w.id))
    .map((wait) => ({ wait, until: new Date(Date.parse(wait.at) + wait.minutes * 60_000) }))
    .sort((a, b) => a.until.getTime() - b.until.getTime());
}

/** "12:40 left", "3 h 5 min left", "over since 4 min": what is left until then, or how long it has been over. */
export function sayLeft(until: Date, now: Date): string {
  const seconds = Math.round((until.getTime() - now.getTime()) / 1000);
  const s = Math.abs(seconds);
  const [h, m] = [Math.floor(s / 3600), Math.floor((s % 3600) / 60)];
  if (seconds > 0)
    return h >= 48
      ? `${Math.round(s / 86_400)} days left`
      : h
        ? `${h} h ${m} min left`
        : `${m}:${String(s % 60).padStart(2, '0')} left`;
  return s < 60
    ? 'over'
    : h >= 48
      ? `over since ${Math.round(s / 86_400)} days`
      : h
        ? `over since ${h} h ${m} min`
        : `over since ${m} min`;
}

/** A wait in words. One that began ahead of this clock, which somebody moved, says so instead of counting wrongly. */
export const sayWait = ({ wait, until }: RunningWait, now: Date): string =>
  now.getTime() < Date.parse(wait.at) - CLOCKS_DIFFER
    ? `${Math.round(wait.minutes)} min in all; this clock was moved back since`
    : sayLeft(until, now);
/** Two tablets’ clocks may differ by this much, ms (M). */
const CLOCKS_DIFFER = 120_000;
