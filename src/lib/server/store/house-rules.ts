import { asc, desc, eq, isNull } from 'drizzle-orm';
import { houseRulesSchema, type HouseRules } from '../../../core/house-rules/rules.ts';
import { houseRules, instruments } from '../db/schema.ts';
import { instrumentSchema, type Instrument } from '../../../core/record/reading.ts';
import { randomUUID } from 'node:crypto';
import { dbOf, nowOf, prepared, type StoreOptions } from './context.ts';
import { forgetAll } from './summaries.ts';

/** The rules of the house as they stand; every change is a new row, so old judgements can be understood. */
export function currentRules(o: StoreOptions = {}): { rules: HouseRules; seq: number } {
  const row = prepared(o, 'rules', (db) =>
    db.select().from(houseRules).orderBy(desc(houseRules.seq)).limit(1).prepare()
  ).get();
  return { rules: row ? houseRulesSchema.parse(row.body) : {}, seq: row?.seq ?? 0 };
}

export function saveRules(rules: HouseRules, by: string, o: StoreOptions = {}): void {
  dbOf(o)
    .insert(houseRules)
    .values({ body: houseRulesSchema.parse(rules), at: nowOf(o), by })
    .run();
  forgetAll(o);
}

export interface StoredInstrument {
  readonly id: string;
  readonly instrument: Instrument;
}

/** Gauges and testers of the shop, entered once and picked. */
export const listInstruments = (o: StoreOptions = {}): StoredInstrument[] =>
  dbOf(o)
    .select()
    .from(instruments)
    .where(isNull(instruments.retiredAt))
    .orderBy(asc(instruments.createdAt))
    .all()
    .map((row) => ({ id: row.id, instrument: instrumentSchema.parse(row.body) }));

export function addInstrument(instrument: Instrument, o: StoreOptions = {}): string {
  const id = randomUUID();
  dbOf(o)
    .insert(instruments)
    .values({ id, body: instrumentSchema.parse(instrument), createdAt: nowOf(o) })
    .run();
  return id;
}

/** Takes an instrument off the pick list; readings keep their own copy of it. */
export function retireInstrument(id: string, o: StoreOptions = {}): void {
  dbOf(o)
    .update(instruments)
    .set({ retiredAt: nowOf(o) })
    .where(eq(instruments.id, id))
    .run();
}
