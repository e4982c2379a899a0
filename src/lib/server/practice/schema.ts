import type { Deed } from '../../../core/practice/exercise.ts';
import type { Statement } from '../../../core/practice/statement.ts';
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** Exercises that people do. A file of its own: no practice engine is ever among the records. */
export const attempts = sqliteTable(
  'attempts',
  {
    id: text('id').primaryKey(),
    /** A ready exercise's id, or the code of a set with the number of the engine. */
    kind: text('kind').$type<'ready' | 'set'>().notNull(),
    code: text('code').notNull(),
    number: integer('number').notNull(),
    who: text('who').notNull(),
    startedAt: text('started_at').notNull(),
    /** What was said before the truth was shown; the exercise is over then. */
    statement: text('statement', { mode: 'json' }).$type<Statement>(),
    endedAt: text('ended_at'),
    /** Of the debrief: what the board and the calibration need. */
    result: text('result', { mode: 'json' }).$type<Result>()
  },
  (t) => [index('attempts_code').on(t.kind, t.code), index('attempts_who').on(t.who)]
);

export interface Result {
  readonly minutes: number;
  readonly regret: number;
  readonly money: number;
  readonly brier: number;
  readonly baseline: number;
  readonly broken: number;
  readonly asked: number;
  readonly pairs: readonly (readonly [said: string, there: 0 | 1])[];
}

/** What was done, one after the other, appended and never changed. */
export const deeds = sqliteTable(
  'deeds',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    attemptId: text('attempt_id')
      .notNull()
      .references(() => attempts.id),
    deed: text('deed', { mode: 'json' }).$type<Deed>().notNull(),
    at: text('at').notNull()
  },
  (t) => [index('deeds_attempt').on(t.attemptId, t.seq)]
);
