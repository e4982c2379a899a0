import { PSI } from '../../units/factors.ts';
import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import { ruleNumber } from '../../house-rules/rules.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy, sayLimit } from '../../findings/limit.ts';
import {
  detectableDrop,
  dropRate,
  leakRate,
  minutesToShow,
  smallestLeak,
  type CaseReading,
  type DropRate
} from '../../physics/case-test.ts';
import { sayValue } from '../../items/check-entry.ts';
import { say, type System } from '../../units/index.ts';
import { practice, type findingsOf } from '../../findings/collect.ts';
import { items } from './readings.ts';

type Out = ReturnType<typeof findingsOf>;

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
/** What a stage is brought to, in the reader's units: "3 to 5 psi", "about 69 kPa". */
export function stageTarget(stage: CaseStage, units: System): string {
  const shown = caseStages[stage].target.map((p) => say(p, stage === 'vacuum' ? 'vacuum' : 'pressure', units));
  const [low, high] = shown;
  return high === undefined ? `about ${low}` : `${low!.split(' ')[0]} to ${high}`;
}

export type CaseStage = keyof typeof caseStages;
export const stageIds = Object.keys(caseStages) as CaseStage[];

/** An ordinary gauge of case testers: divisions of half a psi (C). */
const STEP = 0.5 * PSI;
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
}

/** What is in the case while it is tested: air, as much as it takes of oil. */
export const caseAir = (c: Context): number | undefined =>
  known(c.record.value('gear.caseAir')) ??
  c.survey.engine.manual?.['gear.capacity']?.value ??
  known(c.survey.engine.profile.gearCapacity);

/** The most that may be put on this case, Pa gauge: ours, or the manual's. */
export const mostPressure = (c: Context) => judgedBy(c, 'gear.casePressure', ownLimits.casePressure, 'common practice');

/** Why a pressure may not be put on the case; nothing where it may. Vacuum is no pressure. */
export function overPressure(c: Context, pressure: number, stage: CaseStage): string | undefined {
  const most = mostPressure(c);
  return stage !== 'vacuum' && pressure > most.value * 1.001
    ? `Refused: ${say(pressure, 'pressure', c.units)} is over ${sayLimit(most, c.units)}. Seals are blown out by that. Enter the manual’s figure with its page if it allows more.`
    : undefined;
}

/** One stage of the latest round as its readings tell it. */
export function stageTest(c: Context, stage: CaseStage): StageTest | undefined {
  const round = c.record.round('gear.casePressure');
  const list = c.record
    .all('gear.casePressure', { round })
    .filter((r) => typeof r.value === 'number' && r.conditions?.stage === stage);
  const first = list[0];
  if (!first) return undefined;
  const step = list.at(-1)!.instrument?.resolution ?? STEP;
  const readings = list.map((r) => ({
    at: r.at,
    minutes: (Date.parse(r.at) - Date.parse(first.at)) / 60_000,
    pressure: (stage === 'vacuum' ? -1 : 1) * (r.value as number),
    ...(r.conditions?.temperature === undefined ? {} : { temperature: r.conditions.temperature })
  }));
  const minutes = readings.at(-1)!.minutes;
  const volume = caseAir(c);
  const base = { stage, readings, minutes, step, ...(volume === undefined ? {} : { volume }) };
  const temperatures = readings.flatMap((r) => r.temperature ?? []);
  if (temperatures.length > 1 && Math.max(...temperatures) - Math.min(...temperatures) > JUMP)
    return { ...base, verdict: 'odd' };
  if (readings.length < 2 || minutes <= 0) return { ...base, verdict: 'begun' };
  const found = dropRate(readings, step);
  // Under vacuum air comes in: the loss is a rise towards ambient.
  const rate = stage === 'vacuum' ? { ...found, low: -found.high, high: -found.low } : found;
  if (!rate.consistent || rate.high < 0) return { ...base, rate, verdict: 'odd' };
  if (volume === undefined) return { ...base, rate, verdict: rate.low > 0 ? 'leaks' : 'hold' };
  const leak = { low: leakRate(volume, Math.max(0, rate.low), 1), high: leakRate(volume, Math.max(0, rate.high), 1) };
  const allowed = ruleNumber(c.rules, 'caseLeak');
  const smallest = smallestLeak(volume, step, minutes);
  const holdFor = Math.max(0, minutesToShow(volume, step, allowed) - minutes);
  const settled = leak.high <= allowed || rate.low <= 0;
  const verdict = leak.low > allowed ? 'leaks' : holdFor === 0 && settled ? 'held' : 'hold';
  return { ...base, rate, leak, smallest, holdFor, verdict };
}

const mL = (m3: number): string => (m3 * 1e6).toFixed(m3 < 1e-5 ? 1 : 0);

/** What a stage says, in one sentence. */
export function saidOf(t: StageTest): string {
  const name = `${caseStages[t.stage].label} stage`;
  const range = t.leak ? ` between ${mL(t.leak.low)} and ${mL(t.leak.high)} mL of air a minute` : '';
  switch (t.verdict) {
    case 'begun':
      return `${name}: one reading so far. Read it again after five minutes, temperature with it.`;
    case 'odd':
      return t.rate && t.rate.high < 0
        ? `${name}: the pressure goes the wrong way. The case is warming or cooling: note its temperature with every reading.`
        : `${name}: no steady leak passes through these readings. A shaft was moved, a fitting leaked, or one was written down wrongly: begin the stage again.`;
    case 'leaks':
      return `${name}: it leaks${range}. Soapy water for the place, turning the shafts.`;
    case 'held':
      return `${name}: held ${Math.round(t.minutes)} min; a leak of ${mL(t.smallest ?? 0)} mL a minute would have shown.`;
    case 'hold':
      if (t.smallest === undefined)
        return `${name}: no fall that this gauge can tell. Enter the case’s oil capacity to know what leak that rules out.`;
      return t.holdFor
        ? `${name}: no fall that counts yet, but only a leak of over ${mL(t.smallest)} mL a minute would have shown. Hold it ${Math.ceil(t.holdFor)} min more.`
        : `${name}: a leak${range}, on either side of what counts as held. Hold it as long again.`;
  }
}

/** The stages as findings, and where it bubbled. */
export function caseFindings(c: Context, out: Out): void {
  const bubbles = c.record.value('gear.caseBubbles');
  const at = Array.isArray(bubbles) && bubbles.length ? sayValue(items.caseBubbles, bubbles, c.units) : '';
  for (const stage of stageIds) {
    const t = stageTest(c, stage);
    if (!t) continue;
    const { counts, surely } = detectableDrop(t.step);
    const p = (pa: number): string =>
      stage === 'vacuum' ? say(Math.abs(pa), 'vacuum', c.units) : say(Math.abs(pa), 'pressure', c.units, 689);
    const turned = c.record.value('gear.caseTurned') === 'yes';
    out.add(
      `case-${stage}`,
      t.verdict === 'held' ? (turned ? 'sound' : 'cannot-tell') : t.verdict === 'leaks' ? 'fault' : 'cannot-tell',
      `${saidOf(t)}${t.verdict === 'leaks' && at ? ` It bubbles at: ${at}.` : ''}${t.verdict === 'held' && !turned ? ' Turn both shafts and move the shift before it counts.' : ''}`,
      {
        inputs: [
          ...t.readings.map(
            (r) =>
              `${r.minutes.toFixed(0)} min: ${p(r.pressure)}${r.temperature === undefined ? '' : ` at ${say(r.temperature, 'temperature', c.units)}`}`
          ),
          t.volume === undefined ? 'air in the case: unknown' : `air in the case: ${say(t.volume, 'volume', c.units)}`
        ],
        ...(t.leak ? { value: `leak ${mL(t.leak.low)} to ${mL(t.leak.high)} mL/min of outside air` } : {}),
        uncertainty: `divisions of ${p(t.step)}: a drop counts over ${p(counts)} and is surely seen over ${p(surely)}`,
        limit: `${mL(ruleNumber(c.rules, 'caseLeak'))} mL/min counts as held (house rule); at most ${sayLimit(mostPressure(c), c.units)}`,
        formula:
          'leak = V·Δp/(p_a·t); every rate that passes inside all rounding bands, readings brought to one temperature',
        provenance: 'P',
        source: 'Ideal gas; uniform rounding. A lip seal is not a hole: this is the leak at this stage, not a part.'
      }
    );
  }
  if (at && !stageIds.some((s) => stageTest(c, s)?.verdict === 'leaks'))
    out.add(
      'bubbles',
      'fault',
      `It bubbles at: ${at}.`,
      practice([`bubbles at: ${at}`], 'soapy water names the place.')
    );
  const over = c.record
    .all('gear.casePressure')
    .find((r) => typeof r.value === 'number' && overPressure(c, r.value, r.conditions?.stage ?? 'high'));
  if (over)
    out.add(
      'case-over',
      'fault',
      `${say(over.value as number, 'pressure', c.units)} was put on the case, over ${sayLimit(mostPressure(c), c.units)}. Seals may have been blown: test the low stage again, and look at every lip.`,
      practice(
        [`read: ${say(over.value as number, 'pressure', c.units)}`],
        'never above 15 psi without the manual’s figure.',
        { limit: sayLimit(mostPressure(c), c.units) }
      )
    );
}
