import { ownLimits } from '../../engine/limits.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';
import { keep } from '../../findings/keep.ts';
import { measure } from '../../measurements/measure.ts';
import { drowned } from '../../record/drowned.ts';
import { boreWork } from './measure.ts';
import { worseSinceRun } from './since-run.ts';
import { compare } from './compare.ts';
import { floorOf, reachesAnyway } from './floor.ts';
import { bandOn, holeOfLeakDown, publishedTester, type LeakTester } from '../../physics/leak-down.ts';
import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { inSoak, soakedAt, soakedBefore } from '../turn/soak.ts';
import type { Instrument, Reading } from '../../record/reading.ts';
import type { LeakBands } from './facts.ts';

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

/** What leak-down says of each cylinder that it speaks for: tight, or past its limit; in between it says neither. */
export function leakDownSays(c: Context): Record<'tight' | 'leaking', ReadonlySet<number>> {
  const limit = judgedBy(c, 'compression.leakdown', ownLimits.leakdownWatch);
  const rows = leakDownRows(c).filter(speaks);
  const of = (is: (share: number, bands: LeakBands) => boolean): ReadonlySet<number> =>
    new Set(rows.filter((r) => is(r.share, bandsOf(limit, r.tester))).map((r) => r.cylinder));
  return { tight: of((share, b) => share < b.watch), leaking: of((share, b) => share >= b.fault) };
}
