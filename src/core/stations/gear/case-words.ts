import { listed } from '../../findings/context.ts';
import type { WordsOf } from '../../findings/fact.ts';
import { sayLimit } from '../../findings/limit.ts';
import { firstOf, practice } from '../../findings/collect.ts';
import { sayValue } from '../../items/check-entry.ts';
import { detectableDrop } from '../../physics/case-test.ts';
import { say, type System } from '../../units/index.ts';
import type { LeakPlace } from './case-state.ts';
import { caseStages, stageIds, type CaseResult, type CaseStage, type StageTest } from './case-test.ts';
import type { GearBasis, GearFacts } from './facts.ts';
import { items } from './readings.ts';

/** What a stage is brought to, in the reader's units: "3 to 5 psi", "about 69 kPa". */
export function stageTarget(stage: CaseStage, units: System): string {
  const shown = caseStages[stage].target.map((p) => say(p, stage === 'vacuum' ? 'vacuum' : 'pressure', units));
  const [low, high] = shown;
  return high === undefined ? `about ${low}` : `${low!.split(' ')[0]} to ${high}`;
}

/** What each stage that does not stand as held still wants. */
const sayOpenStages = ({ stages, open }: CaseResult): string =>
  listed(
    open.map(
      (s) =>
        `${caseStages[s].label.toLowerCase()} stage ${stages[s] === 'missing' ? 'not read' : stages[s] === 'leaks' ? 'leaks' : 'not done'}`
    )
  );

const mL = (m3: number): string => (m3 * 1e6).toFixed(m3 < 1e-5 ? 1 : 0);

/** What a stage says, in one sentence. */
export function saidOf(t: StageTest, placed = false): string {
  const name = `${caseStages[t.stage].label} stage`;
  const range = t.leak ? ` between ${mL(t.leak.low)} and ${mL(t.leak.high)} mL of air a minute` : '';
  switch (t.verdict) {
    case 'begun':
      return t.left
        ? `${name}: one reading, and it was let off. Put it on again, and read it twice, temperature with it.`
        : `${name}: one reading so far. Read it again after five minutes, temperature with it.`;
    case 'odd':
      if (t.again) return `${name}: it leaked once and held once, with no work between. Test the stage again.`;
      return t.rate && t.rate.high < 0
        ? `${name}: the pressure goes the wrong way. The case is warming or cooling: note its temperature with every reading.`
        : `${name}: no steady leak passes through these readings. A shaft was moved, a fitting leaked, or one was written down wrongly: begin the stage again.`;
    case 'leaks':
      return `${name}: it leaks${range}.${placed ? '' : ' Soapy water for the place, turning the shafts.'}`;
    case 'held':
      return `${name}: held ${Math.round(t.minutes)} min; a leak of ${mL(t.smallest ?? 0)} mL a minute would have shown.`;
    case 'hold':
      if (t.smallest === undefined)
        return `${name}: no fall that this gauge can tell. Enter the case’s oil capacity to know what leak that rules out.`;
      if (t.onLimit)
        return `${name}: a leak${range}, on the limit of what counts as held, and holding it longer would not tell: it does not count as held. ${t.stage === 'vacuum' ? 'Under vacuum nothing bubbles: low pressure on again, then s' : 'S'}oapy water over every seal and plug.`;
      return t.holdFor
        ? `${name}: no fall that counts yet, but only a leak of over ${mL(t.smallest)} mL a minute would have shown. ${t.left ? `It was let off: put it on again, and hold it ${Math.ceil(t.minutes + t.holdFor)} min.` : `Hold it ${Math.ceil(t.holdFor)} min more.`}`
        : `${name}: a leak${range}, on either side of what counts as held. Hold it as long again.`;
  }
}

const leakedAt: Readonly<Record<LeakPlace, string>> = {
  unknown:
    'The case leaked in its test. Soapy water finds the place, turning the shafts; then reseal it, and test again before oil goes in.',
  seals: 'It leaked at a seal: reseal it, and test again before oil goes in.',
  plugs: 'It leaked at a plug: a fresh washer for each, then the same stage again; no seal is touched for that.',
  nowhere:
    'It leaked, and soapy water shows no bubbles: the tester’s own fitting first, a fresh washer for each plug that has none yet, and the same stage again, the case under water.',
  inwards:
    'It leaks with fresh washers, and nothing bubbles: a lip that lets in and not out. Reseal it, all that the opened section exposes, and test again.',
  hidden:
    'It leaks with fresh washers, and neither soap nor a second look shows where: reseal it, all that the opened section exposes, and test again.',
  'not-seals':
    'It leaks though it was resealed, with fresh washers, and neither soap nor a second look shows where. Not the seals once more: a fingernail over both shafts and the carrier’s bore, dye over the bare case, then somebody who mends cases.',
  housing: 'It leaked through the housing: a crack. No seal mends that: how deep it goes, then a weld or another case.'
};

const testBecause = ({ stages }: CaseResult, { tested }: GearBasis) =>
  practice(
    [
      `case test: ${tested ?? 'by its stages'}`,
      ...stageIds.map((s) => `${caseStages[s].label.toLowerCase()}: ${stages[s]}`)
    ],
    'low pressure first, since a lip seal can leak low and hold high; then high, then vacuum; shafts turned at each.'
  );

/** A text in its first sentence and the rest. */
export function parted(says: string): { readonly found: string; readonly advice: string | undefined } {
  const found = firstOf(says);
  return { found, advice: says.slice(found.length).trim() || undefined };
}

type CaseKind = 'stage' | 'bubbles' | 'case-over' | 'test-held' | 'leaked' | 'test-open';

/** What is said of the case test, stage by stage and as a whole. */
export const caseWords: Pick<WordsOf<GearFacts, GearBasis>, CaseKind> = {
  stage: ({ values: { test: t, turned, bubbles } }, { allowed, most }, units) => {
    const { counts, surely } = detectableDrop(t.step);
    const p = (pa: number): string =>
      t.stage === 'vacuum' ? say(Math.abs(pa), 'vacuum', units) : say(Math.abs(pa), 'pressure', units, 689);
    const where =
      t.verdict === 'leaks' && bubbles.length ? ` It bubbles at: ${sayValue(items.caseBubbles, bubbles, units)}.` : '';
    const turn = t.verdict === 'held' && !turned ? ' Turn both shafts and move the shift before it counts.' : '';
    return {
      ...parted(`${saidOf(t, where !== '')}${where}${turn}`),
      because: {
        inputs: [
          ...t.readings.map(
            (r) =>
              `${r.minutes.toFixed(0)} min: ${p(r.pressure)}${r.temperature === undefined ? '' : ` at ${say(r.temperature, 'temperature', units)}`}`
          ),
          t.volume === undefined ? 'air in the case: unknown' : `air in the case: ${say(t.volume, 'volume', units)}`
        ],
        ...(t.leak ? { value: `leak ${mL(t.leak.low)} to ${mL(t.leak.high)} mL/min of outside air` } : {}),
        uncertainty: `divisions of ${p(t.step)}: a drop counts over ${p(counts)} and is surely seen over ${p(surely)}`,
        limit: `${mL(allowed)} mL/min counts as held (house rule); at most ${sayLimit(most, units)}`,
        formula:
          'leak = V·Δp/(p_a·t); every rate that passes inside all rounding bands, readings brought to one temperature',
        provenance: 'P',
        source: 'Ideal gas; uniform rounding. A lip seal is not a hole: this is the leak at this stage, not a part.'
      }
    };
  },
  bubbles: ({ values }, _, units) => {
    const at = sayValue(items.caseBubbles, values.at, units);
    return {
      found: `It bubbles at: ${at}.`,
      because: practice([`bubbles at: ${at}`], 'soapy water names the place.')
    };
  },
  'case-over': ({ values }, { most }, units) => {
    const read = say(values.pressure, 'pressure', units);
    return {
      found: `${read} was put on the case, over ${sayLimit(most, units)}.`,
      advice: 'Seals may have been blown: test the low stage again, and look at every lip.',
      because: practice([`read: ${read}`], 'never above 15 psi without the manual’s figure.', {
        limit: sayLimit(most, units)
      })
    };
  },
  'test-held': ({ values }, basis) => ({
    found: 'The case held its test, every stage of it.',
    because: testBecause(values.result, basis)
  }),
  leaked: ({ values }, basis) => ({ ...parted(leakedAt[values.place]), because: testBecause(values.result, basis) }),
  'test-open': ({ values: { result } }, basis) => ({
    found: result.opened
      ? 'The gear case was opened, and not tested since.'
      : `${result.verdict === 'said' ? '“Held” was said, but the stages do not show it' : 'The case test is not finished'}: ${sayOpenStages(result)}.`,
    advice: result.opened
      ? 'Every stage from the low one on, with both shafts turned, before oil goes in.'
      : 'Every stage is read at least twice, with both shafts turned.',
    because: testBecause(result, basis)
  })
};
