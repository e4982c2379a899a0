import { database, type Db } from '../db/open.ts';

/** What every store call may be given in place of the shared connection and the machine's clock. */
export interface StoreOptions {
  readonly db?: Db;
  readonly now?: Date;
}

export const dbOf = (o: StoreOptions = {}): Db => o.db ?? database();
export const nowOf = (o: StoreOptions = {}): string => (o.now ?? new Date()).toISOString();
