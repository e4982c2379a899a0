import type { Because, Condition, Finding } from '../src/core/findings/finding.ts';
import type { StationId } from '../src/core/items/register.ts';

export const practice: Because = { inputs: [], provenance: 'C', source: 'Common practice: a test.' };

/** One finding of a station, in a condition. */
export const collectFor = (station: StationId, condition: Condition, because: Because): Finding[] => [
  { id: `${station}.test`, station, condition, found: 'Something was seen.', sentence: 'Something was seen.', because }
];
