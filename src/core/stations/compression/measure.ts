import { isAfter, type Instant } from '../../units/instant.ts';
import { boreOil } from '../plugs/oil-in-bores.ts';
import { harmedAt } from '../run/overheated.ts';
import { soakedAt } from '../turn/soak.ts';
import { ownLimits } from '../../engine/limits.ts';
import type { Context } from '../../findings/context.ts';
import { measure, type Measured, type MeasureRule } from '../../measurements/measure.ts';
import type { Instrument } from '../../record/reading.ts';
import { falls } from './falls.ts';
import { pressureTests, type PressureTest } from './tests.ts';

/** Why a compression reading can say nothing. */
export type PressureVoid = 'throttle' | 'range' | 'falls';

/** Volume between the chamber and this gauge's check valve, m³; none where the valve sits at the plug end. */
export const deadVolume = (i: Instrument | undefined): number =>
  i?.valve === 'plug end' ? 0 : (i?.adapterVolume ?? 0);

/** Cranked too weakly for what it reads: on a tired battery, or slowly, by starter or arm. */
export const weakBy = ({ conditions, crankedWeakly }: PressureTest): 'volts' | 'starter' | undefined =>
  (conditions?.volts ?? Infinity) < ownLimits.weakVolts
    ? 'volts'
    : (conditions?.rpm ?? Infinity) < ownLimits.slowCranking
      ? 'starter'
      : crankedWeakly;
export const isWeak = (r: PressureTest): boolean => weakBy(r) !== undefined;
const wet = (r: PressureTest): boolean => r.conditions?.bores === 'oiled';

/** Throttle, bores, temperature of the engine, instrument with its volume, dose, and cranking strength where it was weak. */
export const pressureKey = (r: PressureTest): string =>
  [
    r.conditions?.throttle ?? 'unknown',
    r.conditions?.bores ?? 'unknown',
    wet(r) ? Math.round((r.conditions?.dose ?? -1) * 1e7) : '',
    r.conditions?.engine ?? 'unknown',
    r.instrument?.name ?? '',
    r.instrument?.adapterVolume ?? 'unknown',
    isWeak(r) ? 'weak' : ''
  ].join('|');

/** Wide open before unknown, dry before wet, direct before through a volume, brisk cranking before weak. C. */
const rank = (r: PressureTest): number =>
  (r.conditions?.throttle === 'open' ? 0 : 8) +
  (wet(r) ? 4 : 0) +
  (deadVolume(r.instrument) > 0 ? 2 : 0) +
  (isWeak(r) ? 1 : 0);

const rule: MeasureRule<PressureTest, PressureVoid> = {
  subject: (r) => String(r.cylinder),
  key: pressureKey,
  rank,
  voided: (r) => {
    if (r.conditions?.throttle === 'shut') return 'throttle';
    if (r.instrument?.range !== undefined && r.value >= r.instrument.range) return 'range';
    return r.needle && falls(r.needle, r.instrument?.resolution) ? 'falls' : undefined;
  }
};

/** The one value that was noted at all, where there is just one. */
const only = <T>(list: readonly (T | undefined)[]): T | undefined => {
  const noted = [...new Set(list.filter((x) => x !== undefined))];
  return noted.length === 1 ? noted[0] : undefined;
};

/**
 * Whether the engine was cold is often noted once for a whole test: where every reading that has it noted has the same, the others
 * have it too. Throttle, oil and gauge are never supplied: they change the reading.
 */
function completed(tests: readonly PressureTest[]): readonly PressureTest[] {
  const engine = only(tests.map((r) => (r.conditions?.engine === 'unknown' ? undefined : r.conditions?.engine)));
  if (!engine) return tests;
  return tests.map((r) =>
    (r.conditions?.engine ?? 'unknown') === 'unknown' ? { ...r, conditions: { ...r.conditions, engine } } : r
  );
}

/**
 * What changes what a cylinder holds: work that is proved at this check, a soak, heat far past the head's limit, a run without oil. What was read before
 * it is how it was.
 */
export const boreWork = (c: Context): readonly Instant[] => [
  ...c.worked('compression'),
  ...soakedAt(c),
  ...harmedAt(c)
];

/** Marked dry while oil was in the bores, and read again as what it was: the second one is the reading. */
function withoutMismarked(c: Context, tests: readonly PressureTest[]): readonly PressureTest[] {
  const oiled = tests.filter(wet);
  return oiled.length
    ? tests.filter(
        (r) =>
          r.conditions?.bores !== 'dry' ||
          boreOil(c, r.at) === undefined ||
          !oiled.some((o) => o.cylinder === r.cylinder && isAfter(o.at, r.at) && boreOil(c, o.at) !== undefined)
      )
    : tests;
}

/** What was measured at each cylinder, and what of it counts. */
export const pressures = (c: Context): Map<string, Measured<PressureTest, PressureVoid>> =>
  measure(completed(withoutMismarked(c, pressureTests(c))), rule, boreWork(c));
