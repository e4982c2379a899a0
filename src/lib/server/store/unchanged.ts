import { dbOf, prepared, type StoreOptions } from './context.ts';
import type { Db } from '../db/open.ts';

/** Results kept a database: one for each page of a few engines. */
const KEEP = 96;

interface Kept {
  version: string;
  readonly results: Map<string, unknown>;
}
const kept = new WeakMap<Db, Kept>();

/**
 * Changes with every write: by this connection (its own count of changed rows), and by any other one, of this process or another.
 * P: SQLite, "PRAGMA data_version" and total_changes().
 */
function versionOf(o: StoreOptions): string {
  const { data_version: others } = prepared(o, 'data-version', (db) =>
    db.$client.prepare('pragma data_version')
  ).get() as {
    data_version: number;
  };
  const { own } = prepared(o, 'total-changes', (db) => db.$client.prepare('select total_changes() as own')).get() as {
    own: number;
  };
  return `${own}|${others}`;
}

/**
 * What `make` works out of the database, kept until anything is written to it. `key` names the work with all that it depends on
 * beside the database: units, the minute. The result is shared, so nobody changes it. A throw is not kept, nor
 * is a promise that fails.
 */
export function whileUnchanged<T>(key: string, make: () => T, o: StoreOptions = {}): T {
  const db = dbOf(o);
  const version = versionOf(o);
  const mine = kept.get(db) ?? { version, results: new Map<string, unknown>() };
  kept.set(db, mine);
  if (mine.version !== version) {
    mine.version = version;
    mine.results.clear();
  }
  if (mine.results.has(key)) return mine.results.get(key) as T;
  const made = make();
  // Work that wrote something itself is of the state after it.
  mine.version = versionOf(o);
  if (mine.version !== version) mine.results.clear();
  if (mine.results.size >= KEEP) mine.results.delete(mine.results.keys().next().value!);
  mine.results.set(key, made);
  if (made instanceof Promise) made.catch(() => mine.results.get(key) === made && mine.results.delete(key));
  return made;
}

/** The minute it is, ms: pages of one minute share what was worked out for it. */
export const thisMinute = (now = Date.now()): number => Math.floor(now / 60_000) * 60_000;
