import type { Because, Condition, Finding } from '../src/core/findings/finding.ts';
import type { StationId } from '../src/core/items/register.ts';

export const practice: Because = { inputs: [], provenance: 'C', source: 'Common practice: a test.' };

/** What says that the whole of a check is good, where not every good finding of it does. */
const whole: Readonly<Partial<Record<StationId, string>>> = { spark: 'spark.good', run: 'run.ran' };

/** One finding of a station, in a condition. */
export const collectFor = (station: StationId, condition: Condition, because: Because): Finding[] => [
  {
    id: (condition === 'sound' ? whole[station] : undefined) ?? `${station}.test`,
    station,
    condition,
    found: 'Something was seen.',
    sentence: 'Something was seen.',
    because
  }
];
