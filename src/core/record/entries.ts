import type * as z from 'zod/mini';
import type { EntrySchemas } from './entry-kinds.ts';
import type { SurveyFile } from './survey-file.ts';

/**
 * The register of what can be appended to a survey: the list it goes to, how many a file may hold, what a person calls
 * it, and which of its fields name another entry. Its schema stands under the same name in `entrySchemas`, apart from
 * here because a page builds entries and only the server checks them.
 */
export const entryKinds = {
  reading: { list: 'readings', most: 50_000, label: 'reading', names: ['supersedes'] },
  override: { list: 'overrides', most: 1000, label: 'override of a hold', names: ['supersedes'] },
  step: { list: 'steps', most: 10_000, label: 'mark on a job', names: [] },
  reason: { list: 'reasons', most: 1000, label: 'reason at a gate', names: [] },
  wait: { list: 'waits', most: 5000, label: 'wait', names: ['supersedes'] },
  decision: { list: 'decisions', most: 1000, label: 'decision', names: [] },
  job: { list: 'jobs', most: 5000, label: 'change to a job', names: [] },
  part: { list: 'parts', most: 5000, label: 'line of the order', names: [] },
  tray: { list: 'tray', most: 5000, label: 'part on the tray', names: ['supersedes'] },
  trayMark: { list: 'trayMarks', most: 10_000, label: 'mark on a part of the tray', names: ['part'] }
} as const satisfies Readonly<Record<string, EntryKind>>;

interface EntryKind {
  readonly list: string;
  readonly most: number;
  readonly label: string;
  readonly names: readonly string[];
}

export type EntryType = keyof typeof entryKinds;
export const entryTypes = Object.keys(entryKinds) as EntryType[];

/** What can be appended to a survey. */
export type Entry = {
  [T in EntryType]: { readonly type: T; readonly body: z.infer<EntrySchemas[T]> };
}[EntryType];

/** The survey with entries added to the lists they belong to; one already there is left as it is. */
export function withEntries(survey: SurveyFile, added: readonly Entry[]): SurveyFile {
  if (!added.length) return survey;
  const next = { ...survey } as Record<string, unknown> & SurveyFile;
  for (const type of entryTypes) {
    const mine = added.filter((e) => e.type === type).map((e) => e.body);
    if (!mine.length) continue;
    const key = entryKinds[type].list;
    const old = (next[key] ?? []) as { id: string }[];
    const have = new Set(old.map((e) => e.id));
    (next as Record<string, unknown>)[key] = [...old, ...mine.filter((e) => !have.has(e.id))];
  }
  return next;
}

/** The survey without the entries of these ids, whatever their kind: what the server did not take. */
export function withoutEntries(survey: SurveyFile, ids: ReadonlySet<string>): SurveyFile {
  if (!ids.size) return survey;
  const next = { ...survey } as Record<string, unknown> & SurveyFile;
  for (const { list } of Object.values(entryKinds)) {
    const old = next[list] as readonly { id: string }[] | undefined;
    if (old?.some((e) => ids.has(e.id))) (next as Record<string, unknown>)[list] = old.filter((e) => !ids.has(e.id));
  }
  return next;
}

/** Every entry of a survey file, for import. */
export const entriesOf = (survey: SurveyFile): Entry[] =>
  entryTypes.flatMap((type) =>
    ((survey[entryKinds[type].list] ?? []) as unknown[]).map((body) => ({ type, body }) as Entry)
  );

/** Entries with ids of their own, so that a file can be taken in twice; whatever named one of them names it still. */
export function withFreshIds(list: readonly Entry[], newId: () => string): Entry[] {
  const fresh = new Map(list.map((e) => [e.body.id, newId()]));
  return list.map((e) => {
    const body: Record<string, unknown> = { ...e.body, id: fresh.get(e.body.id) };
    for (const field of entryKinds[e.type].names) {
      const named = body[field];
      if (typeof named === 'string') body[field] = fresh.get(named) ?? named;
    }
    return { type: e.type, body } as unknown as Entry;
  });
}
