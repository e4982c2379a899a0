import * as z from 'zod/mini';
import { supplyIds, supplyOf, type SupplyId } from '../care/supplies.ts';

const short = (what: string) =>
  z.string().check(z.trim(), z.minLength(1, `name the ${what}`), z.maxLength(60, 'sixty letters at most'));

/** Volumes are counted in whole mL, so that sums of bottles come out even. */
const ML = 1e-6;
const volume = (p: { readonly supply: SupplyId }): boolean => supplyOf(p.supply).dimension !== undefined;

/** How a supply is sold: a can, a bottle, a set, a single piece; with what is in it, m³ or pieces, and its price, cr. */
export const packSchema = z
  .strictObject({
    supply: z.enum(supplyIds),
    called: short('pack'),
    holds: z.number().check(z.gt(0, 'an empty pack is no pack'), z.lte(1000, 'that is no pack any more')),
    price: z.number().check(z.gte(0, 'a price is not negative'), z.lte(1e6)),
    from: z.optional(short('source'))
  })
  .check(
    z.refine((p) => (volume(p) ? p.holds >= ML && p.holds <= 1 : Number.isInteger(p.holds)), {
      path: ['holds'],
      message: 'An amount up to a cubic metre, or a whole number of pieces.'
    })
  );
export type Pack = z.infer<typeof packSchema>;
/** More ways of buying six things are a price list of somebody else’s. */
export const MOST_PACKS = 100;
/** Every pack that the shop knows. */
export const packsSchema = z.array(packSchema).check(z.maxLength(MOST_PACKS));

/** One way to buy an amount. */
export interface Buying {
  /** Packs by their place in the list, and how many of each. */
  readonly packs: readonly { readonly pack: Pack; readonly count: number }[];
  readonly price: number;
  /** m³ or pieces that are left over. */
  readonly over: number;
}

const wholes = (p: Pack): number => Math.max(1, Math.floor(volume(p) ? p.holds / ML + 1e-6 : p.holds + 1e-9));
const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** So many of one pack alone. */
function alone(pack: Pack, need: number, unit: number): Buying {
  const count = Math.ceil(need / wholes(pack));
  return { packs: [{ pack, count }], price: count * pack.price, over: (count * wholes(pack) - need) * unit };
}

/** Each pack by itself, the cheapest first. `amount`: m³ or pieces, over nothing. */
export function eachWay(amount: number, packs: readonly Pack[]): Buying[] {
  return packs
    .map((p) => alone(p, wholeNeed(amount, p), volume(p) ? ML : 1))
    .sort((a, b) => a.price - b.price || a.over - b.over);
}

/** What has to be there at least, in mL or pieces. */
const wholeNeed = (amount: number, p: Pack): number => Math.ceil(volume(p) ? amount / ML - 1e-6 : amount - 1e-9);

/** Prices that differ by less are the same, cr. */
const CENT = 1e-6;
/** Amounts that are worked out one by one, in steps of what all packs divide by: beyond them the best pack fills the rest. */
const MOST_STEPS = 500_000;

/**
 * The cheapest packs that together hold an amount, exactly: of equal prices the one that leaves less over, then the fewer packs. Packs of
 * one supply only. The covering problem is solved by dynamic programming over what is still missing; of a large amount the part that the
 * pack of the best price by content fills in any case is taken off first: of other packs fewer than that pack's own size are ever bought,
 * since among so many some add up to a multiple of it and cost no less (pigeonhole).
 *
 * @param amount m³ or pieces, over nothing.
 * @returns nothing where no pack is known. Throws RangeError on packs of two supplies.
 */
export function cheapest(amount: number, packs: readonly Pack[]): Buying | undefined {
  const [first] = packs;
  if (!first || !(amount > 0)) return undefined;
  if (packs.some((p) => p.supply !== first.supply)) throw new RangeError('packs of one supply only');
  const unit = volume(first) ? ML : 1;
  const need = wholeNeed(amount, first);
  const step = packs.map(wholes).reduce(gcd);
  const size = packs.map((p) => wholes(p) / step);
  const missing = Math.ceil(need / step);
  const best = packs.reduce((b, p, k) => (p.price / size[k]! < packs[b]!.price / size[b]! ? k : b), 0);
  const most = Math.min(MOST_STEPS, size[best]! * Math.max(...size));
  const sure = missing > most + size[best]! ? Math.floor((missing - most) / size[best]!) : 0;
  const rest = missing - sure * size[best]!;
  // For each amount still missing: the price, what is bought, in how many packs, and the pack that was taken for it.
  const [price, bought] = [new Float64Array(rest + 1), new Float64Array(rest + 1)];
  const [number, taken] = [new Int32Array(rest + 1), new Int32Array(rest + 1)];
  for (let m = 1; m <= rest; m++) {
    price[m] = Infinity;
    for (let k = 0; k < packs.length; k++) {
      const left = Math.max(0, m - size[k]!);
      const cost = price[left]! + packs[k]!.price;
      const [amountThen, packsThen] = [bought[left]! + size[k]!, number[left]! + 1];
      const dearer = cost - price[m]!;
      if (dearer > CENT || (dearer >= -CENT && (amountThen - bought[m]! || packsThen - number[m]!) >= 0)) continue;
      [price[m], bought[m], number[m], taken[m]] = [cost, amountThen, packsThen, k];
    }
  }
  const counts = packs.map((_, k) => (k === best ? sure : 0));
  for (let m = rest; m > 0; m = Math.max(0, m - size[taken[m]!]!)) counts[taken[m]!]!++;
  const held = counts.reduce((s, n, k) => s + n * size[k]!, 0) * step;
  return {
    packs: packs.flatMap((pack, k) => (counts[k] ? [{ pack, count: counts[k] }] : [])),
    price: counts.reduce((s, n, k) => s + n * packs[k]!.price, 0),
    over: (held - need) * unit
  };
}
