import { factItem } from '../../engine/fact.ts';
import { firstOf, practice } from '../../findings/collect.ts';
import { listed } from '../../findings/context.ts';
import type { WordsOf } from '../../findings/fact.ts';
import { sayValue } from '../../items/check-entry.ts';
import type { CrackSaid, LookBasis, LookFacts } from './facts.ts';
import { placeIds, places, type PlaceId, type Sight } from './places.ts';

const names = (list: readonly PlaceId[]): string => listed(list.map((p) => places[p].label.toLowerCase()));

/** What is said of a crack once its depth is known. C: common practice. */
const crackSays: Readonly<Record<CrackSaid, (place: string) => string>> = {
  through: (place) =>
    `${place}: the crack goes through the wall. Why it cracked first; then mend it, have it welded, or fit another case.`,
  metal: (place) =>
    `${place}: dye goes into the metal, a crack. A whole case test says whether it goes through, before it runs.`,
  shallow: (place) =>
    `${place}: a crack in the metal that does not go through. Drill its end, paint it, and look at it again at every oil change.`,
  held: (place) =>
    `${place}: a line as a frost crack makes one, and the case holds every stage of its test: nothing goes through it today. Look at it again at every oil change, and before frost.`,
  paint: (place) =>
    `${place}: by dye on bare metal the line is in the paint only. Paint it, and look again at the next oil change.`
};

export const words: WordsOf<LookFacts, LookBasis> = {
  sight: ({ values: { place, seen, note, photographs, crack } }) => {
    const { label, ask, sights } = places[place];
    const sight = (sights as Readonly<Record<string, Sight>>)[seen]!;
    const says = crack ? crackSays[crack](label) : (sight.says ?? `${label}: ${sight.label}.`);
    const found = firstOf(says);
    return {
      found,
      advice: says.slice(found.length).trim() || undefined,
      because: practice(
        [
          `${label.toLowerCase()}: ${sight.label}`,
          ...(note ? [`note: ${note}`] : []),
          ...(photographs ? [`${photographs} ${photographs === 1 ? 'photograph' : 'photographs'}`] : [])
        ],
        ask.toLowerCase()
      )
    };
  },
  traces: ({ values }, _, units) => {
    const traces = sayValue(factItem('profile.traces')!, values.traces, units);
    return {
      found: `Traces of earlier hands: ${traces}.`,
      advice: 'Doubt what was put together here: order of washers, seals, pins.',
      because: practice([`traces: ${traces}`], 'assembly faults are likelier where somebody worked before.')
    };
  },
  absent: ({ values }, _, units) => {
    const absent = sayValue(factItem('profile.absent')!, values.absent, units);
    return {
      found: `Missing on arrival: ${absent}.`,
      advice: 'It counts into the cost before the first repair.',
      because: practice([`missing: ${absent}`], 'missing parts are priced first.')
    };
  },
  left: ({ values: { open, untold } }, { seen }) => {
    const said = [
      ...(open.length ? [`Not looked at yet: ${names(open)}.`] : []),
      ...(untold.length ? [`Asked once and not told: ${names(untold)}.`] : [])
    ];
    return {
      found: said[0]!,
      advice: said[1],
      because: practice([`${seen.length} of ${placeIds.length} places looked at`], 'look before touching anything.')
    };
  },
  sound: () => ({
    found: 'Nothing amiss on the walk around it.',
    because: practice([`${placeIds.length} places looked at`], 'look before touching anything.')
  })
};
