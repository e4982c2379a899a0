import type { Context } from '../../findings/context.ts';
import { isAfter } from '../../units/instant.ts';
import { caseResult } from '../gear/case-test.ts';
import { crackDepth, crackPlaces, cutByDye, type CrackPlace } from '../gear/crack.ts';
import type { CrackSaid, LookAnalysed, LookFact } from './facts.ts';
import { placeIds, places, type PlaceId, type Sight } from './places.ts';

/** What was seen at a place, with its meaning; nothing where it was not looked at, is unknown or not fitted. */
export function sightAt(c: Context, place: PlaceId): Sight | undefined {
  const value = c.record.value(`look.${place}`);
  return value === undefined ? undefined : (places[place].sights as Readonly<Record<string, Sight>>)[value];
}

/** Oil that stood at the hub came by a seal that was renewed since, and the case holds its test: it is wiped, and what comes then is new. */
function resealed(c: Context, place: PlaceId): boolean {
  const hub = place === 'hub' ? c.record.last('look.hub') : undefined;
  if (hub?.value !== 'oil' && hub?.value !== 'cream') return false;
  return caseResult(c).verdict === 'held' && c.renewed('look.hub').some((at) => isAfter(at, hub.at));
}

/** Places of the walk that nobody has seen yet: not asked, or asked and answered "unknown"; "not fitted" was seen. */
export const unseen = (c: Context): PlaceId[] => placeIds.filter((p) => c.record.last(`look.${p}`) === undefined);

const someOf = (list: unknown): readonly string[] => (Array.isArray(list) ? (list as string[]) : []);

/** What of a crack's depth is told. */
function crackSaid(c: Context, place: CrackPlace): { readonly crack?: CrackSaid } {
  const crack = crackDepth(c, place);
  if (crack !== 'untold') return crack ? { crack } : {};
  return cutByDye(c, place) ? { crack: 'metal' } : {};
}

/** The walk around the engine, place by place; nothing before any place was asked about. */
export function analyse(c: Context): LookAnalysed {
  const { profile } = c.survey.engine;
  const [traces, absent] = [someOf(profile.traces), someOf(profile.absent)];
  const asked = placeIds.filter((p) => c.record.asked(`look.${p}`) !== undefined);
  const left = unseen(c);
  const seen = placeIds.filter((p) => !left.includes(p));
  // Seen by dye where the walk saw nothing, or before anybody walked round it.
  const dyed = crackPlaces
    .filter((place) => cutByDye(c, place) && sightAt(c, place)?.is !== 'fault')
    .filter((place) => ['through', 'untold'].includes(String(crackDepth(c, place))))
    .map((place): LookFact => ({
      kind: 'sight',
      id: place,
      condition: 'fault',
      values: {
        place,
        seen: place === 'case' ? 'stain' : 'cracked',
        photographs: 0,
        ...crackSaid(c, place)
      }
    }));
  if (!asked.length) return { basis: { seen }, facts: dyed };
  const told: LookFact[] = [
    ...seen.flatMap((place): LookFact[] => {
      const sight = sightAt(c, place);
      if (!sight?.says || resealed(c, place)) return [];
      const crack = place === 'case' || place === 'skeg' ? crackDepth(c, place) : undefined;
      // Mended since: the case test says what came of it.
      if (sight.is === 'fault' && (place === 'case' || place === 'skeg') && !crack) return [];
      const note = c.record.value(`look.${place}Note`);
      return [
        {
          kind: 'sight',
          id: place,
          condition: crack && crack !== 'through' && crack !== 'untold' ? 'watch' : sight.is,
          values: {
            place,
            seen: String(c.record.value(`look.${place}`)),
            ...(place === 'case' || place === 'skeg' ? crackSaid(c, place) : {}),
            ...(note ? { note } : {}),
            photographs: c.record.all(`look.${place}Photo`).length
          }
        }
      ];
    }),
    ...dyed,
    ...(traces.length ? [{ kind: 'traces', condition: 'watch', values: { traces } } as const] : []),
    ...(absent.length ? [{ kind: 'absent', condition: 'watch', values: { absent } } as const] : [])
  ];
  if (left.length) {
    const [open, untold] = [left.filter((p) => !asked.includes(p)), left.filter((p) => asked.includes(p))];
    return {
      basis: { seen },
      facts: [...told, { kind: 'left', condition: 'cannot-tell', values: { open, untold } }]
    };
  }
  return { basis: { seen }, facts: told.length ? told : [{ kind: 'sound', condition: 'sound', values: {} }] };
}
