import { latestAt } from '../../units/instant.ts';
import { known } from '../../engine/profile.ts';
import { ruleNumber } from '../../house-rules/rules.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { judgedBy } from '../../findings/limit.ts';
import { absolute } from '../../stations/compression/absolute.ts';
import { floorOf } from '../../stations/compression/floor.ts';
import { tightOnes, wetIsFor } from '../../stations/compression/analyse.ts';
import { compare, compareAll, comparedRows, type Comparison } from '../../stations/compression/compare.ts';
import type { LeakTester } from '../../physics/leak-down.ts';
import { LASHES, lashOf, type Lash } from '../../stations/compression/lash.ts';
import { leakBands, leakDownRows, speaks } from '../../stations/compression/leakdown-rows.ts';
import { pastRings } from '../../stations/compression/leakdown.ts';
import { beltSetSince, beltUnproved } from '../../stations/turn/belt.ts';
import { soakedBefore } from '../../stations/turn/soak.ts';
import { oddWeight } from '../../stations/compression/odd-high.ts';
import { pressureTests } from '../../stations/compression/tests.ts';
import { judgeWet } from '../../stations/compression/wet.ts';
import { leaning, past, seen, type Measure, type Observed } from './observed.ts';

const latest = (c: Context): string => compare(c)?.at ?? '';

/** Φ of the standard normal; Abramowitz & Stegun 26.2.17, |error| < 7.5e-8 (P). */
function normal(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x));
  const tail =
    ((((1.330274429 * t - 1.821255978) * t + 1.781477937) * t - 0.356563782) * t + 0.31938153) *
    t *
    Math.exp((-x * x) / 2) *
    0.3989422804;
  return x > 0 ? 1 - tail : tail;
}

/** Sound cylinders stand this far under the best, share, with this scatter (M). */
const SOUND = { mean: 0.03, sd: 0.035 } as const;
/** A low one stands anywhere between these shares under the best (M). */
const LOW = { from: 0.09, to: 0.95 } as const;

/** P(deficit | low), P(deficit | sound): the deficit under the best with its own scatter. */
export function deficitLikelihood(deficit: number, u: number): readonly [number, number] {
  const sd = Math.max(u, 0.005);
  const spread = Math.hypot(SOUND.sd, sd);
  const z = (deficit - SOUND.mean) / spread;
  const sound = deficit < SOUND.mean ? 1 / (spread * 2.5066) : Math.exp((-z * z) / 2) / (spread * 2.5066);
  const low = (normal((deficit - LOW.from) / sd) - normal((deficit - LOW.to) / sd)) / (LOW.to - LOW.from);
  return [low, sound];
}

/** Of one cylinder alone, or of all together: against the manual's figure, else its kind's range, which only leans. */
function againstFigure(c: Context, found: Comparison): readonly [number, number] | undefined {
  const figure = judgedBy(c, 'compression.figure');
  const a = absolute(c, found);
  const best = Math.max(...comparedRows(found).map((r) => r.mean));
  if (figure) return deficitLikelihood(1 - best / figure.value, Math.hypot(0.04, a.gauge / figure.value));
  // What is asked of it is what the check asks of it: what its size gives, else its kind's range.
  const floor = floorOf(c, found)?.values.floor;
  if (floor === undefined) return undefined;
  // Such a floor opens a question and never answers it: at most five to one.
  const ratio = Math.exp(Math.max(-1.6, Math.min(1.6, (8 * (floor - a.best)) / floor)));
  return [ratio, 1];
}

/** Leak-down has answered what a low needle asked: tight is no worn ring, valve or gasket, and the needle says nothing either way. */
const answered = (at: string): Observed => leaning(1, 1, at);

const low: Measure = (c, cylinder) => {
  const found = compare(c);
  const row = found?.rows.find((r) => r.cylinder === cylinder);
  // Readings that do not agree with one another say nothing until one of them is repeated.
  if (!found || !row || row.scattered) return undefined;
  if (tightOnes(c).has(row.cylinder)) return answered(latest(c));
  if (found.rows.length === 1) {
    if (cylindersOf(c).length > 1) return undefined;
    const l = againstFigure(c, found);
    return l && leaning(l[0], l[1], latest(c));
  }
  const best = Math.max(...comparedRows(found).map((r) => r.mean));
  if (best <= 0) return undefined;
  const [p, q] = deficitLikelihood(1 - row.mean / best, (1.4 * row.u) / best);
  // Beside one that reads more than such engines give, being under it says little, and nothing at all where that is plain.
  const says = 1 - oddWeight(c, found);
  return p > q ? leaning(p ** says, q ** says, latest(c)) : leaning(p, q, latest(c));
};

const lowAll: Measure = (c) => {
  const found = compare(c);
  // Read with the throttle shut only: low they are, and the throttle alone explains it.
  const shut = found ? undefined : compareAll(c)?.voided.findLast((v) => v.why === 'throttle');
  if (shut) return leaning(1, 0.35, shut.test.at);
  if (!found || found.rows.length < 2 || comparedRows(found).some((r) => r.scattered)) return undefined;
  if (beltSetSince(c, found.at)) return answered(latest(c));
  const tight = tightOnes(c);
  // Low and tight: only valves that open at the wrong time are left, where a belt that nobody has seen drives them.
  if (!found.missing.length && found.rows.every((r) => tight.has(r.cylinder)) && !beltUnproved(c))
    return answered(latest(c));
  const l = againstFigure(c, found);
  return l && leaning(l[0], l[1], latest(c));
};

/** Whether a test was made as it should be: throttle open, gauge at the plug, order not to blame. */
function proper(found: Comparison): boolean {
  const { instrument, conditions, order } = found;
  const seated = instrument.valve === 'plug end' || instrument.adapterVolume === 0;
  return seated && conditions.throttle === 'open' && !order?.confounded;
}
/** Low a second time, beside one that is itself not too high to be true. */
const lowTwice = (c: Context, found: Comparison): boolean => oddWeight(c, found) === 0;

const lowAgain: Measure = (c, cylinder) => {
  const found = compare(c);
  const row = found?.rows.find((r) => r.cylinder === cylinder);
  if (!found || !row || !proper(found)) return undefined;
  const others = pressureTests(c).filter((r) => r.cylinder === cylinder).length;
  const cameUp = !row.low && found.unlike.some((u) => u.cylinder === cylinder);
  if (row.low && row.readings.length > 1) return lowTwice(c, found) ? seen(true, latest(c)) : undefined;
  return cameUp && others > 1 ? seen(false, latest(c)) : undefined;
};

const throttle: Measure = (c) => {
  const all = compareAll(c);
  const shut = all?.voided.findLast((v) => v.why === 'throttle');
  if (shut) return seen(true, shut.test.at);
  const t = all?.conditions.throttle;
  return t === 'open' || t === 'shut' ? seen(t === 'shut', latest(c)) : undefined;
};

/** Adapter volume that counts, m³ (M): under it the reading loses less than a gauge's division. */
const COUNTS = 1.5e-6;
const adapter: Measure = (c) => {
  const i = compare(c)?.instrument;
  if (!i || (i.valve === undefined && i.adapterVolume === undefined)) return undefined;
  if (i.valve === 'plug end' || i.adapterVolume === 0) return seen(false, latest(c));
  return i.adapterVolume === undefined ? undefined : seen(i.adapterVolume > COUNTS, latest(c));
};

const order: Measure = (c) => {
  const o = compare(c)?.order;
  return o && seen(o.confounded, latest(c));
};

const bores: Measure = (c) => {
  const b = compare(c)?.conditions.bores;
  if (b === 'oiled') return seen(false, latest(c));
  const years = known(c.survey.engine.history.yearsIdle);
  if (b !== 'dry' || years === undefined) return undefined;
  return seen(years > ruleNumber(c.rules, 'boreOilYears'), latest(c));
};

const falls: Measure = (c, _k, found) =>
  found.has('compression.falls')
    ? seen(true, latest(c))
    : c.record.all('compression.pulls').length
      ? seen(false, latest(c))
      : undefined;

const wet: Measure = (c, cylinder) => {
  const found = compare(c);
  const mine = found?.wet.find((w) => w.cylinder === cylinder);
  const dry = found?.rows.find((r) => r.cylinder === cylinder);
  // Oil beside a dry reading that is still doubted says nothing: both may be of the one slip.
  if (!found || !mine || !dry || dry.scattered || (dry.low && dry.readings.length < 2)) return undefined;
  if (!wetIsFor(c, found)(dry)) return undefined;
  const { verdict, oil } = judgeWet(c, dry, mine);
  if (!oil || verdict === 'lower') return undefined;
  // What the oil's own volume does not explain, against what readings and dose may be off.
  const off = Math.hypot(dry.u, mine.u, (oil.high - oil.low) / 4, 0.02 * dry.mean);
  return past(mine.mean - (oil.low + oil.high) / 2, 1.5 * off, off, latest(c));
};

const wetAll: Measure = (c) => {
  const found = compare(c);
  if (!found || found.rows.length < 2 || found.wet.length < found.rows.length) return undefined;
  const up = found.wet.every((w) => {
    const dry = found.rows.find((r) => r.cylinder === w.cylinder);
    return dry && ['rings', 'open', 'unmeasured'].includes(judgeWet(c, dry, w).verdict) && w.mean > 1.1 * dry.mean;
  });
  return seen(up, latest(c));
};

const row = (c: Context, cylinder: number | undefined) => leakDownRows(c).find((r) => r.cylinder === cylinder);
const leakAt = (c: Context): string =>
  latestAt([...c.record.all('compression.leakdown'), ...c.record.all('compression.escape')]);

/** Where a tester's bands of watch and fault meet, and what share of them a reading may be off (M). */
function leakPast(c: Context, share: number, tester: LeakTester, bound: { least?: number; most?: number } = {}) {
  const { watch, fault } = leakBands(c, tester);
  return past(share, (watch + fault) / 2, Math.max(0.3 * (fault - watch), 0.025), leakAt(c), bound);
}

/** Twelve per cent and forty-eight are different evidence. Two that do not agree say nothing until one of them is repeated. */
const leakdown: Measure = (c, cylinder) => {
  const r = row(c, cylinder);
  return r && speaks(r) ? leakPast(c, r.share, r.tester) : undefined;
};
/** Air heard at a place; a tight cylinder clears every place, a leaking one only those that were listened to. */
const air =
  (...places: readonly string[]): Measure =>
  (c, cylinder) =>
    airAt(c, cylinder, (e) => places.includes(e));
/** Air past the rings, wherever it comes to. */
const airPastRings: Measure = (c, cylinder) => {
  const strokes = c.survey.engine.profile.strokes === 'two' ? 'two' : 'other';
  return airAt(c, cylinder, (e) => pastRings(e, strokes));
};
function airAt(c: Context, cylinder: number | undefined, here: (place: string) => boolean): ReturnType<Measure> {
  const r = row(c, cylinder);
  if (!r || !speaks(r)) return undefined;
  if (r.escapes.some(here)) return seen(true, leakAt(c));
  if (r.escapes.length) return seen(false, leakAt(c));
  const o = leakPast(c, r.share, r.tester, { most: 0 });
  return o.likelihood.present < 1 ? o : undefined;
}

/** Leak-down taken after a soak: as much as before, or sealed. */
const soakNoHelp: Measure = (c, cylinder) => {
  const r = row(c, cylinder);
  const at = latestAt(c.record.all('compression.leakdown', cylinder === undefined ? {} : { cylinder }));
  if (!r || !speaks(r) || !soakedBefore(c, at)) return undefined;
  return leakPast(c, r.share, r.tester);
};

/** Cold lash at which carbon or a warm stem may hold a valve open as likely as not, and how well a feeler tells it, m (M). */
const LASH_CLOSES = 0.05e-3;
const LASH_TOLD = 0.012e-3;

const lash: Measure = (c, cylinder) => {
  const of = (item: Lash): number | undefined => known(ofThisPart(c, item, cylinder));
  const values = LASHES.flatMap((item) => of(item) ?? []);
  const closest = Math.min(...values);
  // One that stands open says nothing of the other, from which the air may come.
  const told = lashOf(c, cylinder).every((item) => of(item) !== undefined) || closest <= LASH_CLOSES;
  if (!values.length || !told) return undefined;
  return past(
    -closest,
    -LASH_CLOSES,
    LASH_TOLD,
    latestAt([...c.record.all('compression.lashIn'), ...c.record.all('compression.lashEx')])
  );
};

export const compressionMeasures: Readonly<Record<string, Measure>> = {
  low,
  'low-all': lowAll,
  'low-again': lowAgain,
  throttle,
  adapter,
  order,
  bores,
  falls,
  wet,
  'wet-all': wetAll,
  leakdown,
  'soak-no-help': soakNoHelp,
  'air-valve': air('intake', 'exhaust'),
  'air-crankcase': airPastRings,
  'air-gasket': air('neighbour'),
  'air-edge': air('edge'),
  'air-water': air('water'),
  lash
};
