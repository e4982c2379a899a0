import type { EntryType } from '../../../core/record/entries.ts';
import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

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
    by: text('by'),
    /** What was added to the clock of the device that it was said on, ms. */
    clock: integer('clock')
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
    by: text('by'),
    /** The order in which they were begun here, whatever any clock said. */
    seq: integer('seq')
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
export const releases = sqliteTable(
  'releases',
  {
    id: text('id').primaryKey(),
    surveyId: text('survey_id')
      .notNull()
      .references(() => surveys.id),
    signedBy: text('signed_by').notNull(),
    at: text('at').notNull(),
    hash: text('hash').notNull(),
    /** Hash over the link before it and this record's own hash: a record taken out or changed breaks the chain. */
    chain: text('chain'),
    /** Its place in the order of signing, from 1 without a gap. */
    seq: integer('seq'),
    /** Which rule its link was made by: 1 over its hash alone, 2 over all that stands beside it too. */
    version: integer('version').notNull().default(1),
    /** What stood in the database under it when it was signed: engine, counts, hash of its content, photographs. */
    seal: text('seal', { mode: 'json' }),
    record: text('record', { mode: 'json' }).notNull()
  },
  (t) => [uniqueIndex('releases_seq').on(t.seq)]
);

/** What belongs to the shop and to no engine: bench, pins, packs. Appended; the latest word of a kind counts. */
export const shop = sqliteTable(
  'shop',
  {
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    kind: text('kind', { enum: ['bench', 'pin', 'packs'] }).notNull(),
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

/** What the yard's door knows: the passphrase's hash, the head of the chain as last seen. */
export const access = sqliteTable('access', {
  key: text('key').primaryKey(),
  value: text('value', { mode: 'json' }).notNull(),
  at: text('at').notNull()
});

export const people = sqliteTable('people', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  role: text('role', { enum: ['technician', 'apprentice', 'teacher'] }).notNull(),
  /** Salted hash of the PIN. */
  pin: text('pin').notNull(),
  createdAt: text('created_at').notNull(),
  by: text('by'),
  removedAt: text('removed_at')
});

/** Devices that the passphrase opened, by the hash of their cookie. */
export const sessions = sqliteTable('sessions', {
  id: text('id').primaryKey(),
  createdAt: text('created_at').notNull(),
  /** Who signs on it now. */
  personId: text('person_id').references(() => people.id),
  /** When it last signed something or its person came, ms: a person left alone is signed off. */
  personSeen: integer('person_seen')
});

/** Addresses under which an owner sees his one engine, by the hash of their secret. */
export const ownerLinks = sqliteTable(
  'owner_links',
  {
    id: text('id').primaryKey(),
    secret: text('secret').notNull().unique(),
    engineId: text('engine_id')
      .notNull()
      .references(() => engines.id),
    createdAt: text('created_at').notNull(),
    by: text('by'),
    withdrawnAt: text('withdrawn_at')
  },
  (t) => [index('owner_links_engine').on(t.engineId)]
);
