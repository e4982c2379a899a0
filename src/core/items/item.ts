import { instantSchema } from '../units/instant.ts';
import * as z from 'zod/mini';
import { dimensionOf, type DimensionName } from '../units/dimension.ts';

/**
 * One definition of each thing that can be recorded. From an item follow its type, its check at the boundary,
 * its form field and its place in the JSON Schema; there is no second copy of a shape.
 */
export interface Option {
  readonly value: string;
  readonly label: string;
  readonly hint?: string;
}

/** What an item may know of the engine it is asked of; `engine/profile.ts` adds the profile by declaration merging. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type
export interface AskedEngine {}

interface Common {
  readonly label: string;
  /** The question as asked at the engine, when the label alone does not say it. */
  readonly ask?: string;
  readonly perCylinder?: boolean;
  /** Of one bank, where the engine has two: told apart by the reading's condition `bank`. */
  readonly perBank?: true;
  /** Each entry is a measurement of its own and stands beside the earlier ones instead of superseding them. */
  readonly repeated?: boolean;
  /**
   * True from when it was said until the next word on it, as "lanyard in": a new answer stands beside the earlier ones, since
   * what was read meanwhile was read under those.
   */
  readonly state?: true;
  /** The word by which the quick line knows it: "dip 6 mm 6 mm". */
  readonly quick?: string;
  /** The instrument that can send it, by the name it sends (`instruments/signals.ts`). */
  readonly sent?: string;
  /** What is shown in the empty field, where the dimension's usual example would mislead. */
  readonly example?: string;
  /** The id of the limit shown beside this item, with the place for the manual's own value. */
  readonly limit?: string;
  /** Asked of an engine that was under water only. */
  readonly drowned?: true;
  /** Measured while work is done, where a procedure asks for it: the form of its check leaves it out until it was read. */
  readonly inWork?: true;
  /** What goes wrong by itself, and is asked about by when it did: answered otherwise at a later look, both looks stand. */
  readonly changes?: true;
  /** How often it was seen tells something: at a later look the same answer stands beside the one before. */
  readonly counts?: true;
  /**
   * What does not go away by itself: these answers, a figure over or at most one, or any figure, which repeats within `alike`. Another one
   * after it, with nothing done between, contradicts it: `undoneBy` are the items whose readings are that work, beside the jobs, and `work`
   * answers of its own that say it was done.
   */
  readonly stays?: (
    | { readonly answers: readonly string[] }
    | { readonly over: number }
    | { readonly atMost: number }
    | { readonly alike: number }
  ) & { readonly undoneBy?: readonly string[]; readonly work?: readonly string[] };
  /** Asked of these engines only; of all where it is left out. What was read is never hidden. */
  readonly when?: (p: AskedEngine) => boolean;
}

export type Item<V = unknown> = Common & { readonly schema: z.ZodMiniType<V> } & (
    | { readonly kind: 'choice'; readonly options: readonly Option[] }
    | { readonly kind: 'several'; readonly options: readonly Option[] }
    | { readonly kind: 'quantity'; readonly dimension: DimensionName; readonly min: number; readonly max: number }
    | { readonly kind: 'text'; readonly long?: boolean; readonly maxLength: number }
    | { readonly kind: 'series'; readonly dimension: DimensionName; readonly min: number; readonly max: number }
    | { readonly kind: 'photo' }
    | { readonly kind: 'log' }
    | { readonly kind: 'moment' }
  );

const UNKNOWN: Option = { value: 'unknown', label: 'unknown' };
const NOT_FITTED: Option = { value: 'not-fitted', label: 'not fitted' };

type Labels = Readonly<Record<string, string | readonly [string, string]>>;
const optionsOf = (labels: Labels): Option[] =>
  Object.entries(labels).map(([value, l]) =>
    typeof l === 'string' ? { value, label: l } : { value, label: l[0], hint: l[1] }
  );

/** Whether an answer is one that does not go away by itself; of a figure that repeats, beside the one it is told by. */
export function staysTold({ stays }: Pick<Item, 'stays'>, value: unknown, beside: unknown): boolean {
  if (!stays) return false;
  if ('alike' in stays)
    return typeof value === 'number' && typeof beside === 'number' && Math.abs(value - beside) > stays.alike;
  if ('answers' in stays) return [value].flat().some((v) => stays.answers.includes(String(v)));
  return typeof value === 'number' && ('over' in stays ? value > stays.over : value <= stays.atMost);
}

/** One of several words; "unknown" is always among them, "not fitted" where the part may be absent. */
export function choice<const O extends Labels>(o: Common & { options: O }): Item<Extract<keyof O, string> | 'unknown'>;
export function choice<const O extends Labels>(
  o: Common & { options: O; absent: true }
): Item<Extract<keyof O, string> | 'unknown' | 'not-fitted'>;
export function choice(o: Common & { options: Labels; absent?: true }): Item<string> {
  const { options: labels, absent, ...common } = o;
  const options = [...optionsOf(labels), ...(absent ? [NOT_FITTED] : []), UNKNOWN];
  return { ...common, kind: 'choice', options, schema: z.enum(options.map((x) => x.value) as [string, ...string[]]) };
}

export const yesNo = (o: Common): Item<'yes' | 'no' | 'unknown'> => choice({ ...o, options: { yes: 'yes', no: 'no' } });

/** Any number of words; an empty list means "looked, none". */
export function several<const O extends Labels>(
  o: Common & { options: O }
): Item<Extract<keyof O, string>[] | 'unknown'> {
  const options = optionsOf(o.options);
  const word = z.enum(options.map((x) => x.value) as [string, ...string[]]);
  const schema = z.union([z.array(word).check(z.maxLength(options.length)), z.literal('unknown')]);
  return {
    ...o,
    kind: 'several',
    options,
    schema: schema as unknown as Item<Extract<keyof O, string>[] | 'unknown'>['schema']
  };
}

/** A measured number in SI, with the widest range that can be true; outside it the entry is refused with a sentence. */
export function quantity(o: Common & { dimension: DimensionName; min: number; max: number }): Item<number | 'unknown'> {
  const what = dimensionOf(o.dimension).name;
  const schema = z.union([
    z
      .number()
      .check(z.gte(o.min, `a ${what} this low cannot be true`), z.lte(o.max, `a ${what} this high cannot be true`)),
    z.literal('unknown')
  ]);
  return { ...o, kind: 'quantity', schema };
}

/** Several numbers of one measurement in their order, the needle after each pull; SI, at least two. */
export function series(
  o: Common & { dimension: DimensionName; min: number; max: number; most: number }
): Item<number[] | 'unknown'> {
  const one = z.number().check(z.gte(o.min), z.lte(o.max));
  const { most, ...rest } = o;
  return {
    ...rest,
    kind: 'series',
    schema: z.union([z.array(one).check(z.minLength(2), z.maxLength(most)), z.literal('unknown')])
  };
}

/** A picture, named by the SHA-256 of what is kept of it; the file itself lies beside the database. */
export const photo = (o: Common): Item<string> => ({
  ...o,
  repeated: true,
  kind: 'photo',
  schema: z.string().check(z.regex(/^[0-9a-f]{64}$/, 'a photograph is named by its fingerprint'))
});

const column = z.array(z.nullable(z.number())).check(z.maxLength(2000));
/** A logger's record of one run, thinned to what is kept: seconds from its first row, K, 1/min. */
const logSchema = z.strictObject({
  file: z.optional(z.string().check(z.maxLength(200))),
  /** Rows of the file, and how many of them could not be read. */
  rows: z.int().check(z.gte(1), z.lte(5_000_000)),
  unread: z.optional(z.int().check(z.gte(0))),
  seconds: z.array(z.number().check(z.gte(0))).check(z.minLength(2), z.maxLength(2000)),
  temperature: column,
  rpm: z.optional(column),
  /** The hottest single row, which thinning would blunt. */
  hottest: z.optional(z.strictObject({ seconds: z.number().check(z.gte(0)), temperature: z.number() })),
  /** Longest stretch without a row, s. */
  gap: z.optional(z.number().check(z.gte(0)))
});
export type RunLog = z.infer<typeof logSchema>;

export const log = (o: Common): Item<RunLog> => ({ ...o, repeated: true, kind: 'log', schema: logSchema });

export const text = (o: Common & { long?: boolean; maxLength?: number }): Item<string> => {
  const maxLength = o.maxLength ?? (o.long ? 20_000 : 200);
  return {
    ...o,
    kind: 'text',
    maxLength,
    schema: z.string().check(z.maxLength(maxLength, `longer than ${maxLength} characters`))
  };
};

/** A point in time, ISO 8601 with offset or Z. */
export const moment = (o: Common): Item<string> => ({
  ...o,
  kind: 'moment',
  schema: z.union([instantSchema, z.literal('unknown')])
});

export type ValueOf<I> = I extends Item<infer V> ? V : never;
export type Items = Readonly<Record<string, Item>>;
export type ValuesOf<T extends Items> = { readonly [K in keyof T]?: ValueOf<T[K]> };

/** A Zod object with every item optional: not asked yet is not the same as unknown, and both are allowed. */
export const objectOf = <T extends Items>(items: T): z.ZodMiniType<ValuesOf<T>> =>
  z.strictObject(
    Object.fromEntries(Object.entries(items).map(([k, item]) => [k, z.optional(item.schema)]))
  ) as unknown as z.ZodMiniType<ValuesOf<T>>;
