import { cylindersSaid } from '../../findings/context.ts';
import { ownLimits } from '../../engine/limits.ts';
import { firstOf, practice } from '../../findings/collect.ts';
import { listed } from '../../findings/context.ts';
import type { WordsOf } from '../../findings/fact.ts';
import type { Because } from '../../findings/finding.ts';
import { sayLimit } from '../../findings/limit.ts';
import { saySchool } from '../../house-rules/rules.ts';
import { sayValue } from '../../items/check-entry.ts';
import { say, type System } from '../../units/index.ts';
import type { HoleSight, PlugBasis, PlugFacts, VoltsEnd } from './facts.ts';
import { meaningWords } from './meaning-words.ts';
import { items } from './readings.ts';

const holeWords: Readonly<Record<HoleSight, { readonly found: string; readonly then: string }>> = {
  water: {
    found: 'There is water in cylinder',
    then: 'Plug holes lowest, turn by hand until no more comes; nothing spins before.'
  },
  rust: {
    found: 'There is rust in cylinder',
    then: 'Oil, soak, turn by hand; the hand turn decides, and again tomorrow.'
  },
  debris: { found: 'Something lies in cylinder', then: 'Get it out by magnet or air before anything turns.' },
  scored: { found: 'The bore is scored in cylinder', then: 'Compression and leak-down say how much it matters.' },
  holed: {
    found: 'The crown is burnt or holed in cylinder',
    then: 'Compression and leak-down say how far; why it ran lean is found before another piston goes in.'
  }
};

/** Where the volts end, if somebody followed them; else what may be at fault. */
const endWords: Readonly<Record<VoltsEnd, string>> = {
  fuse: ', and the volts end at the fuse or a connector: find why it blew before a new one',
  switch: ', and the volts end at the key or neutral switch: lever in neutral, then its switch, then the key',
  solenoid: ', and the volts end at solenoid or cable',
  through: ', though the volts reach it: what is lost under load, in cable and ground'
};
const endOf = (end: VoltsEnd | undefined): string => (end ? endWords[end] : ': cable, solenoid, neutral switch or key');

const starterTried = ({ circuit, direct, volts }: PlugBasis, units: System): Because =>
  practice(
    [
      `through its circuit: ${circuit ?? 'not tried'}`,
      `straight from the battery: ${direct ?? 'not tried'}`,
      `volts while cranking: ${volts === undefined ? 'unknown' : say(volts, 'voltage', units)}`
    ],
    'a starter fed directly proves the motor, not the circuit; both are recorded apart.'
  );

export const words: WordsOf<PlugFacts, PlugBasis> = {
  read: ({ cylinder, values }, { cylinders, strokes }, units) => {
    const says = `${cylinders < 2 ? 'The plug' : values.mixed ? 'One of the plugs' : `Plug ${cylinder}`} is ${values.means.map((m) => meaningWords[m]).join('; and ')}.`;
    const found = firstOf(says);
    return {
      found,
      advice: says.slice(found.length).trim() || undefined,
      because: practice(
        [`plug ${cylinder}: ${sayValue(items.read, values.sights, units)}`, `strokes: ${strokes ?? 'unknown'}`],
        'each plug read in its cylinder’s order, against the kind of engine.'
      )
    };
  },
  cleaned: ({ cylinder, values: { sights, told, alone } }) => ({
    found: `Plug ${cylinder} was ${listed(sights.map((s) => (s === 'fuel' ? 'fuel-wet' : 'sooty')))} before it was cleaned, and nothing has burnt on it since: a clean plug clears neither ${alone ? 'its spark nor what feeds it' : 'choke nor float'}.`,
    because: practice(
      [`plug ${cylinder} before its cleaning: ${told.join(', ')}`],
      'what too much fuel left is wiped off, its cause is not.'
    )
  }),
  hole: ({ cylinder, values: { seen, tight, once } }) => ({
    found: `${holeWords[seen].found} ${cylinder}.`,
    advice: once
      ? 'Leak-down finds it tight, so that it is not through: look in again, in a bright light, before it is started.'
      : tight
        ? seen === 'holed'
          ? 'Leak-down finds it tight: burnt, and not through. Why it ran lean is found before it works; look in again after ten hours.'
          : 'Leak-down finds it tight: it is lived with, and looked at again next season.'
        : holeWords[seen].then,
    because: practice([`into hole ${cylinder}: ${seen}`], 'look into the hole before anything spins.')
  }),
  'water-was': ({ values: { cylinders, ran } }) => ({
    found: `Water was ${cylinders.length ? `in ${cylindersSaid(cylinders)}` : 'in the plug holes'}, and where it came from is not known.`,
    advice: ran
      ? 'A plug out after the run: wet again, it has a way in.'
      : 'Rain by the intake, or a gasket, jacket or exhaust cover: after a first short run a plug comes out before it is cranked again.',
    because: practice(
      [`water seen in: ${cylinders.length ? cylinders.join(', ') : 'a hole, its cylinder not noted'}`, 'dry since'],
      'water in a cylinder of an engine that was not under has come in somewhere.'
    )
  }),
  gap: ({ cylinder, values: { gap, wide }, limit }, _, units) => ({
    found: `Plug ${cylinder} is gapped ${say(gap, 'length', units)}, ${wide ? 'wide: it asks for more voltage' : 'narrow: a weak flame'}.`,
    advice: limit!.manual ? 'Set it.' : 'The manual’s figure decides.',
    because: {
      inputs: [`gap of plug ${cylinder}: ${say(gap, 'length', units)}`],
      limit: sayLimit(limit!, units),
      provenance: limit!.provenance,
      source: limit!.manual
        ? 'The manual’s figure, ± 10 %'
        : 'From memory: 0.6 to 1.1 mm covers most; only the manual decides'
    }
  }),
  slow: ({ values: { rpm, volts } }) => {
    const weak = [
      ...(rpm === undefined
        ? []
        : [{ said: `${Math.round(rpm)} rpm`, limit: `${ownLimits.slowCranking} rpm (from memory)` }]),
      ...(volts === undefined ? [] : [{ said: `${volts.toFixed(1)} V`, limit: `${ownLimits.weakVolts} V` }])
    ];
    const said = listed(weak.map((w) => w.said));
    return {
      found: `Its starter turned it at ${said} only.`,
      advice: 'Battery and starter under load, before anything else that was cranked for is believed.',
      because: practice([`noted while cranking: ${said}`], 'a good battery turns it well over 200 rpm, plugs out.', {
        limit: listed(weak.map((w) => w.limit))
      })
    };
  },
  volts: ({ values }, basis, units) => ({
    found: `The battery falls to ${say(values.volts, 'voltage', units)} while cranking.`,
    advice: 'Everything measured by cranking reads low and weak: another battery first.',
    because: starterTried(basis, units)
  }),
  battery: ({ values: { fell, holds } }, basis, units) => ({
    found: `Its battery fell to ${say(fell, 'voltage', units)} while cranking; with a good one it held ${say(holds, 'voltage', units)}.`,
    advice: 'Charge its own and load it before the engine goes back: flat, or at its end.',
    because: starterTried(basis, units)
  }),
  'starter-circuit': ({ values }, basis, units) => ({
    found: `The starter turns well from the battery but not through its circuit${endOf(values.end)}.`,
    because: starterTried(basis, units)
  }),
  'starter-motor': ({ values }, basis, units) => {
    const fails = `The starter fails straight from the battery${values.both ? ' too' : ''}`;
    const because = starterTried(basis, units);
    if (values.battery === 'held')
      return { found: `${fails}, and the battery holds its volts: its cables, then the motor.`, because };
    return values.battery === 'unknown'
      ? { found: `${fails}: battery, its cables, then the motor.`, because }
      : {
          found: `${fails}; what the battery held meanwhile is not known.`,
          advice: 'Its volts while it is tried, or a known good battery: that separates the battery from the motor.',
          because
        };
  },
  'starter-either': (_, basis, units) => ({
    found: 'The starter is poor through its circuit.',
    advice: `${
      basis.circuit === 'nothing'
        ? 'Dead, and not slow: lever in neutral, battery switch, main fuse. Then feed'
        : 'Feed'
    } it straight from the battery: that separates motor from circuit.`,
    because: starterTried(basis, units)
  }),
  'starter-again': (_, basis, units) => ({
    found: 'The starter was poor on a battery that was weak then, and is good now.',
    advice: 'Try it again before anything of it is blamed.',
    because: starterTried(basis, units)
  }),
  'starter-broken': ({ values }, basis, units) => ({
    found: `The starter’s circuit is broken${endOf(values.end)}.`,
    because: starterTried(basis, units)
  }),
  rope: ({ values: { said } }) => ({
    ...(said === 'slips'
      ? {
          found: 'The rope starter slips: its dog or pawl does not catch.',
          advice: 'Clean and free it, look at its spring and edge.'
        }
      : { found: 'The rope does not come back: its spring is broken or unhooked, or the drum sticks.' }),
    because: practice([`rope starter: ${said}`], 'pulled slowly twice: it catches, and it returns.')
  }),
  order: (_, { read }) => ({
    found: 'The plugs were mixed up, so none of them speaks for its cylinder.',
    because: practice([`read: ${listed(read)}`], 'kept in cylinder order.')
  }),
  'no-fuel': () => ({
    found: 'The plugs are dry after a start that failed: no fuel reaches the cylinders.',
    advice: 'Tank, tap, bulb and bowl, before spark is blamed.',
    because: practice(
      ['plugs: dry', 'the start before them: failed'],
      'an engine that was cranked with fuel wets its plugs.'
    )
  }),
  'dry-bores': ({ values: { always, years, school } }, _, units) => ({
    found: `${always ? 'Oil' : `It stood ${say(years, 'years', units)}: oil`} the bores before the first spin, and note how much; every compression reading after it is an oiled one.`,
    because: practice([`years idle: ${years}`, 'oil in the bores: none noted'], 'dry rings score and read low.', {
      school: saySchool(school)
    })
  }),
  missing: ({ values }, { read }) => ({
    found: `Plug ${listed(values.cylinders)} not read yet.`,
    because: practice([`read: ${listed(read)}`], 'every plug, in order.')
  }),
  good: (_, { read }) => ({
    found: 'Every plug reads as it should.',
    because: practice([`read: ${listed(read)}`], 'tan and dry.')
  })
};
