import { SEA_LEVEL_PRESSURE } from '../../physics/atmosphere.ts';
import { PSI } from '../../units/factors.ts';
import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import { compareInstants, isAfter, latestInstant, type Instant } from '../../units/instant.ts';
import { roundOf, type ReadingOf } from '../../record/current.ts';
import { ruleNumber } from '../../house-rules/rules.ts';
import { gearCapacity } from './capacity.ts';
import { wetSinceFill } from './wet.ts';
import type { Context } from '../../findings/context.ts';
import { keep } from '../../findings/keep.ts';
import { judgedBy, sayLimit } from '../../findings/limit.ts';
import {
  dropRate,
  fadingRate,
  leakRate,
  minutesToShow,
  smallestLeak,
  type CaseReading,
  type DropRate
} from '../../physics/case-test.ts';
import { say } from '../../units/index.ts';

/** The stages in their order: a lip seal can leak low and hold high, so low comes first. C. */
export const caseStages = {
  low: { label: 'Low', target: [3 * PSI, 5 * PSI], why: 'A lip seal can leak low and hold high.' },
  high: { label: 'High', target: [10 * PSI], why: 'Washers, O-rings and cracks show here.' },
  vacuum: {
    label: 'Vacuum',
    target: [17_000, 34_000],
    why: 'The way water sees it: seals facing inwards.'
  }
} as const;
export type CaseStage = keyof typeof caseStages;
export const stageIds = Object.keys(caseStages) as CaseStage[];

/** An ordinary gauge of case testers: divisions of half a psi (C). */
const STEP = 0.5 * PSI;
/** Division of a thermometer laid on a case, K (C). */
const THERMOMETER = 0.5;
/** Two readings this far apart in temperature are a slip of the pen, K (M). */
const JUMP = 25;

export interface StageTest {
  readonly stage: CaseStage;
  readonly readings: readonly (CaseReading & { readonly at: string })[];
  readonly minutes: number;
  readonly step: number;
  readonly volume?: number;
  /** Leak as outside air, m³/min, that passes through every reading. */
  readonly rate?: DropRate;
  readonly leak?: { readonly low: number; readonly high: number };
  /** Smallest leak surely shown so far, m³/min, and minutes still to hold until the house's leak would have shown. */
  readonly smallest?: number;
  readonly holdFor?: number;
  readonly verdict: 'held' | 'leaks' | 'hold' | 'odd' | 'begun';
  /** Held so long that the house's leak would have shown, and still on either side of it: holding it longer tells no more. */
  readonly onLimit?: true;
  /** Let off, or another stage put on, since it was last read: it is not held any longer, but put on again. */
  readonly left?: true;
  /** It leaked before in this stage, and nothing was done since. */
  readonly again?: true;
}

/** What is in the case while it is tested: air, as much as it takes of oil. */
export const caseAir = (c: Context): number | undefined =>
  known(c.record.value('gear.caseAir')) ?? gearCapacity(c)?.value;

/** The most that may be put on this case, Pa gauge: ours, or the manual's. */
export const mostPressure = (c: Context) => judgedBy(c, 'gear.casePressure', ownLimits.casePressure, 'common practice');

/** Why a pressure may not be put on the case; nothing where it may. Vacuum is no pressure. */
export function overPressure(c: Context, pressure: number, stage: CaseStage): string | undefined {
  const most = mostPressure(c);
  return stage !== 'vacuum' && pressure > most.value * 1.001
    ? `Refused: ${say(pressure, 'pressure', c.units)} is over ${sayLimit(most, c.units)}. Seals are blown out by that. Enter the manual’s figure with its page if it allows more.`
    : undefined;
}

type PressureReading = ReadingOf<'gear.casePressure'>;

/** When the case was last opened at its seals, gears or wall: what it held before, it held as it was before. */
export const openedAt = (c: Context): Instant => latestInstant(c.renewed('gear.casePressure'));
/** Opened, and no pressure read since. */
const untestedSince = (c: Context): boolean => {
  const opened = openedAt(c);
  return opened !== '' && !c.record.all('gear.casePressure').some((r) => isAfter(r.at, opened));
};
/** Whether a reading is of the case as it is: once any stage was read after it was opened, those before are not. */
const ofThisCase = (c: Context): ((r: { readonly at: Instant }) => boolean) => {
  const opened = untestedSince(c) ? '' : openedAt(c);
  return (r) => isAfter(r.at, opened);
};

/**
 * Readings of a stage in the latest round in which it was read: a stage tested again alone leaves the others as they were. Water that came
 * into the filled case since makes them readings of before; so does a case that was opened, once any stage was read after it.
 */
function stageReadings(c: Context, stage: CaseStage): PressureReading[] {
  const filled = wetSinceFill(c);
  const all = c.record
    .all('gear.casePressure')
    .filter((r) => typeof r.value === 'number' && r.conditions?.stage === stage)
    // No vacuum is deeper than the air's own pressure: such a figure is of no vacuum.
    .filter((r) => !(stage === 'vacuum' && (r.value as number) > SEA_LEVEL_PRESSURE))
    .filter((r) => filled === undefined || isAfter(r.at, filled))
    .filter(ofThisCase(c));
  const round = Math.max(...all.map(roundOf));
  return all.filter((r) => roundOf(r) === round);
}

/** When work on the case was marked done: what leaked before it is no contradiction of what held after it. */
const workedOn = (c: Context): readonly Instant[] => [
  ...c.worked('gear'),
  // Fresh washers are no job of their own, and change the case as one does.
  ...c.record.all('gear.washers').flatMap((r) => (r.value === 'yes' ? [r.at] : []))
];

/** When oil was filled in, for a stand run or for service: the case was let down for it. */
const filledAt = (c: Context): readonly Instant[] =>
  c.record.all('gear.refill').flatMap((r) => (r.value === 'service' || r.value === 'stand' ? [r.at] : []));

/** When the pressure of a stage was let off, or another stage put on: what is read after that was pumped up anew. */
const letOffAt = (c: Context, stage: CaseStage): readonly Instant[] => [
  ...c.record.all('gear.caseOpen').flatMap((r) => (r.value === 'yes' ? [r.at] : [])),
  ...c.record.all('gear.casePressure').flatMap((r) => (r.conditions?.stage !== stage ? [r.at] : []))
];

/** Whether one of these moments lies after one instant, and before another where there is one. */
const anyBetween = (moments: readonly Instant[], from: Instant, to?: Instant): boolean =>
  moments.some((at) => isAfter(at, from) && (to === undefined || isAfter(to, at)));

/**
 * Cut where work was done, oil was filled in, it was let off, or it was pumped up again: it had fallen, and stands where it began. A rise
 * alone is warming.
 */
function attempts(c: Context, stage: CaseStage, list: readonly PressureReading[]): PressureReading[][] {
  const out: PressureReading[][] = [];
  const changes = [...workedOn(c), ...filledAt(c), ...letOffAt(c, stage)].sort(compareInstants);
  let passed = 0;
  for (const r of list) {
    const now = out.at(-1);
    const step = r.instrument?.resolution ?? STEP;
    const [first, before] = [now?.[0]?.value as number, now?.at(-1)?.value as number];
    const pumped =
      now &&
      before < first - step &&
      (r.value as number) > before + 2 * step &&
      (r.value as number) >= first - 2 * step;
    const last = now?.at(-1)?.at;
    while (passed < changes.length && last !== undefined && !isAfter(changes[passed]!, last)) passed++;
    const changed = last !== undefined && passed < changes.length && isAfter(r.at, changes[passed]!);
    if (!now || pumped || changed) out.push([r]);
    else now.push(r);
  }
  return out;
}

/**
 * One stage as its readings tell it. Pumped up again it is tested again, and the last attempt counts; but one that leaked
 * and then held without any work between is not told.
 */
export const stageTest = (c: Context, stage: CaseStage): StageTest | undefined => keep(c, stageTests)[stage];

const stageTests = (c: Context): Readonly<Record<CaseStage, StageTest | undefined>> => ({
  low: testStage(c, 'low'),
  high: testStage(c, 'high'),
  vacuum: testStage(c, 'vacuum')
});

function testStage(c: Context, stage: CaseStage): StageTest | undefined {
  const list = stageReadings(c, stage);
  if (!list.length) return undefined;
  const tries = attempts(c, stage, list).map((readings) => ({
    from: readings[0]!.at,
    to: readings.at(-1)!.at,
    test: attemptTest(c, stage, readings)
  }));
  const unfinished = ({ verdict }: StageTest): boolean => verdict === 'begun' || verdict === 'hold';
  // One that was broken off to fill the case tells nothing, and nobody goes on with it.
  const filled = filledAt(c);
  const told = tries.filter((t, k) => !unfinished(t.test) || !anyBetween(filled, t.to, tries[k + 1]?.from));
  const now = told.at(-1);
  if (!now) return undefined;
  const off = unfinished(now.test) && anyBetween(letOffAt(c, stage), now.to);
  const last = off ? { ...now.test, left: true as const } : now.test;
  const worked = workedOn(c);
  const leaked = told.slice(0, -1).some((t) => t.test.verdict === 'leaks' && !anyBetween(worked, t.to, now.from));
  return leaked && last.verdict !== 'leaks' ? { ...last, verdict: 'odd', again: true } : last;
}

/** Nobody stands beside one stage for longer than this, min (C). */
const ENOUGH = 90;

function attemptTest(c: Context, stage: CaseStage, list: readonly PressureReading[]): StageTest {
  const first = list[0]!;
  const temperatures = list.flatMap((r) => r.conditions?.temperature ?? []);
  const [coldest, warmest] = [Math.min(...temperatures), Math.max(...temperatures)];
  // Readings brought to one temperature carry the thermometer's division beside the gauge's.
  const step =
    (list.at(-1)!.instrument?.resolution ?? STEP) +
    (warmest > coldest ? (SEA_LEVEL_PRESSURE * THERMOMETER) / warmest : 0);
  const readings = list.map((r) => ({
    at: r.at,
    minutes: (Date.parse(r.at) - Date.parse(first.at)) / 60_000,
    pressure: (stage === 'vacuum' ? -1 : 1) * (r.value as number),
    ...(r.conditions?.temperature === undefined ? {} : { temperature: r.conditions.temperature })
  }));
  const minutes = readings.at(-1)!.minutes;
  const volume = caseAir(c);
  const base = { stage, readings, minutes, step, ...(volume === undefined ? {} : { volume }) };
  if (temperatures.length > 1 && warmest - coldest > JUMP) return { ...base, verdict: 'odd' };
  if (readings.length < 2 || minutes <= 0) return { ...base, verdict: 'begun' };
  const found = dropRate(readings, step);
  // Under vacuum air comes in: the loss is a rise towards ambient.
  const steady = stage === 'vacuum' ? { ...found, low: -found.high, high: -found.low } : found;
  // A large leak empties the case: what it loses grows less with what is left.
  const rate = steady.consistent ? steady : fadingRate(readings, step);
  if (!rate.consistent || rate.high < 0) return { ...base, rate, verdict: 'odd' };
  if (volume === undefined) return { ...base, rate, verdict: rate.low > 0 ? 'leaks' : 'hold' };
  const leak = { low: leakRate(volume, Math.max(0, rate.low), 1), high: leakRate(volume, Math.max(0, rate.high), 1) };
  const allowed = ruleNumber(c.rules, 'caseLeak');
  const smallest = smallestLeak(volume, step, minutes);
  const settled = leak.high <= allowed || rate.low <= 0;
  // Until the house's leak would have shown; and where it stands on the limit, until the readings could tell it from that.
  const shows = minutesToShow(volume, step, allowed) - minutes;
  const apart = Math.abs((leak.low + leak.high) / 2 - allowed);
  const tells = settled || leak.low > allowed ? 0 : leakRate(volume, step, 1) / Math.max(apart, allowed / 20) - minutes;
  // What a leak loses grows less with what is left: a fading fall is not told better by holding it longer.
  const onLimit =
    !settled && leak.low <= allowed && shows <= 0 && (!steady.consistent || tells <= 0 || minutes >= ENOUGH);
  const holdFor = onLimit ? 0 : Math.max(0, shows, tells);
  const verdict = leak.low > allowed ? 'leaks' : holdFor === 0 && settled ? 'held' : 'hold';
  return { ...base, rate, leak, smallest, holdFor, verdict, ...(onLimit ? { onLimit } : {}) };
}

/** Both shafts turned and the shift moved at this stage: an answer belongs to the stage that stood under pressure when it was given. */
export function turnedAt(c: Context, stage: CaseStage): boolean {
  const [first] = stageReadings(c, stage);
  if (!first) return false;
  const round = roundOf(first);
  const pressures = c.record.all('gear.casePressure', { round });
  const now = ofThisCase(c);
  return c.record.all('gear.caseTurned', { round }).some((r) => {
    if (r.value !== 'yes' || !now(r)) return false;
    const at = r.conditions?.stage ?? pressures.findLast((p) => !isAfter(p.at, r.at))?.conditions?.stage;
    return at === stage;
  });
}

/** Whether a stage held, and was held since an instant: one reading after it is a start and no test. */
export function heldSince(c: Context, stage: CaseStage, at: Instant): boolean {
  const test = stageTest(c, stage);
  return test?.verdict === 'held' && test.readings.filter((r) => isAfter(r.at, at)).length > 1;
}

/** What the case test comes to, stage by stage. */
export interface CaseResult {
  readonly stages: Readonly<Record<CaseStage, 'held' | 'leaks' | 'open' | 'missing'>>;
  /** Stages that do not stand as held, with what is to be done about each. */
  readonly open: readonly CaseStage[];
  /** It was seen to bubble, and that stage was not read again. */
  readonly bubbles: boolean;
  /** It was opened at its seals, gears or wall, and no stage was read since. */
  readonly opened: boolean;
  /**
   * Every stage held, shafts turned at each: the only proof there is. "leaked" where a stage leaks, or it was said after the
   * last stage was read; "said" where somebody tapped "held" and the stages do not show it. Bubbles leave it begun until the
   * stage they were seen at is read again.
   */
  readonly verdict: 'held' | 'leaked' | 'said' | 'begun' | undefined;
}

/**
 * Where it bubbles, as the case is now. Bubbles stand until the stage they were seen at is read again from its beginning and holds,
 * or until any stage is read after work on the case.
 */
export function bubblesNow(c: Context): readonly string[] {
  const seen = c.record.last('gear.caseBubbles');
  if (!seen || !Array.isArray(seen.value)) return [];
  const pressures = c.record.all('gear.casePressure');
  const read = pressures.at(-1);
  const mended = read && c.worked('gear').some((w) => isAfter(w, seen.at) && isAfter(read.at, w));
  // Soaped under the pressure that was put on last before it.
  const at = seen.conditions?.stage ?? pressures.findLast((p) => !isAfter(p.at, seen.at))?.conditions?.stage;
  const again = (stage: CaseStage): boolean => {
    const test = stageTest(c, stage);
    if (test?.verdict !== 'held') return false;
    // From its beginning: pumped up after them, or read twice after the case was let down.
    const down = c.record.all('gear.caseOpen').find((r) => r.value === 'yes' && isAfter(r.at, seen.at));
    return (
      isAfter(test.readings[0]!.at, seen.at) ||
      (down !== undefined && test.readings.filter((r) => isAfter(r.at, down.at)).length > 1)
    );
  };
  return mended || (at ? [at] : stageIds).every(again) ? [] : seen.value;
}

export function caseResult(c: Context): CaseResult {
  const opened = untestedSince(c);
  const verdict = (stage: CaseStage): CaseResult['stages'][CaseStage] => {
    const t = stageTest(c, stage);
    if (!t) return 'missing';
    if (t.verdict === 'leaks') return 'leaks';
    return t.verdict === 'held' && turnedAt(c, stage) && !opened ? 'held' : 'open';
  };
  const stages = { low: verdict('low'), high: verdict('high'), vacuum: verdict('vacuum') };
  const all = Object.values(stages);
  const open = stageIds.filter((s) => stages[s] !== 'held');
  const word = c.record.last('gear.pressureTest');
  // A leak that was seen stands until every stage was held after it; a word that it held does not take it back, nor does a stage of before.
  const said = c.record.all('gear.pressureTest').findLast((r) => r.value === 'leaked');
  const leaked = all.includes('leaks') || (said !== undefined && !stageIds.every((s) => heldSince(c, s, said.at)));
  const bubbles = bubblesNow(c).length > 0;
  return {
    stages,
    open,
    bubbles,
    opened,
    verdict: leaked
      ? 'leaked'
      : bubbles
        ? 'begun'
        : !open.length
          ? 'held'
          : word?.value === 'held' && isAfter(word.at, opened ? openedAt(c) : '')
            ? 'said'
            : !opened && stageIds.some((s) => stages[s] !== 'missing')
              ? 'begun'
              : undefined
  };
}
