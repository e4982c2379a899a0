import { bankCount } from '../../engine/banks.ts';
import { cylinderCount } from '../../engine/profile.ts';
import { ownLimits } from '../../engine/limits.ts';
import type { Context } from '../../findings/context.ts';
import type { ItemId, ReadingValue } from '../items.ts';

export type Bank = 'port' | 'starboard';

/** One thermostat: of a bank, or of an engine that has one, or of which nobody noted the bank. K. */
export interface Thermostat {
  readonly bank: Bank | undefined;
  readonly stamp: number | undefined;
  readonly opens: number | undefined;
  readonly pan: Exclude<ReadingValue<'cooling.thermostatPan'>, 'unknown'> | undefined;
  readonly is: 'shut' | 'open' | 'late' | 'early' | 'good' | 'cannot-tell';
}

const items = ['cooling.thermostatStamp', 'cooling.thermostatOpens', 'cooling.thermostatPan'] as const;

const twoBanks = (c: Context): boolean => {
  const { profile } = c.survey.engine;
  return bankCount(profile, cylinderCount(profile) ?? 1) === 2;
};

/** The latest word on an item of one bank; what was read of the other one is never used. */
function ofBank<I extends ItemId>(c: Context, item: I, bank: Bank | undefined) {
  const list = c.record.all(item).filter((r) => r.value !== 'unknown' && (!twoBanks(c) || r.conditions?.bank === bank));
  return list.reduce<(typeof list)[number] | undefined>(
    (best, r) => (best && (best.round ?? 1) > (r.round ?? 1) ? best : r),
    undefined
  )?.value;
}
const number = (v: unknown): number | undefined => (typeof v === 'number' ? v : undefined);

/** Every thermostat of which anything was read, bank by bank; an engine with one bank has one, whatever was noted. */
export function thermostats(c: Context): Thermostat[] {
  const possible = twoBanks(c) ? ([undefined, 'port', 'starboard'] as const) : ([undefined] as const);
  const banks = possible.filter((bank) => items.some((i) => ofBank(c, i, bank) !== undefined));
  return banks.map((bank) => {
    const stamp = number(ofBank(c, 'cooling.thermostatStamp', bank));
    const opens = number(ofBank(c, 'cooling.thermostatOpens', bank));
    const pan = ofBank(c, 'cooling.thermostatPan', bank) as Thermostat['pan'];
    const off = opens !== undefined && stamp !== undefined ? opens - stamp : undefined;
    const is =
      pan === 'shut' || pan === 'open'
        ? pan
        : off !== undefined && Math.abs(off) > ownLimits.thermostat
          ? off > 0
            ? 'late'
            : 'early'
          : pan === 'good' || off !== undefined
            ? 'good'
            : 'cannot-tell';
    return { bank, stamp, opens, pan, is };
  });
}
