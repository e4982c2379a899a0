import { cylindersOf, type Context } from '../findings/context.ts';
import { findingsOf, practice } from '../findings/collect.ts';
import type { Finding } from '../findings/finding.ts';
import { unmended } from '../findings/unmended.ts';
import { sayValue } from '../items/check-entry.ts';
import { itemsOf, type ItemId, type StationId } from './items.ts';
import { stationIds } from './register.ts';

const BANKS = ['port', 'starboard'] as const;

/** Items of each check whose answer does not go away by itself; told once, since every judgement asks for them. */
const staying = new Map(
  stationIds.map((station) => [
    station,
    Object.entries(itemsOf(station)).flatMap(([key, item]) =>
      item.stays ? [{ key, item, what: `${station}.${key}` as ItemId }] : []
    )
  ])
);

/** Of a check: what was seen and is gone at the next look with nothing done between, as a doubt that one more look closes. */
export function unmendedFindings(c: Context, station: StationId): Finding[] {
  const out = findingsOf(station);
  for (const { key, item, what } of staying.get(station) ?? []) {
    const subjects = item.perCylinder
      ? cylindersOf(c).map((cylinder) => ({ cylinder }))
      : item.perBank
        ? [{}, ...BANKS.map((bank) => ({ bank }))]
        : [{}];
    for (const of of subjects) {
      const found = unmended(c, what, item, of);
      if (!found) continue;
      const said = (value: unknown): string => `“${sayValue(item, value, c.units) || 'none'}”`;
      const at = 'cylinder' in of ? ` of cylinder ${of.cylinder}` : 'bank' in of ? ` of the ${of.bank} bank` : '';
      out.add(
        `again-${key}`,
        'cannot-tell',
        `${item.label}${at}: ${said(found.was.value)} at one look and ${said(found.now.value)} at the next, with nothing done between that would change it. Look once more, or write down what was done.`,
        practice(
          [`then: ${said(found.was.value)}`, `now: ${said(found.now.value)}`],
          'what is cracked, bent, leaking, wet or missing does not mend itself, and what was measured is measured alike again.'
        ),
        'cylinder' in of ? of.cylinder : undefined
      );
      break;
    }
  }
  return out.list.map((f) => ({ ...f, repeat: true as const }));
}

/** The kinds of finding that it can make, each with the item that is looked at once more. */
export const unmendedKinds = (station: StationId): readonly { readonly kind: string; readonly item: ItemId }[] =>
  (staying.get(station) ?? []).map(({ key, what }) => ({ kind: `${station}.again-${key}`, item: what }));
