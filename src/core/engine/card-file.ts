import * as z from 'zod/mini';
import { sayValue } from '../items/check-entry.ts';
import { say, type System } from '../units/index.ts';
import { cardEntrySchema, cardIds, cardItems, sourceSaid, type CardEntry, type CardId } from './card.ts';
import type { Engine } from './engine.ts';
import { factItem } from './fact.ts';
import { limitIds, limits, manualValueOf, type LimitId, type ManualValue } from './limits.ts';
import type { Profile } from './profile.ts';

/** What every engine of a model has in common; what its owner or its boat decides (leg, steering, what is missing) is left out. */
const ofTheModel = [
  'strokes',
  'cylinders',
  'layout',
  'displacement',
  'bore',
  'stroke',
  'ratio',
  'fuelSystem',
  'ignition',
  'decompression',
  'camDrive',
  'interference',
  'lubrication',
  'premixRatio',
  'sumpWithFilter',
  'sumpWithoutFilter',
  'turning',
  'shift',
  'gearCapacity',
  'plugDrain',
  'plugLevel',
  'plugVent',
  'magnet',
  'indicator',
  'thermostat'
] as const satisfies readonly (keyof Profile)[];

/** Two engines that differ in one of these are of no one model, whatever their plates say. */
const decides = ['strokes', 'cylinders', 'layout', 'fuelSystem'] as const;

export const CARD_FORMAT = 'indaga-card';

/** The open card file: what an engine's card says, in one JSON document; SI units as in the survey file. */
export const cardFileSchema = z.strictObject({
  format: z.literal(CARD_FORMAT, 'this is no card: its format is another one'),
  version: z.literal(1, 'this card is of a version that is not known here'),
  maker: z.optional(z.string().check(z.maxLength(200))),
  model: z.optional(z.string().check(z.maxLength(200))),
  /** The tag of the engine it was filled at. */
  from: z.optional(z.string().check(z.maxLength(40))),
  entries: z
    .array(z.strictObject({ path: z.string().check(z.maxLength(80)), value: z.unknown() }))
    .check(z.maxLength(300))
});
export type CardFile = z.infer<typeof cardFileSchema>;

const told = (v: unknown): boolean => v !== undefined && v !== 'unknown' && v !== '';

/** The card of an engine: of its model what is known, the manual's values, and the card's own entries. Deterministic order. */
export function cardOf(engine: Engine): CardFile {
  const { maker, model, tag } = engine.identity;
  return {
    format: CARD_FORMAT,
    version: 1,
    ...(maker ? { maker } : {}),
    ...(model ? { model } : {}),
    ...(tag ? { from: tag } : {}),
    entries: [
      ...ofTheModel.flatMap((k) =>
        told(engine.profile[k]) ? [{ path: `profile.${k}`, value: engine.profile[k] as unknown }] : []
      ),
      ...limitIds.flatMap((id) => (engine.manual?.[id] ? [{ path: `manual.${id}`, value: engine.manual[id] }] : [])),
      ...cardIds.flatMap((id) =>
        told(engine.card?.[id]?.value) ? [{ path: `card.${id}`, value: engine.card![id] as unknown }] : []
      )
    ]
  };
}

export interface CardLine {
  readonly path: string;
  readonly label: string;
  readonly said: string;
  /** Where it comes from: "manual, page 31". */
  readonly source: string;
}

function schemaOf(path: string): z.ZodMiniType | undefined {
  const key = path.slice(path.indexOf('.') + 1);
  if (path.startsWith('card.')) return cardEntrySchema(key);
  if (path.startsWith('manual.')) return Object.hasOwn(limits, key) ? manualValueOf(key as LimitId) : undefined;
  return (ofTheModel as readonly string[]).includes(key) && path.startsWith('profile.')
    ? factItem(path)?.schema
    : undefined;
}

function lineOf(path: string, value: unknown, units: System): CardLine {
  const key = path.slice(path.indexOf('.') + 1);
  if (path.startsWith('manual.')) {
    const limit = limits[key as LimitId];
    const m = value as ManualValue;
    return {
      path,
      label: limit.label,
      said: [m.value, ...(m.to === undefined ? [] : [m.to])].map((v) => say(v, limit.dimension, units)).join(' to '),
      source: sourceSaid({ source: 'manual', page: m.page, from: m.from })
    };
  }
  if (path.startsWith('card.')) {
    const entry = value as CardEntry;
    const item = cardItems[key as CardId];
    return { path, label: item.label, said: sayValue(item, entry.value, units), source: sourceSaid(entry) };
  }
  const item = factItem(path)!;
  return { path, label: item.label, said: sayValue(item, value, units), source: 'profile' };
}

/** The card as it is read and printed. */
export const cardLines = (engine: Engine, units: System): CardLine[] =>
  cardOf(engine).entries.map(({ path, value }) => lineOf(path, value, units));

const plain = (text: string | undefined): string => (text ?? '').trim().toLowerCase().replace(/\s+/g, ' ');

export interface Offered extends CardLine {
  readonly value: unknown;
  /** new: nothing is said here yet. differs: what is said here is another. */
  readonly state: 'new' | 'same' | 'differs';
  readonly own?: string;
  /** Only guessed where it comes from. */
  readonly guess: boolean;
}

export interface CardOffer {
  /** Whether it is the card of this engine's model; unknown where either has no model. */
  readonly model: 'same' | 'other' | 'unknown';
  /** "Inline four, this engine is …": a card of another kind of engine is not taken at all. */
  readonly against: readonly string[];
  readonly entries: readonly Offered[];
  /** Entries that this program does not know or cannot read, by their path. */
  readonly unread: readonly string[];
}

/** A card laid beside an engine: what it would add, where the two differ, and why it may be the wrong card. */
export function offerOf(file: CardFile, engine: Engine, units: System): CardOffer {
  const own = new Map(cardOf(engine).entries.map((e) => [e.path, e.value]));
  const unread: string[] = [];
  const entries: Offered[] = [];
  for (const { path, value } of file.entries) {
    const read = schemaOf(path)?.safeParse(value);
    if (!read?.success || entries.some((e) => e.path === path)) {
      unread.push(path);
      continue;
    }
    const mine = own.get(path);
    const line = lineOf(path, read.data, units);
    const here = mine === undefined ? undefined : lineOf(path, mine, units).said;
    entries.push({
      ...line,
      value: markedFrom(path, read.data, file.from),
      guess: path.startsWith('card.') && (read.data as CardEntry).source === 'guess',
      state: here === undefined ? 'new' : here === line.said ? 'same' : 'differs',
      ...(here === undefined ? {} : { own: here })
    });
  }
  const name = (e: { readonly maker?: string | undefined; readonly model?: string | undefined }): string =>
    `${plain(e.maker)}|${plain(e.model)}`;
  const named = plain(file.model) && plain(engine.identity.model);
  return {
    model: !named ? 'unknown' : name(file) === name(engine.identity) ? 'same' : 'other',
    against: entries
      .filter((e) => e.state === 'differs' && decides.some((k) => e.path === `profile.${k}`))
      .map((e) => `${e.label}: ${e.said} on the card, ${e.own} here`),
    entries,
    unread
  };
}

/** What is taken over says from whose card; one that was taken over before keeps its first origin. */
function markedFrom(path: string, value: unknown, from: string | undefined): unknown {
  if (path.startsWith('profile.') || !from) return value;
  const entry = value as { readonly from?: string };
  return entry.from ? entry : { ...entry, from };
}

export type Taken =
  | { readonly ok: true; readonly facts: readonly { readonly path: string; readonly value: unknown }[] }
  | { readonly ok: false; readonly why: 'kind' | 'model' | 'nothing'; readonly message: string };

/**
 * What of a card is taken over: the chosen entries that say something new or other. A card of another kind of engine is not taken at all,
 * one of another model or of none only where somebody says that it is right (`confirmed`).
 */
export function takeFrom(offer: CardOffer, chosen: ReadonlySet<string>, confirmed: boolean): Taken {
  if (offer.against.length)
    return {
      ok: false,
      why: 'kind',
      message: `This is the card of another kind of engine: ${offer.against.join('; ')}.`
    };
  if (offer.model !== 'same' && !confirmed)
    return {
      ok: false,
      why: 'model',
      message: 'The card does not name this engine’s model: say that it is right all the same, or leave it.'
    };
  const facts = offer.entries
    .filter((e) => e.state !== 'same' && chosen.has(e.path))
    .map(({ path, value }) => ({ path, value }));
  return facts.length ? { ok: true, facts } : { ok: false, why: 'nothing', message: 'Nothing was chosen.' };
}
