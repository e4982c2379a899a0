import { known } from '../../engine/profile.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { pressureAtAltitude, SEA_LEVEL_PRESSURE } from '../../physics/atmosphere.ts';
import { breakdownVoltage, crankedTemperature } from '../../physics/breakdown.ts';
import { compare } from '../compression/compare.ts';
import { shapeOf } from '../compression/shape.ts';

/** Temperature of the air where none was noted, K. */
const ROOM = 293;
/**
 * Tester and plug are both pointed and fire lower than flat electrodes, about alike; how much alike is not known, so the
 * margin has room of a quarter each way (M).
 */
export const POINTED_RATIO = { low: 0.75, high: 1.33 } as const;

export interface VoltageRow {
  /** Compression as it was read, Pa gauge. */
  readonly gauge: number;
  readonly cylinder: number;
  /** Open gap shown to be jumped, and the voltage that takes between flat electrodes: available at least, V. */
  readonly open: number;
  readonly available: number;
  /** Plug gap, pressure (Pa absolute) and temperature (K) at top, and the voltage they need between flat electrodes, V. */
  readonly gap: number;
  readonly pressure: number;
  readonly temperature: number;
  readonly needed: number;
  /** Available over needed with its range. */
  readonly margin: number;
  readonly low: number;
  readonly high: number;
  readonly verdict: 'fires' | 'cannot-tell' | 'fails';
}

/**
 * Voltage shown in the open against voltage needed at this cylinder's plug gap and measured compression. Only cylinders
 * with all three readings have a row. P: breakdown of air, Kuffel; range of pointed electrodes M.
 */
export function voltages(c: Context): VoltageRow[] {
  const found = compare(c);
  if (!found) return [];
  const altitude = known(c.record.value('safe.altitude'));
  const ambient = altitude === undefined ? SEA_LEVEL_PRESSURE : pressureAtAltitude(altitude);
  const air = known(c.record.value('safe.air')) ?? ROOM;
  const ratio = shapeOf(c)?.shape.ratio;
  return cylindersOf(c).flatMap((cylinder): VoltageRow[] => {
    const open = known(c.record.value('spark.gap', cylinder));
    const gap = known(c.record.value('plugs.gap', cylinder));
    const row = found.rows.find((r) => r.cylinder === cylinder);
    if (open === undefined || gap === undefined || !row) return [];
    const pressure = row.mean + ambient;
    const temperature = crankedTemperature(air, ratio ? { ratio } : { pressures: pressure / ambient });
    const available = breakdownVoltage(ambient, open, air);
    const needed = breakdownVoltage(pressure, gap, temperature);
    const margin = available / needed;
    const [low, high] = [margin * POINTED_RATIO.low, margin * POINTED_RATIO.high];
    const verdict = low >= 1 ? 'fires' : high < 1 ? 'fails' : 'cannot-tell';
    return [
      { cylinder, gauge: row.mean, open, available, gap, pressure, temperature, needed, margin, low, high, verdict }
    ];
  });
}
