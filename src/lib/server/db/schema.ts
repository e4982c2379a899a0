import type { EntryType } from '../../../core/survey/entry.ts';
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** Bodies are JSON checked by the core's Zod schemas before they get here; these tables only keep and order them. */
export const engines = sqliteTable('engines', {
  id: text('id').primaryKey(),
  createdAt: text('created_at').notNull()
});

/** What was said about an engine, one field at a time, appended and never changed. */
export const facts = sqliteTable(
  'facts',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    id: text('id').notNull().unique(),
    engineId: text('engine_id')
      .notNull()
      .references(() => engines.id),
    path: text('path').notNull(),
    value: text('value', { mode: 'json' }),
    at: text('at').notNull(),
    by: text('by')
  },
  (t) => [index('facts_engine').on(t.engineId, t.seq)]
);

export const surveys = sqliteTable(
  'surveys',
  {
    id: text('id').primaryKey(),
    engineId: text('engine_id')
      .notNull()
      .references(() => engines.id),
    kind: text('kind').notNull(),
    startedAt: text('started_at').notNull(),
    by: text('by')
  },
  (t) => [index('surveys_engine').on(t.engineId)]
);

/** Readings, overrides, step marks, reasons and waits of a survey, appended and never changed. */
export const entries = sqliteTable(
  'entries',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    id: text('id').notNull().unique(),
    surveyId: text('survey_id')
      .notNull()
      .references(() => surveys.id),
    type: text('type').$type<EntryType>().notNull(),
    body: text('body', { mode: 'json' }).notNull(),
    receivedAt: text('received_at').notNull()
  },
  (t) => [index('entries_survey').on(t.surveyId, t.seq)]
);

export const instruments = sqliteTable('instruments', {
  id: text('id').primaryKey(),
  body: text('body', { mode: 'json' }).notNull(),
  createdAt: text('created_at').notNull(),
  retiredAt: text('retired_at')
});

export const houseRules = sqliteTable('house_rules', {
  seq: integer('seq').primaryKey({ autoIncrement: true }),
  body: text('body', { mode: 'json' }).notNull(),
  at: text('at').notNull(),
  by: text('by')
});

/** What was signed as ready for service: the frozen record and its hash. */
export const releases = sqliteTable('releases', {
  id: text('id').primaryKey(),
  surveyId: text('survey_id')
    .notNull()
    .references(() => surveys.id),
  signedBy: text('signed_by').notNull(),
  at: text('at').notNull(),
  hash: text('hash').notNull(),
  record: text('record', { mode: 'json' }).notNull()
});
