import { createHash } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import yazl from 'yazl';
import { seed } from '../../../../demo/seed.ts';
import { openDatabase } from '../db/open.ts';
import { loadSurvey, openSurveys } from '../store/surveys.ts';
import { verifyDirectory } from '../store/verify.ts';
import { backUp, restore } from './backup.ts';
import { backupIfDue, backupOverdue, lastBackup, surplus } from './scheduled-backup.ts';

const now = new Date(2026, 3, 20, 9, 0);
let made: string;
let work: string;
const yardOf = (directory: string): string[] => {
  const db = openDatabase(directory);
  const all = openSurveys({ db }).map((s) => JSON.stringify(loadSurvey(s.id, { db })!.survey));
  db.$client.close();
  return all;
};
const picture = Buffer.from('not looked at here');
const name = createHash('sha256').update(picture).digest('hex');

beforeAll(async () => {
  made = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-backup-'));
  const yard = path.join(made, 'yard');
  const db = openDatabase(yard);
  seed(now, { db, now });
  fs.mkdirSync(path.join(yard, 'photos', name.slice(0, 2)), { recursive: true });
  fs.writeFileSync(path.join(yard, 'photos', name.slice(0, 2), `${name}.jpg`), picture);
  // While it is open, as the application has it.
  await backUp(yard, path.join(made, 'yard.zip'), { now });
  db.$client.close();
});
afterAll(() => fs.rmSync(made, { recursive: true, force: true }));
beforeEach(() => (work = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-restore-'))));
afterEach(() => fs.rmSync(work, { recursive: true, force: true }));
const backup = (): string => path.join(made, 'yard.zip');
const target = (): string => path.join(work, 'yard');
const refused = async (file: string): Promise<string> => {
  const said = await restore(file, target()).then(
    () => 'restored',
    (err: Error) => err.message
  );
  // Nothing half restored is left behind.
  expect(fs.existsSync(target()) ? fs.readdirSync(target()) : []).toEqual([]);
  expect(fs.readdirSync(work).filter((n) => n.startsWith('.restore'))).toEqual([]);
  return said;
};

describe('a backup', () => {
  it('restored into an empty directory is the yard as it was: every survey, photograph and signed record', async () => {
    const manifest = await restore(backup(), target());
    expect(manifest).toMatchObject({ engines: 13, photographs: 1, records: 1 });
    expect(yardOf(target())).toEqual(yardOf(path.join(made, 'yard')));
    expect(fs.readFileSync(path.join(target(), 'photos', name.slice(0, 2), `${name}.jpg`)).equals(picture)).toBe(true);
    expect(verifyDirectory(target(), { head: manifest.head ?? '' }).ok).toBe(true);
  });
  it('is not put over anything', async () => {
    fs.mkdirSync(target());
    fs.writeFileSync(path.join(target(), 'mine'), '');
    await expect(restore(backup(), target())).rejects.toThrow(/is not empty \(mine\)/);
    expect(fs.readdirSync(target())).toEqual(['mine']);
  });
  it('with a byte changed anywhere is refused, with the name of what is wrong', async () => {
    const bytes = fs.readFileSync(backup());
    const file = path.join(work, 'changed.zip');
    // In the photograph, in the database, in the list of contents at the end.
    const picked = bytes.indexOf(picture);
    for (const [at, message] of [
      [picked + 3, new RegExp(`${name}\\.jpg is (not what was backed up|damaged)`)],
      [Math.floor(bytes.length / 3), /indaga\.sqlite/],
      [bytes.length - 6, /./]
    ] as const) {
      const changed = Buffer.from(bytes);
      changed[at] = changed[at]! ^ 0x55;
      fs.writeFileSync(file, changed);
      expect(await refused(file)).toMatch(message);
    }
  });
  it('cut off, or something else, is refused', async () => {
    const file = path.join(work, 'x.zip');
    fs.writeFileSync(file, fs.readFileSync(backup()).subarray(0, 5000));
    expect(await refused(file)).toMatch(/cut off/);
    fs.writeFileSync(file, 'hello');
    expect(await refused(file)).toMatch(/no backup/);
    expect(await refused(path.join(work, 'nowhere.zip'))).toMatch(/There is no file/);
  });
  it('that would write elsewhere, or holds what its list does not, is refused', async () => {
    const zipped = async (files: Record<string, string>): Promise<string> => {
      const zip = new yazl.ZipFile();
      for (const [n, text] of Object.entries(files)) zip.addBuffer(Buffer.from(text), n);
      zip.end();
      const file = path.join(work, 'made.zip');
      const out = fs.createWriteStream(file);
      await new Promise<void>((done) => void zip.outputStream.pipe(out).on('close', () => done()));
      return file;
    };
    const manifest = (files: object[]) =>
      JSON.stringify({
        format: 'indaga-backup',
        version: 1,
        at: now.toISOString(),
        engines: 0,
        photographs: 0,
        records: 0,
        head: null,
        files
      });
    const x = { sha256: createHash('sha256').update('x').digest('hex'), bytes: 1 };
    expect(await refused(await zipped({ 'manifest.json': manifest([]), extra: 'x' }))).toMatch(/not in its list/);
    expect(
      await refused(await zipped({ 'manifest.json': manifest([{ file: 'server.mjs', ...x }]), 'server.mjs': 'x' }))
    ).toMatch(/does not belong into a backup/);
    expect(await refused(await zipped({ 'manifest.json': manifest([]) }))).toMatch(/database is missing/);
    expect(await refused(await zipped({ 'manifest.json': '{' }))).toMatch(/cannot be read/);
  });
  it('of no yard, or to nowhere, is not made', async () => {
    await expect(backUp(path.join(work, 'nothing'), path.join(work, 'a.zip'))).rejects.toThrow(/There is no yard/);
    await expect(backUp(path.join(made, 'yard'), path.join(work, 'no', 'a.zip'))).rejects.toThrow(/no directory/);
    expect(fs.readdirSync(work)).toEqual([]);
  });
});

describe('scheduled', () => {
  const day = 864e5;
  it('is made once a day, and the yard says when it is older', async () => {
    const yard = path.join(work, 'yard');
    openDatabase(yard).$client.close();
    const to = path.join(work, 'backups');
    const then = new Date();
    expect(backupOverdue(then, yard)).toBeUndefined();
    expect(backupOverdue(new Date(then.getTime() + 2 * day), yard)).toEqual({});
    expect(await backupIfDue(to, then, yard)).toBe(true);
    expect(await backupIfDue(to, new Date(then.getTime() + 3600e3), yard)).toBe(false);
    expect(await backupIfDue(to, new Date(then.getTime() + day + 1), yard)).toBe(true);
    expect(fs.readdirSync(to)).toHaveLength(2);
    expect(backupOverdue(new Date(then.getTime() + 1.5 * day), yard)).toBeUndefined();
    expect(backupOverdue(new Date(then.getTime() + 3 * day), yard)).toEqual({ last: lastBackup(yard)!.at });
  });
  it('keeps the last seven and one of each of five weeks before; leaves what is not its own', () => {
    const names = Array.from({ length: 100 }, (_, k) => {
      const at = new Date(Date.UTC(2026, 3, 20) - k * day).toISOString();
      return `indaga-${at.slice(0, 10)}T080000Z.zip`;
    });
    const gone = new Set(surplus([...names, 'mine.zip', 'indaga-old.zip']));
    const kept = names.filter((n) => !gone.has(n));
    expect(kept.slice(0, 7)).toEqual(names.slice(0, 7));
    expect(kept).toHaveLength(12);
    expect(gone.has('mine.zip')).toBe(false);
  });
});
