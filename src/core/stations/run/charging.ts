import { isAfter, type Instant } from '../../units/instant.ts';
import type { Context } from '../../findings/context.ts';

/** Engine speed from which a charging circuit is judged, 1/min: at idle it may charge nothing (C). */
export const CHARGING_RPM = 1500;
/** Volts at the battery of a 12 V system at that speed (C, from memory; the manual’s figures count). */
export const CHARGING = { low: 13.0, high: 15.0 } as const;
/** A speed this many times as high is another one (M). */
const FASTER = 1.2;
/** Speed and volts belong together when they were read within this, ms (M). */
const TOGETHER = 90_000;
/** A battery that stands over this while it cranks or rests is two of 12 V in a row, V. */
const TWENTY_FOUR = 16;

export interface Charge {
  readonly at: Instant;
  readonly volts: number;
  /** Of one battery of 12 V. */
  readonly each: number;
  readonly rpm: number | undefined;
  readonly verdict: 'good' | 'under' | 'over' | 'cannot-tell';
}

/** Batteries in a row, by what was read while it did not run; one where nothing was: outboards are built for 12 V (C). */
function inRow(c: Context): 1 | 2 {
  const noted = [
    ...c.record.all('plugs.volts'),
    ...c.record.all('compression.pressure'),
    ...c.record.all('spark.result')
  ];
  const volts = noted.flatMap((r) =>
    typeof r.value === 'number' && r.what === 'plugs.volts' ? r.value : (r.conditions?.volts ?? [])
  );
  return volts.length && Math.max(...volts) > TWENTY_FOUR ? 2 : 1;
}

/** Volts at the battery while it runs, each with the speed at which it was read, oldest first. Low volts at idle say nothing. */
export function charging(c: Context): Charge[] {
  const batteries = inRow(c);
  const speeds = c.record.all('run.rpm').filter((r) => typeof r.value === 'number');
  const list = c.record.all('run.volts').flatMap((r): Charge[] => {
    if (typeof r.value !== 'number') return [];
    const each = r.value / batteries;
    const near = speeds
      .map((s) => ({ rpm: s.value as number, off: Math.abs(Date.parse(s.at) - Date.parse(r.at)) }))
      .filter((s) => s.off <= TOGETHER)
      .sort((a, b) => a.off - b.off)[0];
    const fast = near !== undefined && near.rpm >= CHARGING_RPM;
    const verdict = each > CHARGING.high ? 'over' : !fast ? 'cannot-tell' : each < CHARGING.low ? 'under' : 'good';
    return [{ at: r.at, volts: r.value, each, rpm: near?.rpm, verdict }];
  });
  const worked = c.renewed('run.volts');
  // Good at a higher speed with nothing done between: it charges, and at the lower one it had not come in yet.
  const comesIn = (low: Charge): boolean =>
    list.some(
      (x) =>
        x.verdict === 'good' &&
        x.rpm! > FASTER * low.rpm! &&
        !worked.some((w) => isAfter(w, low.at) !== isAfter(w, x.at))
    );
  return list.map((x) => (x.verdict === 'under' && comesIn(x) ? { ...x, verdict: 'cannot-tell' } : x));
}
