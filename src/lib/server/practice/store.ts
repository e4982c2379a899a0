import { advisedSteps, debriefOf, type Debrief, type PathStep } from '$core/practice/debrief.ts';
import { Exercise, type Deed, type Outcome, type Setup } from '$core/practice/exercise.ts';
import { readyExercise, setupOfReady, type ReadyExercise } from '$core/practice/ready.ts';
import { codeOf, setOf, setupOf, type PracticeSet } from '$core/practice/set-code.ts';
import { calibrationOf, type Calibration, type Mark, type Statement } from '$core/practice/statement.ts';
import { dataDirectory } from '../db/open.ts';
import Database from 'better-sqlite3';
import { and, asc, desc, eq } from 'drizzle-orm';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import * as schema from './schema.ts';

const { attempts, deeds } = schema;
export type PracticeDb = BetterSQLite3Database<typeof schema> & { $client: Database.Database };

/** Opens the file of the exercises, beside the records and apart from them. */
export function openPractice(directory = dataDirectory()): PracticeDb {
  fs.mkdirSync(directory, { recursive: true });
  const client = new Database(path.join(directory, 'practice.sqlite'));
  client.pragma('journal_mode = WAL');
  client.pragma('foreign_keys = ON');
  client.pragma('busy_timeout = 5000');
  const db = drizzle(client, { schema }) as PracticeDb;
  migrate(db, { migrationsFolder: path.resolve(process.env.INDAGA_MIGRATIONS ?? 'drizzle', 'practice') });
  return db;
}
let shared: PracticeDb | undefined;
const connection = (db?: PracticeDb): PracticeDb => db ?? (shared ??= openPractice());

export type AttemptRow = typeof attempts.$inferSelect;
/** What an attempt is of: its setup, and what is told about it. */
export interface Subject {
  readonly setup: Setup;
  readonly title: string;
  readonly told: string;
  readonly ready: ReadyExercise | undefined;
}

export function subjectOf(kind: 'ready' | 'set', code: string, number: number): Subject | undefined {
  if (kind === 'ready') {
    const ready = readyExercise(code);
    return ready && { setup: setupOfReady(ready), title: ready.title, told: ready.told, ready };
  }
  const set = setOf(code);
  if (!set || number < 1 || number > set.count) return undefined;
  return {
    setup: setupOf(set, number),
    title: `Set ${codeOf(set)}, engine ${number}`,
    told: 'Nobody has told you anything about it.',
    ready: undefined
  };
}

/** Begins an exercise; an unfinished one of the same person is gone on with, so that a set opened twice is one attempt. */
export function begin(
  kind: 'ready' | 'set',
  code: string,
  number: number,
  who: string,
  o: { readonly db?: PracticeDb; readonly now?: Date } = {}
): string | undefined {
  const subject = subjectOf(kind, code, number);
  if (!subject) return undefined;
  const set = kind === 'set' ? setOf(code) : undefined;
  const known = set ? codeOf(set) : code;
  const db = connection(o.db);
  const open = db
    .select()
    .from(attempts)
    .where(and(eq(attempts.kind, kind), eq(attempts.code, known), eq(attempts.number, number), eq(attempts.who, who)))
    .orderBy(desc(attempts.startedAt))
    .all()
    .find((a) => !a.statement);
  if (open) return open.id;
  const id = randomUUID();
  db.insert(attempts)
    .values({ id, kind, code: known, number, who, startedAt: (o.now ?? new Date()).toISOString() })
    .run();
  void advisedFor(subject.setup);
  return id;
}

/** Exercises in memory: made again from their deeds where they are not. */
const kept = new Map<string, { readonly exercise: Exercise; count: number }>();
const KEPT = 30;

export interface Opened {
  readonly row: AttemptRow;
  readonly subject: Subject;
  readonly exercise: Exercise;
}

/** An attempt with its exercise as it stands; nothing where there is none. */
export function open(id: string, o: { readonly db?: PracticeDb } = {}): Opened | undefined {
  const db = connection(o.db);
  const row = db.select().from(attempts).where(eq(attempts.id, id)).get();
  const subject = row && subjectOf(row.kind, row.code, row.number);
  if (!row || !subject) return undefined;
  const list = db.select().from(deeds).where(eq(deeds.attemptId, id)).orderBy(asc(deeds.seq)).all();
  const old = kept.get(id);
  const entry =
    old?.count === list.length
      ? old
      : {
          exercise: Exercise.from(
            subject.setup,
            list.map((d) => d.deed)
          ),
          count: list.length
        };
  kept.delete(id);
  kept.set(id, entry);
  if (kept.size > KEPT) kept.delete(kept.keys().next().value!);
  return { row, subject, exercise: entry.exercise };
}

/** Does one thing in an exercise. What is refused is not kept. */
export function doDeed(
  id: string,
  deed: Deed,
  o: { readonly db?: PracticeDb; readonly now?: Date } = {}
): Outcome | undefined {
  const opened = open(id, o);
  if (!opened) return undefined;
  if (opened.row.statement) return { ok: false, says: 'This exercise is over.' };
  const outcome = opened.exercise.do(deed);
  if (!outcome.ok && deed.kind !== 'ask') return outcome;
  connection(o.db)
    .insert(deeds)
    .values({ attemptId: id, deed, at: (o.now ?? new Date()).toISOString() })
    .run();
  const entry = kept.get(id);
  if (entry) entry.count += 1;
  return outcome;
}

const paths = new Map<string, Promise<readonly PathStep[]>>();
/** The path of the advice, made move by move so that no request waits for it, and kept. */
function advisedFor(setup: Setup): Promise<readonly PathStep[]> {
  const key = JSON.stringify(setup);
  let path = paths.get(key);
  if (!path) {
    path = (async () => {
      const out: PathStep[] = [];
      for (const step of advisedSteps(setup)) {
        out.push(step);
        await new Promise((r) => setImmediate(r));
      }
      return out;
    })();
    paths.set(key, path);
    if (paths.size > 200) paths.delete(paths.keys().next().value!);
  }
  return path;
}

/** The debrief of an attempt by its statement; nothing where none was made. */
export async function debrief(id: string, o: { readonly db?: PracticeDb } = {}): Promise<Debrief | undefined> {
  const opened = open(id, o);
  if (!opened?.row.statement) return undefined;
  return debriefOf(opened.exercise, opened.row.statement, await advisedFor(opened.subject.setup));
}

/** Takes the statement, which ends the exercise, and keeps what the board needs. A second statement changes nothing. */
export async function state(
  id: string,
  statement: Statement,
  o: { readonly db?: PracticeDb; readonly now?: Date } = {}
): Promise<boolean> {
  const opened = open(id, o);
  if (!opened) return false;
  if (opened.row.statement) return true;
  const d = debriefOf(opened.exercise, statement, await advisedFor(opened.subject.setup));
  connection(o.db)
    .update(attempts)
    .set({
      statement,
      endedAt: (o.now ?? new Date()).toISOString(),
      result: {
        minutes: d.minutes,
        regret: d.regret,
        money: d.money,
        brier: d.score.brier,
        baseline: d.score.baseline,
        broken: d.broken.length,
        asked: d.asked,
        pairs: d.score.pairs.map((p) => [p.said, p.there ? 1 : 0] as const)
      }
    })
    .where(eq(attempts.id, id))
    .run();
  return true;
}

/** Attempts of one person, newest first. */
export const attemptsOf = (who: string, o: { readonly db?: PracticeDb } = {}): AttemptRow[] =>
  connection(o.db).select().from(attempts).where(eq(attempts.who, who)).orderBy(desc(attempts.startedAt)).all();

/** What each word of one person was worth, over every exercise that is over. */
export function calibrationFor(
  who: string,
  o: { readonly db?: PracticeDb } = {}
): {
  readonly exercises: number;
  readonly brier: number;
  readonly baseline: number;
  readonly words: readonly Calibration[];
} {
  const results = attemptsOf(who, o).flatMap((a) => (a.result ? [a.result] : []));
  const mean = (f: (r: schema.Result) => number): number =>
    results.reduce((s, r) => s + f(r), 0) / Math.max(1, results.length);
  const scores = results.map((r) => ({
    brier: r.brier,
    baseline: r.baseline,
    suspects: r.pairs.length,
    pairs: r.pairs.map(([said, there]) => ({ said: said as Mark, there: there === 1 }))
  }));
  return {
    exercises: results.length,
    brier: mean((r) => r.brier),
    baseline: mean((r) => r.baseline),
    words: calibrationOf(scores)
  };
}

/** Who is where in a set: one line for each person and engine. */
export const boardOf = (set: PracticeSet, o: { readonly db?: PracticeDb } = {}): AttemptRow[] =>
  connection(o.db)
    .select()
    .from(attempts)
    .where(and(eq(attempts.kind, 'set'), eq(attempts.code, codeOf(set))))
    .orderBy(asc(attempts.who), asc(attempts.number), asc(attempts.startedAt))
    .all();

/** Deeds so far, for the board. */
export const deedsOf = (id: string, o: { readonly db?: PracticeDb } = {}): number =>
  connection(o.db).select({ seq: deeds.seq }).from(deeds).where(eq(deeds.attemptId, id)).all().length;
