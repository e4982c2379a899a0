import fs from 'node:fs/promises';
import { existsSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { DATABASE, dataDirectory } from '../db/open.ts';
import { log } from '../log.ts';
import { backUp } from './backup.ts';

const DAY = 24 * 3_600_000;
/** Looked at so often; a yard that is switched off at night is backed up when it comes back. */
const LOOK = 15 * 60_000;
/** Kept: the last so many, and of the older ones the first of each week for so many weeks. */
const KEEP = { last: 7, weeks: 5 } as const;
const NAME = /^indaga-(\d{4}-\d{2}-\d{2}T\d{6}Z)\.zip$/;

/** When a yard was last backed up, by whatever way; beside the database. */
const noteFile = (directory: string): string => path.join(directory, 'last-backup.json');
export interface LastBackup {
  readonly at: string;
  readonly file: string;
}

export async function noteBackup(directory: string, last: LastBackup): Promise<void> {
  await fs.writeFile(noteFile(directory), `${JSON.stringify(last)}\n`);
}

export function lastBackup(directory = dataDirectory()): LastBackup | undefined {
  try {
    const last = JSON.parse(readFileSync(noteFile(directory), 'utf8')) as LastBackup;
    return Number.isNaN(Date.parse(last.at)) ? undefined : last;
  } catch {
    return undefined;
  }
}

/** What the yard says about its backup: nothing while one is younger than a day, or the yard itself is. */
export function backupOverdue(now = new Date(), directory = dataDirectory()): { readonly last?: string } | undefined {
  const last = lastBackup(directory);
  if (last) return now.getTime() - Date.parse(last.at) > DAY ? { last: last.at } : undefined;
  const file = path.join(directory, DATABASE);
  return existsSync(file) && now.getTime() - statSync(file).birthtimeMs > DAY ? {} : undefined;
}

const stampOf = (now: Date): string =>
  now
    .toISOString()
    .replace(/\.\d+Z$/, 'Z')
    .replace(/:/g, '');

/** Which of the scheduled backups are not kept any more, by name. */
export function surplus(names: readonly string[]): string[] {
  const own = names
    .filter((n) => NAME.test(n))
    .sort()
    .reverse();
  const weekOf = (n: string): number => {
    const stamp = NAME.exec(n)![1]!;
    return Math.floor((Date.parse(`${stamp.slice(0, 10)}T00:00:00Z`) / DAY + 3) / 7);
  };
  const older = own.slice(KEEP.last);
  const firstOfWeek = new Map<number, string>();
  for (const n of older) firstOfWeek.set(weekOf(n), n);
  const kept = new Set(
    [...firstOfWeek.entries()]
      .sort(([a], [b]) => b - a)
      .slice(0, KEEP.weeks)
      .map(([, n]) => n)
  );
  return older.filter((n) => !kept.has(n));
}

let running = false;
/** Makes the backup that is due, and clears away what is not kept. */
export async function backupIfDue(to: string, now = new Date(), directory = dataDirectory()): Promise<boolean> {
  const last = lastBackup(directory);
  if (running || (last && now.getTime() - Date.parse(last.at) < DAY)) return false;
  running = true;
  try {
    await fs.mkdir(to, { recursive: true });
    const file = path.join(to, `indaga-${stampOf(now)}.zip`);
    const made = await backUp(directory, file, { now });
    await noteBackup(directory, { at: made.at, file });
    for (const name of surplus(await fs.readdir(to))) await fs.rm(path.join(to, name), { force: true });
    log.info({ file, engines: made.engines, photographs: made.photographs }, 'backed up');
    return true;
  } finally {
    running = false;
  }
}

/** Begins to look whether a backup is due, where INDAGA_BACKUPS names a directory for them. */
export function startBackups(): void {
  const to = process.env.INDAGA_BACKUPS;
  if (!to) return;
  const look = (): void =>
    void backupIfDue(path.resolve(to)).catch((err: unknown) =>
      log.error({ err }, 'the backup that was due could not be made')
    );
  look();
  setInterval(look, LOOK).unref();
}
