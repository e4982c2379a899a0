import { CylindersSaid, listed } from '../../findings/context.ts';
import { practice } from '../../findings/collect.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import { say, type System } from '../../units/index.ts';
import type { Damaged } from './damage.ts';
import type { SparkBasis, SparkFacts } from './facts.ts';
import { POINTS_OHMS, TIMING_REACH } from './measured.ts';
import { BETWEEN, METER_SHARE, windings, type WindingRow } from './windings.ts';

/** Practice of the trade, on what was seen at every cylinder. */
const pattern = ({ lanyard, ignition, seen }: SparkBasis, source: string): Because =>
  practice(
    [
      `lanyard in and switch on run: ${lanyard ?? 'unknown'}`,
      `ignition: ${ignition ?? 'unknown'}`,
      ...seen.map((s) => `cylinder ${s.cylinder}: ${s.result}${s.path ? ` (${s.path})` : ''}`)
    ],
    source
  );

const noSpark = ({ cylinders }: { cylinders: number }): string => (cylinders > 1 ? 'No spark anywhere' : 'No spark');
const byElimination = (part: { by: string }): string => (part.by === 'elimination' ? ', by elimination' : '');

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

const sayTiming = (x: number): string => `${Math.abs(x).toFixed(0)}° ${x < 0 ? 'after' : 'before'} top`;

const damagedWords = {
  coil: { at: 'The coil', name: 'coil', damaged: 'cracked or burnt', renew: 'Renew the coil.' },
  lead: { at: 'The lead', name: 'lead', damaged: 'damaged', renew: 'Renew lead and cap.' }
} as const satisfies Record<Damaged, object>;

/** What is said of spark, of its windings, points and timing. */
export const words: WordsOf<SparkFacts, SparkBasis> = {
  lanyard: (_, basis) => ({
    found: 'No spark, but the lanyard and the switch are not recorded as in and on run.',
    advice: 'Forgetting them is the commonest “no spark”: set both and repeat.',
    because: pattern(basis, 'lanyard in, switch to run, before anything else is suspected.')
  }),
  'lanyard-out': ({ values }, basis) => ({
    found: `${CylindersSaid(values.cylinders)} ${values.cylinders.length > 1 ? 'were' : 'was'} looked at with the lanyard out or the switch off: that says nothing.`,
    advice: 'Set both and repeat.',
    because: pattern(basis, 'lanyard in, switch to run, before anything else is suspected.')
  }),
  stop: (_, basis) => ({
    found: 'Spark returns with the stop wire off: the stop circuit is grounded.',
    advice: 'Follow it for a chafed or chewed wire, then the switch.',
    because: pattern(basis, 'spark that returns with the stop wire off clears coil, pack and trigger.')
  }),
  'slow-everywhere': ({ values }, basis) => ({
    found: `${noSpark(values)}, at slow cranking.`,
    advice: 'Electronic ignition gives nothing below its minimum: plugs out, good battery, and repeat.',
    because: pattern(basis, 'cranking speed is noted with every spark.')
  }),
  part: ({ values }, basis) => {
    const { part, cleared } = values;
    return {
      found: `${noSpark(values)}: it is the ${part.label}${byElimination(part)}.`,
      advice:
        part.id === 'pack' && part.by === 'elimination'
          ? 'Dear: prove it with a known good one before it is bought.'
          : undefined,
      because: pattern(basis, `cleared: ${listed(cleared) || 'nothing yet'}.`)
    };
  },
  all: ({ values }, basis) => {
    const { left, cleared, next } = values;
    return {
      found: `${noSpark(values)}: a common part.`,
      advice: !left.length
        ? 'Everything that they share was cleared: one of the answers is wrong, or it is none of these. Known good parts, or a specialist.'
        : `Left: ${listed(left)}. ${next ? 'The isolation below says what to try next.' : 'Nothing here separates them further: known good parts, or a specialist.'}`,
      because: pattern(
        basis,
        `none on all points to what they share; ${cleared.length ? `cleared so far: ${listed(cleared)}` : 'the stop circuit comes early because it costs one connector'}.`
      )
    };
  },
  pair: ({ values }, basis) => {
    const said = `No spark on cylinders ${listed(values.dead)}`;
    const because = pattern(basis, 'cylinders that fail together share a part; the manual’s wiring says which.');
    return values.shared === 'bank'
      ? {
          found: `${said}, one whole bank: what feeds that bank, its pack or trigger and their connector, before any single coil.`,
          because
        }
      : {
          found: `${said}, the others good: a coil or trigger they share.`,
          advice: 'See in the manual which cylinders are fired together, and swap that coil.',
          because
        };
  },
  ground: ({ cylinder }, basis) => ({
    found: `Cylinder ${cylinder} sparks to a bolt but not through the tester: poor engine ground or resistive points.`,
    because: pattern(basis, 'good to a bolt and none through the tester points to ground or points.')
  }),
  own: ({ cylinder, values }, basis) => ({
    found: `Cylinder ${cylinder} has no spark: it is ${values.part.label}${byElimination(values.part)}.`,
    because: pattern(basis, 'the fault that moves with a part is that part.')
  }),
  none: ({ cylinder, values }, basis) => ({
    found: `No spark on cylinder ${cylinder}${values.alone ? ' alone' : ' while another has it'}: its own plug, cap, lead, then coil.`,
    advice: 'Swap the plug and the lead with a good cylinder first.',
    because: pattern(basis, 'none on one is that cylinder’s own parts; none on all is a common part.')
  }),
  undecided: ({ cylinder }, basis) => ({
    found: `No spark on cylinder ${cylinder}, and none that sparks was seen: its own parts, or what all of them share.`,
    advice: 'Look at the others before anything is swapped.',
    because: pattern(basis, 'none on one is that cylinder’s own parts; none on all is a common part.')
  }),
  sun: ({ cylinder }, basis) => ({
    found: `Cylinder ${cylinder} looks weak, but it was judged in sunlight.`,
    advice: 'Look again in shade.',
    because: pattern(basis, 'spark is judged in shade.')
  }),
  slow: ({ cylinder }, basis) => ({
    found: `Cylinder ${cylinder} is weak at slow cranking.`,
    advice: 'Repeat with the plugs out and a good battery.',
    because: pattern(basis, 'some ignitions give little below a minimum speed.')
  }),
  weak: ({ cylinder }, basis) => ({
    found: `Spark on cylinder ${cylinder} is weak: plug and cap first, then ${basis.ignition === 'points' ? 'points and condenser' : 'its coil'}.`,
    because: pattern(basis, 'weak on one is that cylinder’s own parts.')
  }),
  unsteady: ({ cylinder }, basis) => ({
    found: `Cylinder ${cylinder} sparks sometimes: look for a loose connector, a chafed wire, or a coil that dies when warm.`,
    because: pattern(basis, 'an intermittent spark is measured again warm.')
  }),
  colour: ({ cylinder, values: { colour } }) => ({
    found: `Spark of cylinder ${cylinder} is ${colour === 'red' ? 'dull red' : 'thin and orange'}: little energy behind it.`,
    advice: 'Condenser, coil, or a poor ground.',
    because: practice([`colour: ${colour}`], 'blue-white and snapping is strong; judged in shade.')
  }),
  misses: ({ cylinder }) => ({
    found: `Spark of cylinder ${cylinder} misses now and then: a loose connector, a chafed wire, or a coil failing warm.`,
    because: practice(['steadiness: misses now and then'], 'an intermittent spark is measured again warm.')
  }),
  stray: ({ cylinder, values }) => ({
    found: `Spark of cylinder ${cylinder} goes astray: it arcs ${values.at === 'lead' ? 'from its lead' : values.at === 'cap' ? 'at its cap' : 'at its coil'}.`,
    advice: values.at === 'coil' ? 'Dry and clean it; if it arcs again, renew the coil.' : 'Renew lead and cap.',
    because: practice([`stray arc: ${values.at}`], 'looked for in the dark while it sparks.')
  }),
  damaged: ({ cylinder, values }) => {
    const part = damagedWords[values.part];
    return values.corroded
      ? {
          found: `${part.at} of cylinder ${cylinder} ${values.part === 'coil' ? 'has corroded terminals' : 'is corroded inside'}.`,
          advice: 'Bright metal, and look at the spark again.',
          because: practice([`${part.name}: corroded`], 'corrosion is cleaned before a part is blamed.')
        }
      : {
          found: `${part.at} of cylinder ${cylinder} is ${part.damaged}.`,
          advice: part.renew,
          because: practice([`${part.name}: ${part.damaged}`], 'what the eye finds needs no swap to prove it.')
        };
  },
  explained: ({ cylinder, values }, basis) => ({
    found: `No good spark on cylinder ${cylinder}: its ${damagedWords[values.part].damaged} ${damagedWords[values.part].name} explains it.`,
    advice: `${damagedWords[values.part].renew} Then look at it again, before anything is swapped.`,
    because: pattern(basis, 'what the eye found is mended first; whether more is wrong shows after it.')
  }),
  gap: ({ cylinder, values, limit }, _, units) => {
    const gap = say(values.gap, 'length', units);
    const asked = sayLimit(limit!, units);
    return {
      found: `Cylinder ${cylinder} jumps ${gap} where ${asked} is asked.`,
      because: {
        inputs: [`gap jumped: ${gap}`],
        limit: asked,
        provenance: limit!.provenance,
        source: limit!.manual
          ? 'The manual’s figure'
          : 'Common practice: about 6 mm from points, 9 to 11 mm from electronic ignition'
      }
    };
  },
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
  'warm-winding': ({ values: r }, _, units) => {
    const off = Math.round(100 * Math.abs(r.warmOverCold - 1));
    const because = windingBecause(r, units);
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
        : `The ${windingName(r)} is ${ohms(r.ohms20, units)} at 20 °C, ${condition === 'fault' ? 'outside' : 'so close outside that meter and temperature may explain it:'} the manual’s ${sayLimit(r.limit!, units)}.`,
    ...(condition === 'cannot-tell'
      ? { advice: 'Read it again, leads touched together first, its temperature noted.' }
      : {}),
    because: windingBecause(r, units)
  }),
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
  timing: ({ condition, values: { timing, off }, limit }, _, units) => {
    const inputs = [`timing at idle: ${sayTiming(timing)}`];
    if (off === undefined)
      return {
        found: `Timing stands at ${sayTiming(timing)} at idle.`,
        advice: 'Only the manual’s figure says whether that is right.',
        because: practice(inputs, 'marks against the manual; full-throttle timing is not attempted on a stand.')
      };
    return {
      found:
        condition === 'sound'
          ? 'Timing at idle is where the manual wants it.'
          : `Timing is ${Math.abs(off).toFixed(0)}° too ${off > 0 ? 'early' : 'late'}: timer base, advance plate, then the flywheel key.`,
      because: {
        ...practice(inputs, 'marks against the manual.'),
        limit: sayLimit(limit!, units),
        uncertainty: `± ${TIMING_REACH}° by eye`
      }
    };
  },
  missing: ({ values: { cylinders } }, basis) => ({
    found: `${CylindersSaid(cylinders)}: spark not looked at yet.`,
    because: pattern(basis, 'one cylinder at a time, all of them.')
  }),
  good: ({ values: { cylinders } }, basis) => ({
    found: cylinders > 1 ? 'Good spark on every cylinder.' : 'Good spark.',
    because: pattern(basis, 'steady and strong on every cylinder.')
  })
};
