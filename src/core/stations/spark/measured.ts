import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { judgedBy } from '../../findings/limit.ts';
import { accusedParts } from './accused.ts';
import type { SparkFact } from './facts.ts';
import { isAfter, latestAt } from '../../units/instant.ts';
import { fedBy, sparksAnyway } from './sparks-anyway.ts';
import { voltages } from './voltage.ts';
import {
  BETWEEN,
  METER_SHARE,
  OPEN,
  SHORTED,
  windingIds,
  windingRows,
  type WindingId,
  type WindingRow
} from './windings.ts';

/** Resistance of clean closed points, Ω, above which they count as oxidised (M). */
export const POINTS_OHMS = 0.2;
/** A points gap may differ from what is asked by this share (M). */
const POINTS_GAP_SHARE = 0.15;
/** Timing by marks is read to about this, degrees (M). */
export const TIMING_REACH = 2;

/** Voltage shown against voltage needed at this plug gap and this cylinder's compression. */
export const voltageFacts = (c: Context): SparkFact[] =>
  voltages(c).map((row) => ({
    kind: 'voltage',
    cylinder: row.cylinder,
    condition: row.verdict === 'fires' ? 'sound' : row.verdict === 'fails' ? 'watch' : 'cannot-tell',
    values: row
  }));

const rangeIs = { inside: 'sound', outside: 'fault', close: 'cannot-tell' } as const;

/** Where a diode or the driver sits in the coil, its winding cannot be read from outside (C). */
const hidden = (c: Context, winding: WindingId): boolean =>
  c.survey.engine.profile.ignition === 'coil-on-plug' && (winding === 'primary' || winding === 'secondary');

/** One winding: broken, cold against warm, then against the manual's range. */
function windingOf(c: Context, row: WindingRow): SparkFact[] {
  const { winding, cylinder, limit, warmOverCold, range } = row;
  const common = { ...(cylinder === undefined ? {} : { cylinder }), ...(limit ? { limit } : {}) };
  if (row.scattered)
    return [{ ...common, kind: 'scattered-winding', id: winding, condition: 'cannot-tell', values: row }];
  const short = SHORTED[winding];
  if (short !== undefined && row.ohms20 < short && range !== 'inside')
    return [
      {
        ...common,
        kind: 'shorted-winding',
        id: winding,
        // Once, it may be the leads, or the wrong two wires.
        condition: hidden(c, winding) || row.repeated < 2 ? 'cannot-tell' : 'fault',
        values: row
      }
    ];
  if (row.ohms20 >= OPEN[winding] && range !== 'inside')
    return [
      {
        ...common,
        kind: 'open-winding',
        id: winding,
        condition: hidden(c, winding) ? 'cannot-tell' : 'fault',
        values: row
      }
    ];
  const out: SparkFact[] = [];
  const reach = row.warmReach;
  if (warmOverCold !== undefined && reach && Math.abs(warmOverCold - 1) > METER_SHARE)
    out.push({
      ...common,
      kind: 'warm-winding',
      id: `hot-${winding}`,
      // So little may be the meter and its leads: it says nothing by itself.
      condition: reach.high < 1 ? 'fault' : reach.low > 1 ? 'watch' : 'cannot-tell',
      values: { ...row, warmOverCold }
    });
  if (range !== undefined)
    out.push({ ...common, kind: 'winding', id: winding, condition: rangeIs[range], values: row });
  return out;
}

/** Read once it is read again, and then watched: the coil of a cylinder that sparks is bought for no figure. */
function asItSparks(c: Context, f: SparkFact): SparkFact {
  const measured = f.kind === 'winding' || f.kind === 'open-winding' || f.kind === 'shorted-winding';
  if (!measured || f.condition !== 'fault' || !sparksAnyway(c, fedBy(c, f.values.winding, f.cylinder))) return f;
  return {
    ...f,
    condition: f.values.repeated < 2 ? 'cannot-tell' : 'watch',
    values: { ...f.values, sparks: true }
  };
}

/** Windings against the manual's range, between cylinders, and cold against warm. */
export function windingFacts(c: Context): SparkFact[] {
  const rows = windingRows(c);
  const between = windingIds.flatMap((winding): SparkFact[] => {
    const mine = rows.filter(
      (r) => r.winding === winding && r.limit === undefined && !r.scattered && r.ohms20 < OPEN[winding]
    );
    const ohms = mine.map((r) => r.ohms20);
    const [least, most] = [Math.min(...ohms), Math.max(...ohms)];
    if (mine.length < 2 || most <= 0 || (most - least) / most <= BETWEEN) return [];
    return [
      {
        kind: 'between',
        id: `between-${winding}`,
        condition: 'cannot-tell',
        values: { winding, rows: mine.map(({ cylinder, ohms20 }) => ({ cylinder, ohms20 })) }
      }
    ];
  });
  return [...rows.flatMap((row) => windingOf(c, row)).map((f) => asItSparks(c, f)), ...between];
}

/** What is known of points that are closed: resistance, Ω, and how they look, since they were cleaned last. */
export function pointsSeen(
  c: Context,
  cylinder: number
): { readonly ohms: number | undefined; readonly look: string | undefined } {
  const cleaned = latestAt(c.record.all('spark.pointsClean').filter((r) => r.value !== 'unknown'));
  const since = (item: 'spark.pointsOhms' | 'spark.pointsLook'): boolean => {
    const r = c.record.last(item, cylinder);
    return r !== undefined && (!cleaned || isAfter(r.at, cleaned));
  };
  const seen = ofThisPart(c, 'spark.pointsLook', cylinder);
  return {
    ohms: since('spark.pointsOhms') ? known(ofThisPart(c, 'spark.pointsOhms', cylinder)) : undefined,
    // Cleaning takes the grey off; a pit it leaves.
    look: seen === 'pitted' || since('spark.pointsLook') ? seen : undefined
  };
}

/** A flywheel that is shifted on its crank is what its timing tells of, and nothing else; its key renewed, the timing is of before. */
function throughKey(c: Context): 'shifted' | 'renewed' | undefined {
  if (accusedParts(c).some((a) => a.part === 'key')) return 'shifted';
  const read = c.record.last('spark.timing');
  return read && c.renewed('spark.keyLook').some((at) => isAfter(at, read.at)) ? 'renewed' : undefined;
}

/** Points and timing. */
export function timingFacts(c: Context): SparkFact[] {
  const out: SparkFact[] = [];
  const limit = judgedBy(c, 'spark.pointsGap', ownLimits.pointsGap, 'common practice on older magnetos');
  for (const cylinder of cylindersOf(c)) {
    const gap = known(ofThisPart(c, 'spark.pointsGap', cylinder));
    if (gap !== undefined && Math.abs(gap / limit.value - 1) > POINTS_GAP_SHARE)
      out.push({ kind: 'points-gap', cylinder, condition: 'watch', values: { gap }, limit });
    const { ohms, look } = pointsSeen(c, cylinder);
    if ((ohms !== undefined && ohms > POINTS_OHMS) || (look !== undefined && look !== 'clean'))
      out.push({ kind: 'points', cylinder, condition: 'watch', values: { ohms, look } });
  }
  const rub = ofThisPart(c, 'spark.rubBlock');
  if (rub === 'dry' || rub === 'worn') out.push({ kind: 'rub-block', condition: 'watch', values: { state: rub } });
  const timing = known(c.record.value('spark.timing'));
  if (timing === undefined) return out;
  const asked = judgedBy(c, 'spark.timing');
  if (!asked) return [...out, { kind: 'timing', condition: 'cannot-tell', values: { timing } }];
  const off = timing - (asked.to === undefined ? asked.value : Math.min(Math.max(timing, asked.value), asked.to));
  const through = throughKey(c);
  if (through && Math.abs(off) > TIMING_REACH)
    return [...out, { kind: 'timing', condition: 'cannot-tell', values: { timing, off, through }, limit: asked }];
  const condition = Math.abs(off) > TIMING_REACH ? 'watch' : 'sound';
  return [...out, { kind: 'timing', condition, values: { timing, off }, limit: asked }];
}
