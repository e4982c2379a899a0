import { instantSchema } from '../units/instant.ts';
import * as z from 'zod/mini';

const clock = z.int().check(z.gte(0), z.lte(1440));

/** The bench of this shop: who works, when, and what there is one or two of. */
export const benchSchema = z
  .strictObject({
    people: z
      .array(z.string().check(z.trim(), z.minLength(1, 'a name is missing'), z.maxLength(60)))
      .check(z.minLength(1, 'somebody has to work here'), z.maxLength(20)),
    stand: z.int().check(z.gte(0, 'not fewer than none'), z.lte(50)),
    tank: z.int().check(z.gte(0, 'not fewer than none'), z.lte(20)),
    hose: z.int().check(z.gte(0, 'not fewer than none'), z.lte(20)),
    /** 0 is Sunday. */
    days: z.array(z.int().check(z.gte(0), z.lte(6))).check(z.minLength(1, 'at least one day of the week is worked')),
    from: clock,
    to: clock,
    closed: z.optional(z.array(z.iso.date('a day off is written 2026-12-24')).check(z.maxLength(400)))
  })
  .check(z.refine((b) => b.to > b.from, { path: ['to'], message: 'The day ends before it begins.' }))
  .check(
    z.refine((b) => new Set(b.people.map((p) => p.trim().toLowerCase())).size === b.people.length, {
      path: ['people'],
      message: 'Two people of one name cannot be told apart on the list.'
    })
  );
export type BenchSettings = z.infer<typeof benchSchema>;

export const usualBench: BenchSettings = {
  people: ['Somebody'],
  stand: 2,
  tank: 1,
  hose: 1,
  days: [1, 2, 3, 4, 5, 6],
  from: 8 * 60 + 30,
  to: 17 * 60
};

/** A step put somewhere by hand: to a moment, to a person, or both; `off` takes the pin away. */
export const pinSchema = z.strictObject({
  engine: z.string().check(z.minLength(1), z.maxLength(64)),
  step: z.string().check(z.minLength(1), z.maxLength(80)),
  at: z.optional(instantSchema),
  person: z.optional(z.string().check(z.maxLength(60))),
  off: z.optional(z.literal(true))
});
export type Pin = z.infer<typeof pinSchema>;
