import { limits, type LimitId, type Provenance } from '../engine/limits.ts';
import { say, type System } from '../units/index.ts';
import type { Context } from './context.ts';

/** The limit that something was judged by, SI units. */
export interface Judged {
  readonly id: LimitId;
  readonly value: number;
  /** The upper end, where the manual gave a range. */
  readonly to?: number;
  readonly provenance: Provenance;
  readonly manual: boolean;
  /** The manual's page as it was entered; what a limit of our own is called. */
  readonly page?: string;
  readonly name?: string;
}

/** What a limit of our own is called, by where it comes from: one limit has one name wherever it is said. */
const ownName = { P: 'published', C: 'common practice', M: 'our value, from memory' } as const;

/** The manual's value for a limit when it was entered, else ours with the name it goes by. */
export function judgedBy(c: Context, id: LimitId, own: number, name?: string): Judged;
export function judgedBy(c: Context, id: LimitId, own?: number, name?: string): Judged | undefined;
export function judgedBy(c: Context, id: LimitId, own?: number, name?: string): Judged | undefined {
  const manual = c.survey.engine.manual?.[id];
  if (manual)
    return {
      id,
      value: manual.value,
      ...(manual.to === undefined ? {} : { to: manual.to }),
      ...(manual.page ? { page: manual.page } : {}),
      provenance: 'P',
      manual: true
    };
  if (own === undefined) return undefined;
  const { provenance } = limits[id];
  return { id, value: own, provenance, manual: false, name: name ?? ownName[provenance] };
}

/** "12 % (manual, page 4-7)" or "15 % (house rule)". */
export function sayLimit(limit: Judged, units: System): string {
  const { dimension } = limits[limit.id];
  if (!limit.manual) return `${say(limit.value, dimension, units)} (${limit.name})`;
  const page = limit.page ? `manual, ${/^\d/.test(limit.page) ? 'page ' : ''}${limit.page}` : 'manual, no page given';
  return `${limit.to === undefined ? '' : `${say(limit.value, dimension, units)} to `}${say(limit.to ?? limit.value, dimension, units)} (${page})`;
}
