import { factItem } from '../../engine/fact.ts';
import { listed, type Context } from '../../findings/context.ts';
import { sayValue } from '../../items/check-entry.ts';
import type { Finding } from '../../findings/finding.ts';
import { findingsOf, practice } from '../../findings/collect.ts';
import { placeIds, places, type PlaceId, type Sight } from './places.ts';

/** What was seen at a place, with its meaning; nothing where it was not looked at, is unknown or not fitted. */
export function sightAt(c: Context, place: PlaceId): Sight | undefined {
  const value = c.record.value(`look.${place}`);
  return value === undefined ? undefined : (places[place].sights as Readonly<Record<string, Sight>>)[value];
}

/** Places of the walk that nobody has seen yet: not asked, or asked and answered "unknown"; "not fitted" was seen. */
export const unseen = (c: Context): PlaceId[] => placeIds.filter((p) => c.record.last(`look.${p}`) === undefined);

/** The walk around the engine, place by place. */
export function analyse(c: Context): Finding[] {
  const out = findingsOf('look');
  const { traces, absent } = c.survey.engine.profile;
  const asked = placeIds.filter((p) => c.record.asked(`look.${p}`) !== undefined);
  if (!asked.length) return out.list;
  const left = unseen(c);
  const seen = placeIds.filter((p) => !left.includes(p));
  for (const place of seen) {
    const sight = sightAt(c, place);
    if (!sight?.says) continue;
    const note = c.record.value(`look.${place}Note`);
    const photos = c.record.all(`look.${place}Photo`).length;
    out.add(
      place,
      sight.is,
      sight.says,
      practice(
        [
          `${places[place].label.toLowerCase()}: ${sight.label}`,
          ...(note ? [`note: ${note}`] : []),
          ...(photos ? [`${photos} ${photos === 1 ? 'photograph' : 'photographs'}`] : [])
        ],
        places[place].ask.toLowerCase()
      )
    );
  }
  const say = (path: string, value: unknown): string => sayValue(factItem(path)!, value, c.units);
  if (Array.isArray(traces) && traces.length)
    out.add(
      'traces',
      'watch',
      `Traces of earlier hands: ${say('profile.traces', traces)}. Doubt what was put together here: order of washers, seals, pins.`,
      practice(
        [`traces: ${say('profile.traces', traces)}`],
        'assembly faults are likelier where somebody worked before.'
      )
    );
  if (Array.isArray(absent) && absent.length)
    out.add(
      'absent',
      'watch',
      `Missing on arrival: ${say('profile.absent', absent)}. It counts into the cost before the first repair.`,
      practice([`missing: ${say('profile.absent', absent)}`], 'missing parts are priced first.')
    );
  const names = (list: readonly PlaceId[]): string => listed(list.map((p) => places[p].label.toLowerCase()));
  const open = left.filter((p) => !asked.includes(p));
  const untold = left.filter((p) => asked.includes(p));
  if (left.length)
    out.add(
      'left',
      'cannot-tell',
      [
        open.length ? `Not looked at yet: ${names(open)}.` : '',
        untold.length ? `Asked once and not told: ${names(untold)}.` : ''
      ]
        .filter(Boolean)
        .join(' '),
      practice([`${seen.length} of ${placeIds.length} places looked at`], 'look before touching anything.')
    );
  if (!left.length && !out.list.length)
    out.add(
      'sound',
      'sound',
      'Nothing amiss on the walk around it.',
      practice([`${placeIds.length} places looked at`], 'look before touching anything.')
    );
  return out.list;
}
