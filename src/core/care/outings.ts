import { known } from '../engine/profile.ts';
import type { Engine } from '../engine/engine.ts';
import { outingsInOrder, type Outing } from '../engine/outing.ts';
import type { Instant } from '../units/instant.ts';

/** What the hour meter showed, and when somebody read it. */
export interface MeterReading {
  readonly at: Instant;
  readonly hours: number;
}

/** An outing with the engine hours it took. */
export interface Logged extends Outing {
  readonly id: string;
  /** Engine hours it ran: by the meter where both ends are known, else as estimated; nothing where neither is. */
  readonly hours?: number;
  /** From the meter, not from somebody's watch. */
  readonly metered?: true;
  /** The meter stands lower than at the outing before: another meter, or a slip. */
  readonly backward?: true;
}

/** An outing longer than this by the meter took in days that nobody logged, h (M). */
const ONE_OUTING = 24;

/** Each outing with its hours, oldest first. A meter that runs backward gives no hours; what was estimated stands. */
export function loggedOutings(engine: Pick<Engine, 'outings'>): Logged[] {
  let last: number | undefined;
  return outingsInOrder(engine.outings).map((o): Logged => {
    const before = last;
    if (o.meter !== undefined) last = o.meter;
    const backward = o.meter !== undefined && before !== undefined && o.meter < before;
    const byMeter = o.meter !== undefined && before !== undefined && !backward ? o.meter - before : undefined;
    const metered = byMeter !== undefined && (o.ran === undefined || byMeter <= ONE_OUTING);
    const hours = metered ? byMeter : o.ran;
    return {
      ...o,
      ...(hours === undefined ? {} : { hours }),
      ...(metered ? { metered: true as const } : {}),
      ...(backward ? { backward: true as const } : {})
    };
  });
}

/** What the hour meter stood at after each outing: read, else counted on from where it was last known. */
export function outingMeter(engine: Pick<Engine, 'outings'>): MeterReading[] {
  let at: number | undefined;
  return loggedOutings(engine).flatMap((o): MeterReading[] => {
    if (o.meter !== undefined) at = o.meter;
    else if (at !== undefined && o.hours !== undefined) at += o.hours;
    return at === undefined || (o.meter === undefined && o.hours === undefined)
      ? []
      : [{ at: `${o.on}T23:59:00.000Z`, hours: at }];
  });
}

/** Hours of the head itself since it was new, over what was logged; nothing where that is not known. */
export function headHoursNow(engine: Engine): number | undefined {
  const noted = known(engine.history.headHours);
  const meter = known(engine.history.hours);
  const list = loggedOutings(engine);
  const latest = outingMeter(engine).at(-1)?.hours;
  // Head hours were noted when the meter stood where the engine's page has it.
  if (noted !== undefined && meter !== undefined && latest !== undefined && latest >= meter)
    return noted + latest - meter;
  const ran = list.reduce((sum, o) => sum + (o.hours ?? 0), 0);
  if (noted !== undefined) return noted + (meter === undefined ? ran : 0);
  return latest ?? meter;
}

export interface OutingTotals {
  readonly outings: number;
  readonly hours: number;
  /** Outings of which nobody knows how long they ran. */
  readonly unknown: number;
  /** Share of the hours at idle, over those outings of which it is known. */
  readonly idle?: number;
  /** m³ of oil added. */
  readonly added: number;
}

export function totalsOf(list: readonly Logged[]): OutingTotals {
  const timed = list.filter((o) => o.hours !== undefined);
  const told = timed.filter((o) => o.idle !== undefined && o.hours! > 0);
  const hours = told.reduce((sum, o) => sum + o.hours!, 0);
  return {
    outings: list.length,
    hours: timed.reduce((sum, o) => sum + o.hours!, 0),
    unknown: list.length - timed.length,
    ...(hours > 0 ? { idle: told.reduce((sum, o) => sum + o.idle! * o.hours!, 0) / hours } : {}),
    added: list.reduce((sum, o) => sum + (o.added ?? 0), 0)
  };
}
