import { dbOf, prepared, type StoreOptions } from './context.ts';
import type { Db } from '../db/open.ts';

/** So much text is kept a database, characters: the pages of some dozens of engines, or of a few very long records. */
const ROOM = 32e6;
/** What a result without text counts as. */
const LEAST = 10_000;

interface Result {
  readonly value: unknown;
  size: number;
}
interface Kept {
  version: string;
  readonly results: Map<string, Result>;
}

/** Text in a result, characters or bytes, as deep as pages are nested; what a promise brings is counted when it is there. */
function sizeOf(value: unknown, depth = 3): number {
  if (typeof value === 'string' || value instanceof Uint8Array) return value.length;
  if (typeof value !== 'object' || value === null || depth === 0) return 0;
  return Object.values(value).reduce<number>((sum, x) => sum + sizeOf(x, depth - 1), 0);
}

/** Lets go of the oldest results until the rest has room. */
function makeRoom(results: Map<string, Result>): void {
  let total = 0;
  for (const r of results.values()) total += r.size;
  for (const [key, r] of results) {
    if (total <= ROOM || results.size === 1) return;
    results.delete(key);
    total -= r.size;
  }
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
  const mine = kept.get(db) ?? { version, results: new Map<string, Result>() };
  kept.set(db, mine);
  if (mine.version !== version) {
    mine.version = version;
    mine.results.clear();
  }
  const old = mine.results.get(key);
  if (old) return old.value as T;
  const value = make();
  // Work that wrote something itself is of the state after it.
  mine.version = versionOf(o);
  if (mine.version !== version) mine.results.clear();
  const result: Result = { value, size: LEAST + sizeOf(value) };
  mine.results.set(key, result);
  if (value instanceof Promise)
    value.then(
      (there) => {
        result.size += sizeOf(there);
        makeRoom(mine.results);
      },
      () => mine.results.get(key) === result && mine.results.delete(key)
    );
  makeRoom(mine.results);
  return value;
}

/** The minute it is, ms: pages of one minute share what was worked out for it. */
export const thisMinute = (now = Date.now()): number => Math.floor(now / 60_000) * 60_000;
