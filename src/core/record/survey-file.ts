import * as z from 'zod/mini';
import { caseKindSchema } from '../engine/case-kind.ts';
import { engineSchema } from '../engine/engine.ts';
import { houseRulesSchema } from '../house-rules/rules.ts';
import { instantSchema } from '../units/instant.ts';
import { entryKinds } from './entries.ts';
import type { EntrySchemas } from './entry-kinds.ts';

export const SURVEY_FORMAT = 'indaga-survey';
export const SURVEY_VERSION = 2;
/** Versions that open. A file of an older one is read as it is and written as the current one; nothing in it changes its meaning. */
const READABLE = [1, 2] as const;

/**
 * The open survey file: everything known about one assessment of one engine, in one JSON document.
 * SI units throughout: Pa, m³, m, K, V, 1/min; ages in months or years as the item says; shares from 0 to 1.
 */
export function surveyFileSchemaOf(schemas: EntrySchemas) {
  const list = <T extends keyof EntrySchemas>(type: T) =>
    z.array<EntrySchemas[T]>(schemas[type]).check(z.maxLength(entryKinds[type].most));
  return z.strictObject({
    format: z.literal(SURVEY_FORMAT),
    version: z.literal([...READABLE]),
    engine: engineSchema,
    assessment: z.strictObject({
      kind: caseKindSchema,
      startedAt: instantSchema,
      by: z.optional(z.string().check(z.maxLength(120)))
    }),
    houseRules: z.optional(houseRulesSchema),
    [entryKinds.reading.list]: list('reading'),
    [entryKinds.override.list]: z.optional(list('override')),
    [entryKinds.step.list]: z.optional(list('step')),
    [entryKinds.reason.list]: z.optional(list('reason')),
    [entryKinds.wait.list]: z.optional(list('wait')),
    [entryKinds.decision.list]: z.optional(list('decision')),
    [entryKinds.job.list]: z.optional(list('job')),
    [entryKinds.part.list]: z.optional(list('part')),
    [entryKinds.tray.list]: z.optional(list('tray')),
    [entryKinds.trayMark.list]: z.optional(list('trayMark'))
  });
}

export type SurveyFile = z.infer<ReturnType<typeof surveyFileSchemaOf>>;
export type { Engine } from '../engine/engine.ts';

/** An empty survey of an engine about which nothing is known yet. */
export const emptySurvey = (kind: SurveyFile['assessment']['kind'], startedAt: string, tag = ''): SurveyFile => ({
  format: SURVEY_FORMAT,
  version: SURVEY_VERSION,
  engine: { identity: tag ? { tag } : {}, profile: {}, history: {} },
  assessment: { kind, startedAt },
  readings: []
});
