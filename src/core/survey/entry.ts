import type { SurveyFile } from './survey-file.ts';
import {
  decisionEntrySchema,
  gateReasonSchema,
  overrideSchema,
  readingSchema,
  stepMarkSchema,
  type DecisionEntry,
  type GateReason,
  type Override,
  type Reading,
  type StepMark
} from './reading.ts';
import { waitSchema, type Wait } from './wait.ts';
import {
  jobEditSchema,
  partLineSchema,
  trayMarkSchema,
  trayPartSchema,
  type JobEdit,
  type PartLine,
  type TrayMark,
  type TrayPart
} from './work.ts';

/** What can be appended to a survey. */
export type Entry =
  | { readonly type: 'reading'; readonly body: Reading }
  | { readonly type: 'override'; readonly body: Override }
  | { readonly type: 'step'; readonly body: StepMark }
  | { readonly type: 'reason'; readonly body: GateReason }
  | { readonly type: 'wait'; readonly body: Wait }
  | { readonly type: 'decision'; readonly body: DecisionEntry }
  | { readonly type: 'job'; readonly body: JobEdit }
  | { readonly type: 'part'; readonly body: PartLine }
  | { readonly type: 'tray'; readonly body: TrayPart }
  | { readonly type: 'trayMark'; readonly body: TrayMark };

export type EntryType = Entry['type'];

const schemas = {
  reading: readingSchema,
  override: overrideSchema,
  step: stepMarkSchema,
  reason: gateReasonSchema,
  wait: waitSchema,
  decision: decisionEntrySchema,
  job: jobEditSchema,
  part: partLineSchema,
  tray: trayPartSchema,
  trayMark: trayMarkSchema
} as const;
const lists = {
  reading: 'readings',
  override: 'overrides',
  step: 'steps',
  reason: 'reasons',
  wait: 'waits',
  decision: 'decisions',
  job: 'jobs',
  part: 'parts',
  tray: 'tray',
  trayMark: 'trayMarks'
} as const;

export type EntryCheck =
  { readonly ok: true; readonly entry: Entry } | { readonly ok: false; readonly message: string };

/** Checks an entry from outside; the sentence names what is wrong with it. */
export function checkEntryBody(type: unknown, body: unknown): EntryCheck {
  if (typeof type !== 'string' || !Object.hasOwn(schemas, type))
    return { ok: false, message: 'This kind of entry is not known.' };
  const result = schemas[type as EntryType].safeParse(body);
  if (result.success) return { ok: true, entry: { type, body: result.data } as Entry };
  const issue = result.error.issues[0];
  const message = issue?.message ?? 'it is not well formed';
  return { ok: false, message: `Not saved: ${message}${issue?.path.length ? ` (${issue.path.join('.')})` : ''}.` };
}

/** The survey with entries added to the lists they belong to; one already there is left as it is. */
export function withEntries(survey: SurveyFile, added: readonly Entry[]): SurveyFile {
  if (!added.length) return survey;
  const next = { ...survey } as Record<string, unknown> & SurveyFile;
  for (const type of Object.keys(lists) as EntryType[]) {
    const mine = added.filter((e) => e.type === type).map((e) => e.body);
    if (!mine.length) continue;
    const key = lists[type];
    const old = (next[key] ?? []) as { id: string }[];
    const have = new Set(old.map((e) => e.id));
    (next as Record<string, unknown>)[key] = [...old, ...mine.filter((e) => !have.has(e.id))];
  }
  return next;
}

/** Every entry of a survey file, for import. */
export const entriesOf = (survey: SurveyFile): Entry[] =>
  (Object.keys(lists) as EntryType[]).flatMap((type) =>
    ((survey[lists[type]] ?? []) as unknown[]).map((body) => ({ type, body }) as Entry)
  );
