import { isAfter, latestInstant, latestOf, type Instant } from '../../units/instant.ts';
import { school } from '../../house-rules/rules.ts';
import type { Context } from '../../findings/context.ts';
import type { Reading } from '../../record/reading.ts';
import { pourOf } from '../oil/changes.ts';
import { gearCapacity } from './capacity.ts';
import { caseResult } from './case-test.ts';
import { cracked } from './crack.ts';
import { FAR_UNDER } from './water.ts';
import { lastWater } from './wet.ts';

/** Why nothing may turn in this gear case: what is missing in it, wrong with it, or still put on it. */
export type CaseDanger = 'empty' | 'pressure' | 'cracked';

const newest = (c: Context, items: readonly Parameters<Context['record']['all']>[0][]): Reading | undefined =>
  latestOf(items.flatMap((what) => c.record.all(what).filter((r) => r.value !== 'unknown')));

/** The last time that it was said to be filled; "not yet", said later, takes back what was said before it. */
const refilled = (c: Context): Reading | undefined => {
  const said = newest(c, ['gear.refill']);
  return said?.value === 'no' ? undefined : said;
};

/** Drained, or found without oil, and not filled since: some oil pumped in is no full case until it runs out of the level hole. */
export function caseEmpty(c: Context): boolean {
  const drained = c.record.all('gear.drained').findLast((r) => r.value !== 'unknown');
  const dry = c.record.all('gear.look').findLast((r) => r.value === 'none');
  const nothing = c.record.all('gear.first').findLast((r) => r.value === 'nothing');
  const last = latestOf([drained, dry, nothing].filter((r) => r !== undefined));
  if (!last) return false;
  const hole = newest(c, ['gear.levelHole']);
  // Out of the level hole long before the case can be full: air is trapped under it.
  const { asked, cups, poured } = pourOf(c, 'gear');
  const trapped = asked !== undefined && cups > 0 && poured < FAR_UNDER * asked;
  const full = latestOf(
    [refilled(c), hole?.value === 'bubbleFree' && !trapped ? hole : undefined].filter((r) => r !== undefined)
  );
  return isAfter(last.at, full?.at);
}

/**
 * Where the bubbles of a case that leaked in its test stood: shafts and their carriers, a plug, the case itself; nowhere, though soap
 * was used; or nobody looked. With fresh washers and pressure that holds, a leak under vacuum is a lip that lets in and not out
 * (inwards). Air that goes out under pressure bubbles: where two looks with fresh washers show nothing, its way is hidden; where the seals
 * were renewed for that already, it is not by them (not-seals).
 */
export type LeakPlace = 'seals' | 'plugs' | 'housing' | 'nowhere' | 'inwards' | 'hidden' | 'not-seals' | 'unknown';

/** When its seals were last renewed: what weeps at the hub is renewed with them. */
const resealedAt = (c: Context): Instant => latestInstant(c.renewed('look.hub'));

/** Its seals were renewed since water was seen, and no test that is through says whether they hold. */
export function resealedUntested(c: Context): boolean {
  const at = latestInstant(c.renewed('look.hub'));
  if (at === '' || !isAfter(at, lastWater(c))) return false;
  const { verdict } = caseResult(c);
  const tested = c.record.all('gear.casePressure').some((r) => isAfter(r.at, at));
  return !tested || (verdict !== 'held' && verdict !== 'leaked');
}

export function leakPlace(c: Context): LeakPlace {
  const last = c.record.last('gear.caseBubbles');
  const at = last?.value;
  if (!last || !Array.isArray(at)) return 'unknown';
  // Soaped before the work: where it leaks now nobody has seen.
  const again = c.record.all('gear.casePressure').at(-1);
  if (at.length && again && c.worked('gear').some((w) => isAfter(w, last.at) && isAfter(again.at, w))) return 'unknown';
  if (!at.length) {
    const read = c.record.all('gear.casePressure').at(-1);
    // Soaped before this test, or in another round: it says nothing of this leak.
    if (read && c.worked('gear').some((w) => isAfter(w, last.at))) return 'unknown';
    const washers = c.record.all('gear.washers').findLast((r) => r.value === 'yes');
    if (!washers || !read || !isAfter(read.at, washers.at)) return 'nowhere';
    const { low, high, vacuum } = caseResult(c).stages;
    if (vacuum === 'leaks' && low === 'held' && high === 'held') return 'inwards';
    const soaped = c.record
      .all('gear.caseBubbles')
      .filter((r) => isAfter(r.at, washers.at) && !c.worked('gear').some((w) => isAfter(w, r.at)));
    if (soaped.length < 2) return 'nowhere';
    return resealedAt(c) ? 'not-seals' : 'hidden';
  }
  if (at.some((p) => p !== 'plugs' && p !== 'housing')) return 'seals';
  return at.includes('housing') ? 'housing' : 'plugs';
}

/** Air, or a vacuum, was put on the case and nobody said that it was let off; opening or filling it lets it off. */
function underPressure(c: Context): boolean {
  const test = c.record.all('gear.casePressure').findLast((r) => typeof r.value === 'number');
  if (!test || test.value === 0) return false;
  const opening = newest(c, ['gear.caseOpen']);
  const opened = latestOf(
    [
      opening?.value === 'yes' ? opening : undefined,
      refilled(c),
      newest(c, ['gear.poured', 'gear.drained', 'gear.first'])
    ].filter((r) => r !== undefined)
  );
  return opened === undefined || !isAfter(opened.at, test.at);
}

export const caseDangers = (c: Context): CaseDanger[] => [
  ...(cracked(c) ? (['cracked'] as const) : []),
  ...(underPressure(c) ? (['pressure'] as const) : []),
  ...(caseEmpty(c) ? (['empty'] as const) : [])
];

/** Oil was changed after an instant, and before another where one is given: it was said so, or far the most of a fill was poured in. */
function oilChanged(c: Context, at: Instant, until?: Instant): boolean {
  const between = (r: { readonly at: Instant }): boolean =>
    isAfter(r.at, at) && (until === undefined || isAfter(until, r.at));
  const poured = c.record.all('gear.poured').filter(between);
  const sum = poured.reduce((all, r) => all + (typeof r.value === 'number' ? r.value : 0), 0);
  const capacity = gearCapacity(c)?.value;
  return (
    (poured.length > 0 && (capacity === undefined || sum >= FAR_UNDER * capacity)) ||
    c.record.all('gear.refill').some((r) => r.value !== 'no' && r.value !== 'unknown' && between(r))
  );
}

/**
 * Burnt oil: in it now; drained since, with fresh oil in; or burnt once more in fresh oil, until the case was opened for it.
 * Nothing where the latest look at it was another.
 */
export function burntOil(c: Context): { readonly is: 'now' | 'before' | 'again'; readonly at: Instant } | undefined {
  const looks = c.record.all('gear.look').filter((r) => r.value !== 'unknown');
  const last = looks.at(-1);
  if (last?.value !== 'burnt') return undefined;
  const opened = latestInstant(c.renewed('gear.explained'));
  const again = looks.some((r) => r.value === 'burnt' && isAfter(r.at, opened) && oilChanged(c, r.at, last.at));
  return { is: again ? 'again' : oilChanged(c, last.at) ? 'before' : 'now', at: last.at };
}

/**
 * Slivers or pieces that hung on the magnet: parts of gears or bearings. Wiped off they are not explained, so they stand until the case
 * was opened for them, or somebody said what they were. A house that keeps changing the oil over slivers is done with them when
 * the next oil leaves none.
 */
export function metalSeen(c: Context): { readonly what: 'slivers' | 'pieces'; readonly gone: boolean } | undefined {
  const all = c.record.all('gear.magnet').filter((r) => r.value !== 'unknown' && r.value !== 'not-fitted');
  const opened = latestInstant(c.renewed('gear.explained'));
  const metal = all.filter((r) => (r.value === 'slivers' || r.value === 'pieces') && isAfter(r.at, opened));
  const worst = metal.findLast((r) => r.value === 'pieces') ?? metal.at(-1);
  const last = metal.at(-1);
  if (!worst || !last) return undefined;
  const gone = all.at(-1) !== last;
  const changed = worst.value === 'slivers' && school(c.rules, 'magnetMetal') === 'keep' && oilChanged(c, last.at);
  return gone && changed ? undefined : { what: worst.value as 'slivers' | 'pieces', gone };
}

/** The case has no magnet of its own, by its profile or by whoever looked for one. */
export const withoutMagnet = (c: Context): boolean =>
  c.record.value('gear.magnet') === 'not-fitted' || c.survey.engine.profile.magnet === 'not-fitted';

/** Metal was seen on the magnet, and nobody has explained it. */
export const metalOnMagnet = (c: Context): boolean => metalSeen(c) !== undefined && !metalExplained(c);

/** The case was opened and its metal explained, and none was seen after that. */
export function metalExplained(c: Context): boolean {
  const said = newest(c, ['gear.explained']);
  if (said?.value !== 'yes') return false;
  const seen = latestOf(
    [
      c.record.all('gear.magnet').findLast((r) => r.value === 'slivers' || r.value === 'pieces'),
      c.record.all('gear.look').findLast((r) => r.value === 'metallic')
    ].filter((r) => r !== undefined)
  );
  return !seen || !isAfter(seen.at, said.at);
}
