import { isDeepStrictEqual } from 'node:util';
import { hasCylinder } from '../../../core/record/current.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { factSchema } from '../../../core/engine/fact.ts';
import { contextWithWork } from '../../../core/jobs/work.ts';
import { doesSomething, holdsOf, refusal } from '../../../core/holds/index.ts';
import type { Reading } from '../../../core/record/reading.ts';
import { checkEntryBody } from '../../../core/survey/entry-check.ts';
import { withEntries, type Entry } from '../../../core/record/entries.ts';
import type { Batch, BatchAnswer } from '../../../core/survey/wire.ts';
import { changed } from './changes.ts';
import { appendFact, factsAfter } from './engines.ts';
import { dbOf, type StoreOptions } from './context.ts';
import { appendEntry, entriesAfter, loadSurvey, storedEntry } from './surveys.ts';

const idOf = (x: unknown): string =>
  typeof x === 'object' && x !== null && 'id' in x && typeof x.id === 'string' ? x.id : '';

/** Why a reading is of a cylinder that this engine does not have. What was read before the count was changed is kept. */
const wrongCylinder = (survey: SurveyFile, reading: Reading): string | undefined =>
  hasCylinder(survey, reading)
    ? undefined
    : `Not saved: this engine has ${survey.engine.profile.cylinders} cylinders, and there is no cylinder ${reading.cylinder}. Change the number in its profile first.`;

/** Whether an id is free, has this very entry already (a retry), or another one. */
function idIs(surveyId: string, entry: Entry, o: StoreOptions): 'free' | 'stored' | 'taken' {
  const old = storedEntry(entry.body.id, o);
  if (!old) return 'free';
  const same = old.surveyId === surveyId && old.type === entry.type && isDeepStrictEqual(old.body, entry.body);
  return same ? 'stored' : 'taken';
}

/** Why an entry may not be taken, in one sentence; nothing when it may. */
function refusalOf(survey: SurveyFile, entry: Entry, o: StoreOptions): string | undefined {
  if (entry.type !== 'reading' || entry.body.withdrawn) return undefined;
  const { what, value } = entry.body;
  const misplaced = wrongCylinder(survey, entry.body);
  if (misplaced || !doesSomething(what, value)) return misplaced;
  return refusal(holdsOf(contextWithWork(survey, o.now ?? new Date(), 'metric')), what, value);
}

/** Takes a batch of entries and facts, refusing one by one what is malformed or held, and answers with all that is new. */
export function appendBatch(surveyId: string, batch: Batch, o: StoreOptions = {}): BatchAnswer | undefined {
  const loaded = loadSurvey(surveyId, o);
  if (!loaded) return undefined;
  const { engineId } = loaded.head;
  const refused: { id: string; message: string }[] = [];
  let added = 0;
  dbOf(o).transaction(() => {
    for (const raw of batch.facts) {
      const fact = factSchema.safeParse(raw);
      if (fact.success) {
        appendFact(engineId, fact.data, o);
        added++;
      } else
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
      const id = idIs(surveyId, entry, o);
      if (id === 'stored') continue;
      const message =
        id === 'taken'
          ? `Not saved: another entry has the id "${entry.body.id}". Send it again with one of its own.`
          : refusalOf(survey, entry, o);
      if (message) {
        refused.push({ id: entry.body.id, message });
        continue;
      }
      appendEntry(surveyId, entry, o);
      added++;
      survey = withEntries(survey, [entry]);
    }
  });
  if (added) changed(surveyId);
  return { entries: entriesAfter(surveyId, batch.since, o), facts: factsAfter(engineId, batch.factSince, o), refused };
}
