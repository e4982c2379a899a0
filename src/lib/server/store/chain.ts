import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import type Database from 'better-sqlite3';
import { canonicalJson } from '../../../core/report/canonical.ts';

/** Signed records form a chain: each link is a hash over the link before it and over everything that stands beside the record. */
export const FIRST = 'indaga';
const sha256 = (text: string | Buffer): string => createHash('sha256').update(text).digest('hex');

/** What stood in the database under a record when it was signed. */
export interface Seal {
  readonly engineId: string;
  /** The last entry of the survey and the last fact of the engine that it rests on. */
  readonly entrySeq: number;
  readonly factSeq: number;
  /** Hash over the survey's row, those facts and those entries, as they are stored. */
  readonly content: string;
  /** The photographs that it names, each by the hash of its bytes. */
  readonly photos: readonly string[];
}

export interface Link {
  readonly seq: number;
  readonly id: string;
  readonly surveyId: string;
  readonly signedBy: string;
  readonly at: string;
  readonly hash: string;
  readonly seal: Seal;
}

/** The first rule, kept for records signed under it: over the hash alone. */
export const linkOfFirstRule = (before: string, hash: string): string => sha256(`${before}\n${hash}`);
/** Over everything of the record but its text, which `hash` covers. */
export const linkOf = (before: string, link: Link): string => sha256(canonicalJson({ before, ...link }));

type Client = Database.Database;

/** Hash over what a survey consists of up to an entry and a fact, byte for byte as the rows hold it. */
export function contentHash(
  client: Client,
  surveyId: string,
  engineId: string,
  entrySeq: number,
  factSeq: number
): string {
  const hash = createHash('sha256');
  const add = (rows: Iterable<unknown>): void => {
    for (const row of rows) hash.update(canonicalJson(row)).update('\n');
  };
  add(client.prepare('select id, engine_id, kind, started_at, by from surveys where id = ?').iterate(surveyId));
  add(
    client
      .prepare('select seq, id, path, value, at, by from facts where engine_id = ? and seq <= ? order by seq')
      .iterate(engineId, factSeq)
  );
  add(
    client
      .prepare('select seq, id, type, body, received_at from entries where survey_id = ? and seq <= ? order by seq')
      .iterate(surveyId, entrySeq)
  );
  return hash.digest('hex');
}

/** Beside the database: one line for each record signed, so that a chain cut off at its end is noticed. */
const HEADS = 'signed-records.txt';
export const headsFile = (directory: string): string => path.join(directory, HEADS);

/** Adds a line once the record is stored; flushed, since it is asked when something is wrong. */
export function noteHead(directory: string, seq: number, chain: string, at: string): void {
  const file = fs.openSync(headsFile(directory), 'a');
  try {
    fs.writeSync(file, `${seq} ${chain} ${at}\n`);
    fs.fsyncSync(file);
  } finally {
    fs.closeSync(file);
  }
}

/** The links that were noted beside the database, by their place; nothing where there is no such file. */
export function notedHeads(directory: string): Map<number, string> | undefined {
  let text: string;
  try {
    text = fs.readFileSync(headsFile(directory), 'utf8');
  } catch {
    return undefined;
  }
  return new Map(
    text.split('\n').flatMap((line) => {
      const [seq, chain] = line.split(' ');
      return seq && chain && /^\d{1,9}$/.test(seq) ? [[Number(seq), chain] as const] : [];
    })
  );
}
