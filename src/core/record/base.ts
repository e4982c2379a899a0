import * as z from 'zod/mini';
import { instantSchema } from '../units/instant.ts';

export const idSchema = z
  .string()
  .check(z.regex(/^[A-Za-z0-9_-]{1,64}$/, 'an id has letters, digits, - and _, 64 at most'));

/** What every entry carries: its own id, when it was made, and by whom. */
export const stamp = {
  id: idSchema,
  at: instantSchema,
  by: z.optional(z.string().check(z.maxLength(120))),
  /** What was added to the clock of the device that it was made on, ms, so that `at` is the server's time. */
  clock: z.optional(z.int().check(z.gte(-4e12), z.lte(4e12)))
};
