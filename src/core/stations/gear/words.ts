import { practice } from '../../findings/collect.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import { saySchool, type ChosenSchool } from '../../house-rules/rules.ts';
import { say, type System } from '../../units/index.ts';
import { DRAIN_TOLERANCE } from './amount.ts';
import { caseWords } from './case-words.ts';
import type { GearBasis, GearFacts } from './facts.ts';
import { GROOVE_SHAFT, GROOVE_SLEEVE } from './groove.ts';

const volume = (x: number, units: System): string => say(Math.abs(x), 'volume', units);

const seen = ({ first, look }: GearBasis): string[] => [
  ...(first ? [`first out: ${first}`] : []),
  ...(look ? [`oil: ${look}`] : [])
];
const withSchool = (because: Because, school: ChosenSchool): Because => ({ ...because, school: saySchool(school) });

const metalBecause = ({ magnet, look }: GearBasis, school: ChosenSchool): Because =>
  withSchool(
    practice(
      [`magnet: ${magnet ?? 'not looked at'}`, ...(look === 'metallic' ? ['oil: metallic'] : [])],
      'paste is wear; slivers and pieces are parts.'
    ),
    school
  );

function amountBecause({ drained, capacity }: GearFacts['amount-whole'], units: System): Because {
  return {
    inputs: [`drained: ${volume(drained, units)}`],
    value: `${Math.round((drained / capacity.value) * 100)} % of capacity`,
    uncertainty: `± ${Math.round(DRAIN_TOLERANCE * 100)} % for what clings and the jug (from memory)`,
    limit: sayLimit(capacity, units),
    provenance: 'C',
    source: 'Common practice: drained volume against capacity'
  };
}
const missingBecause = ({ first, look }: GearBasis): Because =>
  practice(
    [`first out: ${first ?? 'not looked at'}`, `oil: ${look ?? 'not looked at'}`],
    'oil that is missing went somewhere.'
  );

const pumpedBecause = ({ poured, hole }: GearFacts['poured-on'], units: System): Because =>
  practice(
    [`pumped in: ${volume(poured, units)}`, `level hole: ${hole ?? 'not looked at'}`],
    'from the lowest plug, upright, bubble-free to the level hole.'
  );

export const words: WordsOf<GearFacts, GearBasis> = {
  'water-before': ({ values: { washers, school } }, basis) => ({
    found: 'The oil looks clean now, but there was water in it and the way in is not found.',
    advice: washers
      ? 'Fresh washers, refill for service, and look again after use.'
      : 'Case-test it before it goes back.',
    because: withSchool(
      practice(
        ['an earlier look showed water', ...seen(basis)],
        'fresh oil is clear for a while, whatever let the water in.'
      ),
      school
    )
  }),
  'water-washers': ({ values: { school } }, basis) => ({
    found: 'There was water in the gear oil; fresh washers are in, and whether they were the way in shows after use.',
    advice: 'Crack the lower plug after the run: water again means a case test.',
    because: withSchool(practice(seen(basis), 'fresh oil is clear for a while, whatever let the water in.'), school)
  }),
  'water-held': (_, basis) => ({
    found:
      'There was water in the gear oil, and the case holds its test at every stage: it came by a plug washer, with the last fill, or past a seal that holds today.',
    advice: 'Fresh washers, refill for service, look again after a few hours of use.',
    because: practice(
      ['case test: held at every stage', ...seen(basis)],
      'a case that holds low, high and vacuum has no way in that can be resealed.'
    )
  }),
  water: ({ values: { caught, share, resealed, washers, school } }, basis, units) => {
    const ofCapacity = share === undefined ? '' : `, ${Math.round(100 * share)} % of its capacity`;
    return {
      found: `Water in the gear oil${caught ? `: ${volume(caught, units)} caught${ofCapacity}` : ''}.`,
      advice: resealed
        ? 'Its seals were renewed since: the case test, stage by stage, says whether it is tight before it is filled.'
        : washers
          ? 'Fresh plug washers first, by your house rule; then look again.'
          : 'Find the way in: propeller shaft, drive shaft, shift shaft, plug washers, carrier O-ring, a crack.',
      because: withSchool(
        practice(
          [...seen(basis), ...(caught ? [`free water: ${volume(caught, units)}`] : [])],
          'free water comes first at a cracked-open plug; churned water does not settle and stays milky.'
        ),
        school
      )
    };
  },
  forecast: (_, basis) => ({
    found: 'There is water in a closed case.',
    advice: 'Enter the coldest night of the forecast: frost can crack it.',
    because: practice(seen(basis), 'a sealed case frozen with water in it cracks.')
  }),
  frost: ({ values: f }, _, units) => {
    const coldest = say(f.coldest, 'temperature', units);
    return {
      found: f.freezes
        ? `Frost is coming (${coldest}) and there is water in the case: drain it today, leave the plug out, label it CASE EMPTY.`
        : `No frost in the forecast (${coldest}); drain the case all the same before it stands.`,
      because: {
        inputs: [
          `coldest night: ${coldest}`,
          `this water freezes at ${say(f.freezesAt, 'temperature', units)} (${f.kind ?? 'kind unknown, taken as fresh'})`
        ],
        ...(f.needs === undefined
          ? {}
          : {
              value: `${say(f.needs, 'volume', units)} of free air needed${f.air === undefined ? '' : `, ${say(f.air, 'volume', units)} was there`}`
            }),
        formula: 'water grows by 999.84/916.7 − 1 = 9.07 % as it freezes',
        provenance: 'P',
        source: 'CRC Handbook densities; UNESCO / TEOS-10 freezing point of sea water'
      }
    };
  },
  'amount-alone': ({ values: { drained } }, _, units) => ({
    found: `${volume(drained, units)} came out; without the capacity nobody can say whether that was all.`,
    advice: 'Enter it from the manual, or fill it by the tally: what goes in is what it holds.',
    because: practice([`drained: ${volume(drained, units)}`], 'the drained volume is compared with the capacity.')
  }),
  'amount-empty': ({ values }, _, units) => ({
    found: 'The case was all but empty.',
    advice: 'Gears and bearings have run dry: look before it runs in gear.',
    because: amountBecause(values, units)
  }),
  'amount-over': ({ values }, _, units) => ({
    found: `More came out (${volume(values.drained, units)}) than the case holds (${sayLimit(values.capacity, units)}): ${values.water ? 'the rest is water' : 'water, overfilled, or the capacity is of another leg'}.`,
    because: amountBecause(values, units)
  }),
  'amount-under': ({ values }, _, units) => ({
    found: `${volume(values.drained, units)} came out of ${sayLimit(values.capacity, units)}: it was low, or it has not drained.`,
    advice: 'Longer in the cold, tilted a little at the end.',
    because: amountBecause(values, units)
  }),
  'amount-whole': ({ values }, _, units) => ({
    found: 'As much came out as the case holds.',
    because: amountBecause(values, units)
  }),
  'amount-none': (_, basis) => ({
    found: 'There is little or no oil in the case: it went somewhere.',
    advice: 'Case-test it before it is filled, and look at the magnet: gears and bearings have run dry.',
    because: missingBecause(basis)
  }),
  nothing: (_, basis) => ({
    found: 'Nothing came at the lower plug: the case is empty, or what is in it has set.',
    advice: 'Both plugs out, drain it, measure it, look for metal in it.',
    because: missingBecause(basis)
  }),
  metal: ({ values: { pieces, school, gone } }, basis) => ({
    found: gone
      ? `${pieces ? 'Pieces' : 'Slivers'} hung on the magnet, and none do now: wiped off, they are not explained. Open the case before it runs in gear.`
      : `${pieces ? 'Pieces' : 'Slivers'} on the magnet: open the case and explain the metal before it runs in gear.`,
    because: metalBecause(basis, school)
  }),
  'metal-again': ({ values: { pieces, school } }, basis) => ({
    found: `${pieces ? 'Pieces' : 'Slivers'} on the magnet, and the case was opened and the metal explained: wiped clean, the magnet is looked at again after the first hours.`,
    because: metalBecause(basis, school)
  }),
  'metal-explained': ({ values }, basis) => ({
    found: 'The metal in the oil has been explained.',
    because: metalBecause(basis, values.school)
  }),
  'metal-shimmer': ({ values }, basis) => ({
    ...(values.held === 'nothing'
      ? {
          found: 'The oil shimmers with metal that the magnet does not hold: bronze, brass or aluminium.',
          advice: 'Drained again after the first hours and looked at on white; more of it, and the case is opened.'
        }
      : {
          found:
            values.held === 'no magnet'
              ? 'The oil shimmers with metal: draw a magnet through it, and name what hangs on it.'
              : 'The oil shimmers with metal: look at the magnet and compare it with last time.'
        }),
    because: metalBecause(basis, values.school)
  }),
  'metal-paste': ({ values }, basis) => ({
    found: values.examined
      ? 'Paste on the magnet: your house rule has it examined.'
      : 'Grey paste on the magnet is normal wear.',
    because: metalBecause(basis, values.school)
  }),
  'metal-clean': ({ values }, basis) => ({
    found: 'The magnet is clean.',
    because: metalBecause(basis, values.school)
  }),
  burnt: (_, basis) => ({
    found: 'The oil is burnt: it ran hot or low.',
    advice: 'The magnet says how far it went; fresh oil before it turns in gear.',
    because: practice(seen(basis), 'burnt oil is a bearing that was hot.')
  }),
  'burnt-before': (_, basis) => ({
    found: 'The oil that came out was burnt, and fresh oil is in.',
    advice: 'It is looked at again after the first hours: burnt once more, it was not the oil.',
    because: practice(seen(basis), 'oil that was low or old burns once; a bearing that goes burns the next as well.')
  }),
  'burnt-again': (_, basis) => ({
    found: 'The oil is burnt again, and it was fresh.',
    advice: 'No third filling: the case is opened, gears and bearings looked at.',
    because: practice(seen(basis), 'fresh oil that burns names a bearing or gears that run hot.')
  }),
  ...caseWords,
  groove: ({ condition, values: { depth } }, _, units) => ({
    found: `A groove of ${say(depth, 'length', units, 1e-5)} in the shaft under the lip.`,
    advice:
      condition === 'fault'
        ? 'A new shaft: on this one the new seal leaks within hours.'
        : 'A repair sleeve, or the new lip set beside the groove.',
    because: {
      inputs: [`groove: ${say(depth, 'length', units, 1e-5)}`],
      limit: `a sleeve from ${say(GROOVE_SLEEVE, 'length', units, 1e-5)}, a shaft over ${say(GROOVE_SHAFT, 'length', units, 1e-5)}`,
      provenance: 'M',
      source: 'From memory'
    }
  }),
  slots: ({ values: { said } }) => ({
    found:
      said === 'chewed'
        ? 'The slots of the gear plugs are chewed: a driver that fills them, a blow straight on, impact before force; new plugs with the washers.'
        : 'A gear plug will not move: heat the case, not the plug, shock it straight on, impact driver.',
    ...(said === 'chewed' ? {} : { advice: 'Drilling it out comes last.' }),
    because: practice([`slots: ${said}`], 'the next one cannot open what this one rounds off.')
  }),
  'stand-fill': () => ({
    found: 'The case is filled for a stand run only: out of gear, and refilled for service before it goes back.',
    because: practice(['refilled: for a stand run only'], 'enough oil to turn in neutral is not enough to drive.')
  }),
  'level-hole': ({ values: { said } }) => ({
    found:
      said === 'bubbles'
        ? 'Bubbles still come out of the level hole: go on pumping from the lowest plug until it runs without.'
        : said === 'no'
          ? 'It does not run out of the level hole yet: go on pumping from the lowest plug.'
          : 'Oil was pumped in, and nobody saw it run out of the level hole: go on until it does, without bubbles.',
    because: practice([`level hole: ${said}`], 'from the lowest plug, upright, bubble-free to the level hole.')
  }),
  'poured-short': ({ values: v }, _, units) => ({
    found: `It runs out of the level hole after ${volume(v.poured, units)} of ${volume(v.asked, units)}: air is trapped, or old oil stayed in.`,
    advice: 'Rock it, wait, and top up.',
    because: pumpedBecause(v, units)
  }),
  'poured-full': ({ values: v }, _, units) => ({
    found: `${volume(v.poured, units)} pumped in, bubble-free at the level hole.`,
    because: pumpedBecause(v, units)
  }),
  'poured-on': ({ values: v }, _, units) => ({
    found: `${volume(v.poured, units)} of ${volume(v.asked, units)} pumped in; go on until it runs out of the level hole without bubbles.`,
    because: pumpedBecause(v, units)
  }),
  washers: ({ values: { refill, washers } }) => ({
    found: 'Refilled without a fresh washer recorded for each plug there is.',
    because: practice(
      [`refilled: ${refill}`, `washers: ${washers ?? 'unknown'}`],
      'exactly one fresh washer for every plug.'
    )
  }),
  crack: ({ values: { full, school } }, basis) => ({
    found: 'Oil came first, no free water; but churned water does not settle.',
    advice: full
      ? 'Drain it and look before any run.'
      : 'Enough for a stand run; drain it and look before it goes back.',
    because: withSchool(practice(seen(basis), 'no free water does not clear milky oil.'), school)
  }),
  unseen: ({ values: { what } }, basis) => ({
    found: what === 'oil' ? 'Nobody has looked at the gear oil yet.' : 'The magnet was not looked at.',
    advice:
      what === 'oil' ? 'Open the lower plug a crack and see what comes first.' : 'Wipe it, and name what is on it.',
    because: practice(
      seen(basis),
      'oil tells of the seals, the magnet of gears and bearings: neither speaks for the other.'
    )
  }),
  clean: ({ values: { dark } }, basis) => ({
    found: dark ? 'The oil is dark but clean of water.' : 'The oil is clear.',
    because: practice(seen(basis), 'clear or dark oil without water first.')
  })
};
