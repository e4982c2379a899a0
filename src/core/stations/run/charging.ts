import type { Instant } from '../../units/instant.ts';
import type { Context } from '../../findings/context.ts';

/** Engine speed from which a charging circuit is judged, 1/min: at idle it may charge nothing (C). */
export const CHARGING_RPM = 1500;
/** Volts at the battery of a 12 V system at that speed (C, from memory; the manual’s figures count). */
export const CHARGING = { low: 13.0, high: 15.0 } as const;
/** Speed and volts belong together when they were read within this, ms (M). */
const TOGETHER = 90_000;
/** Between these it may be a system of 24 V, of which nothing is known here, V. */
const TWENTY_FOUR = { from: 20, to: 30 } as const;

export interface Charge {
  readonly at: Instant;
  readonly volts: number;
  readonly rpm: number | undefined;
  readonly verdict: 'good' | 'under' | 'over' | 'cannot-tell';
}

/** Volts at the battery while it runs, each with the speed at which it was read, oldest first. Low volts at idle say nothing. */
export function charging(c: Context): Charge[] {
  const speeds = c.record.all('run.rpm').filter((r) => typeof r.value === 'number');
  return c.record.all('run.volts').flatMap((r): Charge[] => {
    if (typeof r.value !== 'number' || (r.value > TWENTY_FOUR.from && r.value < TWENTY_FOUR.to)) return [];
    const near = speeds
      .map((s) => ({ rpm: s.value as number, off: Math.abs(Date.parse(s.at) - Date.parse(r.at)) }))
      .filter((s) => s.off <= TOGETHER)
      .sort((a, b) => a.off - b.off)[0];
    const fast = near !== undefined && near.rpm >= CHARGING_RPM;
    const verdict =
      r.value > CHARGING.high ? 'over' : !fast ? 'cannot-tell' : r.value < CHARGING.low ? 'under' : 'good';
    return [{ at: r.at, volts: r.value, rpm: near?.rpm, verdict }];
  });
}
