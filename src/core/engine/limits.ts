import { PSI } from '../units/factors.ts';
import * as z from 'zod/mini';
import { dimensionOf, type DimensionName } from '../units/dimension.ts';

export type Provenance = 'P' | 'C' | 'M';

export interface Limit {
  readonly label: string;
  readonly dimension: DimensionName;
  readonly provenance: Provenance;
  /** Where our value comes from, or why we bring none. */
  readonly source: string;
  /** Asked as "from … to …". */
  readonly range?: true;
}

/** A figure that only the manual has, given as a range. */
const range = (label: string) =>
  ({
    label,
    dimension: 'resistance',
    provenance: 'C',
    range: true,
    source: 'No figure of our own: enter the manual’s range. Without it cylinders are compared with each other.'
  }) as const;

/** A tightening torque: only the manual has it. */
const torque = (label: string) =>
  ({ label, dimension: 'torque', provenance: 'C', source: 'No figure of our own: the manual’s counts.' }) as const;

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
  'spark.primary': range('Coil primary resistance, at 20 °C'),
  'spark.secondary': range('Coil secondary resistance, at 20 °C'),
  'spark.charge': range('Charge coil resistance, at 20 °C'),
  'spark.trigger': range('Trigger or sensor resistance, at 20 °C'),
  'spark.pointsGap': {
    label: 'Points gap',
    dimension: 'length',
    provenance: 'C',
    source: 'Common practice: 0.020 in, 0.51 mm, on older magnetos.'
  },
  'spark.timing': {
    label: 'Timing at idle',
    dimension: 'timing',
    provenance: 'C',
    source: 'Of the engine: only its manual knows. Before top is plus.'
  },
  'plugs.gap': {
    label: 'Plug gap',
    dimension: 'length',
    provenance: 'M',
    source:
      'From memory: 0.6 to 1.1 mm covers most outboards; 0.9 mm is taken where the manual’s figure is not entered.'
  },
  'compression.lashIn': { ...range('Valve lash, intake, cold'), dimension: 'length' },
  'compression.lashEx': { ...range('Valve lash, exhaust, cold'), dimension: 'length' },
  'compression.leakdown': {
    label: 'Leak-down, watch from',
    dimension: 'share',
    provenance: 'C',
    source:
      'Common practice on the published tester (80 psi, 0.040 in): 10 % watch, 20 % fault; another restrictor moves both.'
  },
  'gear.capacity': {
    label: 'Gear oil capacity',
    dimension: 'volume',
    provenance: 'C',
    source: 'Of the engine: from its profile or the manual.'
  },
  'gear.casePressure': {
    label: 'Case test pressure, most',
    dimension: 'pressure',
    provenance: 'C',
    source:
      'Common practice: 15 psi, more only with the manual’s figure. Seals are blown out by pressure, not by water.'
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
  'fuel.vacuum': {
    label: 'Fuel line vacuum at speed, most',
    dimension: 'vacuum',
    provenance: 'M',
    source: 'From memory: makers ask for 2 to 4 inHg at most at the pump; 4 is taken.'
  },
  'fuel.rail': {
    label: 'Fuel rail pressure, least',
    dimension: 'pressure',
    provenance: 'M',
    source:
      'From memory: 250 to 300 kPa is usual where fuel is injected into the ports; under 200 kPa is taken as too little. Of direct injection only its manual knows.'
  },
  'oil.pressure': {
    label: 'Oil pressure by a gauge, least',
    dimension: 'pressure',
    provenance: 'C',
    source: 'Common practice, from memory: 10 psi for every 1000 rpm, the oil warm; the manual’s figure counts.'
  },
  'oil.dilution': {
    label: 'Fuel in the engine oil, fault from',
    dimension: 'share',
    provenance: 'C',
    source: 'Common practice in oil analysis: 2 % watch, 4 % fault, by volume.'
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
  },
  'run.idle': {
    label: 'Idle speed, in gear',
    dimension: 'speed',
    provenance: 'C',
    range: true,
    source: 'Of the engine: only its manual knows.'
  },
  'torque.head': torque('Cylinder head bolts, torque'),
  'torque.plug': torque('Spark plugs, torque'),
  'torque.flywheel': torque('Flywheel nut, torque'),
  'torque.leg': torque('Leg bolts, torque'),
  'torque.carrier': torque('Bearing carrier, torque'),
  'torque.propeller': torque('Propeller nut, torque'),
  'torque.gearPlugs': torque('Gear case plugs, torque'),
  'torque.sump': torque('Sump drain plug, torque')
} as const satisfies Record<string, Limit>;

export type LimitId = keyof typeof limits;
export const limitIds = Object.keys(limits) as LimitId[];

/** Values of our own where we bring one, SI. The rest are house rules or belong to the engine. */
export const ownLimits = {
  depth: 0.25e-3,
  gapPoints: 6e-3,
  gapElectronic: 9e-3,
  plugGap: 0.9e-3,
  pointsGap: 0.51e-3,
  leakdownWatch: 0.1,
  leakdownFault: 0.2,
  casePressure: 15 * PSI,
  /** Cranking volts with the plugs out under which the starter is too slow to trust what is measured (C). */
  weakVolts: 10.5,
  /** Cranking under this, 1/min, is slow for arm and starter alike (M). */
  slowCranking: 190,
  vaneSet: 20,
  lineVacuum: 4 * 3386.389,
  railLeast: 200e3,
  /** Port injection works at half of this, Pa (M). */
  railMost: 700e3,
  /** Oil pressure, Pa for each 1/min: 10 psi for every 1000 rpm (C, from memory). */
  oilPressure: 68.95,
  dilutionWatch: 0.02,
  dilutionFault: 0.04,
  /** How far from its stamp a thermostat may open, K (M). */
  thermostat: 4,
  headHot: 363.15
} as const;

/** The manual's own value for a limit, with the page it stands on. */
const manualValue = (value: z.ZodMiniNumber) =>
  z.strictObject({
    value,
    /** The upper end, where the manual gives a range. */
    to: z.optional(value),
    page: z.optional(z.string().check(z.maxLength(60))),
    /** The tag of the engine whose card it was taken from. */
    from: z.optional(z.string().check(z.maxLength(40)))
  });
export const manualValueSchema = manualValue(z.number().check(z.positive()));
export type ManualValue = z.infer<typeof manualValueSchema>;

/** The check of one limit's manual value: timing may lie after top, nothing else is at or under zero. */
export const manualValueOf = (id: LimitId): typeof manualValueSchema =>
  dimensionOf(limits[id].dimension).signed ? manualValue(z.number()) : manualValueSchema;

export const manualSchema = z.strictObject(
  Object.fromEntries(limitIds.map((id) => [id, z.optional(manualValueOf(id))])) as Record<
    LimitId,
    z.ZodMiniOptional<typeof manualValueSchema>
  >
);
export type Manual = z.infer<typeof manualSchema>;
