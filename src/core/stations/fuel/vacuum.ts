import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';
import { isAfter } from '../../units/instant.ts';

/** How far a line-vacuum gauge may be off, Pa (M: a third of an inch of mercury). */
export const VACUUM_GAUGE = 1100;

/** Where something holds the fuel back, as far as the readings of two tanks and the open cap tell. */
export type Restriction = 'vent' | 'tank-side' | 'engine-side' | 'somewhere';

export interface LineVacuum {
  /** Pa at the pump: at speed on its own tank, else at idle; undefined where only another tank was read. */
  readonly own: number | undefined;
  readonly atSpeed: boolean;
  readonly portable: number | undefined;
  readonly open: number | undefined;
  readonly limit: Judged;
  readonly verdict: 'high' | 'low' | 'close' | 'idle-only' | 'contradicted';
  /** Where another figure, that cannot be the higher one, is high though its own at speed is not. */
  readonly against?: 'idle' | 'portable' | 'open';
  readonly where?: Restriction;
  /** How it ran on a portable tank, where the vacuum there was not read: the side is known, its part is not. */
  readonly ran?: 'fine' | 'same';
}

/** How it ran on a portable tank, by whoever tried it since the last work on its fuel. */
export function ranOnPortable(c: Context): 'fine' | 'same' | undefined {
  const last = c.record.last('fuel.portable');
  if (!last || c.touched('fuel.portable').some((at) => isAfter(at, last.at))) return undefined;
  if (ofAnotherState(c, 'fuel.portable')) return undefined;
  return last.value === 'fine' || last.value === 'same' ? last.value : undefined;
}

type Beside = 'fuel.vacuumPortable' | 'fuel.vacuumOpen' | 'fuel.portable';

const stateOf = (p: number, limit: number): 'high' | 'low' | 'close' =>
  p - VACUUM_GAUGE > limit ? 'high' : p + VACUUM_GAUGE < limit ? 'low' : 'close';

/**
 * Whether a figure on another tank or with the cap open is of another state than the engine's own figure now: its own was read
 * otherwise before it, and has changed since, by itself or by work. It says nothing of where that which holds back now lies.
 */
export function ofAnotherState(c: Context, item: Beside): boolean {
  const limit = judgedBy(c, 'fuel.vacuum', ownLimits.lineVacuum).value;
  const numbers = c.record.all('fuel.vacuumSpeed').flatMap((r) => {
    const value = known(r.value as number);
    return value === undefined ? [] : [{ at: r.at, state: stateOf(value, limit) }];
  });
  const read = c.record.all(item).findLast((r) => r.value !== 'unknown');
  const now = numbers.at(-1);
  // Its own figure of that time: the last before it, else the first after it.
  const then = read && (numbers.findLast((r) => !isAfter(r.at, read.at)) ?? numbers[0]);
  if (!read || !now || !then || then.state === now.state) return false;
  // Mended since: what was high there then was high on its own tank as well, and is cured.
  const mended = (): boolean => c.worked('fuel').some((at) => isAfter(at, read.at) && isAfter(now.at, at));
  return now.state === 'high' || mended();
}

/**
 * Suction at the pump, each tank's figure for itself: high is called only past the gauge's own error. What falls on a portable
 * tank is held back on the boat's side, what falls with the cap open by the vent, what stays high on both between coupling and pump.
 */
export function lineVacuum(c: Context): LineVacuum | undefined {
  const speed = known(c.record.value('fuel.vacuumSpeed'));
  const idle = known(c.record.value('fuel.vacuumIdle'));
  const beside = (item: Exclude<Beside, 'fuel.portable'>): number | undefined =>
    ofAnotherState(c, item) ? undefined : known(c.record.value(item));
  const portable = beside('fuel.vacuumPortable');
  const open = beside('fuel.vacuumOpen');
  const own = speed ?? idle;
  if (own === undefined && portable === undefined && open === undefined) return undefined;
  const limit = judgedBy(c, 'fuel.vacuum', ownLimits.lineVacuum);
  const is = (p: number | undefined): 'high' | 'low' | 'close' | undefined =>
    p === undefined ? undefined : stateOf(p, limit.value);
  const base = { own, atSpeed: speed !== undefined, portable, open, limit };
  const mine = is(own);
  // At speed its own tank holds nothing back: what is high at idle, with the cap open or on another tank, is not of this engine's line.
  if (speed !== undefined && mine === 'low') {
    const against = (['portable', 'open', 'idle'] as const).find((k) => is({ portable, open, idle }[k]) === 'high');
    return against ? { ...base, verdict: 'contradicted', against } : { ...base, verdict: 'low' };
  }
  // High on a portable tank accuses the engine's side where its own tank was not read at speed, or is on the limit there.
  if (mine !== 'high' && is(portable) === 'high') return { ...base, verdict: 'high', where: 'engine-side' };
  if (mine === 'high') {
    const where =
      is(open) === 'low'
        ? 'vent'
        : is(portable) === 'low'
          ? 'tank-side'
          : is(portable) === 'high'
            ? 'engine-side'
            : 'somewhere';
    const ran = where === 'somewhere' && portable === undefined ? ranOnPortable(c) : undefined;
    return { ...base, verdict: 'high', where, ...(ran ? { ran } : {}) };
  }
  if (mine === undefined) return { ...base, verdict: 'close' };
  if (mine === 'low') return { ...base, verdict: 'idle-only' };
  return { ...base, verdict: mine };
}

/** Looked at since the line vacuum at speed was read: a filter that was clean before it was held back may have been the one that holds it. */
export const seenSinceVacuum = (c: Context, item: 'fuel.filter' | 'fuel.hose' | 'fuel.couplings'): boolean => {
  const read = c.record.last('fuel.vacuumSpeed')?.at;
  return c.record.all(item).some((r) => r.value === 'not-fitted' || read === undefined || isAfter(r.at, read));
};
