import Database from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import fs from 'node:fs';
import path from 'node:path';
import { cacheTables } from './cache-tables.ts';
import { NotStarted } from '../problems.ts';
import * as schema from './schema.ts';

export type Db = BetterSQLite3Database<typeof schema> & { $client: Database.Database };

/** Where this installation keeps its data. */
export const dataDirectory = (): string => path.resolve(process.env.INDAGA_DATA ?? 'data');
export const DATABASE = 'indaga.sqlite';

const migrations = (): string => path.resolve(process.env.INDAGA_MIGRATIONS ?? 'drizzle');

/** How many migrations this program has, and how many the file has seen. */
function versions(client: Database.Database): {
  readonly known: number;
  readonly seen: number;
  readonly newest: number;
} {
  const journal = JSON.parse(fs.readFileSync(path.join(migrations(), 'meta', '_journal.json'), 'utf8')) as {
    entries: { when: number }[];
  };
  const known = journal.entries.length;
  const newest = Math.max(0, ...journal.entries.map((e) => e.when));
  const table = client.prepare("select name from sqlite_master where name = '__drizzle_migrations'").get();
  if (!table) return { known, seen: 0, newest: 0 };
  const { n, last } = client
    .prepare('select count(*) as n, ifnull(max(created_at), 0) as last from __drizzle_migrations')
    .get() as { n: number; last: number };
  return { known, seen: n, newest: last > newest ? last : 0 };
}

/** What may be kept of the directory before it is touched; a problem in one sentence. */
function lookedAt(directory: string): { readonly file: string; readonly isNew: boolean } {
  const file = path.join(directory, DATABASE);
  try {
    fs.mkdirSync(directory, { recursive: true });
    fs.accessSync(directory, fs.constants.R_OK | fs.constants.W_OK | fs.constants.X_OK);
    const probe = path.join(directory, `.write-${process.pid}`);
    fs.writeFileSync(probe, '');
    fs.rmSync(probe, { force: true });
  } catch (err) {
    const { code } = err as NodeJS.ErrnoException;
    throw code === 'ENOSPC' || code === 'EDQUOT'
      ? new NotStarted(
          5,
          `There is no room left on the disk of ${directory}. Make room, then start again; nothing was changed.`
        )
      : new NotStarted(
          4,
          code === 'EEXIST' || code === 'ENOTDIR'
            ? `${directory} is no directory. Name another one in INDAGA_DATA.`
            : `Nothing can be written in ${directory}: give this user the right to, or name another directory in INDAGA_DATA.`
        );
  }
  if (fs.existsSync(file)) {
    if (fs.statSync(file).size === 0)
      throw new NotStarted(
        6,
        `${file} is empty: it was cut off or made by something else. Restore the last backup (npm run restore), or move the file away to begin a new yard.`
      );
    return { file, isNew: false };
  }
  const left = fs
    .readdirSync(directory)
    .filter((n) => /^(photos|signed-records\.txt|indaga\.sqlite-wal|before-migration-.*)$/.test(n));
  if (left.length)
    throw new NotStarted(
      6,
      `${directory} holds ${left.join(', ')} of a yard, and its database is gone. Restore the last backup (npm run restore), or begin a new yard in an empty directory.`
    );
  return { file, isNew: true };
}

/** One copy for each version that is left behind; one that stands already is the older truth and stays. */
function copyBefore(client: Database.Database, directory: string, seen: number): void {
  const copy = path.join(directory, `before-migration-${seen + 1}.sqlite`);
  if (fs.existsSync(copy)) return;
  const part = `${copy}.part`;
  fs.rmSync(part, { force: true });
  client.prepare('vacuum into ?').run(part);
  fs.renameSync(part, copy);
}

/**
 * Opens the database, looks whether it is whole and of a version that this program knows, copies it before a migration and migrates
 * it. WAL with full synchronisation: what was confirmed to a user survives a killed process and a pulled plug.
 * @throws NotStarted with one sentence and an exit code
 */
export function openDatabase(directory = dataDirectory()): Db {
  const { file, isNew } = lookedAt(directory);
  let client: Database.Database | undefined;
  try {
    client = new Database(file);
    client.pragma('busy_timeout = 5000');
    const [{ quick_check: state } = { quick_check: 'no answer' }] = client.pragma('quick_check(1)') as {
      quick_check: string;
    }[];
    if (state !== 'ok') throw damaged(file);
    const { known, seen, newest } = versions(client);
    if (seen > known || newest)
      throw new NotStarted(
        7,
        `${file} was written by a newer Indaga. Update this one, or restore a backup of before; nothing was changed.`
      );
    client.pragma('journal_mode = WAL');
    client.pragma('synchronous = FULL');
    client.pragma('foreign_keys = ON');
    client.pragma('temp_store = MEMORY');
    if (!isNew && seen < known) copyBefore(client, directory, seen);
    const db = drizzle(client, { schema }) as Db;
    migrate(db, { migrationsFolder: migrations() });
    client.exec(cacheTables);
    return db;
  } catch (err) {
    client?.close();
    throw problemOf(err, file, directory);
  }
}

const damaged = (file: string): NotStarted =>
  new NotStarted(
    6,
    `${file} is damaged or is no database. Keep it as it is, and restore the last backup into an empty directory (npm run restore).`
  );

/** What went wrong while it was opened, as a sentence for whoever starts it. */
function problemOf(err: unknown, file: string, directory: string): unknown {
  const { code } = err as { code?: string };
  if (err instanceof NotStarted || !code) return err;
  if (/^SQLITE_(NOTADB|CORRUPT)/.test(code)) return damaged(file);
  if (code === 'SQLITE_FULL' || code === 'ENOSPC')
    return new NotStarted(
      5,
      `There is no room left on the disk of ${directory}. Make room, then start again; nothing was changed.`
    );
  if (/^SQLITE_(READONLY|CANTOPEN|PERM)/.test(code) || code === 'EACCES')
    return new NotStarted(
      4,
      `${file} cannot be written: give this user the right to, or name another directory in INDAGA_DATA.`
    );
  if (/^SQLITE_BUSY|^SQLITE_LOCKED/.test(code))
    return new NotStarted(8, `${file} is held by another program. Stop that one, then start again.`);
  return err;
}

let shared: Db | undefined;
/** The one connection of this process. */
export const database = (): Db => (shared ??= openDatabase());

const HELD = Symbol.for('indaga.held');

/**
 * Holds a data directory for this server as long as the process lives, however it ends: two servers on one yard would each answer from
 * what it remembers. An exclusive lock on a file of its own; tools that read beside it (backup, verify) do not ask for it.
 * @throws NotStarted when another server has it
 */
export function holdDirectory(directory = dataDirectory()): void {
  const held = ((globalThis as Record<symbol, unknown>)[HELD] ??= new Map<string, Database.Database>()) as Map<
    string,
    Database.Database
  >;
  if (held.has(directory)) return;
  const lock = new Database(path.join(directory, 'server.lock'));
  try {
    lock.pragma('busy_timeout = 0');
    lock.exec('begin exclusive');
  } catch {
    lock.close();
    throw new NotStarted(
      8,
      `Another Indaga works in ${directory}. Stop that one, or name another directory in INDAGA_DATA.`
    );
  }
  held.set(directory, lock);
}
