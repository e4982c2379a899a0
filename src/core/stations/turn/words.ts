import { practice } from '../../findings/collect.ts';
import { listed } from '../../findings/context.ts';
import type { Words, WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import type { ThroughLinkage, TurnBasis, TurnFacts } from './facts.ts';
import { beltWords } from './belt-words.ts';
import { depthWords } from './depth-words.ts';
import type { Rod } from './shift-rod.ts';

const turned = ({ turns, plugs }: TurnBasis): string[] => [
  `turns recorded: ${turns.join(', ') || 'none'}`,
  `plugs: ${plugs ?? 'unknown'}`
];
/** What is taken out of it one after the other, as far as this engine has it. */
const order = ({ has }: TurnBasis): string[] => [
  ...(has.neutral ? ['neutral'] : ['the propeller off']),
  ...(has.pinion ? ['the starter pinion'] : []),
  'the leg off'
];
const inOrder = (basis: TurnBasis): Because =>
  practice(
    turned(basis),
    `plugs out, then ${listed(order(basis))}; only then the bores are blamed. Soak, wait a day, no force.`
  );
/** "neutral first, then the leg off" */
const firstThen = (basis: TurnBasis): string => {
  const [first, ...then] = order(basis);
  return `${first} first, then ${then.join(', then ')}`;
};
const shifted = ({ shifts: { neutral, forward, reverse, lock } }: TurnBasis): Because =>
  practice(
    [`neutral ${neutral ?? '–'}, forward ${forward ?? '–'}, reverse ${reverse ?? '–'}, reverse lock ${lock ?? '–'}`],
    'neutral spins freely, forward and reverse follow; on a manual tilt the lock rises in reverse.'
  );

const feltWord = (f: string): string => (f === 'tight' ? 'a tight spot' : f);

/** Grit, noise or play: where it sits, from what was taken out of it; the bores are not blamed before. */
function roughWords({ felt, gritty, part }: TurnFacts['rough'], basis: TurnBasis): Omit<Words, 'because'> {
  const is = felt.length ? `It turns${gritty ? ' gritty' : ''}, with ${listed(felt.map(feltWord))}` : 'It turns gritty';
  if (part && part.id !== 'head')
    return {
      found: `${is}: it sits in the ${part.label}, not in the power head.`,
      advice: part.id === 'pinion' ? undefined : 'Gear oil and magnet say more; no running in gear before.'
    };
  if (part)
    return {
      found: `${is}, and with the leg off all the same: ${part.label}.`,
      advice: felt.length
        ? 'Nothing spins it before a specialist has measured it: oil hides noise and play, and mends no bearing.'
        : 'Oil it, and turn it again the next day before believing it.'
    };
  if (felt.length) return { found: `${is}.`, advice: `Find out where before it is cranked: ${firstThen(basis)}.` };
  return {
    found: `${is}: gear case, bearings or bores.`,
    advice: `Find out where: ${firstThen(basis)}; oil it, and turn it again the next day before believing it.`
  };
}

const slipWords = {
  hub: {
    found: 'It slips in gear, but the propeller slips on its hub: that alone looks like this.',
    advice: 'Hub first, then try the gears again at the shaft.'
  },
  'hub-mended': {
    found: 'It slipped in gear while the propeller slipped on its hub; the hub is mended since.',
    advice: 'Try the gears again.'
  },
  set: {
    found:
      'It still jumps out of gear with the linkage set: the clutch dog is worn, if the shift rod follows and the propeller holds on its hub.',
    advice: 'It comes out with the gear it runs on.'
  },
  linkage: { found: 'It jumps out of gear when turned by hand: its hub, the linkage, then a worn clutch dog.' }
} as const satisfies Record<TurnFacts['slips']['why'], Omit<Words, 'because'>>;

/** What comes next where the linkage is set and it was not that. C: common practice. */
const rodSaid = (rod: Rod | undefined): string =>
  rod === 'follows'
    ? 'The shift rod follows its whole travel: it is in the gear case, the dog or what moves it.'
    : rod === 'slips'
      ? 'The joint of the shift rod slips: that first, then the linkage anew.'
      : 'Now the joint of the shift rod: does the rod in the leg follow the lever?';

const throughSaid = {
  stiff: 'The linkage is stiff: free it first, then shift again.',
  freed: 'It was shifted through a stiff linkage, which has been freed since: shift again.'
} as const satisfies Record<NonNullable<ThroughLinkage['linkage']>, string>;

export const words: WordsOf<TurnFacts, TurnBasis> = {
  locked: ({ values: { part, left, plugsFirst, reach } }, basis) => {
    const stops = reach
      ? [
          `It turns ${Math.round(reach)}° and stops there: something lies in its way, liquid or a part, rather than rust all round.`
        ]
      : [];
    const where = part
      ? [`It was ${part.label}${part.by === 'elimination' ? ', by elimination' : ''}.`]
      : [
          `It may be ${left.slice(0, -1).join('; ')}${left.length > 1 ? '; or ' : ''}${left.at(-1) ?? 'nothing that is left'}.`,
          plugsFirst ? 'Take the plugs out first: liquid in a cylinder locks it.' : 'Go on in order; no force.'
        ];
    return { found: 'It is locked.', advice: [...stops, ...where].join(' '), because: inOrder(basis) };
  },
  rough: ({ values }, basis) => ({ ...roughWords(values, basis), because: inOrder(basis) }),
  stiff: (_, basis) => ({
    found: 'It turns stiff.',
    advice: 'Oil the bores, soak, and turn it again tomorrow; no force.',
    because: inOrder(basis)
  }),
  shifts: (_, basis) => ({
    found: 'It shifts: free in neutral, and the propeller follows in gear.',
    because: shifted(basis)
  }),
  unturned: ({ values: { begun } }, basis) => ({
    ...(begun
      ? {
          found: 'How it turns was not said: free, stiff or locked.',
          advice: 'Turn it two full turns by hand and say it.'
        }
      : { found: 'It was not turned by hand yet.', advice: 'Turn it two full turns by hand.' }),
    because: practice(turned(basis), 'marks in line and a shift that works say nothing of what the pistons do.')
  }),
  nobumps: ({ values: { plugs, later, counted, valves } }, basis) => ({
    ...(plugs
      ? {
          found: 'It turns free without bumps, its plugs in.',
          advice:
            counted === undefined
              ? 'Turn it again and count: no bump at all is no compression on any cylinder.'
              : `No bump at all is no compression on any cylinder${valves ? ': look at what drives its valves before it is cranked, then the compression check' : ': the compression check next'}.`
        }
      : {
          found: 'It turns free without bumps.',
          advice: later
            ? `Where the plugs were just then nobody said: turn it again${later === 'in' ? ', and count' : ''}.`
            : 'With the plugs in that is no compression; with them out it means nothing. Record where the plugs were.'
        }),
    because: inOrder(basis)
  }),
  pinion: (_, basis) => ({
    found: 'It turns free now; its starter’s pinion had locked it.',
    advice: 'Clean and grease the pinion and look at its spring before it goes back, or it locks again.',
    because: inOrder(basis)
  }),
  again: ({ values: { everBad, hours } }, basis) => ({
    found: `It turns free now, but ${everBad ? 'it did not before' : 'it was soaked'}.`,
    advice: 'Oil hides grit: turn it again tomorrow before it counts.',
    because: { ...inOrder(basis), limit: `${hours} h between two smooth turns (house rule)` }
  }),
  tight: ({ values }, basis) => ({
    found: `It turns, with ${values.felt.map(feltWord).join(' and ')}.`,
    advice: values.part
      ? 'It stays with everything else out of it: every piston’s depth at top, and a specialist before it is cranked.'
      : `Find out where before it is cranked: ${firstThen(basis)}.`,
    because: inOrder(basis)
  }),
  free: ({ values: { running } }, basis) => ({
    found: running > 1 ? `It turns free, ${running} turns running.` : 'It turns free.',
    because: inOrder(basis)
  }),
  'felt-only': ({ values }, basis) => ({
    found: `Felt in it: ${listed(values.felt.map(feltWord))}.`,
    advice: 'Turn it by hand once more and say how it turns; nothing is cranked before.',
    because: practice(turned(basis), 'what the hand feels is found before anything spins.')
  }),
  bumps: ({ values: { counted, expected } }) => ({
    ...(counted < expected
      ? {
          found: `${counted} ${counted === 1 ? 'bump' : 'bumps'} in two turns where ${expected} are expected.`,
          advice: 'The compression check will say which cylinder.'
        }
      : counted > expected
        ? {
            found: `${counted} bumps in two turns where ${expected} are all it has.`,
            advice:
              'Count again over two turns of the flywheel; if it stays, its strokes or cylinders are not as they are entered.'
          }
        : { found: expected === 1 ? 'Its one bump is there.' : `All ${expected} bumps are there.` }),
    because: practice(
      [`bumps counted: ${counted}`, `expected: ${expected}`],
      'each cylinder of a two-stroke compresses every turn, of a four-stroke every second turn; cylinders that rise together are felt as one.'
    )
  }),
  assembled: ({ values: { said } }) => ({
    found: `It turns ${said === 'binds' ? 'until it binds' : 'stiffer than before'} since it was put together: undo what was done last and look, key, O-ring, washer, shim.`,
    advice: 'Nothing spins before.',
    because: practice(
      [`turned after assembly: ${said}`],
      'what turned easily before and does not now was put together wrong.'
    )
  }),
  water: ({ values }) => ({
    found: 'Water still comes out of the plug holes.',
    advice: 'Keep turning by hand until no more comes.',
    because: practice([`out of the plug holes: ${values.said}`], 'plug holes lowest, turned by hand until dry.')
  }),
  exposed: ({ values: { spent, inAir, stoppedAt, water, hours } }) => ({
    found: `It lay ${Math.round(inAir)} h in air before oil took the water’s place, ${spent >= 2 ? `${Math.round(spent)} times` : 'longer than'} what the house allows: rust has begun.`,
    advice: 'Bearings, rings and starter are soaked, turned again tomorrow, and looked at.',
    because: practice(
      [
        `water: ${water ?? 'unknown, taken as salt'}`,
        `in air: ${inAir.toFixed(1)} h`,
        stoppedAt ? 'displaced since' : 'not displaced yet'
      ],
      'air does it, salt does it faster; under fresh water it waits.',
      { limit: `${hours} h (house rule)` }
    )
  }),
  ...beltWords,
  shift: ({ values: { neutral, cold, linkage, set, rod } }, basis) => {
    const advice = [
      ...(neutral === 'drives' ? ['Nobody starts it like this.'] : []),
      ...(set || rod === 'slips' ? [rodSaid(rod)] : []),
      ...(linkage ? [throughSaid[linkage]] : cold ? ['Shift it again warm from the run.'] : [])
    ];
    const why =
      linkage || rod === 'slips'
        ? ''
        : set
          ? ', the linkage set'
          : neutral === 'drives'
            ? ': linkage or shift rod'
            : cold
              ? ': thick oil in the cold does that, or a linkage out of adjustment'
              : ': linkage out of adjustment';
    return {
      found: `${neutral === 'drives' ? 'It stays in gear in neutral' : 'The propeller drags in neutral'}${why}.`,
      ...(advice.length ? { advice: advice.join(' ') } : {}),
      because: shifted(basis)
    };
  },
  gear: ({ values: { missing, linkage, set, rod } }, basis) => ({
    ...(linkage
      ? { found: `No ${missing.join(' and no ')}.`, advice: throughSaid[linkage] }
      : rod === 'slips' && !set
        ? { found: `No ${missing.join(' and no ')}.`, advice: rodSaid(rod) }
        : set
          ? { found: `Still no ${missing.join(' and no ')}, the linkage set.`, advice: rodSaid(rod) }
          : {
              found: `No ${missing.join(' and no ')}: shift linkage first, then the joint of the shift rod, then the clutch dog.`
            }),
    because: shifted(basis)
  }),
  slips: ({ values: { why, linkage, rod, hubHolds } }, basis) => ({
    ...(linkage
      ? { found: 'It jumps out of gear when turned by hand.', advice: throughSaid[linkage] }
      : why === 'set' && rod === 'slips'
        ? { found: 'It still jumps out of gear with the linkage set.', advice: rodSaid(rod) }
        : why === 'linkage' && hubHolds
          ? { found: 'It jumps out of gear when turned by hand: the linkage, then a worn clutch dog.' }
          : slipWords[why]),
    because: shifted(basis)
  }),
  'leg-was-off': () => ({
    found: 'The leg was off since it was shifted.',
    advice: 'Shift it through by hand before it runs: a rod that was joined a turn off loses a gear.',
    because: practice(
      ['work with the leg off, after the last shift'],
      'the joint of the shift rod comes apart with the leg; the shift is checked after.'
    )
  }),
  'start-lock': () => ({
    found: 'It can be started in gear: neutral switch or start lock does not hold it.',
    advice: 'It leaps off as it fires: set or renew it before it goes back.',
    because: practice(['in gear: the starter turns it'], 'in gear key and rope must do nothing.')
  }),
  joint: () => ({
    found: 'The joint of the shift rod slips: what the lever does does not reach the gears.',
    advice: 'Mark it, set it, or renew it; then set the linkage anew and shift through.',
    because: practice(
      ['shift rod: slips in its joint'],
      'linkage first, then the joint of the shift rod, then the dog.'
    )
  }),
  'reverse-lock': ({ values: { linkage } }, basis) => ({
    found: 'The reverse lock does not rise: the leg kicks up in reverse.',
    advice: linkage ? throughSaid[linkage] : 'Free and adjust it.',
    because: shifted(basis)
  }),
  ...depthWords
};
