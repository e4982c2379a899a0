import { isDeepStrictEqual } from 'node:util';
import { hasCylinder } from '../../../core/record/current.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { factSchema } from '../../../core/engine/fact.ts';
import { refusal } from '../../../core/holds/index.ts';
import { judged } from '../../../core/assess.ts';
import { checkEntryBody } from '../../../core/survey/entry-check.ts';
import { withEntries, type Entry } from '../../../core/record/entries.ts';
import type { Batch, BatchAnswer } from '../../../core/survey/wire.ts';
import { appendFact, factsAfter } from './engines.ts';
import { dbOf, type StoreOptions } from './context.ts';
import { appendEntry, entriesAfter, loadSurvey, storedEntry } from './surveys.ts';

const idOf = (x: unknown): string =>
  typeof x === 'object' && x !== null && 'id' in x && typeof x.id === 'string' ? x.id : '';

/** Why a reading is of a cylinder that this engine does not have. What was read before the count was changed is kept. */
function misplaced(survey: SurveyFile, entry: Entry): string | undefined {
  if (entry.type !== 'reading' || entry.body.withdrawn || hasCylinder(survey, entry.body)) return undefined;
  return `Not saved: this engine has ${survey.engine.profile.cylinders} cylinders, and there is no cylinder ${entry.body.cylinder}. Change the number in its profile first.`;
}

/** Why an id cannot be used again: another entry has it. The same entry sent twice is no harm. */
function taken(surveyId: string, entry: Entry, o: StoreOptions): string | undefined {
  const old = storedEntry(entry.body.id, o);
  if (!old) return undefined;
  const same = old.surveyId === surveyId && old.type === entry.type && isDeepStrictEqual(old.body, entry.body);
  return same
    ? undefined
    : `Not saved: another entry has the id "${entry.body.id}". Send it again with one of its own.`;
}

/** Takes a batch of entries and facts, refusing one by one what is malformed or held, and answers with all that is new. */
export function appendBatch(surveyId: string, batch: Batch, o: StoreOptions = {}): BatchAnswer | undefined {
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
      const wrong = misplaced(survey, entry) ?? taken(surveyId, entry, o);
      if (wrong) {
        refused.push({ id: entry.body.id, message: wrong });
        continue;
      }
      const held =
        entry.type === 'reading' && !entry.body.withdrawn
          ? refusal(judged(survey, o.now ?? new Date(), 'metric').holds, entry.body.what, entry.body.value)
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
