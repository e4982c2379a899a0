import * as z from 'zod/mini';
import type { DimensionName } from '../units/dimension.ts';
import { topicIds, topics, type ChoiceOf, type TopicId } from './topics.ts';

export interface NumberRule {
  readonly label: string;
  readonly dimension: DimensionName;
  readonly standard: number;
  readonly min: number;
  readonly max: number;
  readonly why: string;
}

/** Numbers of the house, changeable by the shop. Provenance C/M: common practice, from memory. */
export const numberRules = {
  fuelFresh: {
    label: 'Fuel counts as fresh up to',
    dimension: 'months',
    standard: 1,
    min: 0,
    max: 24,
    why: 'Full volatility.'
  },
  fuelUse: {
    label: 'Fuel is used up to',
    dimension: 'months',
    standard: 3,
    min: 0,
    max: 36,
    why: 'Starts still easily.'
  },
  fuelDrain: {
    label: 'Fuel is drained beyond',
    dimension: 'months',
    standard: 6,
    min: 1,
    max: 60,
    why: 'Gum and lost light ends.'
  },
  fuelStabilised: {
    label: 'Stabilised fuel is drained beyond',
    dimension: 'months',
    standard: 18,
    min: 1,
    max: 60,
    why: 'Sealed and stabilised fuel keeps 12 to 24 months.'
  },
  ethanolFactor: {
    label: 'Share of these ages for ethanol blends',
    dimension: 'share',
    standard: 0.75,
    min: 0.1,
    max: 1,
    why: 'Takes up water and separates.'
  },
  drownedSalt: {
    label: 'Act after salt water within',
    dimension: 'hours',
    standard: 3,
    min: 0.5,
    max: 48,
    why: 'Rust and salt crystals begin.'
  },
  drownedFresh: {
    label: 'Act after fresh water within',
    dimension: 'hours',
    standard: 12,
    min: 0.5,
    max: 96,
    why: 'Rust begins.'
  },
  nextDay: {
    label: 'Turned again after a soak, at least',
    dimension: 'hours',
    standard: 12,
    min: 1,
    max: 72,
    why: 'Oil hides grit.'
  },
  caseLeak: {
    label: 'Case test: leak that still counts as held, a minute',
    dimension: 'volume',
    standard: 1e-6,
    min: 0.1e-6,
    max: 20e-6,
    why: 'From memory: a case that loses under a millilitre of air a minute keeps its oil and water apart.'
  },
  boreOilYears: {
    label: 'Bores oiled before the first spin when idle over',
    dimension: 'years',
    standard: 1,
    min: 0,
    max: 30,
    why: 'Rings and bores run dry in about a year.'
  },
  oilTarget: {
    label: 'Oil changes after water until no more is left than',
    dimension: 'share',
    standard: 0.01,
    min: 0.001,
    max: 0.2,
    why: 'From memory: under one part in a hundred the oil is clear again.'
  },
  oilPrice: {
    label: 'Cheap oil for flushing, a litre',
    dimension: 'money',
    standard: 6,
    min: 0,
    max: 10_000,
    why: 'Cheap oil first; the last fill is the right one.'
  },
  labourRate: {
    label: 'An hour of hands',
    dimension: 'money',
    standard: 60,
    min: 0,
    max: 10_000,
    why: 'What the shop asks; zero for a volunteer.'
  },
  kitAge: {
    label: 'Pump kit instead of impeller over',
    dimension: 'years',
    standard: 3,
    min: 0,
    max: 20,
    why: 'Plates and seals age with it.'
  },
  kitExtra: {
    label: 'A kit instead of its pieces when it costs at most so much more',
    dimension: 'share',
    standard: 0.25,
    min: 0,
    max: 3,
    why: 'What lies beside the worn piece is as old, and the door is open.'
  },
  firstOil: {
    label: 'First oil change of a new or rebuilt engine after',
    dimension: 'hours',
    standard: 20,
    min: 1,
    max: 200,
    why: 'Metal of the first hours comes out with the oil.'
  },
  serviceHours: {
    label: 'Engine oil, gear oil and plugs every',
    dimension: 'hours',
    standard: 100,
    min: 10,
    max: 1000,
    why: 'Common practice: 100 hours or a year, whichever comes first.'
  },
  serviceMonths: {
    label: 'Engine oil and gear oil at the latest after',
    dimension: 'months',
    standard: 12,
    min: 1,
    max: 60,
    why: 'Water and acids do not wait for hours.'
  },
  impellerHours: {
    label: 'Impeller at the latest after',
    dimension: 'hours',
    standard: 200,
    min: 20,
    max: 2000,
    why: 'From memory: sand and dry seconds wear what the years do not.'
  },
  plugMonths: {
    label: 'Plugs at the latest after',
    dimension: 'months',
    standard: 24,
    min: 1,
    max: 120,
    why: 'Two seasons.'
  },
  anodeMonths: {
    label: 'Anodes looked at every',
    dimension: 'months',
    standard: 6,
    min: 1,
    max: 60,
    why: 'Half gone is gone; salt takes them within a season.'
  }
} as const satisfies Record<string, NumberRule>;

export type NumberRuleId = keyof typeof numberRules;
export const numberRuleIds = Object.keys(numberRules) as NumberRuleId[];

const schools = Object.fromEntries(
  topicIds.map((id) => [id, z.optional(z.enum(Object.keys(topics[id].choices) as [string, ...string[]]))])
);
const numbers = Object.fromEntries(
  numberRuleIds.map((id) => [id, z.optional(z.number().check(z.gte(numberRules[id].min), z.lte(numberRules[id].max)))])
);

const share = z.number().check(z.gte(0), z.lte(1));
const word = z.string().check(z.maxLength(80));

/**
 * What the shop knows better than our estimates: how likely a suspect is before anything was looked at ("impeller"), and
 * how strongly it shows ("impeller>stream-weak"). Only differences are kept, by name: after an upgrade the rest is ours
 * again, and a name that is gone does no harm.
 */
const knowledgeSchema = z.strictObject({
  priors: z.optional(z.record(word, share)),
  strengths: z.optional(z.record(word, share))
});
export type OwnKnowledge = z.infer<typeof knowledgeSchema>;

/** What a shop has chosen; anything left out stays at our default. */
export const houseRulesSchema = z.strictObject({
  schools: z.optional(z.strictObject(schools)),
  numbers: z.optional(z.strictObject(numbers)),
  knowledge: z.optional(knowledgeSchema)
}) as unknown as z.ZodMiniType<HouseRules>;

export interface HouseRules {
  readonly schools?: { readonly [T in TopicId]?: ChoiceOf<T> };
  readonly numbers?: { readonly [N in NumberRuleId]?: number };
  readonly knowledge?: OwnKnowledge;
}

export const school = <T extends TopicId>(rules: HouseRules, topic: T): ChoiceOf<T> =>
  (rules.schools?.[topic] ?? topics[topic].standard) as ChoiceOf<T>;

/** A topic and the school this house follows in it. */
export interface ChosenSchool {
  readonly topic: TopicId;
  readonly choice: string;
}

export const chosenSchool = (rules: HouseRules, topic: TopicId): ChosenSchool => ({
  topic,
  choice: school(rules, topic)
});

/** What the house chose, in words: "spread 15 % of the best". */
export const sayChoice = ({ topic, choice }: ChosenSchool): string =>
  (topics[topic].choices as Record<string, string>)[choice] ?? choice;

/** The school in words, as a judgement names it: "Compression limit: spread 15 % of the best". */
export const saySchool = (s: ChosenSchool): string => `${topics[s.topic].topic}: ${sayChoice(s)}`;

export const schoolSaid = (rules: HouseRules, topic: TopicId): string => saySchool(chosenSchool(rules, topic));

export const ruleNumber = (rules: HouseRules, id: NumberRuleId): number =>
  rules.numbers?.[id] ?? numberRules[id].standard;

/** How finely a house number is written, SI: what is shown can be typed back. */
export const ruleStep = (rule: NumberRule): number =>
  rule.dimension === 'share' ? 0.01 : rule.dimension === 'volume' ? 1e-7 : 0.1;
