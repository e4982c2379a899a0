import { database } from '../src/lib/server/db/open.ts';
import { seed } from './seed.ts';

seed(new Date(), { db: database() });
