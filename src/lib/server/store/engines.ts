import type { StoredFact } from '../../../core/survey/wire.ts';
import { and, asc, eq, gt, sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { MeterReading } from '../../../core/care/meter.ts';
import { engineOf, factSchema, type Fact } from '../../../core/engine/fact.ts';
import type { Engine } from '../../../core/record/survey-file.ts';
import { engines, facts } from '../db/schema.ts';
import { dbOf, nowOf, prepared, type StoreOptions } from './context.ts';
import { forgetEngine } from './summaries.ts';

export function createEngine(
  first: readonly { path: string; value: unknown }[],
  by: string,
  o: StoreOptions = {}
): string {
  const db = dbOf(o);
  const id = randomUUID();
  const at = nowOf(o);
  db.transaction((tx) => {
    tx.insert(engines).values({ id, createdAt: at }).run();
    const rows = first.map(({ path, value }) => ({
      ...factSchema.parse({ id: randomUUID(), path, value, at, ...(by ? { by } : {}) }),
      engineId: id
    }));
    if (rows.length) tx.insert(facts).values(rows).run();
  });
  return id;
}

export function engineExists(id: string, o: StoreOptions = {}): boolean {
  return dbOf(o).select({ id: engines.id }).from(engines).where(eq(engines.id, id)).get() !== undefined;
}

const toFact = (row: typeof facts.$inferSelect): StoredFact => ({
  seq: row.seq,
  id: row.id,
  path: row.path,
  value: row.value,
  at: row.at,
  ...(row.by ? { by: row.by } : {}),
  ...(row.clock === null ? {} : { clock: row.clock })
});

/** The fact that has an id, of whatever engine. */
export const storedFact = (id: string, o: StoreOptions = {}): typeof facts.$inferSelect | undefined =>
  prepared(o, 'fact', (db) =>
    db
      .select()
      .from(facts)
      .where(eq(facts.id, sql.placeholder('id')))
      .prepare()
  ).get({ id });

/** Facts of an engine in the order they came, after `since`. */
export function factsAfter(engineId: string, since = 0, o: StoreOptions = {}): StoredFact[] {
  const statement = prepared(o, 'facts-after', (db) =>
    db
      .select()
      .from(facts)
      .where(and(eq(facts.engineId, sql.placeholder('engine')), gt(facts.seq, sql.placeholder('since'))))
      .orderBy(asc(facts.seq))
      .prepare()
  );
  return statement.all({ engine: engineId, since }).map(toFact);
}

export const loadEngine = (engineId: string, o: StoreOptions = {}): Engine => engineOf(factsAfter(engineId, 0, o));

/** Appends a fact; one whose id is already there is not written twice, so a retry is harmless. */
export function appendFact(engineId: string, fact: Fact, o: StoreOptions = {}): void {
  const { value, ...rest } = fact;
  dbOf(o)
    .insert(facts)
    .values({ ...rest, value, engineId })
    .onConflictDoNothing()
    .run();
  forgetEngine(engineId, o);
}

/** The engine's hours, each with the day on which it was written down. */
export const hoursNoted = (engineId: string, o: StoreOptions = {}): MeterReading[] =>
  factsAfter(engineId, 0, o).flatMap((f) =>
    f.path === 'history.hours' && typeof f.value === 'number' ? [{ at: f.at, hours: f.value }] : []
  );

/** The latest word on one field of every engine that has one, in one query: a yard is not read fact by fact to find an owner. */
export function saidOfAll(path: string, o: StoreOptions = {}): ReadonlyMap<string, unknown> {
  const rows = dbOf(o)
    .select({ engineId: facts.engineId, value: facts.value })
    .from(facts)
    .where(eq(facts.path, path))
    .orderBy(asc(facts.seq))
    .all();
  return new Map(rows.map((r) => [r.engineId, r.value]));
}
