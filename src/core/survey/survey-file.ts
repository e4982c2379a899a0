import { instantSchema } from '../units/instant.ts';
import * as z from 'zod/mini';
import { caseKindSchema } from '../engine/case-kind.ts';
import { manualSchema } from '../engine/limits.ts';
import { historySchema, identitySchema, profileSchema } from '../engine/profile.ts';
import { houseRulesSchema } from '../house-rules/rules.ts';
import { waitSchema } from './wait.ts';
import { jobEditSchema, partLineSchema, trayMarkSchema, trayPartSchema } from './work.ts';
import { decisionEntrySchema, gateReasonSchema, overrideSchema, readingSchema, stepMarkSchema } from './reading.ts';

export const SURVEY_FORMAT = 'indaga-survey';
export const SURVEY_VERSION = 1;

/**
 * The open survey file: everything known about one assessment of one engine, in one JSON document.
 * SI units throughout: Pa, m³, m, K, V, 1/min; ages in months or years as the item says; shares from 0 to 1.
 */
export const surveyFileSchema = z.strictObject({
  format: z.literal(SURVEY_FORMAT),
  version: z.literal(SURVEY_VERSION),
  engine: z.strictObject({
    identity: identitySchema,
    profile: profileSchema,
    history: historySchema,
    manual: z.optional(manualSchema)
  }),
  assessment: z.strictObject({
    kind: caseKindSchema,
    startedAt: instantSchema,
    by: z.optional(z.string().check(z.maxLength(120)))
  }),
  houseRules: z.optional(houseRulesSchema),
  readings: z.array(readingSchema).check(z.maxLength(50_000)),
  overrides: z.optional(z.array(overrideSchema).check(z.maxLength(1000))),
  steps: z.optional(z.array(stepMarkSchema).check(z.maxLength(10_000))),
  reasons: z.optional(z.array(gateReasonSchema).check(z.maxLength(1000))),
  waits: z.optional(z.array(waitSchema).check(z.maxLength(5000))),
  decisions: z.optional(z.array(decisionEntrySchema).check(z.maxLength(1000))),
  jobs: z.optional(z.array(jobEditSchema).check(z.maxLength(5000))),
  parts: z.optional(z.array(partLineSchema).check(z.maxLength(5000))),
  tray: z.optional(z.array(trayPartSchema).check(z.maxLength(5000))),
  trayMarks: z.optional(z.array(trayMarkSchema).check(z.maxLength(10_000)))
});

export type SurveyFile = z.infer<typeof surveyFileSchema>;
export type Engine = SurveyFile['engine'];

/** An empty survey of an engine about which nothing is known yet. */
export const emptySurvey = (kind: SurveyFile['assessment']['kind'], startedAt: string, tag = ''): SurveyFile => ({
  format: SURVEY_FORMAT,
  version: SURVEY_VERSION,
  engine: { identity: tag ? { tag } : {}, profile: {}, history: {} },
  assessment: { kind, startedAt },
  readings: []
});
