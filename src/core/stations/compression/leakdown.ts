import { ownLimits } from '../../engine/limits.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import type { FactOf } from '../../findings/fact.ts';
import { judgedBy } from '../../findings/limit.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { headFace } from './flat.ts';
import { lashFacts } from './lash.ts';
import { overheated, ranWithoutOilUnread } from '../run/overheated.ts';
import { compare } from './compare.ts';
import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { lastSoak, soakedBefore } from '../turn/soak.ts';
import type { LeakDownAnalysed, LeakDownFacts } from './facts.ts';
import { bandsOf, leakDownRows } from './leakdown-rows.ts';

/** Whether air comes to a place past the rings: the two-stroke's crankcase is its intake, and its exhaust a port below the rings at top. */
export const pastRings = (place: string, strokes: 'two' | 'other'): boolean =>
  place === 'crankcase' || (strokes === 'two' && (place === 'exhaust' || place === 'intake'));

/** One piston turned and read again moves it by a third (M): less than that is rings that come free. */
const FREED = 2 / 3;

const takenAt = (c: Context, cylinder: number): Instant => latestAt(c.record.all('compression.leakdown', { cylinder }));

/** Percent by this instrument's own bands, where the air comes out, and lash. */
export function analyseLeakDown(c: Context): LeakDownAnalysed {
  const limit = judgedBy(c, 'compression.leakdown', ownLimits.leakdownWatch);
  const strokes = c.survey.engine.profile.strokes === 'two' ? 'two' : 'other';
  const facts = leakDownRows(c).map(
    ({ cylinder, share, hole, escapes, tester, beforeSoak, disagree, port, against }): LeakDownFact => {
      if (disagree)
        return {
          kind: 'leakdown-disagrees',
          id: 'leakdown',
          repeat: true,
          cylinder,
          condition: 'cannot-tell',
          values: { shares: disagree, valves: strokes !== 'two' }
        };
      if (port) return { kind: 'leakdown-port', repeat: true, cylinder, condition: 'cannot-tell', values: { share } };
      if (against)
        return { kind: 'leakdown-against', repeat: true, cylinder, condition: 'cannot-tell', values: { share } };
      const bands = bandsOf(limit, tester);
      const condition = share >= bands.fault ? 'fault' : share >= bands.watch ? 'watch' : 'sound';
      const gasket = escapes.includes('neighbour') || escapes.includes('edge');
      const through = condition === 'sound' && (gasket || escapes.includes('water'));
      // Into the water jacket and nowhere else: the way in is found from there.
      const jacket = condition === 'fault' && escapes.length > 0 && escapes.every((e) => e === 'water');
      // Past the rings and nowhere else: rings that stood come free by a soak, and what leaks after one is worn.
      const rings = escapes.length > 0 && escapes.every((e) => pastRings(e, strokes)) && condition === 'fault';
      const soaked = soakedBefore(c, takenAt(c, cylinder));
      // It leaks less than before the soak: the rings are coming free, and are given another one.
      const freed = beforeSoak !== undefined && share < FREED * beforeSoak ? beforeSoak : undefined;
      // A light into the bore was asked of it since, whatever it showed: rings tell nothing more without taking it apart.
      const lit = soaked && c.record.all('plugs.hole', { cylinder }).some((r) => isAfter(r.at, lastSoak(c)));
      // A hole or a scored bore that was seen comes free by no soak.
      const sight = c.record.value('plugs.hole', cylinder);
      const seen = sight === 'holed' || sight === 'scored' ? sight : undefined;
      return {
        kind: through ? 'leakdown-through' : gasket && condition !== 'sound' ? 'leakdown-gasket' : 'leakdown',
        ...(jacket ? { id: 'leakdown-water' } : {}),
        ...(rings ? { id: ringsId({ seen, freed, lit, soaked }) } : {}),
        cylinder,
        condition: through ? 'watch' : condition,
        values: {
          share,
          hole,
          escapes,
          bands,
          strokes,
          tester: tester.name,
          ...(rings ? { soaked, lit, ...(seen ? { seen } : {}), ...(freed === undefined ? {} : { freed }) } : {})
        },
        limit
      };
    }
  );
  const suspect = new Set([
    ...facts.flatMap((f) => (f.condition !== 'sound' && f.cylinder !== undefined ? [f.cylinder] : [])),
    ...(compare(c)?.rows ?? []).flatMap((r) => (r.low ? [r.cylinder] : []))
  ]);
  return {
    basis: {},
    facts: [...facts, ...cooked(c), ...unread(c), ...crankcases(c), ...faceFacts(c), ...lashFacts(c, suspect)]
  };
}

/** What a leak past the rings asks for: a soak, another one where it helped, a light into the bore, the price of an overhaul. */
const ringsId = (r: {
  readonly seen: string | undefined;
  readonly freed: number | undefined;
  readonly lit: boolean;
  readonly soaked: boolean;
}): string =>
  r.seen
    ? 'leakdown-overhaul'
    : r.freed !== undefined || !r.soaked
      ? 'leakdown-rings'
      : r.lit
        ? 'leakdown-overhaul'
        : 'leakdown-bore';

type LeakDownFact = FactOf<LeakDownFacts>;

/** Without oil a run takes bores and pistons; far past its limit the head takes gasket, rings and pistons with it: what was read of them before is of before. */
function cooked(c: Context): LeakDownFact[] {
  const over = overheated(c);
  const read = c.record.all('compression.pressure').length + c.record.all('compression.leakdown').length > 0;
  return [
    ...(over
      ? [
          {
            kind: 'overheated',
            condition: 'cannot-tell',
            values: { hottest: over.hottest, limit: over.limit, read }
          } as const
        ]
      : []),
    ...(ranWithoutOilUnread(c) ? [{ kind: 'ran-dry', condition: 'cannot-tell', values: { read } } as const] : [])
  ];
}

/** Air was heard at a cylinder of which no leak-down was read: where it comes out says something, how much it is nobody knows. */
function unread(c: Context): LeakDownFact[] {
  const taken = new Set(c.record.all('compression.leakdown').map((r) => r.cylinder));
  return cylindersOf(c).flatMap((cylinder): LeakDownFact[] => {
    const escapes = c.record.value('compression.escape', cylinder);
    if (taken.has(cylinder) || !Array.isArray(escapes) || !escapes.length) return [];
    return [{ kind: 'escape-unread', cylinder, condition: 'cannot-tell', values: { escapes } }];
  });
}

/** What each crankcase did under pressure, where it was put under any. */
function crankcases(c: Context): LeakDownFact[] {
  if (c.survey.engine.profile.strokes === 'four') return [];
  return cylindersOf(c).flatMap((cylinder): LeakDownFact[] => {
    const at = ofThisPart(c, 'compression.crankcase', cylinder);
    // A crankcase that holds says nothing of a cylinder that nobody measured.
    if (
      at === undefined ||
      (at === 'held' &&
        !c.record.last('compression.pressure', cylinder) &&
        !c.record.last('compression.leakdown', cylinder))
    )
      return [];
    return [{ kind: 'crankcase', cylinder, condition: at === 'held' ? 'sound' : 'fault', values: { at } }];
  });
}

function faceFacts(c: Context): LeakDownFact[] {
  const face = headFace(c);
  if (!face) return [];
  const condition = face.verdict === 'fits' ? 'sound' : face.verdict === 'dress' ? 'watch' : 'fault';
  return [{ kind: 'flatness', condition, values: face }];
}
