import * as z from 'zod/mini';

/** What may be said of the cooling stream of an outing. */
export const outingStreams = { strong: 'strong', weak: 'weak', none: 'none' } as const;
export type OutingStream = keyof typeof outingStreams;

/** The water that an outing was in. */
export const outingWaters = { salt: 'salt', brackish: 'brackish', fresh: 'fresh' } as const;
export type OutingWater = keyof typeof outingWaters;

const between = (low: number, high: number) => z.optional(z.number().check(z.gte(low), z.lte(high)));

/**
 * One outing of an engine in service, as its owner or the yard wrote it down. Everything but the day may be unknown: what is left out
 * was not looked at. SI units; hours are engine hours.
 */
export const outingSchema = z.strictObject({
  /** The day, "2026-07-14". */
  on: z.iso.date('a date is written 2026-05-31'),
  /** What the hour meter showed afterwards. */
  meter: between(0, 1e5),
  /** How long it ran, h, where no meter tells: an estimate. */
  ran: between(0, 72),
  /** Share of that at idle or trolling, 0 to 1. */
  idle: between(0, 1),
  /** The drawn stick, m over the low mark: before anything was added, and after the outing when it had settled. */
  oilBefore: between(-0.1, 0.2),
  oilAfter: between(-0.1, 0.2),
  /** Dipped trimmed or afloat at an angle: the dips say nothing. */
  tilted: z.optional(z.literal(true)),
  /** Oil added before it ran, m³. */
  added: between(0, 0.02),
  /** The oil was changed before it ran. */
  changed: z.optional(z.literal(true)),
  /** Fuel burnt or filled, m³. */
  fuel: between(0, 2),
  water: z.optional(z.enum(Object.keys(outingWaters) as [OutingWater, ...OutingWater[]])),
  /** With fresh water afterwards. */
  flushed: z.optional(z.boolean()),
  stream: z.optional(z.enum(Object.keys(outingStreams) as [OutingStream, ...OutingStream[]])),
  remark: z.optional(z.string().check(z.maxLength(400)))
});
export type Outing = z.infer<typeof outingSchema>;

/** An outing written the same way each time, whatever was entered first. */
export const inWrittenOrder = (o: Outing): Outing =>
  Object.fromEntries(
    (Object.keys(outingSchema.def.shape) as (keyof Outing)[]).flatMap((k) => (o[k] === undefined ? [] : [[k, o[k]]]))
  ) as Outing;

/** The name of an outing among the facts of an engine. */
export const outingIdSchema = z.string().check(z.regex(/^[A-Za-z0-9][A-Za-z0-9-]{0,39}$/));

/** Outings in the order of their days; two of one day as they were written. */
export const outingsInOrder = (
  outings: Readonly<Record<string, Outing>> | undefined
): readonly (Outing & { readonly id: string })[] =>
  Object.entries(outings ?? {})
    .map(([id, o]) => ({ ...o, id }))
    .toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
