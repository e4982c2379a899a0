import * as z from 'zod/mini';
import type { Item } from '../items/item.ts';
import type { ItemId, StationId } from '../items/register.ts';
import type { EntryType } from './entries.ts';
import { decisionEntrySchema, gateReasonSchema, overrideSchema, readingSchemaOf, stepMarkSchema } from './reading.ts';
import { waitSchemaOf } from './wait.ts';
import { jobEditSchemaOf, partLineSchema, trayMarkSchema, trayPartSchema } from './work.ts';

/** What the record has to know of the stations to check what comes in. */
export interface ItemRegister {
  readonly items: Readonly<Record<ItemId, Item>>;
  readonly stations: readonly StationId[];
}

/** The schema of every kind of entry; each kind's list and label stand in `entryKinds`. */
export function entrySchemas({ items, stations }: ItemRegister) {
  const station = z.enum(stations as readonly [StationId, ...StationId[]]);
  return {
    reading: readingSchemaOf(items),
    override: overrideSchema,
    step: stepMarkSchema,
    reason: gateReasonSchema,
    wait: waitSchemaOf(station),
    decision: decisionEntrySchema,
    job: jobEditSchemaOf(station),
    part: partLineSchema,
    tray: trayPartSchema,
    trayMark: trayMarkSchema
  } satisfies { readonly [T in EntryType]: z.ZodMiniType };
}

export type EntrySchemas = ReturnType<typeof entrySchemas>;
