import Database from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import fs from 'node:fs';
import path from 'node:path';
import * as schema from './schema.ts';

export type Db = BetterSQLite3Database<typeof schema> & { $client: Database.Database };

/** Where this installation keeps its data. */
export const dataDirectory = (): string => path.resolve(process.env.INDAGA_DATA ?? 'data');

const migrations = (): string => path.resolve(process.env.INDAGA_MIGRATIONS ?? 'drizzle');

function pending(client: Database.Database): boolean {
  const journal = JSON.parse(fs.readFileSync(path.join(migrations(), 'meta', '_journal.json'), 'utf8')) as {
    entries: unknown[];
  };
  const table = client.prepare("select name from sqlite_master where name = '__drizzle_migrations'").get();
  if (!table) return false;
  const { n } = client.prepare('select count(*) as n from __drizzle_migrations').get() as { n: number };
  return n < journal.entries.length;
}

/**
 * Opens the database, backs it up before a migration and migrates it. WAL with full synchronisation: what was
 * confirmed to a user survives a killed process and a pulled plug.
 */
export function openDatabase(directory = dataDirectory()): Db {
  fs.mkdirSync(directory, { recursive: true });
  const file = path.join(directory, 'indaga.sqlite');
  const client = new Database(file);
  client.pragma('journal_mode = WAL');
  client.pragma('synchronous = FULL');
  client.pragma('foreign_keys = ON');
  client.pragma('busy_timeout = 5000');
  if (pending(client)) {
    const stamp = new Date().toISOString().replace(/[:.]/g, '-');
    client.prepare('vacuum into ?').run(path.join(directory, `before-migration-${stamp}.sqlite`));
  }
  const db = drizzle(client, { schema }) as Db;
  migrate(db, { migrationsFolder: migrations() });
  return db;
}

let shared: Db | undefined;
/** The one connection of this process. */
export const database = (): Db => (shared ??= opened());

/** Lines of the yard were judged by the program that ran before this one: judged anew by this one. */
function opened(): Db {
  const db = openDatabase();
  db.delete(schema.summaries).run();
  return db;
}
