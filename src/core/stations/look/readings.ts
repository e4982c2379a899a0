import { choice, photo, text, type Item } from '../../items/item.ts';
import { placeIds, places, type PlaceId } from './places.ts';

type Sights<P extends PlaceId> = Extract<keyof (typeof places)[P]['sights'], string>;
type LookItems = { readonly [P in PlaceId]: Item<Sights<P> | 'unknown' | 'not-fitted'> } & {
  readonly [P in PlaceId as `${P}Note`]: Item<string>;
} & { readonly [P in PlaceId as `${P}Photo`]: Item<string> } & { readonly platePhoto: Item<string> };

/** Places whose case test is of before or after they were seen to be amiss. */
const dated: ReadonlySet<PlaceId> = new Set(['hub', 'skeg', 'case']);

/** Three items a place, what is seen, a note, photographs; and the identity plate's own photograph. */
export const items = Object.fromEntries([
  ['platePhoto', photo({ label: 'Identity plate' })],
  ...placeIds.flatMap((id) => {
    const { label, ask, sights, ...rest } = places[id];
    const options = Object.fromEntries(Object.entries(sights).map(([value, s]) => [value, s.label]));
    const faults = Object.entries(sights).flatMap(([value, s]) => (s.is === 'fault' ? [value] : []));
    const common = {
      label,
      ...(dated.has(id) ? { changes: true as const } : {}),
      stays: { answers: faults },
      ask: `${label}: ${ask.charAt(0).toLowerCase()}${ask.slice(1)}`,
      options
    };
    return [
      [id, 'absent' in rest ? choice({ ...common, absent: true }) : choice(common)],
      [`${id}Note`, text({ label: `${label}: note`, maxLength: 1000 })],
      [`${id}Photo`, photo({ label: `${label}: photograph` })]
    ];
  })
]) as unknown as LookItems;

declare module '../../items/register.ts' {
  interface StationItems {
    readonly look: typeof items;
  }
}
