import { known } from '../../engine/profile.ts';
import { school, schoolSaid } from '../../house-rules/rules.ts';
import type { Context } from '../../findings/context.ts';
import { treatedAfter } from '../../physics/flows.ts';
import { correctTank } from '../../physics/premix.ts';
import { askedMix, type AskedMix } from './asked-mix.ts';

/** The richest mix anybody pours (C): what an unknown mixture may be at most. */
const RICHEST = 25;

export interface TankFix {
  /** m³ of oil to add; where the mixture is unknown, for a tank without oil. */
  readonly oil: number;
  /** Least that is needed if an unknown tank is as rich as anybody mixes. */
  readonly least?: number;
  readonly moreFuel: number;
  /** With the cup at hand: what to pour, the ratio it makes, and the signed share by which it errs. */
  readonly pour?: { readonly oil: number; readonly ratio: number; readonly error: number };
  readonly asked: AskedMix;
}

/** What has to go into this tank, from what is in it; nothing until a volume is known. */
export function tankFix(c: Context): TankFix | undefined {
  const asked = askedMix(c);
  const has = known(c.record.value('fuel.tankHas')) ?? 0;
  const fresh = known(c.record.value('fuel.freshAdd')) ?? 0;
  if (!asked || has + fresh <= 0) return undefined;
  const oilIn = c.record.value('fuel.tankOil');
  const mix = known(c.record.value('fuel.tankMix'));
  const unknown = has > 0 && oilIn !== 'plain' && mix === undefined;
  const now = mix === undefined || oilIn === 'plain' ? Infinity : mix;
  const fix = correctTank(has, now, fresh, asked.ratio);
  const cup = known(c.record.value('fuel.cup'));
  const there = now === Infinity ? 0 : has / (now + 1);
  const oil = cup ? Math.ceil(fix.oil / cup - 1e-9) * cup : undefined;
  const total = oil === undefined ? 0 : oil + there;
  return {
    asked,
    oil: fix.oil,
    moreFuel: fix.moreFuel,
    ...(unknown ? { least: correctTank(has, RICHEST, fresh, asked.ratio).oil } : {}),
    ...(oil === undefined || total <= 0
      ? {}
      : {
          pour: {
            oil,
            ratio: (has - there + fresh) / total,
            error: total / ((has - there + fresh) / asked.ratio) - 1
          }
        })
  };
}

export interface Stabilising {
  /** m³ of stabiliser for the fuel in the tank and to come, by the dose on its label. */
  readonly dose?: number;
  /** Minutes until treated fuel has reached the engine, twice over, and what the fixed school says. */
  readonly minutes?: number;
  readonly fixed: readonly [number, number];
  readonly counts: number | undefined;
  readonly school: string;
}

/** Minutes of the school that runs it for a fixed time (C). */
const FIXED = [5, 10] as const;

/** Dose and run time of stabilised fuel; both schools shown, the chosen one counts. */
export function stabilising(c: Context): Stabilising {
  const oil = known(c.record.value('fuel.doseOil'));
  const per = known(c.record.value('fuel.dosePer'));
  const fuel = (known(c.record.value('fuel.tankHas')) ?? 0) + (known(c.record.value('fuel.freshAdd')) ?? 0);
  const line = known(c.record.value('fuel.lineVolume'));
  const flow = known(c.record.value('fuel.idleFlow'));
  // The flow is kept in m³/s; the law takes m³ an hour.
  const minutes = line !== undefined && flow ? treatedAfter(line, flow * 3600) : undefined;
  const fixed = school(c.rules, 'stabiliser') === 'fixed';
  return {
    ...(oil !== undefined && per && fuel > 0 ? { dose: (oil * fuel) / per } : {}),
    ...(minutes === undefined ? {} : { minutes }),
    fixed: FIXED,
    counts: fixed ? FIXED[1] : minutes,
    school: schoolSaid(c.rules, 'stabiliser')
  };
}
