import { factSchema } from '../../../core/engine/fact.ts';
import { refusal } from '../../../core/holds/index.ts';
import { judge } from '../../../core/judge.ts';
import { checkEntryBody } from '../../../core/survey/entry-check.ts';
import { withEntries } from '../../../core/record/entries.ts';
import { appendFact, factsAfter, type StoredFact } from './engines.ts';
import { dbOf, type StoreOptions } from './context.ts';
import { appendEntry, entriesAfter, loadSurvey, type StoredEntry } from './surveys.ts';

export interface Batch {
  readonly since: number;
  readonly factSince: number;
  readonly entries: readonly { readonly type?: unknown; readonly body?: unknown }[];
  readonly facts: readonly unknown[];
}

export interface BatchResult {
  readonly entries: StoredEntry[];
  readonly facts: StoredFact[];
  /** What was not taken, by id, each with its sentence; everything else of the batch was. */
  readonly refused: { readonly id: string; readonly message: string }[];
}

const idOf = (x: unknown): string =>
  typeof x === 'object' && x !== null && 'id' in x && typeof x.id === 'string' ? x.id : '';

/** Takes a batch of entries and facts, refusing one by one what is malformed or held, and answers with all that is new. */
export function appendBatch(surveyId: string, batch: Batch, o: StoreOptions = {}): BatchResult | undefined {
  const loaded = loadSurvey(surveyId, o);
  if (!loaded) return undefined;
  const { engineId } = loaded.head;
  const refused: { id: string; message: string }[] = [];
  dbOf(o).transaction(() => {
    for (const raw of batch.facts) {
      const fact = factSchema.safeParse(raw);
      if (fact.success) appendFact(engineId, fact.data, o);
      else
        refused.push({
          id: idOf(raw),
          message: `Not saved: ${fact.error.issues[0]?.message ?? 'it is not well formed'}.`
        });
    }
    let survey = batch.facts.length ? loadSurvey(surveyId, o)!.survey : loaded.survey;
    for (const raw of batch.entries) {
      const checked = checkEntryBody(raw.type, raw.body);
      if (!checked.ok) {
        refused.push({ id: idOf(raw.body), message: checked.message });
        continue;
      }
      const { entry } = checked;
      const held =
        entry.type === 'reading' && !entry.body.withdrawn
          ? refusal(judge(survey, o.now ?? new Date(), 'metric').holds, entry.body.what, entry.body.value)
          : undefined;
      if (held) {
        refused.push({ id: entry.body.id, message: held });
        continue;
      }
      appendEntry(surveyId, entry, o);
      survey = withEntries(survey, [entry]);
    }
  });
  return { entries: entriesAfter(surveyId, batch.since, o), facts: factsAfter(engineId, batch.factSince, o), refused };
}
