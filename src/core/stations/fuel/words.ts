import { practice } from '../../findings/collect.ts';
import { listed } from '../../findings/context.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import { saySchool } from '../../house-rules/rules.ts';
import { say, type System } from '../../units/index.ts';
import { E10_HOLDS } from './age.ts';
import type { Aged, FuelFacts } from './facts.ts';
import { airSaid, bubblesBefore, bulbBefore, lineWords } from './line-words.ts';
import { SMOKES_FROM } from './mixture.ts';
import { NEEDLE } from './needle.ts';
import { suctionWords } from './suction-words.ts';

const ageBecause = (a: Aged, units: System): Because => ({
  inputs: [
    `age: ${a.months === undefined ? 'unknown' : say(a.months, 'months', units)}${a.assumed ? ' at least, from the years it stood' : ''}`,
    `fuel: ${a.kind ?? 'kind unknown'}`,
    `stabilised: ${a.stabilised ?? 'unknown'}`
  ],
  limit: `drained beyond ${sayLimit(a.limit, units)}`,
  provenance: 'C',
  source: 'House rule, common practice'
});

const jarBecause = ({ look, share }: FuelFacts['jar-clear'], units: System): Because => ({
  inputs: [
    `jar: ${look ?? 'not described'}`,
    ...(share === undefined ? [] : [`water layer: ${say(share, 'share', units)}`])
  ],
  limit: `an ethanol blend holds about ${100 * E10_HOLDS} % of water by volume before it separates, less when cold`,
  provenance: 'M',
  source: 'US EPA 1995, phase separation of ethanol blends; from memory'
});

const partBecause = ({ part, faults }: FuelFacts['part']): Because =>
  practice(
    [`${part.label.toLowerCase()}: ${faults.map((f) => lineWords[f]).join('; ')}`],
    'the line is followed from the tank to the cylinder.'
  );

/** What may still starve it, by name where few parts are left. */
const suspected = (left: readonly string[], lean: boolean): string =>
  !left.length
    ? lean
      ? 'nothing that feeds it is left to suspect. Air that gets in behind the carburettor: its joints, then the crankcase'
      : 'nothing that feeds it is left to suspect. Spark, while it will not run'
    : left.length > 3
      ? 'the search goes from the tank to the jet, cheapest look first'
      : listed(left);

/** Where it lies, though every look there was good. */
const missing = {
  tank: 'it lies on the tank’s side, and every look there was good, so one of them missed it. Another tank and hose stand in for it until it is found',
  pump: 'squeezing does the pump’s work, and pump, hose and joints were seen good, so one look missed it. A known good hose first, then the pump',
  carburettor:
    'it is lean behind the tank, and hose, joints, intake and jets were seen good, so one look missed it. Passages are blown through from both ends, not only looked through'
} as const;

const dying: Readonly<Record<string, string>> = {
  seconds: 'It dies at once',
  minutes: 'It dies after running a little'
};

function mixBecause({ mix, asked }: FuelFacts['mix-good'], units: System): Because {
  const { ratio, wanted, richer } = asked;
  return {
    inputs: [`mixture in use: ${Math.round(mix)}:1`],
    limit: `${Math.round(ratio)}:1${richer ? `, one step more oil than ${sayLimit(wanted, units)} for the first tank` : `, ${sayLimit(wanted, units)}`}`,
    school: asked.school,
    formula: 'oil = fuel/ratio',
    provenance: wanted.provenance,
    source: 'Fuel to oil by volume'
  };
}

/** A sentence of what the float's needle does under a hand pump. */
function needleSaid(condition: string, { from, to, minutes }: FuelFacts['needle'], units: System) {
  const p = (x: number): string => say(x, 'pressure', units);
  if (condition === 'sound') return { found: `The needle holds: ${p(from)} pumped up, ${p(to)} left.` };
  if (condition === 'fault')
    return {
      found: `The needle leaks: of ${p(from)} ${p(to)} is left after ${minutes} min.`,
      advice: 'Needle and seat together; a new needle in a worn seat leaks again.'
    };
  return {
    found: `The needle loses ${p(from - to)} of ${p(from)} in ${minutes} min: wet it with fuel and pump it up again before it is blamed.`
  };
}

/** What is said of the fuel, from the tank to the cylinder. */
export const words: WordsOf<FuelFacts, object> = {
  fresh: () => ({
    found: 'Old fuel is out of tank, line and bowl, and fresh fuel is in.',
    because: practice(['tank, line and bowl: drained or fresh'], 'old fuel never goes through the engine.')
  }),
  'age-doubted': ({ values: { months } }, _, units) => ({
    found: `Tank, line and bowl were called fresh, and its fuel was said to be ${say(months, 'months', units)} old since: which of the two is in it is not known.`,
    advice: 'Look into the tank once more, and say what is in it.',
    because: practice(
      ['tank, line and bowl: drained or fresh', `age told since: ${say(months, 'months', units)}`],
      'an age that is told after the fill may be of what came out, or of what went in.'
    )
  }),
  emptied: () => ({
    found: 'Tank, line and bowl are drained.',
    advice: 'Fresh fuel goes in before it runs.',
    because: practice(['tank, line and bowl: drained'], 'old fuel never goes through the engine.')
  }),
  'age-unknown': ({ values }, _, units) => ({
    ...(values.jar
      ? {
          found: 'Nobody knows how old this fuel is, and a jar shows water and varnish, not age.',
          advice: 'Treat it as old: drain it.'
        }
      : {
          found: 'Nobody knows how old this fuel is.',
          advice: 'Treat it as old: a jar sample first, then drain it.'
        }),
    because: ageBecause(values, units)
  }),
  'age-old': ({ values }, _, units) => ({
    found: `The fuel is old${values.assumed ? ' (it stood that long)' : ''}.`,
    advice: 'Drain tank, line and bowl before any of it goes through the engine.',
    because: ageBecause(values, units)
  }),
  'age-doubtful': ({ values }, _, units) => ({
    found: 'The fuel is doubtful.',
    advice: 'A jar sample decides; fresh fuel is cheaper than a carburettor.',
    because: ageBecause(values, units)
  }),
  'left-old': ({ values }, _, units) => ({
    found: `Old fuel is still in it: ${listed(values.places)}.`,
    advice: 'Drain it before any of it goes through the engine.',
    because: ageBecause(values, units)
  }),
  'age-good': ({ values }, _, units) => ({
    found: values.verdict === 'fresh' ? 'The fuel is fresh.' : 'The fuel is good to use.',
    because: ageBecause(values, units)
  }),
  carburettor: ({ values: { idle, school } }, _, units) => ({
    found: `${idle ? `It stood ${say(idle, 'years', units)}: c` : 'C'}lean the carburettor before the first start.`,
    because: {
      ...practice([`years idle: ${idle ?? 'unknown'}`], 'gum after two seasons is the rule.'),
      school: saySchool(school)
    }
  }),
  'jar-water': ({ values }, _, units) => ({
    found: `Water in the fuel${values.share ? `, ${say(values.share, 'share', units)} of the jar` : ': two layers in the jar'}.`,
    advice: 'Drain it all; the lower layer is what the engine would get.',
    because: jarBecause(values, units)
  }),
  'jar-cloudy': ({ values }, _, units) => ({
    found: `The sample is cloudy${values.stood ? ', and did not clear while it stood' : ''}: an ethanol blend close to separating.`,
    advice: values.stood
      ? 'Drain it; none of it goes through the engine.'
      : 'None of it goes through the engine before a sample stood a quarter of an hour: clear, and it was cold or air; else it is drained.',
    because: jarBecause(values, units)
  }),
  'jar-dark': ({ values }, _, units) => ({
    found: 'The sample is dark and smells of varnish: gum wherever it stood.',
    advice: `Drain it, and clean ${values.injected ? 'the vapour separator and filters' : 'the carburettor'}.`,
    because: jarBecause(values, units)
  }),
  'jar-clear': ({ values }, _, units) => ({
    found: 'The jar sample is clear, one layer.',
    because: jarBecause(values, units)
  }),
  air: airSaid,
  'bubbles-before': bubblesBefore,
  'bulb-before': bulbBefore,
  part: ({ condition, values }) => {
    const because = partBecause(values);
    if (values.part.id === 'tank' && values.faults.includes('level-empty'))
      return {
        found: 'The tank is nearly empty: the cheapest fault there is.',
        advice: 'Fill it before looking further.',
        because
      };
    if (values.part.id !== 'bulb')
      return { found: `${values.part.label}: ${values.faults.map((f) => lineWords[f]).join('; ')}.`, because };
    return condition === 'fault'
      ? {
          found: 'The bulb is sucked flat: blocked upstream.',
          advice: 'Vent, pick-up, anti-siphon valve; try a portable tank.',
          because
        }
      : { found: 'The bulb stays soft: air leak, or its valve.', because };
  },
  'bulb-firm': () => ({
    found: 'The bulb firms up and holds: float and needle are good.',
    because: practice(['bulb: firm'], 'a bulb that holds means the needle closes.')
  }),
  ...suctionWords,
  dies: ({ values: { dies, left, missed } }) => ({
    found: `${dying[dies ?? ''] ?? 'It runs on choke only'}: ${missed ? missing[missed] : suspected(left, dying[dies ?? ''] === undefined)}.`,
    because: practice(
      [`still possible: ${left.join(', ') || 'nothing that was asked about'}`],
      'vent, bulb, line vacuum, portable tank, in this order; each answer takes parts away.'
    )
  }),
  starved: ({ values }) => ({
    found: `It starves: ${values.label}.`,
    because: practice(
      ['the answers of the search along the line'],
      'what an answer clears or accuses stands beside each question.'
    )
  }),
  'mix-none': () => ({
    found: 'There is no oil in the tank’s fuel, and this engine gets its oil from nowhere else.',
    advice: 'Pour what the mixture sum names and shake it, before any start.',
    because: practice(['oil in the tank: none'], 'a premix engine without oil seizes within minutes.')
  }),
  'mix-unsaid': ({ values: { way } }) => ({
    found: way
      ? 'Nobody said how this two-stroke gets its oil: with its fuel, or from a tank of its own.'
      : 'Nobody said how much oil is in its fuel, and it gets its oil with it.',
    advice: way
      ? 'Look under the cowl and in the boat for an oil tank; where there is none, its oil is mixed into the fuel. Where nobody can tell, mix it all the same: that harms no injection.'
      : 'Ask whoever mixed it; where nobody knows, empty it and mix fresh, before any start.',
    because: practice(
      [way ? 'oil tank or mixture: not said' : 'mixture in use: not said'],
      'without oil a two-stroke seizes within minutes.'
    )
  }),
  'mix-alone': ({ values: { mix } }) => ({
    found: `Mixed ${Math.round(mix)}:1; this engine’s ratio is not entered, so nobody can say whether that is right.`,
    because: practice([`mixture: ${mix}:1`], 'ratio from the manual.')
  }),
  'mix-rich': ({ values }, _, units) => ({
    found: `Mixed ${Math.round(values.mix)}:1 where ${Math.round(values.asked.ratio)}:1 is asked: so much oil fouls plugs and ports.`,
    advice: 'Thin it with plain fuel, or read the ratio again.',
    because: mixBecause(values, units)
  }),
  'mix-lean': ({ values }, _, units) => ({
    found: `Mixed ${Math.round(values.mix)}:1 where ${Math.round(values.asked.ratio)}:1 is asked: too little oil.`,
    advice: `Add ${Math.round(1000 / values.asked.ratio - 1000 / values.mix)} mL to every litre.`,
    because: mixBecause(values, units)
  }),
  'mix-good': ({ values }, _, units) => ({
    found: `Mixed ${Math.round(values.mix)}:1: enough oil${values.mix < values.asked.ratio * SMOKES_FROM ? ', more than asked; it will smoke, no harm' : ''}.`,
    because: mixBecause(values, units)
  }),
  'oil-tank-unsaid': () => ({
    found: 'Nobody looked into the oil tank.',
    advice: 'Its level, and whether water or dirt lies in it, before any start.',
    because: practice(['oil tank: not looked at'], 'without its oil a two-stroke seizes within minutes.')
  }),
  'oil-tank-empty': () => ({
    found: 'The oil tank is empty.',
    advice: 'Fill it with the oil the manual names and bleed its line, before any start.',
    because: practice(['oil tank: empty'], 'air in the line stops the oil for longer than the engine lasts without.')
  }),
  'oil-tank-water': () => ({
    found: 'There is water or dirt in the oil tank.',
    advice: 'Empty and rinse it with its line, fill it fresh, bleed it, before any start.',
    because: practice(['oil tank: water or dirt in it'], 'the pump takes from the floor, where water lies.')
  }),
  'oil-tank-low': () => ({
    found: 'The oil tank is low.',
    advice: 'Fill it to its mark.',
    because: practice(['oil tank: low'], 'air gets into the line as soon as the boat heels.')
  }),
  'oil-tank-full': ({ values: { moves } }) => ({
    found: 'The oil tank is filled to its mark, and nothing else lies in it.',
    ...(moves ? {} : { advice: 'Mix the first tank of fuel as well, until its oil is seen to move.' }),
    because: practice(['oil tank: to its mark'], 'that it also gets to the engine shows only once it runs.')
  }),
  'oil-moves-unsaid': () => ({
    found: 'It ran, and nobody saw whether its oil injection gives oil.',
    advice:
      'Watch its line for bubbles that move, or mark the tank; mix the first tank of fuel as well until that is seen.',
    because: practice(
      ['oil of the injection: not looked at'],
      'a pump that stood may be stuck, a line that was dry holds air.'
    )
  }),
  'oil-still': () => ({
    found: 'The oil injection gives no oil.',
    advice: 'Mix its fuel until it is mended; outlet, filter and air in the line first, then the pump and its drive.',
    because: practice(
      ['oil of the injection: does not move'],
      'without it the pistons seize; mixed fuel stands in for it.'
    )
  }),
  'oil-moves': () => ({
    found: 'The oil injection gives oil.',
    because: practice(['oil of the injection: moves'], 'its own oil gets to the engine.')
  }),
  floods: ({ values: { slow } }) => ({
    ...(slow
      ? {
          found: 'The bulb goes soft slowly: a needle that weeps, or a joint.',
          advice: 'Every joint dry first, then the bowl.'
        }
      : {
          found:
            'Fuel runs from the carburettor, engine off: the needle does not close, or the float is heavy or set high.',
          advice: 'It floods, and it can burn.'
        }),
    because: practice(
      [`fuel up to the carburettor, engine off: ${slow ? 'the bulb goes soft' : 'it runs out'}`],
      'a needle that closes keeps a bulb firm and the carburettor dry.'
    )
  }),
  needle: ({ condition, values }, _, units) => ({
    ...needleSaid(condition, values, units),
    because: practice(
      [
        `pumped to ${say(values.from, 'pressure', units)}`,
        `after ${values.minutes} min: ${say(values.to, 'pressure', units)}`
      ],
      'a needle that closes holds what a hand pump puts on it.',
      {
        value: `${Math.round(100 * values.lost)} % a minute`,
        limit: `${100 * NEEDLE.holds} % holds, ${100 * NEEDLE.leaks} % leaks (from memory)`
      }
    )
  })
};
