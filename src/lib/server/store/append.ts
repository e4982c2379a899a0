import { isDeepStrictEqual } from 'node:util';
import { hasCylinder } from '../../../core/record/current.ts';
import { namesNone } from '../../../core/survey/placed.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { factSchema } from '../../../core/engine/fact.ts';
import { contextWithWork } from '../../../core/jobs/work.ts';
import { doesSomething, refusal } from '../../../core/holds/against.ts';
import { holdsOf } from '../../../core/holds/holds.ts';
import type { Reading } from '../../../core/record/reading.ts';
import { wrongReferenceOf } from '../../../core/survey/references.ts';
import { placed } from '../../../core/survey/placed.ts';
import { checkEntryBody } from '../../../core/survey/entry-check.ts';
import { withEntries, type Entry } from '../../../core/record/entries.ts';
import type { Batch, BatchAnswer } from '../../../core/survey/wire.ts';
import { mayNot, type Actor } from '../access/actor.ts';
import { changed } from './changes.ts';
import { appendFact, factsAfter, loadEngine, storedFact } from './engines.ts';
import { dbOf, nowOf, type StoreOptions } from './context.ts';
import { appendEntry, entriesAfter, loadSurvey, storedEntry } from './surveys.ts';

/** One thing of a batch as it arrived. */
interface Sent {
  readonly kind: 'entry' | 'fact';
  readonly raw: unknown;
  readonly id: string;
  /** ms; of what cannot be read, never. */
  readonly at: number;
}

const field = (x: unknown, name: 'id' | 'at'): string => {
  const value = typeof x === 'object' && x !== null ? (Object.getOwnPropertyDescriptor(x, name)?.value as unknown) : '';
  return typeof value === 'string' ? value : '';
};

/** Why a reading is of no cylinder that this engine has. What was read before the count was changed is kept. */
function wrongCylinder(survey: SurveyFile, reading: Reading): string | undefined {
  const { profile } = survey.engine;
  if (namesNone(profile, reading))
    return `Not saved: it is read at one of ${profile.cylinders} cylinders, and none is named. Say at which.`;
  return hasCylinder(survey, reading)
    ? undefined
    : `Not saved: this engine has ${profile.cylinders} cylinders, and there is no cylinder ${reading.cylinder}. Change the number in its profile first.`;
}

/** What was sent, in the order in which it was made: by the batch's own list, else by its times. */
function inOrder(batch: Batch): Sent[] {
  const list: Sent[] = [
    ...batch.facts.map(
      (raw) => ({ kind: 'fact', raw, id: field(raw, 'id'), at: Date.parse(field(raw, 'at')) }) as const
    ),
    ...batch.entries.map(
      (raw) => ({ kind: 'entry', raw, id: field(raw.body, 'id'), at: Date.parse(field(raw.body, 'at')) }) as const
    )
  ];
  const place = batch.order && new Map(batch.order.map((id, k) => [id, k]));
  const key = (s: Sent): number =>
    place ? (place.get(s.id) ?? Number.MAX_SAFE_INTEGER) : Number.isNaN(s.at) ? Number.MAX_SAFE_INTEGER : s.at;
  return list
    .map((s, k) => ({ s, k }))
    .sort((a, b) => key(a.s) - key(b.s) || a.k - b.k)
    .map(({ s }) => s);
}

/** Whether an id is free, has this very entry already (a retry), or another one. Asked before any rule: what was confirmed is never refused later. */
function entryIs(surveyId: string, sent: Sent, o: StoreOptions): 'free' | 'stored' | 'taken' {
  const old = storedEntry(sent.id, o);
  if (!old) return 'free';
  const { type, body } = sent.raw as { type: unknown; body: unknown };
  if (old.surveyId !== surveyId || old.type !== type) return 'taken';
  if (isDeepStrictEqual(old.body, body)) return 'stored';
  const checked = checkEntryBody(type, body);
  if (!checked.ok) return 'taken';
  const { cylinder: _whose, ...unplaced } = old.body as Reading;
  return [old.body, unplaced].some((x) => isDeepStrictEqual(x, checked.entry.body)) ? 'stored' : 'taken';
}

function factIs(engineId: string, sent: Sent, o: StoreOptions): 'free' | 'stored' | 'taken' {
  const old = storedFact(sent.id, o);
  if (!old) return 'free';
  const { path, value } = sent.raw as { path: unknown; value: unknown };
  return old.engineId === engineId && old.path === path && isDeepStrictEqual(old.value, value ?? null)
    ? 'stored'
    : 'taken';
}

const another = (id: string): string =>
  `Not saved: another entry has the id "${id}". Send it again with one of its own.`;

/** The survey while a batch goes in: what its holds are is worked out once for as long as nothing was added to it. */
class Growing {
  private holds: ReturnType<typeof holdsOf> | undefined;
  constructor(
    public survey: SurveyFile,
    private readonly now: Date
  ) {}

  add(entry: Entry): void {
    this.survey = withEntries(this.survey, [entry]);
    this.holds = undefined;
  }
  placed(entry: Entry): Entry {
    return entry.type === 'reading' ? { ...entry, body: placed(this.survey.engine.profile, entry.body) } : entry;
  }
  engine(engine: SurveyFile['engine']): void {
    this.survey = { ...this.survey, engine };
    this.holds = undefined;
  }
  /** Why an entry may not be taken, in one sentence; nothing when it may. */
  refusalOf(entry: Entry): string | undefined {
    const reference = wrongReferenceOf(this.survey, entry);
    if (reference) return `Not saved: ${reference.message.charAt(0).toLowerCase()}${reference.message.slice(1)}`;
    if (entry.type !== 'reading' || entry.body.withdrawn) return undefined;
    const { what, value } = entry.body;
    const misplaced = wrongCylinder(this.survey, entry.body);
    if (misplaced || !doesSomething(what, value)) return misplaced;
    this.holds ??= holdsOf(contextWithWork(this.survey, this.now, 'metric'));
    return refusal(this.holds, what, value);
  }
}

/**
 * Takes a batch of entries and facts in the order in which they were made, refusing one by one what is malformed, held, or not for the
 * one who sends it to say, and answers with all that is new. What the store has already is acknowledged before any rule is asked.
 */
export function appendBatch(
  surveyId: string,
  batch: Batch,
  o: StoreOptions & { readonly actor?: Actor } = {}
): BatchAnswer | undefined {
  const loaded = loadSurvey(surveyId, o);
  if (!loaded) return undefined;
  const { engineId } = loaded.head;
  const refused: { id: string; message: string }[] = [];
  let added = 0;
  dbOf(o).transaction(() => {
    const growing = new Growing(loaded.survey, o.now ?? new Date());
    const takeFact = (sent: Sent): string | undefined => {
      const is = factIs(engineId, sent, o);
      if (is !== 'free') return is === 'stored' ? undefined : another(sent.id);
      const fact = factSchema.safeParse(sent.raw);
      if (!fact.success) return `Not saved: ${fact.error.issues[0]?.message ?? 'it is not well formed'}.`;
      appendFact(engineId, fact.data, o);
      growing.engine(loadEngine(engineId, o));
      added++;
      return undefined;
    };
    const takeEntry = (sent: Sent): string | undefined => {
      const is = entryIs(surveyId, sent, o);
      if (is !== 'free') return is === 'stored' ? undefined : another(sent.id);
      const { type, body } = sent.raw as { type: unknown; body: unknown };
      const checked = checkEntryBody(type, body);
      if (!checked.ok) return checked.message;
      const entry = growing.placed(checked.entry);
      const no = mayNot(o.actor, entry) ?? growing.refusalOf(entry);
      if (no) return no;
      appendEntry(surveyId, entry, o);
      growing.add(entry);
      added++;
      return undefined;
    };
    for (const sent of inOrder(batch)) {
      const message = sent.kind === 'fact' ? takeFact(sent) : takeEntry(sent);
      if (message) refused.push({ id: sent.id, message });
    }
  });
  if (added) changed(surveyId);
  return {
    entries: entriesAfter(surveyId, batch.since, o),
    facts: factsAfter(engineId, batch.factSince, o),
    refused,
    now: nowOf(o)
  };
}
