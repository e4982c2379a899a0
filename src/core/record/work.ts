import { idSchema, stamp } from './base.ts';
import * as z from 'zod/mini';
import type { StationId } from '../items/register.ts';

const name = (what: string) => z.string().check(z.trim(), z.minLength(1, `name the ${what}`), z.maxLength(120));
const step = z.string().check(z.regex(/^[a-z0-9][A-Za-z0-9_-]{0,79}$/, 'a job is called by letters, digits and -'));
const words = z.optional(z.array(name('thing')).check(z.maxLength(40)));
const minutes = (most: number) =>
  z.number().check(z.gte(0, 'minutes are not negative'), z.lte(most, 'that is over a year'));
export const dateSchema = z.iso.date('a date is written 2026-05-31');
const money = z.number().check(z.gte(0, 'a price is not negative'), z.lte(1e6));

/** A job changed or added by hand. What is left out stays as it was; the latest edit of each field counts. */
export const jobEditSchemaOf = (station: z.ZodMiniType<StationId>) =>
  z.strictObject({
    ...stamp,
    step,
    title: z.optional(name('job')),
    minutes: z.optional(minutes(10_000)),
    wait: z.optional(minutes(530_000)),
    tools: words,
    parts: words,
    consumables: words,
    after: z.optional(z.array(step).check(z.maxLength(20))),
    station: z.optional(station),
    /** Mended for now: looked at again by this day. */
    temporary: z.optional(z.nullable(z.strictObject({ until: dateSchema, why: name('reason') }))),
    /** Taken off the list again; only a job added by hand can be. */
    dropped: z.optional(z.boolean())
  });
export type JobEdit = z.infer<ReturnType<typeof jobEditSchemaOf>>;

/** Where a part can be had, as pieces or in a kit, for how much and how soon. */
export const offerSchema = z.strictObject({
  from: name('source'),
  what: z.enum(['pieces', 'kit']),
  price: z.optional(money),
  days: z.optional(z.number().check(z.gte(0), z.lte(400)))
});
export type Offer = z.infer<typeof offerSchema>;

export const partStates = {
  wanted: 'to order',
  ordered: 'ordered',
  arrived: 'here',
  'not-needed': 'not needed'
} as const;
export type PartState = keyof typeof partStates;

/** One line of the parts order; the latest word on a line (by its key) counts as a whole. */
export const partLineSchema = z.strictObject({
  ...stamp,
  key: z.string().check(z.minLength(1), z.maxLength(160)),
  step: z.optional(step),
  name: name('part'),
  number: z.optional(z.string().check(z.maxLength(80))),
  quantity: z.optional(z.int('a whole number of pieces').check(z.gte(1, 'at least one'), z.lte(999))),
  offers: z.optional(z.array(offerSchema).check(z.maxLength(4))),
  /** Which of the offers was taken. */
  chosen: z.optional(z.int().check(z.gte(0), z.lte(3))),
  state: z.enum(Object.keys(partStates) as [PartState, ...PartState[]]),
  /** The day it is expected; ordered without one is a part nobody knows the arrival of. */
  due: z.optional(dateSchema)
});
export type PartLine = z.infer<typeof partLineSchema>;

/** A part taken off, in the order it came off. */
export const trayPartSchema = z.strictObject({
  ...stamp,
  name: name('part'),
  size: z.optional(z.string().check(z.maxLength(60))),
  /** Length, m: two bolts that look alike differ by it. */
  length: z.optional(z.number().check(z.gt(0), z.lte(2, 'no bolt is that long'))),
  /** What turns it: "13 mm hexagon", "cross 2". */
  head: z.optional(z.string().check(z.maxLength(40))),
  /** Tool and extension that reached it. */
  tool: z.optional(z.string().check(z.maxLength(80))),
  /** How many of them, alike. */
  count: z.optional(z.int().check(z.gte(1, 'at least one came off'), z.lte(99, 'that many are a list of their own'))),
  place: z.optional(z.string().check(z.maxLength(160))),
  photo: z.optional(z.string().check(z.regex(/^[0-9a-f]{64}$/))),
  /** Gasket, split pin, crush washer: never goes back, a new one does. */
  oneTime: z.optional(z.literal(true)),
  step: z.optional(step),
  supersedes: z.optional(idSchema),
  withdrawn: z.optional(z.literal(true))
});
export type TrayPart = z.infer<typeof trayPartSchema>;

export const trayStates = {
  off: 'off',
  refitted: 'refitted',
  renewed: 'a new one fitted',
  replaced: 'replaced by another',
  explained: 'stays off, explained'
} as const;
export type TrayState = keyof typeof trayStates;

export const trayMarkSchema = z.strictObject({
  ...stamp,
  part: idSchema,
  state: z.enum(Object.keys(trayStates) as [TrayState, ...TrayState[]]),
  note: z.optional(z.string().check(z.maxLength(2000)))
});
export type TrayMark = z.infer<typeof trayMarkSchema>;
