import * as z from 'zod/mini';
import { optionIds, type OptionId } from './options.ts';
import type { Item } from '../items/item.ts';
import type { ItemId } from '../items/register.ts';
import { idSchema, stamp } from './base.ts';

/** A gauge, tester or jug, as it was when the reading was taken. SI units; accuracy as a share of full scale. */
export const instrumentSchema = z.strictObject({
  name: z.string().check(z.minLength(1, 'give the instrument a name'), z.maxLength(120)),
  range: z.optional(z.number().check(z.positive())),
  accuracy: z.optional(z.number().check(z.gte(0), z.lte(0.5))),
  resolution: z.optional(z.number().check(z.positive())),
  adapterVolume: z.optional(z.number().check(z.gte(0), z.lte(1e-4))),
  /** Of its adapter: the thread, and how far it reaches into the hole, m. */
  thread: z.optional(z.enum(['m10', 'm12', 'm14', 'm18'])),
  reach: z.optional(z.number().check(z.gte(0.003), z.lte(0.06))),
  valve: z.optional(z.enum(['plug end', 'gauge end', 'unknown'])),
  /** Volume behind the check valve, which only slows the build. */
  gaugeVolume: z.optional(z.number().check(z.gte(0), z.lte(1e-3))),
  /** Of a leak-down tester: its restrictor's hole and the pressure it is fed with. */
  restrictor: z.optional(z.number().check(z.positive(), z.lte(0.01))),
  supply: z.optional(z.number().check(z.positive(), z.lte(2e6)))
});
export type Instrument = z.infer<typeof instrumentSchema>;

/** Conditions under which a measurement was taken. What is left out is unknown. */
export const conditionsSchema = z.strictObject({
  throttle: z.optional(z.enum(['open', 'shut', 'unknown'])),
  bores: z.optional(z.enum(['dry', 'oiled', 'unknown'])),
  dose: z.optional(z.number().check(z.gte(0), z.lte(1e-4))),
  engine: z.optional(z.enum(['cold', 'warm', 'unknown'])),
  volts: z.optional(z.number().check(z.gte(0), z.lte(60))),
  rpm: z.optional(z.number().check(z.gte(0), z.lte(3000))),
  path: z.optional(z.enum(['tester', 'bolt', 'plug', 'unknown'])),
  light: z.optional(z.enum(['shade', 'sun', 'unknown'])),
  /** Stage of a case test: what was put on the case before it was shut off. */
  stage: z.optional(z.enum(['low', 'high', 'vacuum'])),
  /** Where on the engine a running temperature was taken: runs are compared at one place only. */
  spot: z.optional(z.enum(['head', 'head-port', 'head-starboard', 'thermostat', 'block', 'exhaust', 'stream'])),
  /** Of an engine with two: the bank whose thermostat it is. */
  bank: z.optional(z.enum(['port', 'starboard'])),
  /** Of the winding whose resistance was read, or of the case whose pressure was. */
  temperature: z.optional(z.number().check(z.gte(230), z.lte(480)))
});
export type Conditions = z.infer<typeof conditionsSchema>;

const baseSchema = z.strictObject({
  ...stamp,
  /** 1 for the first look; a re-check after work opens the next round. */
  round: z.optional(z.int().check(z.gte(1), z.lte(99))),
  cylinder: z.optional(z.int().check(z.gte(1), z.lte(12))),
  conditions: z.optional(conditionsSchema),
  instrument: z.optional(instrumentSchema),
  /** What the person typed, word for word. */
  typed: z.optional(z.string().check(z.maxLength(200))),
  /** What the instrument sent, word for word; of a series its last sentence. */
  sentence: z.optional(z.string().check(z.maxLength(200))),
  /** The reading this one corrects; that one stays in the record. */
  supersedes: z.optional(idSchema),
  /** Taken back: the superseded reading no longer counts, and nothing takes its place. */
  withdrawn: z.optional(z.literal(true))
});
/** A reading: what was seen or measured, when, by whom, with what. */
export type Reading = Readonly<z.infer<typeof baseSchema>> & { readonly what: ItemId; readonly value: unknown };

/** The schema of a reading of any of these items; a reading of no known item is refused by its name. */
export const readingSchemaOf = (items: Readonly<Record<ItemId, Item>>): z.ZodMiniType<Reading> => {
  const oneOf = (Object.keys(items) as ItemId[]).map((what) =>
    z.extend(baseSchema, { what: z.literal(what), value: items[what].schema })
  );
  return z
    .discriminatedUnion('what', oneOf as unknown as [z.ZodMiniObject, ...z.ZodMiniObject[]], {
      error: (issue) => (issue.code === 'invalid_union' ? 'no check has a reading of this name' : undefined)
    })
    .check(
      z.describe('A reading; withdrawn readings keep the value they withdraw')
    ) as unknown as z.ZodMiniType<Reading>;
};

/** An override of a hold: one reason, kept in the record and shown in the report. */
export const overrideSchema = z.strictObject({
  ...stamp,
  hold: z.string().check(z.minLength(1), z.maxLength(60)),
  reason: z.string().check(z.trim(), z.minLength(3, 'say why in a few words'), z.maxLength(2000)),
  supersedes: z.optional(idSchema),
  withdrawn: z.optional(z.literal(true))
});
export type Override = z.infer<typeof overrideSchema>;

/** What was done about a step of the job list. */
export const stepMarkSchema = z.strictObject({
  ...stamp,
  step: z.string().check(z.minLength(1), z.maxLength(80)),
  state: z.enum(['done', 'open', 'not-needed']),
  /** Engine hours when it was done, where somebody looked. */
  hours: z.optional(z.number().check(z.gte(0), z.lte(50_000))),
  note: z.optional(z.string().check(z.maxLength(20_000))),
  /** Done late in the day, or with interruptions, as whoever did it says: it is looked over once more. */
  late: z.optional(z.literal(true))
});
export type StepMark = z.infer<typeof stepMarkSchema>;

/** Why a gate may stay open at release. */
export const gateReasonSchema = z.strictObject({
  ...stamp,
  gate: z.string().check(z.minLength(1), z.maxLength(80)),
  reason: z.string().check(z.trim(), z.minLength(3, 'say why in a few words'), z.maxLength(2000))
});
export type GateReason = z.infer<typeof gateReasonSchema>;

/** What was decided about the engine, why, and on whose word. */
export const decisionEntrySchema = z.strictObject({
  ...stamp,
  option: z.enum(optionIds as [OptionId, ...OptionId[]]),
  reason: z.string().check(z.trim(), z.minLength(3, 'say why in a few words'), z.maxLength(4000)),
  /** The owner's answer, word for word: the authority to go on. */
  authority: z.optional(z.string().check(z.maxLength(4000))),
  /** cr, as they stood: expected, nine in ten under, and the ceiling. */
  cost: z.optional(
    z.strictObject({
      mean: z.number().check(z.gte(0)),
      high: z.number().check(z.gte(0)),
      ceiling: z.optional(z.number().check(z.gte(0)))
    })
  ),
  advised: z.optional(z.enum(optionIds as [OptionId, ...OptionId[]]))
});
export type DecisionEntry = z.infer<typeof decisionEntrySchema>;
