import { LASHES } from './lash.ts';
import { asBank, lowSinceTight } from './low-bank.ts';
import { neighbours } from '../../engine/banks.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { boreOil } from '../plugs/oil-in-bores.ts';
import { absolute } from './absolute.ts';
import { ceiling, seaLevel } from './ceiling.ts';
import { comparedRows, compareAll, DOUBT, readInSoak, type Comparison } from './compare.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { beltSetSince, beltUnproved } from '../turn/belt.ts';
import { inSoak, lastSoak, soakedAt } from '../turn/soak.ts';
import { deadVolume } from './measure.ts';
import { isAfter } from '../../units/instant.ts';
import type { Row } from './row.ts';
import type { TestAnalysed, TestFact } from './facts.ts';
import { excuseOf, floorOf, reaches, reachesAnyway, readsNothing, type Floor } from './floor.ts';
import { headOff } from './head-off.ts';
import { leakDownRows, leakDownSays, speaks } from './leakdown-rows.ts';
import { oddHigh } from './odd-high.ts';
import { cylinderOf } from './shape.ts';
import { oilOnLow, wetFacts } from './wet.ts';

/** What one round of compression readings establishes; nothing before one was taken. */
export function analyseTest(c: Context): TestAnalysed | undefined {
  const found = compareAll(c);
  if (!found) return undefined;
  // Nothing is said of readings that say nothing, but that they do.
  if (!found.rows.length) return { basis: found, facts: artefacts(c, found, false) };
  const floor = floorOf(c, found);
  // Read under other conditions is read: it is asked for again, not for the first time.
  const reached = reachesAnyway(found, floor);
  const off = headOff(c);
  const unread = found.missing.filter((k) => ![...found.unlike, ...found.voided].some((x) => x.cylinder === k));
  return {
    basis: found,
    facts: [
      ...artefacts(c, found, reached),
      ...highFacts(c, found),
      // With and without the head off between them they are not of one engine, and not alike; of next to nothing none is low beside another.
      ...(floor && readsNothing(c, floor) ? [] : between(c, found)).filter(
        (f) => f.kind !== 'alike' || !off.some((x) => x.kind === 'head-was-off')
      ),
      ...wetFacts(c, found, inQuestion(found, floor)),
      ...against(c, found, floor),
      ...off,
      ...when(unread.length > 0, {
        kind: 'missing',
        condition: 'cannot-tell',
        values: { cylinders: unread, throttleDoubted: found.conditions.throttle !== 'open' && !reached }
      })
    ]
  };
}

/** Cylinders that a wet test is for: low beside the others, on the limit, or all of them where even the best is under its figure. */
function inQuestion({ rows, overLimit = 1 }: Comparison, floor: Floor | undefined): (row: Row) => boolean {
  if (rows.length < 2 || !floor || !reaches(floor) || floor.oiled) return () => true;
  const lowest = Math.min(...rows.map((r) => r.mean));
  const undecided = overLimit >= DOUBT && overLimit <= 1 - DOUBT;
  return (row) => row.low || (undecided && row.mean === lowest);
}

/** The same, for whoever weighs what a wet test showed. */
export const wetIsFor = (c: Context, found: Comparison): ((row: Row) => boolean) =>
  inQuestion(found, found.rows.length ? floorOf(c, found) : undefined);

/** Cylinders that oil sealed beyond its own volume, of which nobody could tell where the air goes, and not soaked since. */
export function wetRingsUntold(c: Context): number[] {
  const found = c.record.all('compression.leakdown').some((r) => r.value === 'unknown') ? compareAll(c) : undefined;
  if (!found) return [];
  const soaked = lastSoak(c);
  return wetFacts(c, found, wetIsFor(c, found)).flatMap((f) => {
    if (f.kind !== 'wet' || f.values.verdict !== 'rings' || f.cylinder === undefined) return [];
    const leak = c.record.asked('compression.leakdown', f.cylinder);
    return leak?.value === 'unknown' && !(soaked && isAfter(soaked, leak.at)) ? [f.cylinder] : [];
  });
}

/** What would make the reading wrong before the engine is blamed; `reached`: they reach what is asked of the engine all the same. */
function artefacts(c: Context, found: Comparison, reached: boolean): TestFact[] {
  const condition = 'cannot-tell';
  const { unlike, conditions, instrument, voided } = found;
  const shut = voided.filter((v) => v.why === 'throttle').map((v) => v.cylinder);
  const adapter = deadVolume(instrument);
  const cylinder = cylinderOf(c);
  const chamber = cylinder && cylinder.volume / cylinder.ratio;
  const oil = boreOil(c, found.at);
  return [
    ...unlike.map((u): TestFact => ({
      kind: 'unlike',
      repeat: true,
      cylinder: u.cylinder,
      condition,
      values: { differs: u.differs, ...(u.low ? { low: u.low } : {}) }
    })),
    ...when(shut.length > 0, { kind: 'throttle', repeat: true, condition, values: { cylinders: [...new Set(shut)] } }),
    ...when(found.rows.length > 0 && conditions.throttle !== 'open' && !reached, {
      kind: 'throttle-unknown',
      repeat: true,
      condition,
      values: {}
    }),
    ...voided.flatMap(({ cylinder, why, test }): TestFact[] =>
      why === 'range'
        ? [{ kind: 'range', repeat: true, cylinder, condition, values: {} }]
        : why === 'falls'
          ? [{ kind: 'falls', repeat: true, cylinder, condition, values: { series: [test.needle ?? []] } }]
          : []
    ),
    ...found.rows
      .filter((r) => r.scattered)
      .map(({ cylinder, readings }): TestFact => ({
        kind: 'scatter',
        repeat: true,
        cylinder,
        condition,
        values: { readings, share: found.limit.value }
      })),
    ...found.wetScattered.map(({ cylinder, readings }): TestFact => ({
      kind: 'scatter',
      id: 'scatter-wet',
      repeat: true,
      cylinder,
      condition,
      values: { readings, share: found.limit.value, oiled: true }
    })),
    ...(chamber !== undefined && adapter >= chamber
      ? [{ kind: 'adapter-size', condition, values: { adapter, chamber } } as const]
      : []),
    ...(oil !== undefined && conditions.bores === 'dry'
      ? [{ kind: 'bores', condition, values: { oil } } as const]
      : []),
    ...when(readInSoak(c, found), {
      kind: 'in-soak',
      repeat: true,
      condition,
      values: {}
    }),
    ...(found.weak || found.tires !== undefined
      ? [
          {
            kind: 'cranking',
            ...(reached ? {} : { repeat: true as const }),
            condition: reached ? 'sound' : 'watch',
            values: {
              ...found.weak,
              reached,
              ...(found.tires === undefined ? {} : { tires: found.tires }),
              ...(c.survey.engine.profile.starting === 'electric' ? { starter: true as const } : {})
            }
          } as const
        ]
      : [])
  ];
}

const when = (is: boolean, fact: TestFact): TestFact[] => (is ? [fact] : []);

/** Cylinders that read more than such an engine gives: once, the reading is doubted; again, there is something in it. */
const highFacts = (c: Context, { rows }: Comparison): TestFact[] =>
  rows
    .filter((r) => r.high && !r.scattered)
    .map(({ cylinder, mean, readings }) => {
      const again = readings.length > 1;
      const level = seaLevel(c, mean);
      return {
        kind: 'high',
        cylinder,
        condition: again ? 'watch' : 'cannot-tell',
        ...(again ? {} : { repeat: true as const }),
        values: { mean, most: ceiling(c)!, again, ...(level === undefined ? {} : { level }) }
      };
    });

/** Cylinders against each other. */
function between(c: Context, found: Comparison): TestFact[] {
  const { spread, overLimit, alike, limit, order } = found;
  const rows = comparedRows(found);
  if (!spread || overLimit === undefined || alike === undefined || rows.some((r) => r.scattered)) return [];
  const best = rows.reduce((a, b) => (b.mean > a.mean ? b : a));
  const lowest = rows.reduce((a, b) => (b.mean < a.mean ? b : a));
  const gap = { lowest: lowest.cylinder, best: best.cylinder, gap: best.mean - lowest.mean };
  if (overLimit < DOUBT && readInSoak(c, found)) return [];
  if (overLimit < DOUBT)
    return [{ kind: 'alike', condition: 'sound', values: { gap: gap.gap, told: alike <= 0.05 }, limit }];
  if (order?.confounded) return [{ kind: 'order', repeat: true, condition: 'cannot-tell', values: gap, limit }];
  if (overLimit <= 1 - DOUBT) return [{ kind: 'spread', repeat: true, condition: 'cannot-tell', values: gap, limit }];
  const odd = oddHigh(c, found);
  if (odd) {
    const { row, others, usual, again } = odd;
    const values = { mean: row.mean, others, usual, again };
    return [
      {
        kind: 'odd-high',
        cylinder: row.cylinder,
        condition: 'cannot-tell',
        ...(again ? {} : { repeat: true as const }),
        values
      }
    ];
  }
  const low = rows.filter((r) => r.low);
  const lows = (low.length ? low : [lowest]).map((r) =>
    lowCylinder(
      c,
      found,
      r,
      best,
      low.filter((x) => x !== r).map((x) => x.cylinder)
    )
  );
  return [...asBank(c, lows), ...neighboursLow(c, found, lows)];
}

/** Cylinders whose latest leak-down is tight: air that does not leave them is no worn ring, valve or gasket. */
export const tightOnes = (c: Context): ReadonlySet<number> => leakDownSays(c).tight;

/** Valves whose lash nobody measured since it was last worked at: too little of it reads low. */
const lashUnread = (c: Context, cylinder: number): boolean =>
  c.survey.engine.profile.strokes === 'four' &&
  LASHES.some(
    (what) => !c.record.all(what, { cylinder }).some((r) => !c.touched(what).some((at) => isAfter(at, r.at)))
  );

/**
 * What air says of a low cylinder: where its own comes out was heard, or that of a low one beside it out of this one's hole; 'unheard':
 * it leaks, and nobody said where; 'pair': one beside it is low as well, and air was put into neither.
 */
function airSays(c: Context, cylinder: number, others: readonly number[]): 'heard' | 'unheard' | 'pair' | undefined {
  const rows = leakDownRows(c);
  const beside = neighbours(c.survey.engine.profile, cylindersOf(c).length)
    .filter((pair) => pair.includes(cylinder))
    .flatMap((pair) => pair.filter((k) => others.includes(k)));
  const theirs = rows.filter((x) => beside.includes(x.cylinder));
  const own = rows.find((x) => x.cylinder === cylinder && speaks(x));
  const through = rows.some((x) => beside.includes(x.cylinder) && speaks(x) && x.escapes.includes('neighbour'));
  if (through || own?.escapes.length) return 'heard';
  if (own) return 'unheard';
  return beside.length && ![...theirs, ...rows.filter((x) => x.cylinder === cylinder)].length ? 'pair' : undefined;
}

/**
 * A low reading is doubted first; only a repeated one without excuse is called low. Leak-down answers what asked for it; what was
 * worked on or soaked since is read again. `others`: the other low ones.
 */
function lowCylinder(c: Context, found: Comparison, r: Row, best: Row, others: readonly number[]): TestFact {
  if (tightOnes(c).has(r.cylinder))
    return {
      kind: 'low-but-tight',
      id: 'low',
      cylinder: r.cylinder,
      condition: 'cannot-tell',
      values: {
        lowest: r.cylinder,
        best: best.cylinder,
        gap: best.mean - r.mean,
        again: lowSinceTight(c, r.cylinder, r.at),
        valves: c.survey.engine.profile.strokes === 'four'
      },
      limit: found.limit
    };
  // Its own second low reading confirms it, whoever is the best one: what makes a reading wrong makes it low.
  const repeated = r.readings.filter((p) => p < (1 - found.limit.value) * best.mean).length > 1;
  const oil = repeated ? undefined : oilOnLow(c, found, r, best);
  // A crown that is holed was seen: one low reading says no more than the eye did.
  const sight = ofThisPart(c, 'plugs.hole', r.cylinder) === 'holed';
  const once = repeated || sight || oil === 'confirms' ? undefined : oil === 'oiled' ? 'oiled' : 'once';
  const excuse = excuseOf(found) ?? (deadVolume(found.instrument) > 0 ? 'adapter' : once);
  // Air that leaves it says what the needle said: nothing is left to doubt.
  const leaks = leakDownSays(c).leaking.has(r.cylinder);
  // What was soaked since says how it was: it is read again before it is condemned.
  const airSince = (at: string): boolean =>
    leaks &&
    c.record.all('compression.leakdown', { cylinder: r.cylinder }).some((x) => isAfter(x.at, at) && !inSoak(c, x.at));
  const soaked = soakedAt(c).some((at) => isAfter(at, r.at) && !airSince(at));
  const air = airSays(c, r.cylinder, others);
  const sure =
    air === 'heard' || air === 'unheard'
      ? air
      : sight
        ? 'sight'
        : oil === 'confirms'
          ? 'wet'
          : (air ?? (lashUnread(c, r.cylinder) ? 'lash' : 'none'));
  const worked = c.worked('compression').some((at) => isAfter(at, r.at));
  const doubt = worked ? 'worked' : soaked ? 'soaked' : excuse && leaks ? 'leaks' : (excuse ?? sure);
  const told = doubt === sure || doubt === 'leaks';
  return {
    kind: 'low',
    cylinder: r.cylinder,
    condition: told ? 'fault' : doubt === 'oiled' ? 'cannot-tell' : 'watch',
    ...(told || doubt === 'oiled' ? {} : { repeat: true as const }),
    values: { lowest: r.cylinder, best: best.cylinder, gap: best.mean - r.mean, doubt },
    limit: found.limit
  };
}

/** Two that adjoin and are both low: no surer than the less sure of the two, and nothing of the gasket where air proved one tight. */
function neighboursLow(c: Context, found: Comparison, lows: readonly TestFact[]): TestFact[] {
  const of = (cylinder: number): TestFact | undefined => lows.find((f) => f.kind === 'low' && f.cylinder === cylinder);
  return neighbours(c.survey.engine.profile, cylindersOf(c).length).flatMap(([a, b]): TestFact[] => {
    const pair = [of(a), of(b)];
    if (!pair.every((f) => f !== undefined) || pair.some((f) => f.kind === 'low' && f.values.doubt === 'worked'))
      return [];
    const condition = pair.every((f) => f.condition === 'fault') ? 'fault' : 'watch';
    return [{ kind: 'neighbours', condition, values: { pair: [a, b] }, limit: found.limit }];
  });
}

/** The best of them against what is asked of the engine; under its kind's range, that only opens a question. */
function against(c: Context, found: Comparison, floor: Floor | undefined): TestFact[] {
  // Too high to be of the engine alone, or at odds with itself: it proves nothing.
  if (found.rows.every((r) => r.high || r.scattered)) return [];
  if (!floor) {
    const { best, lowest, gauge, ambient, altitudeKnown } = absolute(c, found);
    return [{ kind: 'nofigure', condition: 'cannot-tell', values: { best, lowest, gauge, ambient, altitudeKnown } }];
  }
  const { values, adapter } = floor;
  const manual = values.by.of === 'manual';
  if (reaches(floor)) {
    // Oil seals and takes up room: what an oiled bore reaches, the dry one may not.
    if (floor.oiled) return [{ kind: 'oiled', condition: 'cannot-tell', values }];
    const all = !found.missing.length && !found.rows.some((r) => r.scattered) && (manual || found.rows.length === 1);
    return all ? [{ kind: 'figure', condition: 'sound', values: { ...values, reached: true } }] : [];
  }
  if (beltSetSince(c, found.at)) return [{ kind: 'figure-belt', repeat: true, condition: 'cannot-tell', values }];
  const tight = tightOnes(c);
  if (!manual && !found.missing.length && found.rows.every((r) => tight.has(r.cylinder))) {
    // Tight, and low all the same: valves that shut too late let the charge out again.
    return beltUnproved(c) && !values.decompression
      ? [{ kind: 'tight', id: 'figure', condition: 'cannot-tell', values: { ...values, belt: true } }]
      : [{ kind: 'tight', id: 'figure', condition: 'sound', values }];
  }
  if (adapter && adapter.high + values.gauge >= values.floor)
    return [{ kind: 'adapter', repeat: true, condition: 'cannot-tell', values: { ...values, without: adapter } }];
  if (readsNothing(c, floor)) return [{ kind: 'nothing', repeat: true, condition: 'cannot-tell', values }];
  return [
    {
      kind: 'figure',
      ...(values.excuse ? { id: 'figure-excused', repeat: true as const } : {}),
      condition: manual && !values.decompression && !values.excuse ? 'watch' : 'cannot-tell',
      values: { ...values, reached: false }
    }
  ];
}
