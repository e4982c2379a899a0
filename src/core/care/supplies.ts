import { cylinderCount, known } from '../engine/profile.ts';
import type { Engine } from '../engine/engine.ts';
import { BORE_OIL } from '../procedures/figures.ts';
import { capacityOf } from '../stations/gear/capacity.ts';
import { plugCount } from '../stations/gear/refill.ts';
import { say, type DimensionName, type System } from '../units/index.ts';

interface Supply {
  readonly label: string;
  /** Of its amount; pieces where it has none. */
  readonly dimension?: DimensionName;
  /** What one engine takes, m³ or pieces; nothing where nobody entered what it depends on. */
  readonly amount: (e: Engine) => number | undefined;
}

/** What is bought by the bottle or the set and goes into many engines, with how much of it one takes. C: common practice. */
export const supplies = {
  engineOil: {
    label: 'engine oil',
    dimension: 'oil',
    amount: ({ profile }) => known(profile.sumpWithFilter) ?? known(profile.sumpWithoutFilter)
  },
  oilFilter: { label: 'oil filters', amount: () => 1 },
  gearOil: {
    label: 'gear oil',
    dimension: 'oil',
    amount: capacityOf
  },
  plugWashers: { label: 'plug washers', amount: ({ profile }) => plugCount(profile) },
  sparkPlugs: { label: 'spark plugs', amount: ({ profile }) => cylinderCount(profile) },
  boreOil: {
    label: 'oil for the bores',
    dimension: 'volume',
    amount: ({ profile }) => {
      const swept = known(profile.displacement);
      return swept === undefined || cylinderCount(profile) === undefined ? undefined : swept * BORE_OIL.high;
    }
  }
} as const satisfies Readonly<Record<string, Supply>>;

export type SupplyId = keyof typeof supplies;
export const supplyIds = Object.keys(supplies) as [SupplyId, ...SupplyId[]];
export const supplyOf = (id: SupplyId): Supply => supplies[id];

/** What many engines need of one thing together. */
export interface SupplyNeed {
  readonly supply: SupplyId;
  /** m³ or pieces. */
  readonly amount: number;
  /** Engines that are counted in, and those of which nobody knows how much. */
  readonly known: number;
  readonly unknown: number;
}

/** Adds up what is known and counts what is not; nothing where no engine needs it. */
export function addUp(supply: SupplyId, amounts: readonly (number | undefined)[]): SupplyNeed[] {
  if (!amounts.length) return [];
  const told = amounts.filter((x) => x !== undefined);
  return [
    {
      supply,
      amount: told.reduce((s, x) => s + x, 0),
      known: told.length,
      unknown: amounts.length - told.length
    }
  ];
}

/** Amounts are said to ten millilitres: a quarter of a litre is a common bottle. */
const SAID = 1e-5;

/** "2.40 L", "12". */
export const saySupply = (id: SupplyId, amount: number, units: System): string => {
  const { dimension } = supplyOf(id);
  return dimension ? say(amount, dimension, units, SAID) : String(amount);
};
