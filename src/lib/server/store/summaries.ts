import { eq, sql } from 'drizzle-orm';
import { summaries } from '../db/schema.ts';
import { dbOf, prepared, type StoreOptions } from './context.ts';

/** A line of no moment: it is shown as it was until it is judged anew, which comes first. */
export const OUTDATED = 0;

/** The yard's line of an engine is judged anew when it is next looked at. */
export function forgetEngine(engineId: string, o: StoreOptions = {}): void {
  prepared(o, 'forget-engine', (db) =>
    db
      .update(summaries)
      .set({ at: OUTDATED })
      .where(eq(summaries.engineId, sql.placeholder('engine')))
      .prepare()
  ).run({ engine: engineId });
}

/** Another house rule: every line is judged anew. */
export const forgetAll = (o: StoreOptions = {}): void => void dbOf(o).update(summaries).set({ at: OUTDATED }).run();
