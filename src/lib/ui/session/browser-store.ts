import { openDB, type IDBPDatabase } from 'idb';

/**
 * A store of this browser with one kind of thing in it, opened when it is first asked for. Asynchronous from the first line: where a
 * browser has no such store, asking for it throws at once.
 */
export function browserStore(name: string, store: string, keyPath: string): () => Promise<IDBPDatabase> {
  let opened: Promise<IDBPDatabase> | undefined;
  return async () => (opened ??= openDB(name, 1, { upgrade: (db) => void db.createObjectStore(store, { keyPath }) }));
}
