import { z } from 'zod';
import { allItems, itemIds, type ItemId } from '../stations/items.ts';

const moment = z.iso.datetime({ offset: true });
const id = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/, 'an id has letters, digits, - and _, 64 at most');
const who = z.string().max(120);

/** A gauge, tester or jug, as it was when the reading was taken. SI units; accuracy as a share of full scale. */
export const instrumentSchema = z.strictObject({
  name: z.string().min(1, 'give the instrument a name').max(120),
  range: z.number().positive().optional(),
  accuracy: z.number().min(0).max(0.5).optional(),
  resolution: z.number().positive().optional(),
  adapterVolume: z.number().min(0).max(1e-4).optional(),
  valve: z.enum(['plug end', 'gauge end', 'unknown']).optional(),
  /** Volume behind the check valve, which only slows the build. */
  gaugeVolume: z.number().min(0).max(1e-3).optional(),
  /** Of a leak-down tester: its restrictor's hole and the pressure it is fed with. */
  restrictor: z.number().positive().max(0.01).optional(),
  supply: z.number().positive().max(2e6).optional()
});
export type Instrument = z.infer<typeof instrumentSchema>;

/** Conditions under which a measurement was taken. What is left out is unknown. */
export const conditionsSchema = z.strictObject({
  throttle: z.enum(['open', 'shut', 'unknown']).optional(),
  bores: z.enum(['dry', 'oiled', 'unknown']).optional(),
  dose: z.number().min(0).max(1e-4).optional(),
  engine: z.enum(['cold', 'warm', 'unknown']).optional(),
  volts: z.number().min(0).max(60).optional(),
  rpm: z.number().min(0).max(3000).optional(),
  path: z.enum(['tester', 'bolt', 'plug', 'unknown']).optional(),
  light: z.enum(['shade', 'sun', 'unknown']).optional(),
  /** Stage of a case test: what was put on the case before it was shut off. */
  stage: z.enum(['low', 'high', 'vacuum']).optional(),
  /** Of the winding whose resistance was read, or of the case whose pressure was. */
  temperature: z.number().min(230).max(480).optional()
});
export type Conditions = z.infer<typeof conditionsSchema>;

const base = {
  id,
  at: moment,
  by: who.optional(),
  /** 1 for the first look; a re-check after work opens the next round. */
  round: z.number().int().min(1).max(99).optional(),
  cylinder: z.number().int().min(1).max(12).optional(),
  conditions: conditionsSchema.optional(),
  instrument: instrumentSchema.optional(),
  /** What the person typed, word for word. */
  typed: z.string().max(200).optional(),
  /** The reading this one corrects; that one stays in the record. */
  supersedes: id.optional(),
  /** Taken back: the superseded reading no longer counts, and nothing takes its place. */
  withdrawn: z.literal(true).optional()
};

export interface Reading {
  readonly id: string;
  readonly what: ItemId;
  readonly value: unknown;
  readonly at: string;
  readonly by?: string;
  readonly round?: number;
  readonly cylinder?: number;
  readonly conditions?: Conditions;
  readonly instrument?: Instrument;
  readonly typed?: string;
  readonly supersedes?: string;
  readonly withdrawn?: true;
}

const oneOf = itemIds.map((what) => z.strictObject({ ...base, what: z.literal(what), value: allItems[what].schema }));

/** A reading: what was seen or measured, when, by whom, with what. */
export const readingSchema = z
  .discriminatedUnion('what', oneOf as unknown as [z.ZodObject, ...z.ZodObject[]], {
    error: (issue) => (issue.code === 'invalid_union' ? 'no check has a reading of this name' : undefined)
  })
  .describe('A reading; withdrawn readings keep the value they withdraw') as unknown as z.ZodType<Reading>;

/** An override of a hold: one reason, kept in the record and shown in the report. */
export const overrideSchema = z.strictObject({
  id,
  at: moment,
  by: who.optional(),
  hold: z.string().min(1).max(60),
  reason: z.string().trim().min(3, 'say why in a few words').max(2000),
  supersedes: id.optional(),
  withdrawn: z.literal(true).optional()
});
export type Override = z.infer<typeof overrideSchema>;

/** What was done about a step of the job list. */
export const stepMarkSchema = z.strictObject({
  id,
  at: moment,
  by: who.optional(),
  step: z.string().min(1).max(80),
  state: z.enum(['done', 'open', 'not-needed']),
  note: z.string().max(20_000).optional()
});
export type StepMark = z.infer<typeof stepMarkSchema>;

/** Why a gate may stay open at release. */
export const gateReasonSchema = z.strictObject({
  id,
  at: moment,
  by: who.optional(),
  gate: z.string().min(1).max(80),
  reason: z.string().trim().min(3, 'say why in a few words').max(2000)
});
export type GateReason = z.infer<typeof gateReasonSchema>;
