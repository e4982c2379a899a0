import Database from 'better-sqlite3';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { spawnSync } from 'node:child_process';
import { holdDirectory, openDatabase } from './open.ts';
import { diskProblem, NotStarted } from '../problems.ts';

let dir: string;
const file = (): string => path.join(dir, 'indaga.sqlite');
beforeEach(() => (dir = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-open-'))));
afterEach(() => fs.rmSync(dir, { recursive: true, force: true }));

/** Why it does not start; the files are as they were. */
function why(directory = dir): [number, string] {
  const before = fs.existsSync(file()) ? fs.readFileSync(file()) : undefined;
  try {
    openDatabase(directory).$client.close();
  } catch (err) {
    expect(err).toBeInstanceOf(NotStarted);
    if (before) expect(fs.readFileSync(file()).equals(before)).toBe(true);
    return [(err as NotStarted).exitCode, (err as NotStarted).message];
  }
  throw new Error('it started');
}
const made = (): void => {
  const db = openDatabase(dir);
  db.$client.pragma('wal_checkpoint(TRUNCATE)');
  db.$client.pragma('journal_mode = DELETE');
  db.$client.close();
};

describe('what is wrong with a data directory is said at the start, in one sentence with its code', () => {
  it('a new yard is made in an empty directory, and in one that is not there', () => {
    openDatabase(path.join(dir, 'deep', 'new')).$client.close();
    expect(fs.existsSync(path.join(dir, 'deep', 'new', 'indaga.sqlite'))).toBe(true);
  });
  it.each([
    ['empty', () => fs.writeFileSync(file(), ''), 6, /is empty/],
    [
      'no database',
      () => fs.writeFileSync(file(), 'something else altogether, of some length'),
      6,
      /damaged or is no database/
    ],
    [
      'cut off',
      () => {
        made();
        fs.truncateSync(file(), Math.floor(fs.statSync(file()).size / 3));
      },
      6,
      /damaged/
    ],
    [
      'overwritten in the middle',
      () => {
        made();
        const bytes = fs.readFileSync(file());
        bytes.fill(0x41, 4096, 4096 * 6);
        fs.writeFileSync(file(), bytes);
      },
      6,
      /damaged/
    ],
    [
      'gone, its photographs still there',
      () => fs.mkdirSync(path.join(dir, 'photos')),
      6,
      /holds photos of a yard, and its database is gone/
    ],
    [
      'of a newer program',
      () => {
        made();
        const db = new Database(file());
        db.prepare("insert into __drizzle_migrations (hash, created_at) values ('x', 9999999999999)").run();
        db.close();
      },
      7,
      /newer Indaga/
    ]
  ] as const)('%s', (_, damage, code, message) => {
    damage();
    const [exit, said] = why();
    expect([exit, said]).toEqual([code, expect.stringMatching(message)]);
    expect(said.split('\n')).toHaveLength(1);
  });
  it('a file in the place of the directory', () => {
    fs.writeFileSync(path.join(dir, 'file'), '');
    expect(why(path.join(dir, 'file'))).toEqual([4, expect.stringMatching(/is no directory/)]);
  });
});

it('a directory is held by one server, and free again when it ended', () => {
  openDatabase(dir).$client.close();
  const other = `import Database from 'better-sqlite3'; const l = new Database(process.argv[1]); l.pragma('busy_timeout = 0'); l.exec('begin exclusive');`;
  const tries = (): boolean =>
    spawnSync(process.execPath, ['--input-type=module', '-e', other, path.join(dir, 'server.lock')]).status === 0;
  expect(tries()).toBe(true);
  holdDirectory(dir);
  holdDirectory(dir);
  expect(tries()).toBe(false);
});

it('what is only worked out lies in memory: reading writes nothing', () => {
  const db = openDatabase(dir);
  const size = (): number => fs.statSync(`${file()}-wal`).size;
  const before = size();
  db.$client.prepare("insert into summaries values ('e', 'us', 's', 1, 0, 1, 'w', '{}', '{}')").run();
  db.$client.prepare("insert into search (text) values ('word')").run();
  expect(size()).toBe(before);
  expect(db.$client.prepare('select count(*) as n from main.summaries').get()).toEqual({ n: 0 });
  db.$client.close();
});

describe('a write that fails', () => {
  it.each([
    [{ code: 'SQLITE_FULL' }, /no room left/],
    [{ code: 'ENOSPC' }, /no room left/],
    [{ cause: { code: 'SQLITE_IOERR_WRITE' } }, /cannot write/],
    [{ code: 'SQLITE_READONLY' }, /cannot write/]
  ])('%j', (err, message) => expect(diskProblem(err)).toMatch(message));
  it('for another reason is not called the disk’s', () => {
    for (const err of [new Error('x'), { code: 'SQLITE_CONSTRAINT' }, undefined, null, 'ENOSPC'])
      expect(diskProblem(err)).toBeUndefined();
  });
});
