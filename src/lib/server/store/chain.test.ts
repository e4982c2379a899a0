import { createHash } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { seed } from '../../../../demo/seed.ts';
import { assess } from '../../../core/assess.ts';
import { openDatabase, type Db } from '../db/open.ts';
import { appendBatch } from './append.ts';
import { FIRST, headsFile, linkOf, type Seal } from './chain.ts';
import { hashOf, sign, type ReleaseRecord } from './releases.ts';
import { loadSurvey } from './surveys.ts';
import { verifyDirectory } from './verify.ts';
import { yard } from './yard.ts';

let db: Db;
let directory: string;
const now = new Date(2026, 3, 20, 9, 0);
const o = () => ({ db, now });
const surveyOf = (tag: string): string => yard('us', o()).find((r) => r.tag === tag)!.surveyId;
const pictureOf = (name: string): string => path.join(directory, 'photos', name.slice(0, 2), `${name}.jpg`);
let photo: string;

const temporary = (): string => fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-chain-'));
let made: string;

/** Curlew is signed in the demo; Swift with a photograph, and Curlew again. Made once, copied for each test. */
beforeAll(async () => {
  made = directory = temporary();
  db = openDatabase(directory);
  seed(now, o());
  const bytes = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#446' } })
    .jpeg()
    .toBuffer();
  photo = createHash('sha256').update(bytes).digest('hex');
  fs.mkdirSync(path.dirname(pictureOf(photo)), { recursive: true });
  fs.writeFileSync(pictureOf(photo), bytes);
  const body = { id: 'picture', at: now.toISOString(), what: 'look.platePhoto', value: photo };
  const batch = { since: 0, factSince: 0, entries: [{ type: 'reading', body }], facts: [] };
  expect(appendBatch(surveyOf('Swift'), batch, o())!.refused).toEqual([]);
  for (const tag of ['Swift', 'Curlew'])
    sign(surveyOf(tag), assess(loadSurvey(surveyOf(tag), o())!.survey, now, 'us'), 'Maud', o());
  db.$client.close();
});
afterAll(() => fs.rmSync(made, { recursive: true, force: true }));
beforeEach(() => {
  directory = temporary();
  fs.cpSync(made, directory, { recursive: true });
  db = openDatabase(directory);
});
afterEach(() => {
  if (db.$client.open) db.$client.close();
  fs.rmSync(directory, { recursive: true, force: true });
});

const sql = (text: string, ...values: unknown[]): void => void db.$client.prepare(text).run(...values);
const foreign = (f: () => void): void => {
  db.$client.pragma('foreign_keys = OFF');
  f();
};
interface Row {
  id: string;
  survey_id: string;
  signed_by: string;
  at: string;
  hash: string;
  chain: string;
  seq: number;
  seal: string;
  record: string;
}
const rows = (): Row[] => db.$client.prepare('select * from releases order by seq').all() as Row[];
const swift = (): Row => rows()[1]!;
const said = (options = {}): string => {
  const found = verifyDirectory(directory, options);
  expect(found.ok).toBe(false);
  return [...found.wrong, ...found.records.flatMap((r) => r.wrong.map((w) => `${r.tag}: ${w}`))].join('\n');
};

it('holds as long as nobody touches anything, and while more is entered', () => {
  const body = { id: 'later', at: now.toISOString(), what: 'look.platePhoto', value: photo };
  appendBatch(surveyOf('Swift'), { since: 0, factSince: 0, entries: [{ type: 'reading', body }], facts: [] }, o());
  const found = verifyDirectory(directory, { head: rows()[2]!.chain, count: 3 });
  expect(found.records.flatMap((r) => r.wrong)).toEqual([]);
  expect(found).toMatchObject({ ok: true, wrong: [], head: rows()[2]!.chain });
});

/** As somebody with the program would do it: everything is made anew so that it fits again from a place on. */
function relink(from: number): void {
  let before = from > 1 ? rows()[from - 2]!.chain : FIRST;
  for (const r of rows().slice(from - 1)) {
    const seal = JSON.parse(r.seal) as Seal;
    const link = { seq: r.seq, id: r.id, surveyId: r.survey_id, signedBy: r.signed_by, at: r.at, hash: r.hash, seal };
    before = linkOf(before, link);
    sql('update releases set chain = ? where id = ?', before, r.id);
  }
}

describe('what is found and named', () => {
  it.each<[string, () => void, RegExp]>([
    [
      'a word of a record',
      () => sql("update releases set record = replace(record, 'pump', 'wishful thinking') where seq = 1"),
      /changed after it was signed/
    ],
    [
      'a record and its hash',
      () => {
        const record = JSON.parse(swift().record) as ReleaseRecord & { report: { tag: string } };
        const forged = { ...record, report: { ...record.report, tag: 'Swan' } };
        sql('update releases set record = ?, hash = ? where seq = 2', JSON.stringify(forged), hashOf(forged));
      },
      /Swan: it does not follow/
    ],
    [
      'a record, its hash and every link after it',
      () => {
        const record = JSON.parse(swift().record) as ReleaseRecord;
        const forged = { ...record, signedBy: 'Nobody' };
        sql(
          "update releases set record = ?, hash = ?, signed_by = 'Nobody' where seq = 2",
          JSON.stringify(forged),
          hashOf(forged)
        );
        relink(2);
      },
      /record 2 is not the one that the list/
    ],
    ['its text unreadable', () => sql("update releases set record = 'no JSON' where seq = 2"), /cannot be read/],
    ['the last record cut off', () => sql('delete from releases where seq = 3'), /record 3 was signed and is gone/],
    ['a middle record taken out', () => sql('delete from releases where seq = 2'), /one is missing/],
    [
      'a middle record taken out and the rest made to fit',
      () => {
        sql('delete from releases where seq = 2');
        sql('update releases set seq = 2 where seq = 3');
        relink(2);
      },
      /record 3 was signed and is gone/
    ],
    ['the first record taken out', () => sql('delete from releases where seq = 1'), /one is missing/],
    [
      'a forged record without a link',
      () =>
        sql(
          "insert into releases select 'forged', survey_id, signed_by, at, hash, record, null, 4, 1, null from releases where seq = 3"
        ),
      /no link to the record before it/
    ],
    [
      'a forged record by the first rule',
      () => {
        const { chain, hash } = rows()[2]!;
        const link = createHash('sha256').update(`${chain}\n${hash}`).digest('hex');
        sql(
          "insert into releases select 'forged', survey_id, signed_by, at, hash, record, ?, 4, 1, null from releases where seq = 3",
          link
        );
      },
      /older rule/
    ],
    [
      'a forged record that fits',
      () => {
        sql(
          "insert into releases select 'forged', survey_id, signed_by, at, hash, record, null, 4, 2, seal from releases where seq = 3"
        );
        relink(4);
      },
      /record 4 is not in the list/
    ],
    [
      'two records that change places',
      () => {
        sql('update releases set seq = 9 where seq = 2');
        sql('update releases set seq = 2 where seq = 3');
        sql('update releases set seq = 3 where seq = 9');
      },
      /does not follow/
    ],
    [
      'a record moved to another assessment',
      () => sql('update releases set survey_id = ? where seq = 2', surveyOf('Wren')),
      /another assessment than the one it was signed for/
    ],
    [
      'an assessment moved to another engine',
      () =>
        sql(
          'update surveys set engine_id = (select engine_id from surveys where id = ?) where id = ?',
          surveyOf('Wren'),
          surveyOf('Swift')
        ),
      /belongs to another engine/
    ],
    ['who signed', () => sql("update releases set signed_by = 'Nobody' where seq = 2"), /who signed it/],
    ['when it was signed', () => sql("update releases set at = '2026-01-01T00:00:00.000Z' where seq = 2"), /or when/],
    [
      'a reading under it changed',
      () =>
        sql(
          "update entries set body = replace(body, '\"value\":', '\"value\":1') where id = (select id from entries where survey_id = ? and type = 'reading' and json_type(body, '$.value') = 'real' limit 1)",
          surveyOf('Swift')
        ),
      /1 reading under it was changed/
    ],
    [
      'a reading under it deleted',
      () =>
        sql(
          "delete from entries where id = (select id from entries where survey_id = ? and type = 'reading' limit 1)",
          surveyOf('Swift')
        ),
      /1 reading under it is gone/
    ],
    [
      'what is no reading (work, reasons) deleted',
      () => sql("delete from entries where survey_id = ? and type <> 'reading'", surveyOf('Curlew')),
      /not what stood there/
    ],
    [
      'the engine’s serial number',
      () =>
        sql(
          "update facts set value = '\"X\"' where path = 'identity.serial' and engine_id = (select engine_id from surveys where id = ?)",
          surveyOf('Swift')
        ),
      /Swift: what was entered for it/
    ],
    ['a photograph taken away', () => fs.rmSync(pictureOf(photo)), /photograph .* is missing/],
    ['another photograph under its name', () => fs.writeFileSync(pictureOf(photo), 'x'), /is another picture now/],
    [
      'its assessment deleted',
      () => foreign(() => sql('delete from surveys where id = ?', surveyOf('Swift'))),
      /is gone/
    ],
    [
      'the list beside the database gone',
      () => fs.rmSync(headsFile(directory)),
      /list of signed records .* is missing/
    ],
    ['what it rests on taken away', () => sql('update releases set seal = null where seq = 2'), /not told any more/]
  ])('%s', (_, tamper, message) => {
    tamper();
    expect(said()).toMatch(message);
  });

  it('everything written anew, the list too: the printed head tells', () => {
    const printed = rows()[2]!.chain;
    sql('delete from releases where seq = 3');
    const list = fs.readFileSync(headsFile(directory), 'utf8').trim().split('\n');
    fs.writeFileSync(headsFile(directory), `${list.slice(0, 2).join('\n')}\n`);
    expect(verifyDirectory(directory).ok).toBe(true);
    expect(said({ head: printed })).toMatch(/is not in this chain/);
    expect(said({ count: 3 })).toMatch(/2 records are here, 3 were signed/);
  });
});

it('reads only: nothing is made where there is nothing, and nothing changed where there is', () => {
  const nowhere = path.join(directory, 'mistyped');
  expect(() => verifyDirectory(nowhere)).toThrow();
  expect(fs.existsSync(nowhere)).toBe(false);
  db.$client.pragma('wal_checkpoint(TRUNCATE)');
  db.$client.close();
  const before = fs.readFileSync(path.join(directory, 'indaga.sqlite'));
  verifyDirectory(directory);
  expect(fs.readFileSync(path.join(directory, 'indaga.sqlite')).equals(before)).toBe(true);
});
