import { crankRules } from './crank-rules.ts';
import type { HoldRule } from './hold.ts';
import { startRules } from './start-rules.ts';

/** The holds of the trade, most dangerous first. */
export const holdRules: readonly HoldRule[] = [...crankRules, ...startRules];
