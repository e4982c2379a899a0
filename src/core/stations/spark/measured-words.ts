import { practice } from '../../findings/collect.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import { say, type System } from '../../units/index.ts';
import type { SparkBasis, SparkFacts } from './facts.ts';
import { POINTS_OHMS, TIMING_REACH } from './measured.ts';
import { BETWEEN, METER_SHARE, OPEN, SHORTED, windings, type WindingRow } from './windings.ts';

const kV = (v: number): string => `${(v / 1000).toFixed(1)} kV`;
const ohms = (x: number, units: System): string => say(x, 'resistance', units);

const windingName = (r: WindingRow): string =>
  `${windings[r.winding].label}${r.cylinder === undefined ? '' : ` of cylinder ${r.cylinder}`}`;

function windingBecause(r: WindingRow, units: System): Because {
  const read = r.readings.map(
    (x) =>
      `${ohms(x.ohms, units)}${x.temperature === undefined ? '' : ` at ${say(x.temperature, 'temperature', units)}`}`
  );
  return {
    inputs: [`${windingName(r)}: ${read.join(', ')}`],
    value: `${ohms(r.ohms20, units)} at 20 °C`,
    uncertainty: `± ${100 * METER_SHARE} % by meter, leads and temperature`,
    ...(r.limit ? { limit: sayLimit(r.limit, units) } : {}),
    formula: 'R20 = R/(1 + 0.00393·(T − 20 °C))',
    provenance: 'P',
    source: 'IEC 60028 for copper; the room between readings is from memory (M)'
  };
}

/** Of a winding outside its range that does what it is there for. */
const SPARKS = 'Buy nothing for a figure: note it, and look at the spark again once it is hot.';
const sayTiming = (x: number): string => `${Math.abs(x).toFixed(0)}° ${x < 0 ? 'after' : 'before'} top`;

/** What is said of voltage, windings, points and timing: of what a meter, a gauge or a mark showed. */
export const measuredWords: Pick<
  WordsOf<SparkFacts, SparkBasis>,
  | 'voltage'
  | 'warm-winding'
  | 'winding'
  | 'open-winding'
  | 'shorted-winding'
  | 'scattered-winding'
  | 'between'
  | 'points-gap'
  | 'points'
  | 'rub-block'
  | 'timing'
> = {
  voltage: ({ values: r }, _, units) => {
    const [needed, shown] = [kV(r.needed), kV(r.available)];
    const said = {
      fires: {
        found: `Cylinder ${r.cylinder} has spark to spare: its plug needs about ${needed}, and ${shown} were shown.`
      },
      fails: {
        found: `Cylinder ${r.cylinder} will not fire its plug: about ${needed} are needed and ${shown} were shown.`,
        advice: 'Widen the tester to see whether more is there, and gap the plug.'
      },
      'cannot-tell': {
        found: `Cylinder ${r.cylinder}: about ${needed} are needed and ${shown} were shown.`,
        advice: 'Too close to call: try a wider open gap.'
      }
    } as const;
    return {
      ...said[r.verdict],
      because: {
        inputs: [
          `open gap jumped: ${say(r.open, 'length', units)}`,
          `plug gap: ${say(r.gap, 'length', units)}`,
          `compression: ${say(r.gauge, 'pressure', units)}`,
          `gas at top taken as ${say(r.temperature, 'temperature', units)}: hot gas is thinner and fires lower`
        ],
        value: `margin ${r.margin.toFixed(2)}`,
        uncertainty: `${r.low.toFixed(2)} to ${r.high.toFixed(2)}, since pointed electrodes fire lower, tester and plug about alike`,
        limit: 'a margin of 1',
        formula: 'V = 24.36·x + 6.72·√x kV, x = pressure·gap in bar·cm at 293 K',
        provenance: 'P',
        source:
          'Kuffel, Zaengl & Kuffel, High Voltage Engineering (uniform field); the room for pointed electrodes is from memory (M)'
      }
    };
  },
  'warm-winding': ({ values: r, condition }, _, units) => {
    const off = Math.round(100 * Math.abs(r.warmOverCold - 1));
    const because = windingBecause(r, units);
    const less = r.warmOverCold < 1 ? 'less' : 'more';
    if (condition === 'cannot-tell')
      return {
        found: `The ${windingName(r)} reads ${off} % ${less} warm than copper should; on so small a resistance meter and leads may be that much off.`,
        advice: 'A good coil in its place while it is hot tells.',
        because
      };
    return r.warmOverCold < 1
      ? {
          found: `The ${windingName(r)} reads ${off} % less warm than copper should: turns short when it is hot.`,
          advice: 'That is a coil that dies warm and comes back cold.',
          because
        }
      : {
          found: `The ${windingName(r)} reads ${off} % more warm than copper should: a joint inside opens with heat.`,
          because
        };
  },
  winding: ({ values: r, condition }, _, units) => ({
    found:
      condition === 'sound'
        ? `The ${windingName(r)} is within the manual’s range.`
        : `The ${windingName(r)} is ${ohms(r.ohms20, units)} at 20 °C, ${condition === 'fault' || r.sparks ? 'outside' : 'so close outside that meter and temperature may explain it:'} the manual’s ${sayLimit(r.limit!, units)}${r.sparks ? ', and it sparks all the same' : ''}.`,
    ...(condition === 'cannot-tell'
      ? {
          advice: `Read it again, leads touched together first, its temperature noted${r.sparks ? '; nothing is bought for it yet' : ''}.`
        }
      : r.sparks
        ? { advice: SPARKS }
        : {}),
    because: windingBecause(r, units)
  }),
  'open-winding': ({ values: r, condition }, _, units) => ({
    found: `The ${windingName(r)} reads ${ohms(r.ohms20, units)}: no way through it${r.sparks ? ', and it sparks all the same' : ''}.`,
    advice: r.sparks
      ? condition === 'watch'
        ? SPARKS
        : 'Try the meter’s leads against each other, see that these are its two ends, and read it again.'
      : condition === 'fault'
        ? 'Try the meter’s leads against each other first; then renew it.'
        : 'Some coils hold a diode or their driver and read so when they are good: only the manual’s way of measuring it decides.',
    because: practice(
      [`${windingName(r)}: ${ohms(r.ohms20, units)}`],
      'a winding that is broken reads as no way through.',
      {
        limit: `${ohms(OPEN[r.winding], units)} (common practice: far past any maker’s figure)`
      }
    )
  }),
  'shorted-winding': ({ values: r, condition }, _, units) => ({
    found: `The ${windingName(r)} reads ${ohms(r.ohms20, units)}: a short, or the wrong two wires.`,
    advice:
      condition === 'fault'
        ? 'It repeats: renew it.'
        : condition === 'watch'
          ? SPARKS
          : 'Find its two ends in the wiring diagram and read it again.',
    because: practice(
      [`${windingName(r)}: ${ohms(r.ohms20, units)}`],
      'such a winding has far more wire than that; a reading next to nothing is repeated before it is believed.',
      { limit: `${ohms(SHORTED[r.winding] ?? 0, units)} (from memory: far under any maker’s figure)` }
    )
  }),
  'scattered-winding': ({ values: r }, _, units) => {
    const list = r.readings.map((x) => ohms(x.at20, units));
    return {
      found: `The ${windingName(r)} was read alike, and came out as ${list.slice(0, -1).join(', ')} and ${list.at(-1)}: one of them is wrong.`,
      advice: 'Clean its ends, touch the meter’s leads together first, and read it again.',
      because: practice(
        r.readings.map((x) => `${windingName(r)}: ${ohms(x.at20, units)} at 20 °C`),
        'a winding at one temperature has one resistance.',
        { limit: `${100 * BETWEEN} % between repeats (M)` }
      )
    };
  },
  between: ({ values: { winding, rows } }, _, units) => {
    const sorted = [...rows].sort((a, b) => a.ohms20 - b.ohms20);
    const [least, most] = [sorted[0]!, sorted.at(-1)!];
    return {
      found: `Between cylinders the ${windings[winding].label} runs from ${ohms(least.ohms20, units)} (cylinder ${least.cylinder}) to ${ohms(most.ohms20, units)} (cylinder ${most.cylinder}).`,
      advice: 'The manual’s range says which of them is wrong.',
      because: practice(
        rows.map((r) => `cylinder ${r.cylinder}: ${ohms(r.ohms20, units)} at 20 °C`),
        'like windings are compared with each other where no figure is known.',
        { limit: `${100 * BETWEEN} % between cylinders (M)` }
      )
    };
  },
  'points-gap': ({ cylinder, values, limit }, _, units) => {
    const gap = say(values.gap, 'length', units);
    const asked = sayLimit(limit!, units);
    return {
      found: `Points of cylinder ${cylinder} stand at ${gap} where ${asked} is asked: ${values.gap < limit!.value ? 'late and weak; look at the rub block' : 'early and short of dwell'}.`,
      because: {
        ...practice([`points gap: ${gap}`], 'feeler at the highest point of the cam.'),
        limit: asked
      }
    };
  },
  points: ({ cylinder, values }, _, units) => {
    const closed = values.ohms === undefined ? undefined : ohms(values.ohms, units);
    return {
      found:
        values.look === 'pitted'
          ? `Points of cylinder ${cylinder} are pitted: dress or renew them, and the condenser with them.`
          : `Points of cylinder ${cylinder} do not close clean${closed ? ` (${closed})` : ''}: paper through them, then solvent, then try the spark again.`,
      because: practice(
        [`resistance closed: ${closed ?? 'not measured'}`, `look: ${values.look ?? 'not noted'}`],
        'pitting speaks for a tired condenser; oxide comes from standing.',
        { limit: `${POINTS_OHMS} Ω closed (from memory)` }
      )
    };
  },
  'rub-block': ({ values: { state } }) => ({
    found:
      state === 'dry'
        ? 'The rub block runs dry: a smear of point grease, or the gap closes as it wears.'
        : 'The rub block is worn: the gap will not hold.',
    because: practice([`rub block: ${state}`], 'the rub block is lubricated whenever points are set.')
  }),
  timing: ({ condition, values: { timing, off, through }, limit }, _, units) => {
    const inputs = [`timing at idle: ${sayTiming(timing)}`];
    if (off === undefined)
      return {
        found: `Timing stands at ${sayTiming(timing)} at idle.`,
        advice: 'Only the manual’s figure says whether that is right.',
        because: practice(inputs, 'marks against the manual; full-throttle timing is not attempted on a stand.')
      };
    const wrong = `${Math.abs(off).toFixed(0)}° too ${off > 0 ? 'early' : 'late'}`;
    if (through)
      return {
        found: `Timing was ${wrong}, with the flywheel shifted on its crank.`,
        advice:
          through === 'shifted'
            ? 'The key first; then it is taken anew, before points or timer base are touched for it.'
            : 'The key is new: take it anew, before points or timer base are touched for it.',
        because: practice(inputs, 'a flywheel that is shifted shifts the timing by as much.')
      };
    return {
      found:
        condition === 'sound'
          ? 'Timing at idle is where the manual wants it.'
          : `Timing is ${wrong}: the flywheel’s mark for its key, then timer base and advance plate.`,
      because: {
        ...practice(inputs, 'marks against the manual.'),
        limit: sayLimit(limit!, units),
        uncertainty: `± ${TIMING_REACH}° by eye`
      }
    };
  }
};
