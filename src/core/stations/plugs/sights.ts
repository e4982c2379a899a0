import type { ReadingValue } from '../items.ts';

/** What can be seen on a plug. */
export type PlugSight = Exclude<ReadingValue<'plugs.read'>, 'unknown'>[number];
