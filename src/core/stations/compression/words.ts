import { CylindersSaid, cylindersSaid, listed } from '../../findings/context.ts';
import { practice } from '../../findings/collect.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import { saySchool } from '../../house-rules/rules.ts';
import { atSeaLevel } from '../../physics/atmosphere.ts';
import { say, type System } from '../../units/index.ts';
import { crankingWords, inputsOf } from './cranking-words.ts';
import { sayDifferences, sayModel } from './differences-words.ts';
import { pressureSaid } from './pressure-said.ts';
import { comparedRows, type Comparison } from './compare.ts';
import type { AgainstFloor, TestFacts } from './facts.ts';
import { lowAdvice } from './low-words.ts';
import { wetWords } from './wet-words.ts';

const percent = (x: number): string => `${Math.round(100 * x)} %`;

/** Why the cylinders count as alike or not. */
function spreadBecause(found: Comparison, units: System): Because {
  const { spread, overLimit, limit } = found;
  return {
    inputs: inputsOf(found, units),
    value: `spread ${percent(spread!.value)}`,
    uncertainty: `95 % interval ${percent(spread!.low)} to ${percent(spread!.high)}; chance it is over the limit ${percent(overLimit!)}`,
    limit: sayLimit(limit, units),
    school: saySchool(found.school),
    formula: '(best − lowest)/best; gauge error cancels, repeatability and reading step do not',
    provenance: limit.provenance,
    source: 'Distribution of the range by conditioning on the highest (P); limit: house rule or manual (C)'
  };
}

const underBest = (v: { lowest: number; best: number; gap: number }, p: (pa: number) => string): string =>
  `Cylinder ${v.lowest} is ${p(v.gap)} under cylinder ${v.best}`;

/** What the floor is called, where it is reached and where it is not. */
const floorReached = {
  manual: 'this engine’s figure',
  model: 'what an engine of this size gives',
  kind: 'what its kind usually gives'
} as const;
const floorMissed = (v: AgainstFloor, p: (pa: number) => string): string =>
  v.by.of === 'manual'
    ? 'this engine’s figure'
    : v.by.of === 'model'
      ? `what an engine of this size should give (${p(v.floor)})`
      : 'the usual range of its kind';

function floorBecause(
  v: Pick<AgainstFloor, 'lowest' | 'best' | 'gauge' | 'ambient' | 'altitudeKnown'> & Partial<AgainstFloor>,
  found: Comparison,
  units: System
): Because {
  const p = pressureSaid(found, units);
  const { by } = v;
  const limit = !by
    ? 'none known'
    : by.of === 'manual'
      ? `${sayLimit(by.figure, units)}, less ${percent(found.limit.value)}`
      : by.of === 'model'
        ? `${p(v.floor!)} to ${p(atSeaLevel(by.expected.high, v.ambient))} expected of this engine (model, ${sayModel(by.expected.from, units)})`
        : `from ${p(v.floor!)} for a ${by.strokes}-stroke (range of its kind)`;
  const source = {
    none: 'The number needs this engine’s own figure.',
    manual: 'The manual’s own figure; barometric law ISO 2533 (P)',
    model:
      'Cranking model (docs/cranking.md, P) with usual ranges of speed, ratio, heat loss and a leak of 0.5 mm (M). Below it is a question, never a fault.',
    kind: 'Common practice, from memory; barometric law ISO 2533 (P). A kind’s floor only opens a question.'
  }[by?.of ?? 'none'];
  return {
    inputs: [
      ...inputsOf(found, units),
      v.altitudeKnown
        ? `ambient ${Math.round(v.ambient / 100)} hPa from the altitude`
        : 'altitude unknown, taken as sea level'
    ],
    value: `lowest ${p(v.lowest)}, best ${p(v.best)} at sea level`,
    uncertainty: `± ${p(v.gauge)} of this gauge, the same for every cylinder`,
    limit,
    formula: 'p_sea = (p + p_a)·101325/p_a − 101325',
    provenance: by?.of === 'manual' ? 'P' : by?.of === 'model' ? 'M' : 'C',
    source
  };
}

const dryAdvice = (several: boolean): string =>
  several
    ? 'Bores dry from standing also read low: oil them all alike and repeat.'
    : 'A bore dry from standing also reads low: oil it, turn it over and repeat.';
const floorExcused = {
  throttle: 'The throttle is not recorded as wide open: repeat with it open before anything else.',
  cranking: 'It was cranked weakly: repeat it, cranked briskly, before anything else.'
} as const;
const sentences = (...list: (string | false | undefined)[]): string => list.filter(Boolean).join(' ');

/** Whom a comparison speaks of: all of them, or the ones that were read alike. */
const compared = (found: Comparison): string =>
  found.missing.length || comparedRows(found).length < found.rows.length
    ? CylindersSaid(comparedRows(found).map((r) => r.cylinder))
    : 'The cylinders';

/** What is said of one round of compression readings. */
export const testWords: WordsOf<TestFacts, Comparison> = {
  unlike: ({ cylinder, values }, found, units) => ({
    ...(values.low
      ? {
          found: `Cylinder ${cylinder} was plainly low beside the others in another test (${sayDifferences(values.differs)}), and is not in this one.`,
          advice: 'Repeat it like the others once more: rings or a valve that stick come and go, and so does a slip.'
        }
      : {
          found: `Cylinder ${cylinder} was read under other conditions (${sayDifferences(values.differs)}) and is not compared.`,
          advice: 'Repeat it like the others.'
        }),
    because: practice(inputsOf(found, units), 'only readings under like conditions are compared.')
  }),
  throttle: ({ values }, found, units) => ({
    found: `${CylindersSaid(values.cylinders)} ${values.cylinders.length > 1 ? 'were' : 'was'} read with the throttle shut and could not breathe: that says nothing.`,
    advice: 'Repeat with it wide open.',
    because: practice(inputsOf(found, units), 'throttle wide open, all plugs out.')
  }),
  'throttle-unknown': (_, found, units) => ({
    found: 'Whether the throttle stood wide open was not noted: shut, every reading is low and says nothing.',
    advice: 'Repeat with it wide open.',
    because: practice(inputsOf(found, units), 'throttle wide open, all plugs out.')
  }),
  range: ({ cylinder }, found, units) => ({
    found: `Cylinder ${cylinder} stands at or past the end of this gauge’s scale.`,
    advice: 'Use another gauge.',
    because: practice(inputsOf(found, units), 'a needle at its stop is not a reading.')
  }),
  falls: ({ cylinder, values }, found, units) => {
    const p = pressureSaid(found, units);
    return {
      found: `On cylinder ${cylinder} the needle fell from one pull to the next.`,
      advice: 'A check valve that leaks, or a pull written down wrongly: repeat it with another gauge.',
      because: practice(
        [...inputsOf(found, units), `pulls: ${values.series.map((s) => s.map(p).join(' · ')).join('; ')}`],
        'a gauge with a sound check valve cannot fall.'
      )
    };
  },
  scatter: ({ cylinder, values }, found, units) => {
    const p = pressureSaid(found, units);
    const [low, high] = [Math.min(...values.readings), Math.max(...values.readings)];
    return {
      found: `Cylinder ${cylinder} read ${values.oiled ? 'with oil ' : ''}${p(low)} and ${p(high)} in tests that were made alike: one of them is wrong, and nothing is built on either.`,
      advice: 'Seat the gauge afresh and read it again; the last ones speak when they agree.',
      because: practice(
        [...inputsOf(found, units), `in the order they were read: ${values.readings.map(p).join(', ')}`],
        'repeats of one cylinder that lie further apart than the limit between cylinders cannot be compared with anything.',
        { limit: percent(values.share) }
      )
    };
  },
  'adapter-size': ({ values }, found, units) => ({
    found: `The adapter’s ${say(values.adapter, 'volume', units)} is larger than the chamber itself (${say(values.chamber, 'volume', units)}): nothing read through it says anything.`,
    advice: 'Use another gauge.',
    because: practice(inputsOf(found, units), 'only volume between chamber and check valve counts.')
  }),
  bores: ({ values }, found, units) => {
    const oil = say(values.oil, 'volume', units);
    return {
      found: `These are marked dry, but ${oil} of oil went into each bore before.`,
      advice: 'Oil is volume and lifts every reading: mark them oiled.',
      because: practice(
        [...inputsOf(found, units), `oil in each bore: ${oil}`],
        'the amount is noted, and readings after it are oiled ones.'
      )
    };
  },
  'in-soak': (_, found, units) => ({
    found: 'These were read within a day of the soak: its oil stands in the bores, and lifts every reading.',
    advice: 'Turn it by hand, and read them again a day after it.',
    because: practice(inputsOf(found, units), 'oil seals and takes up room until it has run off.')
  }),
  cranking: crankingWords,
  high: ({ cylinder, values }, found, units) => ({
    found: `Cylinder ${cylinder} reads ${pressureSaid(found, units)(values.mean)}${values.level === undefined ? '' : `, ${pressureSaid(found, units)(values.level)} at sea level`}, more than such an engine gives (${say(values.most, 'pressure', units)} at most).`,
    advice: values.again
      ? 'It repeats: carbon on its crown, another head, or the gauge; look in through its plug hole before it is run.'
      : 'Oil, water or fuel in it: plug out, turn it over, look into the hole; then read it again.',
    because: practice(
      [`cylinder ${cylinder}: ${pressureSaid(found, units)(values.mean)}`],
      'what takes up room in a cylinder raises its reading; it makes no neighbour low.',
      {
        limit: `${say(values.most, 'pressure', units)} at sea level (from memory: a tenth over its kind, or over what its size and ratio give)`
      }
    )
  }),
  'odd-high': ({ cylinder, values }, found, units) => {
    const p = pressureSaid(found, units);
    return {
      found: `Cylinder ${cylinder} stands alone at ${p(values.mean)}: the others agree, at ${p(values.others)} at most, and such engines usually give no more than ${say(values.usual, 'pressure', units)}.`,
      advice: values.again
        ? 'It repeats: plug out, turn it over, look into the hole for oil, fuel, water or carbon, before the others are called low.'
        : 'Read it again, its bore blown dry, before the others are called low.',
      because: practice(
        inputsOf(found, units),
        'what takes up room in one chamber is sooner so than that all the others lost the same.',
        {
          limit: `${say(values.usual, 'pressure', units)} at sea level (common practice: the top of its kind, or a tenth over the manual’s figure)`
        }
      )
    };
  },
  alike: ({ values }, found, units) => ({
    found: values.told
      ? `${compared(found)} are within the limit: spread ${percent(found.spread!.value)} of ${sayLimit(found.limit, units)}.`
      : `${compared(found)} are alike: ${pressureSaid(found, units)(values.gap)} between them is no more than this gauge can tell.`,
    because: spreadBecause(found, units)
  }),
  order: ({ values }, found, units) => {
    const { fall } = found.order ?? {};
    const fell = !fall
      ? ''
      : `, while cranking fell from ${fall.of === 'volts' ? `${fall.from.toFixed(1)} V to ${fall.to.toFixed(1)} V` : `${fall.from} rpm to ${fall.to} rpm`}`;
    return {
      found: `${underBest(values, pressureSaid(found, units))}, but it was tested late${fell}.`,
      advice: 'Test again in the reverse order with a good battery before naming a cylinder.',
      because: spreadBecause(found, units)
    };
  },
  spread: ({ values }, found, units) => ({
    found: `${underBest(values, pressureSaid(found, units))}: a spread of ${percent(found.spread!.value)} where the limit is ${percent(found.limit.value)}, and the two lie within what these readings can tell.`,
    advice: `Repeat cylinder ${values.lowest} once more.`,
    because: spreadBecause(found, units)
  }),
  low: ({ values }, found, units) => ({
    found: `${underBest(values, pressureSaid(found, units))}.`,
    advice: lowAdvice[values.doubt],
    because: spreadBecause(found, units)
  }),
  'low-but-tight': ({ values }, found, units) => ({
    found: `${underBest(values, pressureSaid(found, units))}, but leak-down finds it tight: no air leaves it.`,
    advice: values.bank
      ? `All of its bank (${listed(values.bank)}) reads so, and none of the other: how the valves of that bank are timed first, by the marks of its drive; then their lash. Rings, valves and gasket are not to blame.`
      : `${values.again ? 'It repeats: ' : 'Gauge and cranking first, then '}${values.valves ? 'lash and the timing of its valves, and ' : ''}how far its piston rises; rings${values.valves ? ', valves' : ''} and gasket are not to blame.`,
    because: spreadBecause(found, units)
  }),
  tight: ({ values: v }, found, units) => ({
    found: `It reads ${pressureSaid(found, units)(v.judged)} at sea level, under ${floorMissed(v, pressureSaid(found, units))}, but leak-down finds every cylinder tight: ${v.belt ? 'valves that shut too late read like that, and nobody has seen the marks of its belt in line' : 'what the gauge read low was its cranking, its ratio or the gauge'}.`,
    ...(v.belt ? { advice: 'Belt cover off: its marks, before the gauge or the cranking is blamed.' } : {}),
    because: floorBecause(v, found, units)
  }),
  'figure-belt': ({ values: v }, found, units) => ({
    found: `It reads ${pressureSaid(found, units)(v.judged)} at sea level, under ${floorMissed(v, pressureSaid(found, units))}; its belt was off its marks then, and has been set since.`,
    advice: 'Read it again.',
    because: floorBecause(v, found, units)
  }),
  neighbours: ({ values }, found, units) => ({
    found: `Cylinders ${listed(values.pair)} are neighbours and both low: suspect the gasket between them.`,
    because: spreadBecause(found, units)
  }),
  ...wetWords,
  nofigure: ({ values }, found, units) => ({
    found: `The best cylinder reads ${pressureSaid(found, units)(values.best)} at sea level.`,
    advice: 'Without this engine’s figure, or its strokes, nobody can say whether that is right.',
    because: floorBecause(values, found, units)
  }),
  figure: ({ values: v }, found, units) => {
    const p = pressureSaid(found, units);
    const several = v.cylinders > 1;
    const manual = v.by.of === 'manual';
    const because = floorBecause(v, found, units);
    if (v.reached)
      return {
        found: `${several ? 'Every cylinder reaches' : 'It reaches'} ${floorReached[v.by.of]}: ${p(v.judged)} at sea level.`,
        because
      };
    return {
      found: `${several ? (manual ? 'The lowest is' : 'Even the best is') : 'It reads'} ${p(v.judged)} at sea level, under ${floorMissed(v, p)}.`,
      advice: sentences(
        v.decompression && 'Automatic decompression reads low by design.',
        v.dryFromStanding && !v.excuse && dryAdvice(several),
        v.excuse
          ? floorExcused[v.excuse]
          : manual
            ? 'Repeat it, then wet test or leak-down.'
            : 'That is a question, not a fault: leak-down next.'
      ),
      because
    };
  },
  nothing: ({ values: v }, found, units) => ({
    found: `${v.cylinders > 1 ? 'Next to nothing in every cylinder' : 'Next to nothing'}: ${pressureSaid(found, units)(v.best)} at best.`,
    advice:
      'So it reads with a hose not tight or a gauge’s valve stuck: both first, a thumb over the hole, then again.',
    because: floorBecause(v, found, units)
  }),
  oiled: ({ values: v }, found, units) => ({
    found: `With oil in the bore it reads ${pressureSaid(found, units)(v.judged)} at sea level, which proves nothing of the dry bore.`,
    advice: 'Oil seals the rings and lifts the reading: read it again dry, when it has burnt off in the first run.',
    because: floorBecause(v, found, units)
  }),
  adapter: ({ values: v }, found, units) => {
    const p = pressureSaid(found, units);
    const { dead, best, low, high } = v.without;
    return {
      found: `${p(Math.min(...found.rows.map((r) => r.mean)))} is alarming, but the adapter’s ${say(dead, 'volume', units)} alone explains much of it: without it about ${p(best)} (${p(low)} to ${p(high)}).`,
      advice: sentences(
        'Repeat with the valve at the plug end before believing it.',
        v.dryFromStanding && dryAdvice(found.rows.length > 1)
      ),
      because: {
        ...floorBecause(v, found, units),
        formula: 'p = p_a·((V + d)/(V_c + d))^1.3 − p_a',
        source: 'Polytropic law (P) with exponent 1.3 and usual ratio from memory (M)'
      }
    };
  },
  missing: ({ values }, found, units) => ({
    found: `${CylindersSaid(values.cylinders)} ${values.cylinders.length > 1 ? 'have' : 'has'} no reading yet.`,
    because: practice(inputsOf(found, units), 'cylinders are compared with each other first.')
  }),
  'head-was-off': ({ values: { cylinders } }) => ({
    found: `The head was off since ${cylindersSaid(cylinders)} ${cylinders.length > 1 ? 'were' : 'was'} read.`,
    advice: 'The gasket lies over all of them: read every cylinder again, in one test.',
    because: practice(['work with the head off, after the last reading'], 'cylinders alike is what proves a head.')
  }),
  'lash-before': () => ({
    found: 'The valve lash was read before the head came off.',
    advice: 'It is set anew with the head on, cold, before it is cranked.',
    because: practice(['work with the head off, after the last feeler'], 'a lash is of the head as it was put on.')
  })
};
