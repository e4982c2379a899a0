import { asc, desc, eq } from 'drizzle-orm';
import { benchSchema, pinSchema, usualBench, type BenchSettings, type Pin } from '../../../core/schedule/settings.ts';
import { packsSchema, type Pack } from '../../../core/parts/packs.ts';
import { shop } from '../db/schema.ts';
import { dbOf, nowOf, type StoreOptions } from './context.ts';

/** The bench as it stands; every change is a new row. */
export function currentBench(o: StoreOptions = {}): { bench: BenchSettings; chosen: boolean } {
  const row = dbOf(o).select().from(shop).where(eq(shop.kind, 'bench')).orderBy(desc(shop.seq)).limit(1).get();
  const parsed = benchSchema.safeParse(row?.body);
  return { bench: parsed.success ? parsed.data : usualBench, chosen: parsed.success };
}

export function saveBench(bench: BenchSettings, by: string, o: StoreOptions = {}): void {
  dbOf(o)
    .insert(shop)
    .values({ kind: 'bench', body: benchSchema.parse(bench), at: nowOf(o), by })
    .run();
}

/** Where each step was put by hand, the latest word on each. */
export function currentPins(o: StoreOptions = {}): Pin[] {
  const last = new Map<string, Pin>();
  for (const row of dbOf(o).select().from(shop).where(eq(shop.kind, 'pin')).orderBy(asc(shop.seq)).all()) {
    const pin = pinSchema.safeParse(row.body);
    if (pin.success) last.set(`${pin.data.engine}/${pin.data.step}`, pin.data);
  }
  return [...last.values()].filter((p) => !p.off);
}

export function addPin(pin: Pin, by: string, o: StoreOptions = {}): void {
  dbOf(o)
    .insert(shop)
    .values({ kind: 'pin', body: pinSchema.parse(pin), at: nowOf(o), by })
    .run();
}

/** How the supplies that this shop buys are sold, as last written down. */
export function currentPacks(o: StoreOptions = {}): Pack[] {
  const row = dbOf(o).select().from(shop).where(eq(shop.kind, 'packs')).orderBy(desc(shop.seq)).limit(1).get();
  const parsed = packsSchema.safeParse(row?.body);
  return parsed.success ? parsed.data : [];
}

export function savePacks(packs: readonly Pack[], by: string, o: StoreOptions = {}): void {
  dbOf(o)
    .insert(shop)
    .values({ kind: 'packs', body: packsSchema.parse(packs), at: nowOf(o), by })
    .run();
}
