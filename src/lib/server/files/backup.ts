import Database from 'better-sqlite3';
import { createHash, randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import fs from 'node:fs/promises';
import path from 'node:path';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Transform } from 'node:stream';
import yauzl from 'yauzl';
import yazl from 'yazl';
import { z } from 'zod';
import { DATABASE } from '../db/open.ts';
import { headsFile } from '../store/chain.ts';
import { openZip, eachEntry, streamOf } from './zip.ts';

/**
 * A whole yard in one file: a zip archive of the database, the exercises, every photograph, the list of signed records, and
 * `manifest.json` with the hash and size of each. The database is copied while it is in use and is of one moment; photographs are
 * written before anything names them, so those that it names are there.
 */
const FORMAT = 'indaga-backup';
const VERSION = 1;
const MANIFEST = 'manifest.json';
const PRACTICE = 'practice.sqlite';

const manifestSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.int().gte(1),
  at: z.string().max(40),
  engines: z.int().gte(0),
  photographs: z.int().gte(0),
  /** Signed records, and the end of their chain. */
  records: z.int().gte(0),
  head: z.string().max(100).nullable(),
  files: z
    .array(
      z.strictObject({ file: z.string().max(200), sha256: z.string().regex(/^[0-9a-f]{64}$/), bytes: z.int().gte(0) })
    )
    .max(2_000_000)
});
export type BackupManifest = z.infer<typeof manifestSchema>;

/** What is wrong with a backup, or why it cannot be written: a sentence. */
export class BackupProblem extends Error {}

async function sha256Of(file: string): Promise<{ readonly sha256: string; readonly bytes: number }> {
  const hash = createHash('sha256');
  let bytes = 0;
  for await (const chunk of createReadStream(file)) {
    hash.update(chunk as Buffer);
    bytes += (chunk as Buffer).length;
  }
  return { sha256: hash.digest('hex'), bytes };
}

/** Kept photographs, "photos/ab/ab….jpg"; thumbnails too, which are cheaper to keep than to make. */
async function photographs(directory: string): Promise<string[]> {
  const found: string[] = [];
  for (const folder of await fs.readdir(path.join(directory, 'photos')).catch(() => [] as string[]))
    for (const name of await fs.readdir(path.join(directory, 'photos', folder)).catch(() => [] as string[]))
      if (/^[0-9a-f]{64}(\.thumb)?\.jpg$/.test(name)) found.push(`photos/${folder}/${name}`);
  return found.sort();
}

/** Copies a database that others may be writing, whole and of one moment. */
async function copyDatabase(from: string, to: string): Promise<void> {
  const db = new Database(from, { readonly: true, fileMustExist: true });
  try {
    await db.backup(to, { progress: () => 400 });
  } finally {
    db.close();
  }
}

/**
 * Writes a backup of a data directory to a file, which is complete or not there.
 * @throws BackupProblem in one sentence
 */
export async function backUp(
  directory: string,
  file: string,
  o: { readonly now?: Date; readonly onprogress?: (done: number, all: number) => void } = {}
): Promise<BackupManifest> {
  const target = path.resolve(file);
  const part = `${target}.${randomUUID().slice(0, 8)}.part`;
  const copies = await fs.mkdtemp(path.join(path.dirname(target), '.backup-')).catch((err: NodeJS.ErrnoException) => {
    throw new BackupProblem(
      err.code === 'ENOENT'
        ? `There is no directory ${path.dirname(target)}.`
        : `Nothing can be written in ${path.dirname(target)}: ${err.code ?? err.message}.`
    );
  });
  try {
    const files: { name: string; source: string }[] = [];
    for (const name of [DATABASE, PRACTICE]) {
      const source = path.join(directory, name);
      if (!(await fs.stat(source).catch(() => undefined))) {
        if (name === DATABASE) throw new BackupProblem(`There is no yard in ${directory}: nothing was backed up.`);
        continue;
      }
      await copyDatabase(source, path.join(copies, name));
      files.push({ name, source: path.join(copies, name) });
    }
    const heads = headsFile(directory);
    if (await fs.stat(heads).catch(() => undefined)) {
      await fs.copyFile(heads, path.join(copies, path.basename(heads)));
      files.push({ name: path.basename(heads), source: path.join(copies, path.basename(heads)) });
    }
    for (const name of await photographs(directory)) files.push({ name, source: path.join(directory, name) });
    const manifest: BackupManifest = {
      format: FORMAT,
      version: VERSION,
      at: (o.now ?? new Date()).toISOString(),
      ...counted(path.join(copies, DATABASE)),
      photographs: files.filter((f) => f.name.endsWith('.jpg') && !f.name.endsWith('.thumb.jpg')).length,
      files: []
    };
    for (const [k, f] of files.entries()) {
      manifest.files.push({ file: f.name, ...(await sha256Of(f.source)) });
      if (k % 20 === 0) o.onprogress?.(k, files.length);
    }
    const zip = new yazl.ZipFile();
    zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, null, 1)}\n`), MANIFEST);
    for (const f of files) zip.addFile(f.source, f.name, { compressionLevel: f.name.endsWith('.sqlite') ? 1 : 0 });
    zip.end();
    await pipeline(zip.outputStream as unknown as Readable, createWriteStream(part));
    await flushed(part);
    await fs.rename(part, target);
    o.onprogress?.(files.length, files.length);
    return manifest;
  } catch (err) {
    await fs.rm(part, { force: true });
    const { code } = err as NodeJS.ErrnoException;
    if (code === 'ENOSPC' || code === 'EDQUOT' || code === 'SQLITE_FULL')
      throw new BackupProblem(`There is no room for the backup in ${path.dirname(target)}: nothing was left behind.`);
    throw err;
  } finally {
    await fs.rm(copies, { recursive: true, force: true });
  }
}

/** On the disk, not only on its way there. */
async function flushed(file: string): Promise<void> {
  const handle = await fs.open(file, 'r+');
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}

function counted(file: string): Pick<BackupManifest, 'engines' | 'records' | 'head'> {
  const db = new Database(file, { readonly: true });
  try {
    const { engines } = db.prepare('select count(*) as engines from engines').get() as { engines: number };
    const { records } = db.prepare('select count(*) as records from releases').get() as { records: number };
    const last = db.prepare('select chain from releases order by seq desc limit 1').get() as
      | { chain: string | null }
      | undefined;
    return { engines, records, head: last?.chain ?? null };
  } finally {
    db.close();
  }
}

/** Names that a backup may hold: nothing that would be written elsewhere. */
const ALLOWED =
  /^(indaga\.sqlite|practice\.sqlite|signed-records\.txt|photos\/[0-9a-f]{2}\/[0-9a-f]{64}(\.thumb)?\.jpg)$/;

async function manifestOf(zip: yauzl.ZipFile, entry: yauzl.Entry): Promise<BackupManifest> {
  const chunks: Buffer[] = [];
  let sum = 0;
  for await (const chunk of await streamOf(zip, entry)) {
    sum += chunk.length;
    if (sum > 500e6) throw new BackupProblem('The list in this backup is larger than any backup’s.');
    chunks.push(chunk);
  }
  let json: unknown;
  try {
    json = JSON.parse(Buffer.concat(chunks).toString('utf8'));
  } catch {
    throw new BackupProblem(`${MANIFEST} cannot be read: the backup is damaged.`);
  }
  const parsed = manifestSchema.safeParse(json);
  if (!parsed.success) throw new BackupProblem('This is no backup of a yard.');
  if (parsed.data.version > VERSION)
    throw new BackupProblem('This backup is of a newer Indaga. Update this one first.');
  return parsed.data;
}

/**
 * Restores a backup into a directory that is empty or not there. Everything is unpacked beside it and compared with its hash first;
 * what is wrong is named, and then nothing is left behind.
 * @throws BackupProblem in one sentence
 */
export async function restore(file: string, directory: string): Promise<BackupManifest> {
  const target = path.resolve(directory);
  const there = await fs.readdir(target).catch((err: NodeJS.ErrnoException) => {
    if (err.code === 'ENOENT') return [] as string[];
    throw new BackupProblem(`${target} is no directory that can be read.`);
  });
  if (there.length)
    throw new BackupProblem(
      `${target} is not empty (${there.slice(0, 3).join(', ')}${there.length > 3 ? ', …' : ''}): a backup goes into an empty directory. Nothing was changed.`
    );
  await fs.mkdir(path.dirname(target), { recursive: true });
  const beside = await fs.mkdtemp(path.join(path.dirname(target), '.restore-'));
  let zip: yauzl.ZipFile;
  try {
    zip = await openZip(file);
  } catch (err) {
    await fs.rm(beside, { recursive: true, force: true });
    throw new BackupProblem(
      (err as NodeJS.ErrnoException).code === 'ENOENT'
        ? `There is no file ${file}.`
        : `${file} is no backup, or it was cut off: its list of contents cannot be read.`
    );
  }
  try {
    const entries = new Map<string, yauzl.Entry>();
    for await (const entry of eachEntry(zip)) entries.set(entry.fileName, entry);
    const list = entries.get(MANIFEST);
    if (!list) throw new BackupProblem('This is no backup of a yard: it has no list of contents.');
    const manifest = await manifestOf(zip, list);
    const named = new Set(manifest.files.map((f) => f.file));
    for (const name of entries.keys())
      if (name !== MANIFEST && !named.has(name))
        throw new BackupProblem(`${name} is in the archive and not in its list.`);
    for (const f of manifest.files) await unpack(zip, entries.get(f.file), f, beside);
    checkDatabase(path.join(beside, DATABASE), named);
    await fs.rmdir(target).catch(() => undefined);
    await fs.rename(beside, target);
    return manifest;
  } catch (err) {
    if (err instanceof BackupProblem) throw err;
    const { code, message } = err as NodeJS.ErrnoException;
    throw new BackupProblem(
      code === 'ENOSPC' || code === 'EDQUOT'
        ? `There is no room for it on the disk of ${target}: nothing was left behind.`
        : `The backup is damaged: ${message}.`
    );
  } finally {
    zip.close();
    await fs.rm(beside, { recursive: true, force: true });
  }
}

async function unpack(
  zip: yauzl.ZipFile,
  entry: yauzl.Entry | undefined,
  f: BackupManifest['files'][number],
  beside: string
): Promise<void> {
  if (!ALLOWED.test(f.file)) throw new BackupProblem(`${f.file} does not belong into a backup.`);
  if (!entry) throw new BackupProblem(`${f.file} is missing from the backup.`);
  const hash = createHash('sha256');
  let bytes = 0;
  const counting = new Transform({
    transform(chunk: Buffer, _, next) {
      hash.update(chunk);
      bytes += chunk.length;
      next(bytes > f.bytes ? new BackupProblem(`${f.file} is larger than it was.`) : null, chunk);
    }
  });
  const to = path.join(beside, f.file);
  await fs.mkdir(path.dirname(to), { recursive: true });
  try {
    await pipeline(await streamOf(zip, entry), counting, createWriteStream(to));
  } catch (err) {
    const { code } = err as NodeJS.ErrnoException;
    if (err instanceof BackupProblem || code === 'ENOSPC' || code === 'EDQUOT') throw err;
    throw new BackupProblem(`${f.file} is damaged: it cannot be unpacked.`);
  }
  if (bytes !== f.bytes || hash.digest('hex') !== f.sha256)
    throw new BackupProblem(`${f.file} is not what was backed up: its hash is another.`);
}

/** A database that opens, is whole, and finds its photographs. */
function checkDatabase(file: string, named: ReadonlySet<string>): void {
  if (!named.has(DATABASE)) throw new BackupProblem('The database is missing from the backup.');
  const db = new Database(file, { readonly: true });
  try {
    const [{ quick_check: state } = { quick_check: '' }] = db.pragma('quick_check(1)') as { quick_check: string }[];
    if (state !== 'ok') throw new BackupProblem(`${DATABASE} in the backup is damaged.`);
  } finally {
    db.close();
  }
}
