import * as z from 'zod/mini';
import { choice, quantity, text, type Item } from '../items/item.ts';
import { cardValue } from './card-value.ts';
import { threads } from './plug-threads.ts';

/**
 * The engine's card: what its work keeps asking for. Filled as the work goes, never demanded. Figures that judge (limits, torque) are
 * the manual's own values and stand in `limits.ts`; what the engine is stands in its profile. The card shows all three.
 */
export const cardItems = {
  engineOil: text({ label: 'Engine oil: grade', maxLength: 60, example: '10W-30, marine four-stroke' }),
  oilFilter: text({ label: 'Oil filter: part number', maxLength: 60 }),
  gearOil: text({ label: 'Gear oil: grade', maxLength: 60, example: 'hypoid 90' }),
  plugType: text({ label: 'Plugs: type', maxLength: 60 }),
  plugThread: choice({ label: 'Plugs: thread', options: threads }),
  plugReach: quantity({ label: 'Plugs: reach', dimension: 'length', example: '19 mm', min: 0.006, max: 0.04 }),
  plugHeat: text({ label: 'Plugs: heat range', maxLength: 40 }),
  thermostatStamp: quantity({ label: 'Thermostat: stamp', dimension: 'temperature', min: 303.15, max: 373.15 }),
  thermostatPart: text({ label: 'Thermostat: part number', maxLength: 60 }),
  impeller: text({ label: 'Impeller: part number', maxLength: 60 }),
  pumpKit: text({ label: 'Pump kit: part number', maxLength: 60 }),
  sealKit: text({ label: 'Gear case seal kit: part number', maxLength: 60 }),
  plugWashers: text({ label: 'Gear case plug washers: part number', maxLength: 60 }),
  headGasket: text({ label: 'Head gasket: part number', maxLength: 60 }),
  fuelFilter: text({ label: 'Fuel filter: part number', maxLength: 60 }),
  carburettorKit: text({ label: 'Carburettor kit: part number', maxLength: 60 }),
  jets: text({ label: 'Jets, by size', maxLength: 120 }),
  fullSpeedLow: quantity({ label: 'Full speed, from', dimension: 'speed', min: 1000, max: 9000 }),
  fullSpeedHigh: quantity({ label: 'Full speed, to', dimension: 'speed', min: 1000, max: 9000 }),
  propeller: text({ label: 'Propeller: size and number', maxLength: 60 }),
  battery: text({ label: 'Battery: size', maxLength: 60 }),
  lanyardKey: text({ label: 'Stop lanyard: shape or number', maxLength: 60 })
} as const satisfies Readonly<Record<string, Item>>;

export type CardId = keyof typeof cardItems;
export const cardIds = Object.keys(cardItems) as CardId[];

/** Where a figure comes from, in the order in which one is believed before another. */
export const cardSources = {
  manual: 'manual',
  plate: 'plate or stamp',
  measured: 'measured',
  guess: 'guess'
} as const;
export type CardSource = keyof typeof cardSources;

const entrySchemaOf = (item: Item) =>
  z.strictObject({
    value: item.schema,
    source: z.enum(Object.keys(cardSources) as [CardSource, ...CardSource[]]),
    page: z.optional(z.string().check(z.maxLength(60))),
    /** The tag of the engine whose card it was taken from. */
    from: z.optional(z.string().check(z.maxLength(40)))
  });
export type CardEntry<V = unknown> = {
  value: V;
  source: CardSource;
  page?: string | undefined;
  from?: string | undefined;
};

/** The check of one entry of the card; nothing for a name that is none. */
export const cardEntrySchema = (key: string): z.ZodMiniType<CardEntry> | undefined =>
  Object.hasOwn(cardItems, key) ? entrySchemaOf(cardItems[key as CardId]) : undefined;

export const cardSchema = z.strictObject(
  Object.fromEntries(cardIds.map((id) => [id, z.optional(entrySchemaOf(cardItems[id]))])) as Record<
    CardId,
    z.ZodMiniOptional<ReturnType<typeof entrySchemaOf>>
  >
);
export type Card = z.infer<typeof cardSchema>;

/** "manual, page 31", "a guess; from the card of Knot". */
export const sourceSaid = (e: Pick<CardEntry, 'source' | 'page' | 'from'>): string =>
  [
    e.source === 'guess' ? 'a guess' : cardSources[e.source],
    ...(e.page ? [`page ${e.page}`] : []),
    ...(e.from ? [`from the card of ${e.from}`] : [])
  ].join(', ');

/** Which part of an order each number is for, by the words the parts of jobs are called with. */
const partsNumbered: Readonly<Partial<Record<CardId, string>>> = {
  gearOil: 'gear oil',
  engineOil: 'engine oil',
  oilFilter: 'oil filter',
  plugType: 'spark plug',
  thermostatPart: 'thermostat',
  impeller: 'impeller',
  pumpKit: 'pump kit',
  sealKit: 'seals',
  plugWashers: 'plug washers',
  headGasket: 'head gasket',
  fuelFilter: 'fuel filter',
  carburettorKit: 'carburettor kit'
};

/** The numbers on the card for a part of a job: "pump kit KP-204 (manual, page 12)". A guess is named as one. */
export function partNumbers(card: Card | undefined, part: string): string[] {
  const name = part.toLowerCase();
  return cardIds.flatMap((id) => {
    const word = partsNumbered[id];
    const value = cardValue(card, id, true);
    return word &&
      name.includes(word) &&
      !(word === 'thermostat' && name === 'thermostat gasket') &&
      value !== undefined
      ? [`${word} ${String(value)} (${sourceSaid(card![id]!)})`]
      : [];
  });
}
