import { database, type Db } from '../db/open.ts';

/** What every store call may be given in place of the shared connection and the machine's clock. */
export interface StoreOptions {
  readonly db?: Db;
  readonly now?: Date;
}

export const dbOf = (o: StoreOptions = {}): Db => o.db ?? database();
export const nowOf = (o: StoreOptions = {}): string => (o.now ?? new Date()).toISOString();

const statements = new WeakMap<Db, Map<string, unknown>>();

/** A statement prepared once a connection: building and preparing it costs more than running it. */
export function prepared<T>(o: StoreOptions, name: string, build: (db: Db) => T): T {
  const db = dbOf(o);
  const mine = statements.get(db) ?? new Map<string, unknown>();
  statements.set(db, mine);
  if (!mine.has(name)) mine.set(name, build(db));
  return mine.get(name) as T;
}
