import type { EntryType } from '../../../core/record/entries.ts';
import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';

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
  /** Hash over the link before it and this record's own hash: a record taken out or changed breaks the chain. */
  chain: text('chain'),
  record: text('record', { mode: 'json' }).notNull()
});

/** What belongs to the shop and to no engine: bench, pins. Appended; the latest word of a kind counts. */
export const shop = sqliteTable(
  'shop',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    kind: text('kind', { enum: ['bench', 'pin'] }).notNull(),
    body: text('body', { mode: 'json' }).notNull(),
    at: text('at').notNull(),
    by: text('by')
  },
  (t) => [index('shop_kind').on(t.kind, t.seq)]
);

/** The yard's line of each engine as it was last judged; thrown away when anything it rests on changes. */
export const summaries = sqliteTable(
  'summaries',
  {
    engineId: text('engine_id')
      .notNull()
      .references(() => engines.id),
    units: text('units').notNull(),
    surveyId: text('survey_id').notNull(),
    /** When it was judged, ms. */
    at: integer('at').notNull(),
    /** Whether the clock alone changes it. */
    ticking: integer('ticking', { mode: 'boolean' }).notNull(),
    pressing: real('pressing').notNull(),
    words: text('words').notNull(),
    row: text('row', { mode: 'json' }).notNull(),
    /** Its open work, as the bench plans it. */
    work: text('work', { mode: 'json' }).notNull()
  },
  (t) => [primaryKey({ columns: [t.engineId, t.units] }), index('summaries_pressing').on(t.units, t.pressing)]
);
