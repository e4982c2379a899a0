import { instantSchema } from '../units/instant.ts';
import * as z from 'zod/mini';
import type { Item } from '../items/item.ts';
import { cardEntrySchema, cardIds } from './card.ts';
import type { Engine } from './engine.ts';
import { limitIds, limits, manualValueOf, type LimitId } from './limits.ts';
import { inWrittenOrder, outingIdSchema, outingSchema, type Outing } from './outing.ts';
import { historyItems, identityItems, profileItems } from './profile.ts';

export const factGroups = { identity: identityItems, profile: profileItems, history: historyItems } as const;
/** The parts of an engine, in the order in which they are written. */
const engineGroups = ['identity', 'profile', 'history', 'manual', 'card', 'outings'] as const;
/** What is kept under names of its own, in the order in which it was said. */
type NamedGroup = 'outings';

export type FactGroup = keyof typeof factGroups;

/** One thing said about an engine: "profile.strokes" is "two"; a null takes it back to not asked. */
export interface Fact {
  readonly id: string;
  readonly path: string;
  readonly value: unknown;
  readonly at: string;
  readonly by?: string;
  /** What was added to the clock of the device that it was said on, ms. */
  readonly clock?: number;
}

/** The item behind a path of identity, profile or history. */
export function factItem(path: string): Item | undefined {
  const [group, key] = [path.slice(0, path.indexOf('.')), path.slice(path.indexOf('.') + 1)];
  if (!Object.hasOwn(factGroups, group)) return undefined;
  const items = factGroups[group as FactGroup] as Readonly<Record<string, Item>>;
  return Object.hasOwn(items, key) ? items[key] : undefined;
}

function valueSchema(path: string): z.ZodMiniType | undefined {
  if (path.startsWith('manual.'))
    return Object.hasOwn(limits, path.slice(7)) ? manualValueOf(path.slice(7) as LimitId) : undefined;
  if (path.startsWith('card.')) return cardEntrySchema(path.slice(5));
  if (path.startsWith('outings.')) return outingIdSchema.safeParse(path.slice(8)).success ? outingSchema : undefined;
  return factItem(path)?.schema;
}

export const factSchema = z
  .strictObject({
    id: z.string().check(z.regex(/^[A-Za-z0-9_-]{1,64}$/)),
    path: z.string().check(z.maxLength(80)),
    value: z.unknown(),
    at: instantSchema,
    by: z.optional(z.string().check(z.maxLength(120))),
    clock: z.optional(z.int().check(z.gte(-4e12), z.lte(4e12)))
  })
  .check((ctx) => {
    const fact = ctx.value;
    const schema = valueSchema(fact.path);
    const complain = (path: string, message: string): void =>
      void ctx.issues.push({ code: 'custom', path: [path], message, input: fact });
    if (!schema) complain('path', `nothing about an engine is called "${fact.path}"`);
    else if (fact.value !== null) {
      const result = schema.safeParse(fact.value);
      if (!result.success) complain('value', result.error.issues[0]?.message ?? 'wrong value');
    }
  });

const keysOf: Readonly<Record<Exclude<(typeof engineGroups)[number], NamedGroup>, readonly string[]>> = {
  identity: Object.keys(identityItems),
  profile: Object.keys(profileItems),
  history: Object.keys(historyItems),
  manual: limitIds,
  card: cardIds
};

/** Folds facts, oldest first, into the engine they describe; the latest word on each field counts. */
export function engineOf(facts: readonly Pick<Fact, 'path' | 'value'>[]): Engine {
  const groups = new Map<string, Map<string, unknown>>(engineGroups.map((g) => [g, new Map()]));
  for (const fact of facts) {
    const dot = fact.path.indexOf('.');
    const group = groups.get(fact.path.slice(0, dot));
    if (fact.value === null) group?.delete(fact.path.slice(dot + 1));
    else group?.set(fact.path.slice(dot + 1), fact.value);
  }
  // In the order of the definitions, whatever was said first: an engine is written the same way each time.
  const inOrder = (g: keyof typeof keysOf): object => {
    const said = groups.get(g)!;
    return Object.fromEntries(keysOf[g].flatMap((k) => (said.has(k) ? [[k, said.get(k)]] : [])));
  };
  return {
    identity: inOrder('identity'),
    profile: inOrder('profile'),
    history: inOrder('history'),
    manual: inOrder('manual'),
    ...(groups.get('card')!.size ? { card: inOrder('card') } : {}),
    ...(groups.get('outings')!.size
      ? { outings: Object.fromEntries([...groups.get('outings')!].map(([k, o]) => [k, inWrittenOrder(o as Outing)])) }
      : {})
  } as unknown as Engine;
}

/** The facts that would make this engine, for import. */
export function factsOf(engine: Engine): { path: string; value: unknown }[] {
  return engineGroups.flatMap((group) =>
    Object.entries(engine[group] ?? {})
      .filter(([, v]) => v !== undefined)
      .map(([key, value]) => ({ path: `${group}.${key}`, value: value as unknown }))
  );
}
