import * as z from 'zod/mini';
import { spotIds } from '../../stations/run/runs.ts';
import type { LogAnswers } from './plan.ts';

const column = z.int().check(z.gte(0), z.lte(500));
const spot = z.enum(spotIds);
/** Answers as they are kept in a browser; what is no longer understood is forgotten. */
const answersSchema = z.strictObject({
  time: z.optional(column),
  temperatures: z.optional(z.array(z.strictObject({ column, spot: z.optional(spot) }))),
  rpm: z.optional(column),
  places: z.optional(z.strictObject({ column, spots: z.record(z.string(), spot) })),
  unit: z.optional(z.enum(['°C', '°F', 'K'])),
  decimal: z.optional(z.enum(['.', ','])),
  timeUnit: z.optional(z.enum(['s', 'min', 'h', 'ms', 'sample'])),
  every: z.optional(z.number().check(z.positive())),
  pair: z.optional(z.enum(['min:s', 'h:min'])),
  dateOrder: z.optional(z.enum(['day-first', 'month-first']))
});

/** Answers out of a kept text; nothing where it holds none. */
export function answersFrom(text: string | null): LogAnswers | undefined {
  try {
    const found = answersSchema.safeParse(JSON.parse(text ?? ''));
    return found.success ? found.data : undefined;
  } catch {
    return undefined;
  }
}
