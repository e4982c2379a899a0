import { ruleNumber, school, schoolSaid, type HouseRules } from '../house-rules/rules.ts';
import { say, type System } from '../units/index.ts';
import type { Offer } from '../record/work.ts';

export interface Choice {
  /** Which offer, or nothing when none can be told from the others. */
  readonly take?: number;
  readonly because: string;
  readonly school: string;
}

/** "kit from the chandler, 38 cr, 3 days". */
export const offerSaid = (o: Offer, units: System): string =>
  [
    `${o.what} from ${o.from}`,
    o.price === undefined ? 'no price' : say(o.price, 'money', units),
    o.days === undefined ? '' : o.days === 0 ? 'at once' : `${o.days} ${o.days === 1 ? 'day' : 'days'}`
  ]
    .filter(Boolean)
    .join(', ');

const cheapest = (list: readonly (readonly [Offer, number])[]): readonly [Offer, number] | undefined =>
  list.reduce<readonly [Offer, number] | undefined>(
    (best, x) => (x[0].price !== undefined && (!best || x[0].price < best[0].price!) ? x : best),
    undefined
  );

/**
 * Which offer to take: for a water pump the house's rule decides between kit and impeller; elsewhere a kit that costs
 * little more than its pieces is taken. Then the cheaper source; two sources may differ several times, and that is said.
 * Prices in cr; an offer without a price cannot be the cheaper one. `pump` says what the pump's finding asks for.
 */
export function chooseOffer(
  offers: readonly Offer[],
  rules: HouseRules,
  units: System,
  pump?: { readonly kit: boolean }
): Choice {
  const extra = ruleNumber(rules, 'kitExtra');
  const all = offers.map((o, k) => [o, k] as const);
  const name = pump
    ? schoolSaid(rules, 'pump')
    : `kit at most ${say(extra, 'share', units)} over its pieces (house rule)`;
  if (!offers.length) return { because: 'No offer was written down.', school: name };
  const kit = cheapest(all.filter(([o]) => o.what === 'kit'));
  const pieces = cheapest(all.filter(([o]) => o.what === 'pieces'));
  const wide = spread(offers, units);
  const take = (x: readonly [Offer, number], why: string): Choice => ({
    take: x[1],
    because: `${why}${wide ? ` ${wide}` : ''}`,
    school: name
  });
  if (pump && (kit || pieces)) {
    const wants = pump.kit && school(rules, 'pump') === 'kit' ? kit : pieces;
    if (wants)
      return take(wants, wants === kit ? 'The pump asks for the whole kit.' : 'The impeller alone is enough here.');
  }
  if (kit && pieces) {
    const more = kit[0].price! / Math.max(pieces[0].price!, 1e-9) - 1;
    return more <= extra
      ? take(
          kit,
          more <= 0
            ? 'The kit costs no more than its pieces.'
            : `The kit costs ${Math.round(more * 100)} % more than its pieces, within the house’s ${Math.round(extra * 100)} %.`
        )
      : take(pieces, `The kit costs ${Math.round(more * 100)} % more than its pieces.`);
  }
  const only = kit ?? pieces;
  return only
    ? take(only, offers.length > 1 ? 'The cheaper one of those with a price.' : 'The only offer with a price.')
    : { because: 'No offer has a price: it cannot be told which is cheaper.', school: name };
}

/** Two sources of one thing far apart are worth a second look: the same part, or another? */
function spread(offers: readonly Offer[], units: System): string {
  for (const what of ['pieces', 'kit'] as const) {
    const prices = offers.filter((o) => o.what === what).flatMap((o) => (o.price ? [o.price] : []));
    const [low, high] = [Math.min(...prices), Math.max(...prices)];
    if (prices.length > 1 && high / low >= 2)
      return `The sources differ ${(high / low).toFixed(1)} times (${say(low, 'money', units)} and ${say(high, 'money', units)}): make sure it is the same part.`;
  }
  return '';
}
