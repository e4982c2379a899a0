import { saySupply, supplyOf, type SupplyId, type SupplyNeed } from '../care/supplies.ts';
import { say, shownUnit, type System } from '../units/index.ts';
import { cheapest, eachWay, type Buying, type Pack } from './packs.ts';

/** One pack by itself: how it is sold, and what the whole amount costs in it. */
export interface Sold {
  /** Its place in the shop's list. */
  readonly index: number;
  /** "bottle of 1.00 L, 22 cr, Quay Stores". */
  readonly said: string;
  /** Nothing where no amount is known. */
  readonly way?: { readonly count: number; readonly price: string; readonly over: string };
  /** "22.00 cr/L", "0.90 cr each". */
  readonly each: string;
}

/** What the work of many engines takes of one supply, and what it costs in each pack and in the cheapest mix of them. */
export interface Together {
  readonly supply: SupplyId;
  readonly label: string;
  /** Nothing where nobody has entered how much. */
  readonly amount?: string;
  readonly engines: number;
  /** Engines of which nobody has entered how much they take. */
  readonly unknown: number;
  /** "1 × tube + 1 × bottle, 31 cr, 0.05 L left over". */
  readonly best?: string;
  readonly packs: readonly Sold[];
}

/** "22 cr", "0.90 cr". */
const moneySaid = (price: number, units: System): string =>
  say(price, 'money', units, Number.isInteger(price) ? 1 : 0.01);

/** "bottle of 1.00 L, 22 cr, Quay Stores". */
export const packSaid = (p: Pack, units: System): string => {
  const content = p.holds === 1 ? '' : ` of ${saySupply(p.supply, p.holds, units)}`;
  return [`${p.called}${content}`, moneySaid(p.price, units), p.from].filter(Boolean).join(', ');
};

/** A price by what it buys: oil by the unit that volumes of it are shown in. */
function eachSaid({ supply, price, holds }: Pack, units: System): string {
  const { dimension } = supplyOf(supply);
  if (!dimension) return `${(price / holds).toFixed(2)} cr each`;
  const unit = shownUnit(dimension, units);
  return `${((price / holds) * unit.factor).toFixed(2)} cr/${unit.symbol}`;
}

const overSaid = (b: Buying, supply: SupplyId, units: System): string =>
  b.over > 0 ? `${saySupply(supply, b.over, units)} left over` : 'nothing left over';

const mixSaid = (b: Buying, supply: SupplyId, units: System): string =>
  `${b.packs.map((p) => `${p.count} × ${p.pack.called}`).join(' + ')}, ${moneySaid(b.price, units)}, ${overSaid(b, supply, units)}`;

/** The packs of one supply, the one in which the whole amount is cheapest first. */
function soldAs(supply: SupplyId, amount: number, packs: readonly Pack[], units: System): Sold[] {
  const mine = packs.flatMap((pack, index) => (pack.supply === supply ? [{ pack, index }] : []));
  const said = (pack: Pack, index: number, b?: Buying): Sold => ({
    index,
    said: packSaid(pack, units),
    each: eachSaid(pack, units),
    ...(b
      ? { way: { count: b.packs[0]!.count, price: moneySaid(b.price, units), over: overSaid(b, supply, units) } }
      : {})
  });
  if (!(amount > 0)) return mine.map(({ pack, index }) => said(pack, index));
  const of = new Map(mine.map(({ pack, index }) => [pack, index]));
  return eachWay(
    amount,
    mine.map((m) => m.pack)
  ).map((b) => said(b.packs[0]!.pack, of.get(b.packs[0]!.pack)!, b));
}

/** What many engines take together, in words. Pure. */
export const togetherOf = (needs: readonly SupplyNeed[], packs: readonly Pack[], units: System): Together[] =>
  needs.map(({ supply, amount, known, unknown }): Together => {
    const best = cheapest(
      amount,
      packs.filter((p) => p.supply === supply)
    );
    return {
      supply,
      label: supplyOf(supply).label,
      ...(known ? { amount: saySupply(supply, amount, units) } : {}),
      engines: known,
      unknown,
      ...(best ? { best: mixSaid(best, supply, units) } : {}),
      packs: soldAs(supply, amount, packs, units)
    };
  });
