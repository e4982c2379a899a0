import { known } from '../../engine/profile.ts';
import { ownLimits } from '../../engine/limits.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';
import { withoutMainFuse } from '../../findings/main-fuse.ts';
import { weakCrankingAt } from '../plugs/weak-cranking.ts';

/** What a fuel pressure gauge of the workshop can be off by, Pa (M: two per cent of 700 kPa). */
export const RAIL_GAUGE = 14e3;

/** So many times what the manual asks for is no spread of a regulator (M). */
const HIGH = 1.5;

export interface Rail {
  /** Pa. */
  readonly pressure: number;
  /** Missing where only the manual could say: direct injection runs at other pressures. */
  readonly limit?: Judged;
  /** Pa: the most that such a rail stands at, where it was read over that. */
  readonly most?: number;
  /** `weak-battery`: too low, and the battery was poor when it was read, which turns the pump slowly too; `no-volts`: while the main fuse was blown. */
  readonly verdict: 'low' | 'high' | 'high-once' | 'weak-battery' | 'no-volts' | 'good' | 'close' | 'cannot-tell';
}

/**
 * Pressure in the fuel rail of an injected engine against the least it needs; a figure within the gauge's reach of that is "close". Nothing
 * where it was not read.
 */
export function railPressure(c: Context): Rail | undefined {
  const pressure = known(c.record.value('fuel.rail'));
  if (pressure === undefined) return undefined;
  const direct = c.survey.engine.profile.fuelSystem === 'direct';
  const told = judgedBy(c, 'fuel.rail', direct ? undefined : ownLimits.railLeast);
  // How much direct injection needs only the manual knows; less than port injection needs is too little for it as well.
  const nearNothing = pressure + RAIL_GAUGE < ownLimits.railLeast;
  const limit = told ?? (nearNothing ? judgedBy(c, 'fuel.rail', ownLimits.railLeast) : undefined);
  if (!limit) return { pressure, verdict: 'cannot-tell' };
  const over = pressure - limit.value;
  if (Math.abs(over) <= RAIL_GAUGE) return { pressure, limit, verdict: 'close' };
  const most = limit.manual ? HIGH * limit.value : ownLimits.railMost;
  if (!direct && pressure - RAIL_GAUGE > most) {
    const again = c.record.all('fuel.rail').filter((r) => typeof r.value === 'number' && r.value > most).length > 1;
    return { pressure, limit, most, verdict: again ? 'high' : 'high-once' };
  }
  if (over > 0) return { pressure, limit, verdict: 'good' };
  const read = c.record.last('fuel.rail')!.at;
  if (withoutMainFuse(c, read)) return { pressure, limit, verdict: 'no-volts' };
  const weak = weakCrankingAt(c, read) === 'volts';
  return { pressure, limit, verdict: weak ? 'weak-battery' : 'low' };
}

/** What was heard of the high-pressure pump with the key on, latest word: `no-volts` where it was silent without a main fuse, which any pump is. */
export function pumpHeard(c: Context): 'runs' | 'silent' | 'no-volts' | undefined {
  const heard = c.record.last('fuel.railPump');
  if (!heard) return undefined;
  if (heard.value !== 'silent') return 'runs';
  return withoutMainFuse(c, heard.at) ? 'no-volts' : 'silent';
}
