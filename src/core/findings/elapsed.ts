import { MONTH, type Instant } from '../units/instant.ts';
import type { Context } from './context.ts';

/**
 * Whole months since an instant, 0 where it lies ahead. What rests on it is worked out anew once the next month is over.
 * @example monthsSince(c, '2026-01-01T00:00:00.000Z') // 10, on 20 November 2026
 */
export function monthsSince(c: Context, at: Instant): number {
  const from = Date.parse(at);
  const months = Math.max(0, Math.floor((c.now.getTime() - from) / MONTH));
  c.past(from + (months + 1) * MONTH);
  return months;
}

/** Rings take, oil runs off and levels change in an engine that stands a season (C; the figure M), months. */
export const SEASON = 6;
