import { ownLimits } from '../../engine/limits.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';
import { isAfter, type Instant } from '../../units/instant.ts';
import { lampSeen } from '../run/lamp.ts';

/** What a gauge screwed in for a look is off by, Pa and share of what it reads (M: a psi, 5 %). */
const GAUGE = { least: 6895, share: 0.05 } as const;
/** A speed noted for it belongs to a pressure read within this of it, and one of the run only where both were read at once, ms (M). */
const TOGETHER = { noted: 600_000, run: 60_000 } as const;
/** So little is too little at any speed, Pa (C: 5 psi). */
const NONE = 34_474;

export interface OilPressure {
  /** Pa over the outside air. */
  readonly pressure: number;
  /** 1/min; nothing where it was not noted. */
  readonly rpm?: number;
  /** What it should have had at that speed; nothing where neither the manual nor the speed says it. */
  readonly wanted?: Judged;
  /**
   * speed: without it, or the manual’s figure, nobody can say. close: within what the gauge is off by. contradicted: it was low before, with
   * nothing done since, and not good twice running.
   */
  readonly verdict: 'good' | 'low' | 'close' | 'speed' | 'contradicted';
  readonly at: Instant;
}

/**
 * The oil pressure that a gauge showed, since whatever makes it was worked on; by the manual, else by the speed. The last reading speaks,
 * but one that was low is not taken back by a single better one.
 */
export function oilPressure(c: Context): OilPressure | undefined {
  const worked = c.touched('oil.pressure');
  const list = c.record
    .all('oil.pressure')
    .flatMap((r) =>
      typeof r.value === 'number' && !worked.some((at) => isAfter(at, r.at)) ? [gauged(c, r.value, r.at)] : []
    );
  const last = list.at(-1);
  if (!last || last.verdict === 'low' || list.slice(-2).every((r) => r.verdict === 'good')) return last;
  return list.some((r) => r.verdict === 'low') ? { ...last, verdict: 'contradicted' } : last;
}

/** The gauge shows too little, or did and nothing explains why it does no more. */
export const pressureLacks = (c: Context): boolean => ['low', 'contradicted'].includes(String(oilPressure(c)?.verdict));

function gauged(c: Context, pressure: number, at: Instant): OilPressure {
  const nearest = (what: 'oil.pressureRpm' | 'run.rpm', within: number): number | undefined =>
    c.record
      .all(what)
      .flatMap((r) =>
        typeof r.value === 'number' ? [{ rpm: r.value, off: Math.abs(Date.parse(r.at) - Date.parse(at)) }] : []
      )
      .filter((r) => r.off <= within)
      .sort((a, b) => a.off - b.off)[0]?.rpm;
  const rpm = nearest('oil.pressureRpm', TOGETHER.noted) ?? nearest('run.rpm', TOGETHER.run);
  const own = rpm === undefined ? undefined : Math.max(NONE, rpm * ownLimits.oilPressure);
  const wanted = judgedBy(c, 'oil.pressure', own);
  const off = Math.max(GAUGE.least, GAUGE.share * pressure);
  const base = { pressure, at, ...(rpm === undefined ? {} : { rpm }), ...(wanted ? { wanted } : {}) };
  if (pressure + off < Math.min(NONE, wanted?.value ?? NONE)) return { ...base, verdict: 'low' };
  if (!wanted) return { ...base, verdict: 'speed' };
  if (pressure + off < wanted.value) return { ...base, verdict: 'low' };
  return { ...base, verdict: pressure - off >= wanted.value ? 'good' : 'close' };
}

/** What a gauge read since the lamp last came says of the oil: it has its pressure, or has not; nothing while nobody can say. */
export function gaugeAnswers(c: Context): 'good' | 'low' | undefined {
  const read = oilPressure(c);
  const lamp = lampSeen(c);
  if (!read || (lamp?.came && isAfter(lamp.at, read.at))) return undefined;
  return read.verdict === 'good' || read.verdict === 'low' ? read.verdict : undefined;
}

/** A gauge showed that there is oil pressure, after the lamp came: it is its sender, or its wire. */
export const lampIsFalse = (c: Context): boolean => gaugeAnswers(c) === 'good';
