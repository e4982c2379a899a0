import { z } from 'zod';
import type { DimensionName } from '../units/dimension.ts';

export type Provenance = 'P' | 'C' | 'M';

export interface Limit {
  readonly label: string;
  readonly dimension: DimensionName;
  readonly provenance: Provenance;
  /** Where our value comes from, or why we bring none. */
  readonly source: string;
}

/** Every limit we judge by, each with room for the manual's own value, which wins. */
export const limits = {
  'compression.figure': {
    label: 'Compression of this engine',
    dimension: 'pressure',
    provenance: 'C',
    source: 'No figure of our own: kinds of engine differ too much. Cylinders are compared with each other.'
  },
  'compression.spread': {
    label: 'Spread between cylinders',
    dimension: 'share',
    provenance: 'C',
    source: 'House rule; common practice runs from 10 to 20 % of the best cylinder.'
  },
  'turn.depth': {
    label: 'Piston depth tolerance',
    dimension: 'length',
    provenance: 'M',
    source: 'From memory: 0.25 mm between cylinders, beyond what repeats can explain.'
  },
  'spark.gap': {
    label: 'Open gap to be jumped',
    dimension: 'length',
    provenance: 'C',
    source: 'Common practice: about 6 mm from a points magneto, 9 mm from electronic ignition.'
  },
  'gear.capacity': {
    label: 'Gear oil capacity',
    dimension: 'volume',
    provenance: 'C',
    source: 'Of the engine: from its profile or the manual.'
  },
  'fuel.age': {
    label: 'Age at which fuel is drained',
    dimension: 'months',
    provenance: 'C',
    source: 'House rule; common practice.'
  },
  'fuel.premix': {
    label: 'Premix ratio',
    dimension: 'mixture',
    provenance: 'C',
    source: 'Of the engine: from its profile or the manual.'
  },
  'cooling.impeller': {
    label: 'Impeller interval',
    dimension: 'years',
    provenance: 'C',
    source: 'House rule by climate; common practice.'
  },
  'cooling.set': {
    label: 'Vane set at which it is renewed',
    dimension: 'angle',
    provenance: 'M',
    source: 'From memory: vanes that stay bent over about 20° no longer seal at idle.'
  },
  'cooling.hot': {
    label: 'Hottest the head may get',
    dimension: 'temperature',
    provenance: 'M',
    source: 'From memory: most outboards warn between 85 and 100 °C at the head; 90 °C is taken.'
  }
} as const satisfies Record<string, Limit>;

export type LimitId = keyof typeof limits;
export const limitIds = Object.keys(limits) as LimitId[];

/** Values of our own where we bring one, SI. The rest are house rules or belong to the engine. */
export const ownLimits = {
  depth: 0.25e-3,
  gapPoints: 6e-3,
  gapElectronic: 9e-3,
  vaneSet: 20,
  headHot: 363.15
} as const;

/** The manual's own value for a limit, with the page it stands on. */
export const manualValueSchema = z.strictObject({
  value: z.number().positive(),
  page: z.string().max(60).optional()
});
export type ManualValue = z.infer<typeof manualValueSchema>;
export const manualSchema = z.partialRecord(z.enum(limitIds as [LimitId, ...LimitId[]]), manualValueSchema);
export type Manual = z.infer<typeof manualSchema>;
