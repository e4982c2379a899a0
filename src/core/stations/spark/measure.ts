import { ownLimits } from '../../engine/limits.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { keep } from '../../findings/keep.ts';
import { measure, type Measured, type MeasureRule } from '../../measurements/measure.ts';
import type { ReadingOf } from '../../record/current.ts';
import type { Conditions } from '../../record/reading.ts';
import { isAfter, type Instant } from '../../units/instant.ts';
import { weakCrankingAt } from '../plugs/weak-cranking.ts';

/** With what was said of starter or battery before it, or noted at an earlier look, where neither speed nor volts were noted beside it. */
export type SparkReading = ReadingOf<'spark.result'> & {
  readonly crankedWeakly?: true;
  readonly crankedAsNoted?: true;
};

/** Under this cranking speed some electronic ignitions give nothing (C; the manual knows). */
const SLOW_RPM = 300;

/** Cranked slower than some electronic ignitions need. */
export const isSlow = ({ conditions, crankedWeakly }: SparkReading): boolean =>
  crankedWeakly === true ||
  (conditions?.rpm !== undefined && conditions.rpm < SLOW_RPM) ||
  (conditions?.volts !== undefined && conditions.volts < ownLimits.weakVolts);

/** Looked at while the engine was warm: what sparks cold and not warm is a coil or sensor that fails with heat. */
export const isWarm = ({ conditions }: Pick<SparkReading, 'conditions'>): boolean => conditions?.engine === 'warm';

/**
 * Whether the lanyard was out, or the switch off, when spark was looked for: by the word before it, and by the word after it
 * where somebody found it so only then. Such a "none" says nothing.
 */
export function lanyardOut(c: Context, at: string): boolean {
  const words = c.record.all('spark.lanyard').filter((r) => r.value !== 'unknown');
  const before = words.findLast((r) => !isAfter(r.at, at));
  const after = words.find((r) => isAfter(r.at, at));
  return before?.value === 'no' || after?.value === 'no';
}

/** Before anybody said that lanyard and switch were in, and somebody did later: that one counts before this one. */
const lanyardUntold = (c: Context, at: string): boolean => {
  const words = c.record.all('spark.lanyard').filter((r) => r.value !== 'unknown');
  return words.length > 0 && !words.some((r) => !isAfter(r.at, at));
};

/** How fast it was cranked was noted, beside it or at an earlier look. */
const crankingNoted = ({ conditions, crankedAsNoted }: SparkReading): boolean =>
  crankedAsNoted === true || conditions?.rpm !== undefined || conditions?.volts !== undefined;

/**
 * How little each way of looking tells of a coil: the tester's open gap asks for its whole voltage, a plug's own gap in free air for a part
 * of it, a bolt shows that something arrives. Said of no way, it may have been any of them. C.
 */
const byPath: Readonly<Record<NonNullable<Conditions['path']>, number>> = { tester: 0, unknown: 2, plug: 3, bolt: 4 };

/** Through the tester before at the plug or to a bolt, in shade before in the sun, brisk before slow. C. */
const rule = (c: Context): MeasureRule<SparkReading, 'lanyard'> => ({
  subject: (r) => String(r.cylinder),
  key: (r) =>
    [
      r.conditions?.path ?? '',
      r.conditions?.light === 'sun' ? 'sun' : '',
      isSlow(r) ? 'slow' : crankingNoted(r) ? 'noted' : '',
      lanyardUntold(c, r.at) ? 'untold' : ''
    ].join('|'),
  rank: (r) =>
    (r.value !== 'good' && lanyardUntold(c, r.at) ? 8 : 0) +
    byPath[r.conditions?.path ?? 'unknown'] +
    (isSlow(r) && r.value !== 'good' ? 2 : 0) +
    (r.conditions?.light === 'sun' && r.value !== 'good' ? 1 : 0) +
    (crankingNoted(r) ? 0 : 0.5),
  // Spark that was there was there, whatever was said of the lanyard.
  voided: (r) => (r.value !== 'good' && lanyardOut(c, r.at) ? 'lanyard' : undefined)
});

/** When points were cleaned or their condenser changed as a trial: what was seen before it is how it was. */
const pointsCleaned = (c: Context): Instant[] =>
  (['spark.pointsClean', 'spark.condenserSwap'] as const).flatMap((item) =>
    c.record.all(item).flatMap((r) => (r.value === 'unknown' ? [] : [r.at]))
  );

/** A plug or a wire mended at another check changes the spark as well, and so does a trial that is work on the part itself. */
export const sparkWork = (c: Context): Instant[] => [
  ...(['spark', 'plugs'] as const).flatMap((s) => c.worked(s)),
  ...c.touched('look.wiring'),
  ...pointsCleaned(c)
];

type Sparks = Map<string, Measured<SparkReading, 'lanyard'>>;

/** What was seen at each cylinder since the last work, by its best method first. */
export const sparks = (c: Context): Sparks => keep(c, measureSparks);

function measureSparks(c: Context): Sparks {
  const cylinders = new Set(cylindersOf(c));
  const noted = new Set<number>();
  const results = c.record
    .all('spark.result')
    .filter((r) => r.value !== 'unknown' && r.cylinder !== undefined && cylinders.has(r.cylinder))
    .map((r): SparkReading => {
      if (crankingNoted(r)) {
        if (!isSlow(r)) noted.add(r.cylinder!);
        return r;
      }
      if (weakCrankingAt(c, r.at)) return { ...r, crankedWeakly: true };
      // Cranked as it was before: an earlier look with its volts noted does not speak over what is seen now.
      return noted.has(r.cylinder!) ? { ...r, crankedAsNoted: true } : r;
    });
  return measure(results, rule(c), sparkWork(c));
}
