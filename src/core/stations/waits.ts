import { known } from '../engine/profile.ts';
import { ruleNumber } from '../house-rules/rules.ts';
import type { Context } from '../findings/context.ts';
import { drainMinutes } from '../physics/viscosity.ts';
import { say } from '../units/index.ts';
import type { StationId } from './items.ts';

export interface UsualWait {
  readonly label: string;
  readonly minutes: number;
  readonly because: string;
}

/** Minutes a case drains at 20 °C, a dipstick's oil settles, a case test holds at least (C). */
const DRAIN = 20;
const SETTLE = 10;
const HOLD = 10;
/** Minutes a jar sample stands, and warm engine oil drains (C). */
const JAR = 15;
const OIL_DRAIN = 15;

/** What usually runs by itself at a check, with how long and why. C unless said. */
export function usualWaits(c: Context, station: StationId): UsualWait[] {
  if (station === 'turn') {
    const hours = ruleNumber(c.rules, 'nextDay');
    return [
      {
        label: 'Bores soaking',
        minutes: hours * 60,
        because: `turned again after ${hours} h at least (house rule)`
      }
    ];
  }
  if (station === 'gear') {
    const air = known(c.record.value('safe.air'));
    const drain = air === undefined || air < 235 || air > 350 ? DRAIN : drainMinutes(air, DRAIN);
    return [
      {
        label: 'Gear oil draining',
        minutes: Math.max(5, Math.round(drain)),
        because:
          air === undefined
            ? `${DRAIN} min at 20 °C; record the air temperature and it follows the oil’s viscosity`
            : `${DRAIN} min at 20 °C, by the oil’s viscosity at ${say(air, 'temperature', c.units)} (ASTM D341)`
      },
      { label: 'Case test held', minutes: HOLD, because: 'at least; the longer, the smaller a leak it shows' }
    ];
  }
  if (station === 'fuel')
    return [{ label: 'Jar standing', minutes: JAR, because: 'water settles below; cloudy fuel shows its layer' }];
  if (station === 'oil')
    return [
      { label: 'Engine oil draining', minutes: OIL_DRAIN, because: 'warm and level; what comes out is measured' },
      { label: 'Oil settling', minutes: SETTLE, because: 'then two dips that agree' }
    ];
  return [];
}
