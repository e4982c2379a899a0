import Database from 'better-sqlite3';
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { isDeepStrictEqual } from 'node:util';
import { photosOf } from '../../../core/survey/photos-of.ts';
import { photoPath } from '../files/photo-path.ts';
import { contentHash, FIRST, headsFile, linkOf, linkOfFirstRule, notedHeads, type Seal } from './chain.ts';
import { hashOf, type ReleaseRecord } from './releases.ts';

interface Row {
  readonly id: string;
  readonly survey_id: string;
  readonly signed_by: string;
  readonly at: string;
  readonly hash: string;
  readonly chain: string | null;
  readonly seq: number | null;
  readonly version: number;
  readonly seal: string | null;
  readonly record: string;
}

export interface Verified {
  readonly seq: number;
  readonly tag: string;
  readonly at: string;
  readonly signedBy: string;
  readonly hash: string;
  readonly chain: string | null;
  /** Everything that is not as it was signed; nothing when all is. */
  readonly wrong: readonly string[];
}

export interface Verification {
  readonly records: readonly Verified[];
  /** What is wrong with the chain as a whole. */
  readonly wrong: readonly string[];
  readonly head: string;
  readonly ok: boolean;
}

export interface VerifyOptions {
  /** A head that was printed or noted elsewhere: it has to be in the chain. */
  readonly head?: string;
  /** How many records there have to be at least. */
  readonly count?: number;
}

/**
 * Goes over every record signed in a data directory: is each as it was, does each follow the one before it, and is what stands under it
 * (engine, survey, readings, photographs) still what was signed? Opens read-only and makes nothing.
 * @throws Error where the directory has no database
 */
export function verifyDirectory(directory: string, o: VerifyOptions = {}): Verification {
  const client = new Database(path.join(directory, 'indaga.sqlite'), { readonly: true, fileMustExist: true });
  try {
    return verifyChain(client, directory, o);
  } finally {
    client.close();
  }
}

export function verifyChain(client: Database.Database, directory: string, o: VerifyOptions = {}): Verification {
  const columns = new Set((client.pragma('table_info(releases)') as { name: string }[]).map((c) => c.name));
  const order = columns.has('seq') ? 'seq is null, seq, rowid' : 'rowid';
  const rows = (client.prepare(`select * from releases order by ${order}`).all() as Row[]).map((r, k): Row => ({
    ...r,
    seq: columns.has('seq') ? r.seq : k + 1,
    version: r.version ?? 1,
    seal: r.seal ?? null
  }));
  const photos = new Map<string, string | undefined>();
  let link = FIRST;
  let chained = false;
  const records = rows.map((r, k): Verified => {
    const wrong: string[] = [];
    const record = readRecord(r.record);
    if (!record) wrong.push('its text cannot be read');
    else if (hashOf(record) !== r.hash) wrong.push('the record was changed after it was signed');
    if (record && (record.at !== r.at || record.signedBy !== r.signed_by))
      wrong.push('who signed it, or when, is not what the record says');
    if (r.seq !== k + 1)
      wrong.push(
        `it stands at place ${r.seq ?? 'none'} of the order and is number ${k + 1}: one is missing or was put in`
      );
    const seal = readSeal(r);
    if (r.chain === null) {
      if (chained || r.version > 1) wrong.push('it has no link to the record before it');
    } else {
      const expected =
        r.version === 1
          ? linkOfFirstRule(link, r.hash)
          : seal
            ? linkOf(link, {
                seq: r.seq ?? 0,
                id: r.id,
                surveyId: r.survey_id,
                signedBy: r.signed_by,
                at: r.at,
                hash: r.hash,
                seal
              })
            : undefined;
      if (expected !== r.chain)
        wrong.push('it does not follow the record before it: one was taken out, put in, moved or changed');
      if (chained && r.version < (rows[k - 1]?.version ?? 1))
        wrong.push('it was linked by an older rule than the record before it');
      link = r.chain;
      chained = true;
    }
    if (r.version > 1 && !seal) wrong.push('what it rested on is not told any more');
    if (record) wrong.push(...underRecord(client, r, record, seal));
    if (record) wrong.push(...photosWrong(directory, record, seal, photos));
    return {
      seq: r.seq ?? 0,
      tag: record?.report.tag ?? 'unreadable',
      at: r.at,
      signedBy: r.signed_by,
      hash: r.hash,
      chain: r.chain,
      wrong
    };
  });
  const wrong = outside(
    records,
    rows.some((r) => r.version > 1),
    directory,
    o
  );
  return { records, wrong, head: link, ok: !wrong.length && records.every((r) => !r.wrong.length) };
}

function readRecord(text: string): ReleaseRecord | undefined {
  try {
    const record = JSON.parse(text) as ReleaseRecord;
    return typeof record.report.tag === 'string' && Array.isArray(record.survey.readings) ? record : undefined;
  } catch {
    return undefined;
  }
}

function readSeal(r: Row): Seal | undefined {
  try {
    const seal = JSON.parse(r.seal ?? 'null') as Seal | null;
    return seal && Array.isArray(seal.photos) ? seal : undefined;
  } catch {
    return undefined;
  }
}

/** Whether the database still says what the record says: its survey, engine, facts and entries. */
function underRecord(client: Database.Database, r: Row, record: ReleaseRecord, seal: Seal | undefined): string[] {
  const wrong: string[] = [];
  const survey = client.prepare('select engine_id, kind, started_at from surveys where id = ?').get(r.survey_id) as
    | { engine_id: string; kind: string; started_at: string }
    | undefined;
  if (!survey) return ['the assessment under it is gone'];
  const { kind, startedAt } = record.survey.assessment;
  if (survey.kind !== kind || survey.started_at !== startedAt)
    wrong.push('it stands under another assessment than the one it was signed for');
  if (seal && seal.engineId !== survey.engine_id) wrong.push('its assessment belongs to another engine now');
  const entry = client.prepare('select survey_id, body from entries where id = ?');
  let [gone, changed] = [0, 0];
  for (const reading of record.survey.readings) {
    const row = entry.get(reading.id) as { survey_id: string; body: string } | undefined;
    if (row?.survey_id !== r.survey_id) gone++;
    else if (!sameBody(row.body, reading)) changed++;
  }
  const readings = (n: number): string => `${n} ${n === 1 ? 'reading' : 'readings'} under it`;
  if (gone) wrong.push(`${readings(gone)} ${gone === 1 ? 'is' : 'are'} gone or moved`);
  if (changed) wrong.push(`${readings(changed)} ${changed === 1 ? 'was' : 'were'} changed`);
  if (seal && contentHash(client, r.survey_id, seal.engineId, seal.entrySeq, seal.factSeq) !== seal.content)
    wrong.push('what was entered for it (engine, readings, work) is not what stood there when it was signed');
  return wrong;
}

function sameBody(text: string, reading: unknown): boolean {
  try {
    return isDeepStrictEqual(JSON.parse(text), reading);
  } catch {
    return false;
  }
}

/** Photographs as they were when it was signed; of a record without a seal it is not known whether they were here at all. */
function photosWrong(
  directory: string,
  record: ReleaseRecord,
  seal: Seal | undefined,
  seen: Map<string, string | undefined>
): string[] {
  return (seal?.photos ?? photosOf(record.survey)).flatMap((name) => {
    if (!seen.has(name)) seen.set(name, photoHash(directory, name));
    const found = seen.get(name);
    return found === name || (found === undefined && !seal)
      ? []
      : [`its photograph ${name.slice(0, 12)}… ${found === undefined ? 'is missing' : 'is another picture now'}`];
  });
}

function photoHash(directory: string, name: string): string | undefined {
  if (!/^[0-9a-f]{64}$/.test(name)) return undefined;
  try {
    const bytes = fs.readFileSync(photoPath(directory, name));
    return createHash('sha256').update(bytes).digest('hex');
  } catch {
    return undefined;
  }
}

/** What is known outside the database: the list beside it, and what the caller brought. */
function outside(records: readonly Verified[], noted: boolean, directory: string, o: VerifyOptions): string[] {
  const wrong: string[] = [];
  const links = new Map(records.map((r) => [r.seq, r.chain]));
  const heads = notedHeads(directory);
  if (!heads && noted) wrong.push(`the list of signed records (${headsFile(directory)}) is missing`);
  for (const [seq, chain] of heads ?? [])
    if (!links.has(seq)) wrong.push(`record ${seq} was signed and is gone: the list beside the database has it`);
    else if (links.get(seq) !== chain) wrong.push(`record ${seq} is not the one that the list beside the database has`);
  if (heads?.size) {
    const last = Math.max(...heads.keys());
    for (const r of records)
      if (r.seq > Math.min(...heads.keys()) && !heads.has(r.seq))
        wrong.push(
          `record ${r.seq} is not in the list beside the database${r.seq > last ? ': it was put in, or the list was cut' : ''}`
        );
  }
  if (o.head && !records.some((r) => r.chain === o.head || r.hash === o.head))
    wrong.push(`the head ${o.head} is not in this chain: a record was taken out, or everything was written anew`);
  if (o.count !== undefined && records.length < o.count)
    wrong.push(`${records.length} records are here, ${o.count} were signed`);
  return wrong;
}
