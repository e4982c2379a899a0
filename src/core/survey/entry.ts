import type { SurveyFile } from './survey-file.ts';
import type { DecisionEntry, GateReason, Override, Reading, StepMark } from './reading.ts';
import type { Wait } from './wait.ts';
import type { JobEdit, PartLine, TrayMark, TrayPart } from './work.ts';

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
