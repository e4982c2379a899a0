import { ownLimits } from '../../engine/limits.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import type { FactOf } from '../../findings/fact.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';
import { bandOn, holeOfLeakDown, publishedTester, type LeakTester } from '../../physics/leak-down.ts';
import { keep } from '../../findings/keep.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { measure } from '../../measurements/measure.ts';
import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { lashFacts } from './lash.ts';
import { compare } from './compare.ts';
import { headFace } from './flat.ts';
import { floorOf, reachesAnyway } from './floor.ts';
import { overheated, ranWithoutOilUnread } from '../run/overheated.ts';
import { drowned } from '../../record/drowned.ts';
import { inSoak, lastSoak, soakedAt, soakedBefore } from '../turn/soak.ts';
import { boreWork } from './measure.ts';
import { worseSinceRun } from './since-run.ts';
import type { Instrument, Reading } from '../../record/reading.ts';
import type { LeakBands, LeakDownAnalysed, LeakDownFacts } from './facts.ts';

export interface LeakDownRow {
  readonly cylinder: number;
  /** Mean of the repeats, drop over supply. */
  readonly share: number;
  /** The hole that would make this tester show it, m. */
  readonly hole: number;
  readonly escapes: readonly string[];
  readonly tester: Tester;
  /** Its readings, where they lie further apart than one turned piston explains: none of them counts. */
  readonly disagree?: readonly number[];
  /** What it leaked before the soak since which it was read, drop over supply. */
  readonly beforeSoak?: number;
  /** Read once, with air at the exhaust of a two-stroke: an uncovered port leaks as a worn bore does. */
  readonly port?: true;
  /** Read once, and a leak that its compression would have shown: the piston was not at top, or a valve not shut. */
  readonly against?: true;
}

/** Whether anything may be built on it: nothing is, while it is to be repeated. */
export const speaks = (r: LeakDownRow): boolean => !r.disagree && !r.port && !r.against;

type Tester = LeakTester & { readonly name: string };

/** The tester of a reading; the published one where none was named. */
function testerFrom(instrument: Instrument | undefined): Tester {
  return {
    name: instrument?.name ?? 'published tester, 80 psi and 0.040 in',
    supply: instrument?.supply ?? publishedTester.supply,
    restrictor: instrument?.restrictor ?? publishedTester.restrictor
  };
}

/** Readings of one cylinder further apart than this, share of the supply, are not of the same thing (M). */
const DISAGREE = 0.15;
/** What a tester shows as all of it: no hole is endless, share. */
const MOST_LOST = 0.999;

/** So many that agree in a row close the doubt about those before them (C). */
const SETTLES = 3;

/** Whether air comes to a place past the rings: the two-stroke's crankcase is its intake, and its exhaust a port below the rings at top. */
export const pastRings = (place: string, strokes: 'two' | 'other'): boolean =>
  place === 'crankcase' || (strokes === 'two' && (place === 'exhaust' || place === 'intake'));

/** Work was done on the cylinders after a leak-down, and their compression read after that: the leak-down is what was cured. */
function curedSince(c: Context, cylinder: number, at: Instant): boolean {
  const pressed = latestAt([
    ...c.record.all('compression.pressure', { cylinder }),
    ...c.record.all('compression.pulls', { cylinder })
  ]);
  return boreWork(c).some((w) => isAfter(w, at) && isAfter(pressed, w));
}

/**
 * Whether the needle found no such leak between the same works: dry, all alike, and reaching what a sound one of its kind
 * usually reads.
 */
function needleSawNone(c: Context, cylinder: number, at: Instant): boolean {
  const found = compare(c);
  if (!found?.rows.some((r) => r.cylinder === cylinder) || !reachesAnyway(found, floorOf(c, found))) return false;
  return !boreWork(c).some((w) => isAfter(w, found.at) !== isAfter(w, at));
}

/** What was read before, where a soak had its day between the two. */
function soakBetween(c: Context, before: Reading | undefined, now: Reading): Pick<LeakDownRow, 'beforeSoak'> {
  const soaked =
    before && soakedAt(c).some((at) => isAfter(at, before.at) && isAfter(now.at, at)) && soakedBefore(c, now.at);
  return soaked ? { beforeSoak: before.value as number } : {};
}

/** One piston turned and read again moves it by a third (M): less than that is rings that come free. */
const FREED = 2 / 3;

/** Leak-down of each cylinder as it stands now. */
export const leakDownRows = (c: Context): readonly LeakDownRow[] => keep(c, rowsOf);

/**
 * Water was seen on its plug, in its hole, or on a plug after a run: air that comes out in the water there is the same way in, seen from the
 * other side, and a needle sees little of it. Of an engine that was under, the water tells of that.
 */
const waterSeen = (c: Context, cylinder: number): boolean =>
  !drowned(c) &&
  (c.record.all('plugs.read', { cylinder }).some((r) => Array.isArray(r.value) && r.value.includes('water')) ||
    c.record.all('plugs.hole', { cylinder }).some((r) => r.value === 'water') ||
    c.record.all('run.plugAfter').some((r) => r.value === 'wet'));

function rowsOf(c: Context): readonly LeakDownRow[] {
  const numbers = c.record
    .all('compression.leakdown')
    .filter((r): r is typeof r & { readonly value: number } => typeof r.value === 'number');
  // Tight in the oil of a soak says nothing: how it was before stands until its day is over. What leaks in it would leak all the more
  // without it, and is how it was once it was read after that day.
  const leaksOiled = (r: (typeof numbers)[number]): boolean =>
    r.value >= leakBands(c, testerFrom(r.instrument)).fault &&
    !numbers.some((x) => x.cylinder === r.cylinder && isAfter(x.at, r.at) && !inSoak(c, x.at));
  // Air that left the old rings, or the old gasket, is none of the new ones'.
  const renewed = latestAt(c.renewed('compression.leakdown').map((at) => ({ at })));
  const taken = measure(
    numbers.filter((r) => isAfter(r.at, renewed) && (!inSoak(c, r.at) || leaksOiled(r))),
    {
      subject: (r) => String(r.cylinder),
      key: (r) => r.instrument?.name ?? '',
      rank: () => 0,
      voided: () => undefined
    },
    boreWork(c)
  );
  return cylindersOf(c).flatMap((cylinder) => {
    const { groups = [], before = [] } = taken.get(String(cylinder)) ?? {};
    const all = groups[0]?.readings ?? [];
    if (!all.length || curedSince(c, cylinder, all.at(-1)!.at)) return [];
    // Where the air came out before the last work, or soak, is where it came out then.
    const since = latestAt(
      boreWork(c)
        .filter((at) => isAfter(all[0]!.at, at))
        .map((at) => ({ at }))
    );
    const heard = c.record
      .all('compression.escape', { cylinder })
      .filter((r) => Array.isArray(r.value) && (!since || isAfter(r.at, since)));
    // A single cylinder has no neighbour that its air could come out at.
    const escapes = ((heard.at(-1)?.value ?? []) as readonly string[]).filter(
      (e) => e !== 'neighbour' || cylindersOf(c).length !== 1
    );
    // The first air at the exhaust may have come past the port: what is read after that, at top, speaks in its place.
    const atPort =
      c.survey.engine.profile.strokes === 'two'
        ? heard.find((r) => (r.value as readonly string[]).includes('exhaust'))
        : undefined;
    const after = atPort ? all.slice(Math.max(1, all.filter((r) => !isAfter(r.at, atPort.at)).length)) : [];
    // Tight, as the needle said: that closes the doubt about those before it, which were off their top.
    const closing = needleSawNone(c, cylinder, all.at(-1)!.at)
      ? all.findIndex((r) => (r.value as number) < leakBands(c, testerFrom(r.instrument)).watch)
      : -1;
    const telling = after.length ? after : all.slice(Math.max(0, closing));
    // Tight, then run, and no more tight: it went in that run, and is no slip of the tester.
    const readings = worseSinceRun(c, telling, DISAGREE) ?? telling;
    const values = readings.map((r) => r.value as number);
    const apart = (list: readonly number[]): boolean => Math.max(...list) - Math.min(...list) > DISAGREE;
    // Three in a row that agree have closed the doubt: what was read before them was not at top, or a valve that had not shut.
    const settled = values.slice(-SETTLES);
    const closed = settled.length === SETTLES && !apart(settled);
    const disagree = apart(values) && !closed;
    const counted = closed && apart(values) ? settled : values;
    const share = counted.reduce((a, b) => a + b, 0) / counted.length;
    const tester = testerFrom(readings.at(-1)?.instrument);
    const port = atPort && all.length === 1 && share >= leakBands(c, tester).watch;
    const against =
      !port &&
      all.length === 1 &&
      share >= leakBands(c, tester).fault &&
      needleSawNone(c, cylinder, all[0]!.at) &&
      !(escapes.includes('water') && waterSeen(c, cylinder));
    return [
      {
        cylinder,
        share,
        hole: holeOfLeakDown(Math.min(share, MOST_LOST), tester),
        escapes,
        tester,
        ...soakBetween(c, before.at(-1), all[0]!),
        ...(disagree ? { disagree: values } : {}),
        ...(port ? { port } : {}),
        ...(against ? { against } : {})
      }
    ];
  });
}

/** A manual's figure belongs to its own tester; our bands are written for the published one and moved to this one. */
export const bandsOf = (limit: Judged, tester: LeakTester): LeakBands =>
  limit.manual
    ? { watch: limit.value, fault: 2 * limit.value, limit }
    : { watch: bandOn(ownLimits.leakdownWatch, tester), fault: bandOn(ownLimits.leakdownFault, tester), limit };

/** The bands of this engine on a tester. */
export const leakBands = (c: Context, tester: LeakTester): LeakBands =>
  bandsOf(judgedBy(c, 'compression.leakdown', ownLimits.leakdownWatch), tester);

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
          values: { shares: disagree }
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

/** What leak-down says of each cylinder that it speaks for: tight, or past its limit; in between it says neither. */
export function leakDownSays(c: Context): Record<'tight' | 'leaking', ReadonlySet<number>> {
  const limit = judgedBy(c, 'compression.leakdown', ownLimits.leakdownWatch);
  const rows = leakDownRows(c).filter(speaks);
  const of = (is: (share: number, bands: LeakBands) => boolean): ReadonlySet<number> =>
    new Set(rows.filter((r) => is(r.share, bandsOf(limit, r.tester))).map((r) => r.cylinder));
  return { tight: of((share, b) => share < b.watch), leaking: of((share, b) => share >= b.fault) };
}
