import { ownLimits } from '../../engine/limits.ts';
import { practice } from '../../findings/collect.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import { saySchool } from '../../house-rules/rules.ts';
import { say, sayApart, type System } from '../../units/index.ts';
import type { CoolingBasis, CoolingFacts, PumpKnown } from './facts.ts';
import { BUCKET_SCATTER } from './parts.ts';
import type { PumpMark } from './pump.ts';
import { sources } from './source.ts';
import { streamWords } from './stream-words.ts';
import type { Thermostat } from './thermostat.ts';

/** An age in years; in months where it lies between two of the first few, so that "past two years" is not said of two. */
const sayAge = (years: number, units: System): string =>
  years < 5 && Math.abs(years - Math.round(years)) > 0.04
    ? say(12 * years, 'months', units)
    : say(years, 'years', units);

function sayMark(m: PumpMark): string {
  switch (m.mark) {
    case 'missing':
      return `${m.count} vane${m.count > 1 ? 's' : ''} missing`;
    case 'cracked':
      return `${m.count} cracked`;
    case 'set':
      return `vanes set ${Math.round(m.angle)}°`;
    case 'backward':
      return 'turned backward under load';
    case 'spins':
      return 'impeller spins on its bush';
    default:
      return `housing ${m.mark}`;
  }
}

const pumpBecause = (p: PumpKnown, units: System): Because => ({
  inputs: [
    `age: ${p.age === undefined ? 'unknown' : sayAge(p.age, units)}`,
    `pump opened: ${p.opened ?? 'unknown'}`,
    ...p.marks.map(sayMark)
  ],
  limit: `${sayLimit(p.limit, units)}; vane set ${sayLimit(p.setLimit, units)}`,
  school: saySchool(p.school),
  provenance: p.limit.provenance,
  source: 'Common practice: rubber sets with heat, light and standing'
});
const fit = ({ kit }: PumpKnown): string => (kit ? 'fit the whole pump kit' : 'fit an impeller');

const its = ({ bank }: Thermostat): string => (bank ? `The ${bank} bank’s thermostat` : 'The thermostat');
function thermostatBecause({ bank, pan, opens, stamp }: Thermostat, units: System): Because {
  const t = (k: number): string => say(k, 'temperature', units);
  return {
    ...practice(
      [
        `in the pan: ${pan ?? 'not tested'}`,
        ...(bank ? [`bank: ${bank}`] : []),
        ...(opens === undefined ? [] : [`opened at ${t(opens)}`]),
        ...(stamp === undefined ? [] : [`stamped ${t(stamp)}`])
      ],
      'a thermostat opens at its stamp; a pan and a thermometer tell.'
    ),
    limit: `within ${sayApart(ownLimits.thermostat, units)} of its stamp (from memory)`
  };
}

const drillBecause = ({ built }: CoolingFacts['drill-pumps'], { drill }: CoolingBasis): Because =>
  practice(
    [`assembled: ${built ?? 'not recorded'}`, `drill test: ${drill ?? 'not made'}`],
    'turned in the engine’s direction, key in, washers by the manual, O-rings unpinched, then the drill, never backward.'
  );

function bucketBecause({ means }: CoolingFacts['bucket-alone'], units: System): Because {
  const f = (q: number): string => say(q, 'flow', units);
  return {
    ...practice(
      means.map((m, k) => `look ${k + 1}: ${f(m)}`),
      'a timed bucket of the stream, judged only against this engine’s own earlier values and its sister’s: it is a bleed, not the whole flow.'
    ),
    value: f(means.at(-1)!),
    uncertainty: `± ${100 * BUCKET_SCATTER} % each (from memory)`
  };
}

const pieces = (missing: number): string =>
  missing > 2 ? `all ${missing} pieces` : missing === 2 ? 'both pieces' : 'the piece';

/** What is said of the cooling, from the screens to the stream. */
export const words: WordsOf<CoolingFacts, CoolingBasis> = {
  screen: ({ values: { is } }) =>
    is === 'clear'
      ? { found: 'The intake screens are clear.', because: practice(['screens: clear'], 'looked at and probed.') }
      : {
          found: `The intake screens are ${is === 'blocked' ? 'blocked' : 'partly blocked'}: clear them before blaming the pump.`,
          because: practice([`screens: ${is}`], 'weed and paint block screens.')
        },
  source: ({ values: { source } }) => {
    const { start, throttle, note } = sources[source];
    return {
      found: start
        ? `${source === 'afloat' ? 'Afloat' : `Water from the ${source}`}: ${throttle}; ${note}.`
        : `No start on this: ${note}.`,
      because: practice([`water: ${source}`], 'the source caps the throttle.')
    };
  },
  'pump-worn': ({ values }, _, units) => ({
    found: `The pump has had it: ${values.marks.map(sayMark).join(', ')}.`,
    advice: values.kit ? 'Fit the whole pump kit.' : 'Fit an impeller.',
    because: pumpBecause(values, units)
  }),
  pieces: ({ values: { missing: count, found } }) => ({
    found: `Missing vanes went downstream: find ${pieces(count)} in the housing outlet, the tube and the thermostat pocket.`,
    because: practice(
      [`missing: ${count}`, `pieces found: ${found ?? 'not looked for'}`],
      'a lost vane blocks a passage later.'
    )
  }),
  'pump-dry': ({ values }, _, units) => ({
    found: 'It ran hot without a stream, and nobody looked at its vanes since: dry, an impeller goes in seconds.',
    advice: 'Open the pump before it runs again.',
    because: pumpBecause(values, units)
  }),
  'pump-good': ({ values }, _, units) => ({
    found: 'The pump was opened and is good.',
    because: pumpBecause(values, units)
  }),
  'pump-renewed': ({ values }, _, units) => ({
    ...(values.pumps
      ? { found: 'The pump was renewed, and it pumps.' }
      : {
          found: 'The pump was renewed.',
          advice: 'The drill test, then stream and temperature, say whether it pumps.'
        }),
    because: pumpBecause(values, units)
  }),
  'pump-old': ({ values }, _, units) => ({
    found: `The impeller is ${sayAge(values.age!, units)} old, past ${sayLimit(values.limit, units)}: ${fit(values)}.`,
    because: pumpBecause(values, units)
  }),
  'pump-standing': ({ values }, _, units) => ({
    found: `Nobody knows the impeller’s age, and it has stood for ${say(values.standing, 'years', units)}: take it as set and ${fit(values)}.`,
    because: pumpBecause(values, units)
  }),
  'pump-young': ({ values }, _, units) => ({
    found: `The impeller is ${sayAge(values.age!, units)} old, within ${sayLimit(values.limit, units)}.`,
    because: pumpBecause(values, units)
  }),
  'pump-pumps': ({ values }, _, units) => ({
    found: 'The age of the impeller is unknown, and it pumps: the stream and the head have said so.',
    advice: 'It has a date in the care of the engine.',
    because: pumpBecause(values, units)
  }),
  'pump-unknown': ({ values }, _, units) => ({
    found: 'The age of the impeller is unknown: the stream and the temperature will say, or open the pump.',
    because: pumpBecause(values, units)
  }),
  strainer: () => ({
    found: 'The small strainer is blocked: one bank or low speed runs hot.',
    advice: 'Clean it before the pump is blamed.',
    because: practice(['strainer: blocked'], 'a strainer costs a minute.')
  }),
  bush: () => ({
    found: 'The bush has seized on its shaft: cut off, and a new impeller.',
    advice: 'Extra time, eye guard; after cutting look at shaft and base for marks.',
    because: practice(['bush: seized on the shaft'], 'rust holds a bush that was not pulled for years.')
  }),
  key: () => ({
    found: 'The impeller’s key is missing or sheared: the shaft turns and the pump does not.',
    advice: 'The right key, the vanes in the engine’s direction, then the drill.',
    because: practice(
      ['bush and key: key missing or sheared'],
      'a key is put in by itself; the impeller is looked at with it.'
    )
  }),
  'turned-back': ({ values }) => ({
    found: 'It was turned backward under load: by your house rule the vanes are turned back and looked at.',
    advice: 'How far they stay bent, then the drill.',
    because: practice(['turned backward under load: yes'], 'vanes once bent backward may keep the set.', {
      school: saySchool(values.school)
    })
  }),
  cover: () => ({
    found: 'The lip in the seal cover is worn: it starves the pump and lets water into the gear oil.',
    advice: 'Renew the cover, and look at the gear oil.',
    because: practice(['seal cover: worn'], 'the cover seals both ways.')
  }),
  tube: () => ({
    found: 'The water tube misses its grommet or leaks: the pump delivers, the head does not get it.',
    because: practice(['tube: leaking'], 'looked at with the leg off.')
  }),
  thermostat: ({ values }, _, units) => {
    const because = thermostatBecause(values, units);
    const t = (k: number): string => say(k, 'temperature', units);
    switch (values.is) {
      case 'shut':
        return {
          found: `${its(values)} never opens: the head boils.`,
          advice: 'Renew it, with its gasket.',
          because
        };
      case 'open':
        return {
          found: `${its(values)} never shuts: it will never run warm.`,
          advice: 'Renew it, with its gasket.',
          because
        };
      case 'late':
      case 'early':
        return {
          found: `${its(values)} opens at ${t(values.opens!)}, stamped ${t(values.stamp!)}: ${values.is === 'late' ? 'late, the head runs hot' : 'early, it runs cold'}.`,
          advice: 'Renew it.',
          because
        };
      default:
        return { found: `${its(values)} opens and shuts as it should.`, because };
    }
  },
  'thermostat-alone': ({ values }, _, units) => ({
    found: `${its(values)} opens at ${say(values.opens!, 'temperature', units)}; without its stamp or the manual’s figure nobody can say whether that is right.`,
    because: thermostatBecause(values, units)
  }),
  'thermostat-other': ({ values: { told } }) => ({
    found: `The ${told === 'port' ? 'starboard' : 'port'} bank’s thermostat is not tested: one says nothing of the other.`,
    because: practice([`tested: ${told} bank`], 'each bank has its own, and they fail one by one.')
  }),
  passages: ({ values: { bank, is } }) => ({
    found:
      is === 'slow'
        ? `Water runs slowly through the passages${bank ? ` of the ${bank} bank` : ''}, or brings sand and salt: silted.`
        : `Water runs freely through the passages${bank ? ` of the ${bank} bank` : ''}.`,
    ...(is === 'slow' ? { advice: 'Flush and descale them; covers off where it is thick.' } : {}),
    because: practice(
      [`through the passages: ${is === 'slow' ? 'slow, or sand and salt' : 'free and clear'}`],
      'with the thermostat out a hose shows in minutes what two hours of descaling would otherwise be spent on.'
    )
  }),
  'drill-backward': ({ values }, basis) => ({
    found: 'It was turned backward: the vanes are bent the wrong way.',
    advice: 'Open it and look; renew them if they ran so under load.',
    because: drillBecause(values, basis)
  }),
  'drill-nothing': ({ values }, basis) => ({
    found: 'Nothing comes in the drill test: key, bush, tube grommet, or the vanes lie the wrong way.',
    advice: 'Open it and see which, before the leg goes up.',
    because: drillBecause(values, basis)
  }),
  'drill-in-vain': ({ values }, basis) => ({
    found: 'Nothing comes in the drill test once more, though key, bush, vanes and tube were looked at.',
    advice: 'The water way of the leg, from the screens to the top of the tube.',
    because: drillBecause(values, basis)
  }),
  'drill-pumps': ({ values }, basis) => ({
    ...(values.built === 'yes'
      ? { found: 'It pumps in the drill test.' }
      : {
          found: 'It pumps.',
          advice: 'Key, washers, O-rings and the shift after refitting are not ticked yet.'
        }),
    because: drillBecause(values, basis)
  }),
  'bucket-alone': ({ values }, _, units) => ({
    found: `The stream gives ${say(values.means.at(-1)!, 'flow', units)}.`,
    advice: 'That is a bleed, not the flow: it means something only beside an earlier value or the sister’s.',
    because: bucketBecause(values, units)
  }),
  bucket: ({ values }, _, units) => {
    const f = (k: number): string => say(values.means.at(k)!, 'flow', units);
    const because = bucketBecause(values, units);
    if (values.verdict === 'alike') return { found: `The stream gives ${f(-1)}, as before.`, because };
    return values.verdict === 'less'
      ? {
          found: `The stream gives ${f(-1)}, less than ${f(-2)} before.`,
          advice: 'Outlet and line first.',
          because
        }
      : { found: `The stream gives ${f(-1)}, more than ${f(-2)} before.`, because };
  },
  ...streamWords
};
