import { say, type System } from '../../units/index.ts';
import type { Difference } from './differences.ts';
import type { Expected } from './expected.ts';

/** "throttle shut, another gauge or adapter". */
export const sayDifferences = (differs: readonly Difference[]): string =>
  differs
    .map((d) =>
      d.of === 'gauge'
        ? 'another gauge or adapter'
        : d.of === 'cranking'
          ? d.by === 'volts'
            ? 'a weak battery'
            : 'slow cranking'
          : `${d.of} ${'was' in d ? (d.was ?? 'unknown') : ''}`
    )
    .join(', ') || 'other conditions';

/** What the cranking model was given, in words. */
export const sayModel = (from: Expected['from'], units: System): string =>
  `${Math.round(from.rpm.low)} to ${Math.round(from.rpm.high)} rpm, trapped ratio ${from.ratio.low.toFixed(1)} to ${from.ratio.high.toFixed(1)}, ${Math.round(from.ambient / 100)} hPa, ${say(from.temperature, 'temperature', units)}`;
