import type { SurveyFile } from '$core/record/survey-file.ts';
import { browserStore } from './browser-store.ts';

/** A survey as this browser last knew it, and up to where the server had told. */
export interface Snapshot {
  readonly surveyId: string;
  readonly seq: number;
  readonly factSeq: number;
  readonly survey: SurveyFile;
}

const STORE = 'surveys';
const database = browserStore('indaga-surveys', STORE, 'surveyId');

/**
 * Keeps a survey: a page that is opened without a connection is as old as its copy, and this is newer. A browser without a store
 * keeps nothing, and the page shows what it came with.
 */
export async function keepSnapshot(s: Snapshot): Promise<void> {
  await database()
    .then((db) => db.put(STORE, s))
    .catch(() => undefined);
}

/** What was kept of a survey, if it is newer than what the page came with. */
export async function newerSnapshot(
  surveyId: string,
  told: { readonly seq: number; readonly factSeq: number }
): Promise<Snapshot | undefined> {
  const kept = await database()
    .then((db) => db.get(STORE, surveyId) as Promise<Snapshot | undefined>)
    .catch(() => undefined);
  return kept && (kept.seq > told.seq || kept.factSeq > told.factSeq) ? kept : undefined;
}
