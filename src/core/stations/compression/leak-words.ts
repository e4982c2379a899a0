import { CylindersSaid, listed } from '../../findings/context.ts';
import { practice } from '../../findings/collect.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import { sayValue } from '../../items/check-entry.ts';
import { say, type System } from '../../units/index.ts';
import type { LeakAnalysed, LeakDownFacts, LeakFacts } from './facts.ts';
import { FLAT_DRESS, FLAT_FITS } from './flat.ts';
import { items } from './readings.ts';

const mm = (m: number): string => `${(m * 1000).toFixed(1)} mm`;

/** What lies behind a place where the air comes out; on a two-stroke the intake is the crankcase. C. */
function behind(place: string, two: boolean): string {
  switch (place) {
    case 'intake':
      return two ? 'rings and crankcase, through the reed' : 'the intake valve';
    case 'exhaust':
      return two ? 'rings or bore, past the port' : 'the exhaust valve';
    case 'crankcase':
      return 'rings or bore';
    case 'neighbour':
      return 'the gasket between the two';
    case 'water':
      return 'gasket or water jacket';
    case 'edge':
      return 'the head gasket at its edge';
    default:
      return place;
  }
}

/** "at the exhaust", "as bubbles in the cooling water". */
const placeIn =
  (units: System) =>
  (e: string): string =>
    `${e === 'water' ? 'as' : 'at'} ${sayValue(items.escape, [e], units)}`;

const leakDown: WordsOf<LeakDownFacts, object>['leakdown'] = ({ cylinder, condition, values }, _, units) => {
  const { share, hole, escapes, bands } = values;
  const said = say(share, 'share', units);
  const air = (list: readonly string[]): string => sayValue(items.escape, list, units);
  const place = placeIn(units);
  const where = escapes.length
    ? `It comes out ${listed(escapes.map(place))}: ${listed(escapes.map((e) => behind(e, values.strokes === 'two')))}.`
    : 'Listen where the air comes out: that names the part.';
  const then =
    values.soaked === undefined
      ? ''
      : values.seen
        ? ` ${values.seen === 'holed' ? 'Its crown was seen burnt or holed' : 'Its bore was seen scored'}: no soak mends that; the price of an overhaul before anything more.`
        : values.freed !== undefined
          ? ` Before the soak it was ${say(values.freed, 'share', units)}: the rings are coming free. Soak it once more, and repeat.`
          : values.soaked
            ? values.lit
              ? ' It was soaked, its bore was looked into, and it still leaks: the price of an overhaul before anything more.'
              : ' It was soaked, and still leaks: a light into the bore, then the price of an overhaul.'
            : ' Rings that stood often come free: soak overnight and repeat before condemning.';
  return {
    ...(condition === 'sound'
      ? { found: `Leak-down of cylinder ${cylinder} is ${said}: tight.` }
      : {
          found: `Leak-down of cylinder ${cylinder} is ${said}, like a hole of ${mm(hole)}.`,
          advice: `${where}${then}`
        }),
    because: {
      inputs: [
        `leak-down: ${said}`,
        `tester: ${values.tester}`,
        `air at: ${escapes.length ? air(escapes) : 'not noted'}`
      ],
      value: `equivalent hole ${(hole * 1000).toFixed(2)} mm`,
      uncertainty: 'two-strokes only near top, ports covered; turned and repeated, it moves by a third',
      limit: `watch from ${say(bands.watch, 'share', units)}, fault from ${say(bands.fault, 'share', units)} on this restrictor (${bands.limit.manual ? sayLimit(bands.limit, units) : 'common practice on 0.040 in, moved by the equivalent hole'})`,
      formula: 'A_hole/A_restrictor = p_s·ψ(p_c/p_s)/(p_c·ψ(p_a/p_c))',
      provenance: bands.limit.provenance,
      source:
        'FAA AC 43.13-1B, differential compression (P); orifice size to be confirmed (M); bands common practice (C)'
    }
  };
};

const lashBecause = (
  {
    cylinder,
    values,
    limit
  }:
    | Parameters<WordsOf<LeakDownFacts, object>['lash']>[0]
    | Parameters<WordsOf<LeakDownFacts, object>['no-lash']>[0]
    | Parameters<WordsOf<LeakDownFacts, object>['tight-lash']>[0]
    | Parameters<WordsOf<LeakDownFacts, object>['wide-lash']>[0],
  units: System
): Because =>
  practice(
    [`${values.valve} lash of cylinder ${cylinder}: ${say(values.lash, 'length', units)}`],
    'one low with air at a valve: lash first.',
    limit ? { limit: sayLimit(limit, units) } : {}
  );

const readOf = (read: boolean): string =>
  read
    ? 'what was read of its cylinders before says nothing of them now.'
    : 'its cylinders are read before it goes back.';

/** What is said of leak-down and lash. */
const crankcaseWords = {
  seal: ': it bubbles at a crank seal',
  reed: ': the reeds let it through',
  joint: ': it bubbles at a joint',
  falls: ''
} as const;

export const leakDownWords: WordsOf<LeakDownFacts, object> = {
  leakdown: leakDown,
  'leakdown-gasket': (fact, tester, units) => leakDown({ ...fact, kind: 'leakdown' }, tester, units),
  'leakdown-through': (fact, tester, units) => ({
    ...leakDown({ ...fact, kind: 'leakdown' }, tester, units),
    found: `Leak-down of cylinder ${fact.cylinder} is ${say(fact.values.share, 'share', units)}, tight by its figure, but air comes out ${listed(fact.values.escapes.map(placeIn(units)))}, where none should.`,
    advice: 'Once more with the piston held at top, the place watched for a minute; then warm.'
  }),
  overheated: ({ values: { hottest, limit, read } }, _, units) => ({
    found: `The head was at ${say(hottest, 'temperature', units)}, far past ${sayLimit(limit, units)}: ${readOf(read)}`,
    advice: 'Compression again, cold; then leak-down where it is low.',
    because: practice(
      [`hottest at the head: ${say(hottest, 'temperature', units)}`, 'not read since'],
      'heat takes the gasket, the rings’ spring and the pistons, in this order.',
      { limit: sayLimit(limit, units) }
    )
  }),
  'ran-dry': ({ values: { read } }) => ({
    found: `It ran on fuel without its oil: ${readOf(read)}`,
    advice: 'Turned by hand first; then compression of every cylinder, a light into the bore where one is low.',
    because: practice(
      ['fuel without oil, told of the tank it ran on', 'not every cylinder was read since'],
      'a two-stroke without oil scores its bores before it seizes.'
    )
  }),
  'escape-unread': ({ cylinder, values }, _, units) => ({
    found: `Air of cylinder ${cylinder} comes out ${listed(values.escapes.map(placeIn(units)))}; how much it is was not read.`,
    advice: 'Read the leak-down beside it.',
    because: practice(
      [`air: ${listed(values.escapes.map(placeIn(units)))}`],
      'where the air comes out names the part, the figure says whether it matters.'
    )
  }),
  crankcase: ({ cylinder, values: { at } }) => ({
    found:
      at === 'held'
        ? `The crankcase of cylinder ${cylinder} holds its pressure.`
        : `The crankcase of cylinder ${cylinder} does not hold${crankcaseWords[at]}.`,
    advice:
      at === 'falls' ? 'Soapy water at the seals, the reeds and the joints: the bubbles name the part.' : undefined,
    because: practice(
      [`crankcase ${cylinder} under pressure: ${at}`],
      'a two-stroke draws and pumps its mixture with its crankcase: what leaks there leans it, or lets it spit back.'
    )
  }),
  flatness: ({ values: { gap, verdict } }, _, units) => {
    const far = say(gap, 'length', units);
    const said = {
      fits: { found: `The head’s face is flat within ${far}.` },
      dress: {
        found: `The head’s face is ${far} from flat.`,
        advice: 'Dressed on a plate it fits; the manual’s limit counts.'
      },
      machine: {
        found: `The head’s face is ${far} from flat: more than can be dressed by hand.`,
        advice: 'Machined, within the least height the manual gives, or another head.'
      }
    } as const;
    return {
      ...said[verdict],
      because: practice([`feeler under the straight edge: ${far}`], 'measured along, across and over both diagonals.', {
        limit: `fits to ${say(FLAT_FITS, 'length', units)}, dressed to ${say(FLAT_DRESS, 'length', units)} (from memory; the manual’s limit wins)`
      })
    };
  },
  'leakdown-disagrees': ({ cylinder, values }, _, units) => {
    const shares = values.shares.map((s) => say(s, 'share', units));
    return {
      found: `Leak-down of cylinder ${cylinder} gave ${listed(shares)}: they are not of the same thing.`,
      advice: `Nearer to top, ${values.valves ? 'both valves shut' : 'the ports covered'}, turned once and repeated; take the slip back.`,
      because: practice([`leak-down: ${shares.join(', ')}`], 'turned and repeated, it moves by a third at most.')
    };
  },
  'leakdown-port': ({ cylinder, values }, _, units) => ({
    found: `Leak-down of cylinder ${cylinder} is ${say(values.share, 'share', units)}, and the air comes out at the exhaust: so does it past an uncovered port.`,
    advice: 'Turn it to top exactly, lock the flywheel and repeat: what still comes out there has passed the rings.',
    because: practice(
      [`leak-down: ${say(values.share, 'share', units)}`, 'air at: exhaust'],
      'a two-stroke’s ports are shut only near top; one more reading tells.'
    )
  }),
  'leakdown-against': ({ cylinder, values }, _, units) => ({
    found: `Leak-down of cylinder ${cylinder} is ${say(values.share, 'share', units)}, and its compression is good: a leak like that would show there.`,
    advice: 'Top of the compression stroke exactly, flywheel locked, the tester’s own zero first; then once more.',
    because: practice(
      [`leak-down: ${say(values.share, 'share', units)}`],
      'off its top, or on the other stroke with a valve open, a sound cylinder leaks; one more reading tells.'
    )
  }),
  'no-lash': (fact, _, units) => ({
    found: `The ${fact.values.valve} valve of cylinder ${fact.cylinder} has no lash: it does not close.`,
    advice: 'Set it, run, and repeat the compression.',
    because: lashBecause(fact, units)
  }),
  'tight-lash': (fact, _, units) => ({
    found: `The ${fact.values.valve} lash of cylinder ${fact.cylinder} is ${say(fact.values.lash, 'length', units)}: close for most makers, and the manual’s figure is not entered.`,
    advice: fact.values.low
      ? 'Set it by the manual, run, and repeat the compression before the valve is blamed.'
      : 'Enter the manual’s figure; set it if it is under that.',
    because: lashBecause(fact, units)
  }),
  'wide-lash': (fact, _, units) => ({
    found: `The ${fact.values.valve} lash of cylinder ${fact.cylinder} is ${say(fact.values.lash, 'length', units)}: ${fact.values.beside ? 'more than twice that of every other' : 'wide past any maker’s figure'}.`,
    advice: 'A worn follower, a bent rod or a slipped screw; set it to the manual before compression is believed.',
    because: lashBecause(fact, units)
  }),
  lash: (fact, _, units) => {
    const { cylinder, condition, values, limit } = fact;
    const name = `The ${values.valve} lash of cylinder ${cylinder} is`;
    const because = lashBecause(fact, units);
    if (condition === 'sound') return { found: `${name} within the manual’s range.`, because };
    return {
      found: `${name} ${say(values.lash, 'length', units)}, ${values.lash < limit!.value ? 'tight' : 'wide'} against ${sayLimit(limit!, units)}.`,
      advice: 'Set it before compression is believed.',
      because
    };
  }
};

function fitBecause({ observed, conditions }: LeakAnalysed['basis'], units: System): Because {
  const { rpm, shape, ratioReach } = conditions;
  return {
    inputs: [
      ...observed.map((o) => `cylinder ${o.cylinder}: ${o.needle.map((p) => say(p, 'pressure', units)).join(' · ')}`),
      `cranking ${Math.round(rpm.low)} to ${Math.round(rpm.high)} rpm, ratio ${shape.ratio.toFixed(1)} ± ${ratioReach}`
    ],
    formula: 'mass and energy balance of the cylinder while cranking; leak as an isentropic orifice, Cd 0.8',
    provenance: 'P',
    source:
      'Cranking model (docs/cranking.md): first law, ISO 9300; ranges of speed, ratio and heat loss from memory (M)'
  };
}

/** What is said of the leak that was fitted to the pulls. */
export const leakWords: WordsOf<LeakFacts, LeakAnalysed['basis']> = {
  shape: ({ cylinder }, task, units) => ({
    found: `Cylinder ${cylinder} does not build like a steady leak: cranking that changed speed, rings that seal as they move, or a gauge that leaks.`,
    advice: 'Repeat it pull by pull.',
    because: fitBecause(task, units)
  }),
  leak: ({ cylinder, values: v }, task, units) => ({
    found: `Cylinder ${cylinder} leaks like a hole of ${mm(v.hole)} more than cylinder ${v.best} (${mm(v.low)} to ${mm(v.high)}).`,
    because: {
      ...fitBecause(task, units),
      value: `${mm(v.hole)} beyond the best cylinder`,
      uncertainty: `95 % interval ${mm(v.low)} to ${mm(v.high)}, with the room in speed, ratio and repeatability`
    }
  }),
  tight: ({ values: v }, task, units) => ({
    found: `${CylindersSaid(v.cylinders)}: no leak beyond cylinder ${v.best} that these readings can tell; at most a hole of ${mm(v.most)}.`,
    advice: 'A leak common to all would not show.',
    because: fitBecause(task, units)
  })
};
