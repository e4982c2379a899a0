import type { Fact } from '$core/engine/fact.ts';
import type { Entry } from '$core/record/entries.ts';
import { openDB, type IDBPDatabase } from 'idb';

export type Queued = { readonly kind: 'entry'; readonly entry: Entry } | { readonly kind: 'fact'; readonly fact: Fact };

/** One thing recorded and not yet confirmed. */
export interface Kept {
  readonly surveyId: string;
  readonly id: string;
  readonly queued: Queued;
}

export const idOf = (q: Queued): string => (q.kind === 'entry' ? q.entry.body.id : q.fact.id);

/**
 * Everything that this device has to send, one record each, whatever tab wrote it: two tabs of one engine add to one list and take out
 * only what was confirmed. Before it stands in the browser's database it stands in its small store, which writes at once: a page closed in
 * that moment loses nothing.
 */
const STORE = 'unsent';
const ASIDE = 'aside';
const JOURNAL = 'indaga-unsent:';
/** Lists of one engine each, as they were kept before. */
const OLD = 'indaga-outbox:';

let opened: Promise<IDBPDatabase> | undefined;
const database = async (): Promise<IDBPDatabase> =>
  (opened ??= openDB('indaga-outbox', 1, {
    upgrade: (db) => {
      const store = db.createObjectStore(STORE, { autoIncrement: true });
      store.createIndex('survey', 'surveyId');
      store.createIndex('id', 'id', { unique: true });
      db.createObjectStore(ASIDE, { autoIncrement: true });
    }
  }).catch((err: unknown) => {
    opened = undefined;
    throw err;
  }));

const jot = (k: Kept): boolean => {
  try {
    localStorage.setItem(JOURNAL + k.id, JSON.stringify(k));
    return true;
  } catch {
    return false;
  }
};
const unjot = (id: string): void => {
  try {
    localStorage.removeItem(JOURNAL + id);
  } catch {
    // Sent once more later; the server knows it.
  }
};

/** The keys of the small store that begin with a word. */
function keysOf(word: string): string[] {
  try {
    return Array.from({ length: localStorage.length }, (_, k) => localStorage.key(k) ?? '').filter((k) =>
      k.startsWith(word)
    );
  } catch {
    return [];
  }
}

/** What was jotted down and did not reach the database, and lists of the earlier kind. */
function jotted(): Kept[] {
  const parse = (key: string): unknown => {
    try {
      return JSON.parse(localStorage.getItem(key) ?? 'null');
    } catch {
      return null;
    }
  };
  return [
    ...keysOf(OLD).flatMap((key) => {
      const list = parse(key);
      return Array.isArray(list)
        ? (list as Queued[]).map((queued) => ({ surveyId: key.slice(OLD.length), id: idOf(queued), queued }))
        : [];
    }),
    ...keysOf(JOURNAL).flatMap((key) => {
      const k = parse(key) as Kept | null;
      return k?.surveyId && k.queued ? [k] : [];
    })
  ];
}

/**
 * Keeps one; false when this browser can keep it nowhere. It is safe when this returns: in the small store at once, in the database a
 * moment later.
 */
export function keepUnsent(k: Kept): { readonly safe: boolean; readonly stored: Promise<boolean> } {
  const safe = jot(k);
  const stored = database()
    .then((db) => db.add(STORE, k))
    .then(
      () => true,
      (err: unknown) => (err as { name?: string }).name === 'ConstraintError'
    )
    .then((ok) => {
      if (ok) unjot(k.id);
      return ok || safe;
    });
  return { safe, stored };
}

/** Everything that waits on this device, in the order in which it was recorded. */
export async function allUnsent(): Promise<Kept[]> {
  const late = jotted();
  const stored = await database()
    .then(async (db) => {
      for (const k of late) await db.add(STORE, k).catch(() => undefined);
      for (const k of late) unjot(k.id);
      for (const key of keysOf(OLD)) localStorage.removeItem(key);
      return (await db.getAll(STORE)) as Kept[];
    })
    .catch(() => [] as Kept[]);
  const have = new Set(stored.map((k) => k.id));
  return [...stored, ...late.filter((k) => !have.has(k.id))];
}

export const unsentOf = async (surveyId: string): Promise<Kept[]> =>
  (await allUnsent()).filter((k) => k.surveyId === surveyId);

/** Confirmed by the server, or answered with why it is not taken. */
export async function dropUnsent(ids: readonly string[]): Promise<void> {
  for (const id of ids) unjot(id);
  await database()
    .then(async (db) => {
      const tx = db.transaction(STORE, 'readwrite');
      // Where one of its requests fails, that is what rejects: nobody waits for the end of the transaction then.
      tx.done.catch(() => undefined);
      for (const id of ids) {
        const key = await tx.store.index('id').getKey(id);
        if (key !== undefined) await tx.store.delete(key);
      }
      await tx.done;
    })
    .catch(() => undefined);
}

/** What the server did not take is kept with its sentence: it was entered by somebody. */
export async function setAside(list: readonly { readonly kept: Kept; readonly message: string }[]): Promise<void> {
  await database()
    .then(async (db) => {
      for (const x of list) await db.add(ASIDE, { ...x, at: new Date().toISOString() });
    })
    .catch(() => undefined);
}

/** One thing that the server did not take, with the sentence that says why. */
export interface Aside {
  readonly key: number;
  readonly kept: Kept;
  readonly message: string;
  readonly at: string;
}

/** Everything that was set aside in this browser, oldest first; nothing where it keeps no database. */
export async function allAside(): Promise<Aside[]> {
  return database()
    .then(async (db) => {
      const keys = await db.getAllKeys(ASIDE);
      const list = (await db.getAll(ASIDE)) as Omit<Aside, 'key'>[];
      return list.map((x, k) => ({ ...x, key: Number(keys[k]) }));
    })
    .catch(() => []);
}

export const asideCount = (): Promise<number> =>
  database()
    .then((db) => db.count(ASIDE))
    .catch(() => 0);

/** Seen, and not wanted any more. */
export const forgetAside = (key: number): Promise<void> =>
  database()
    .then((db) => db.delete(ASIDE, key))
    .catch(() => undefined);
