import { sparkSeen, undrivenBy } from '../../stations/spark/seen.ts';
import { pastPlug } from '../../stations/spark/isolation.ts';
import { isWarm } from '../../stations/spark/measure.ts';
import { isAfter, latestAt } from '../../units/instant.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { countedSince, expectedBumps } from '../../stations/turn/analyse.ts';
import { pointsSeen, POINTS_OHMS } from '../../stations/spark/measured.ts';
import { dryAfterStart } from '../../stations/plugs/analyse.ts';
import { crankedAt } from '../../stations/plugs/cranking.ts';
import { pistonDepths } from '../../stations/turn/depths.ts';
import { plugsWhenTurned } from '../../stations/turn/plugs-out.ts';
import { ofThisPart } from '../../findings/renewed.ts';
import { damagedPart, type Damaged } from '../../stations/spark/damage.ts';
import { isTight, roughOutside, roughTree } from '../../stations/turn/rough.ts';
import { onsetOf } from '../../findings/onset.ts';
import { ownLimits } from '../../engine/limits.ts';
import { leaning, past, seen, wordOf, type Measure, type Observed } from './observed.ts';

/** The latest turn speaks: a soaked engine that turns is free until it is turned again. */
const turned =
  (...words: readonly string[]): Measure =>
  (c) => {
    const w = wordOf(c, 'turn.result');
    return w && seen(words.includes(String(w.value)), w.at);
  };

/** Compression is felt only with the plugs in; without bumps and without plugs nothing follows. */
const felt: Measure = (c) => {
  const w = wordOf(c, 'turn.result');
  if (!w) return undefined;
  if (w.value === 'bumps' || countedSince(c, w.at)) return seen(false, w.at);
  return w.value === 'free' && plugsWhenTurned(c, w.at) === 'in' ? seen(true, w.at) : undefined;
};

const feel =
  (...words: readonly string[]): Measure =>
  (c) => {
    const r = c.record.last('turn.feel');
    if (!r || !Array.isArray(r.value)) return undefined;
    return seen(
      r.value.some((v) => words.includes(v)),
      r.at
    );
  };

const bumps: Measure = (c) => {
  const r = c.record.last('turn.bumps');
  const expected = expectedBumps(c.survey.engine.profile.strokes, cylindersOf(c).length || undefined);
  // With the plugs out nothing is felt, whatever was counted.
  if (!r || typeof r.value !== 'number' || expected === undefined || plugsWhenTurned(c, r.at) !== 'in')
    return undefined;
  // Cylinders that rise together are felt as one: fewer leans, none tells.
  // More than it can give was counted wrongly, or it is another engine.
  if (r.value > expected) return undefined;
  return r.value === 0 || r.value === expected ? seen(r.value < expected, r.at) : leaning(1, 0.3, r.at);
};

/** Free once a part was taken out of it: of an engine that was locked. */
const frees =
  (item: 'turn.lockPinion' | 'turn.lockLeg'): Measure =>
  (c) => {
    const w = wordOf(c, item);
    const turns = c.record.all('turn.result').filter((r) => r.value !== 'unknown');
    const everLocked = !turns.length || turns.some((r) => r.value === 'locked');
    // Tried before this lock began, it was tried of another one.
    const began = onsetOf(turns, (v) => v === 'locked');
    if (!w || !everLocked || (began !== undefined && isAfter(began, w.at))) return undefined;
    return seen(w.value === 'free', w.at);
  };

const depth: Measure = (c, cylinder) => {
  const d = pistonDepths(c);
  const row = d.rows.find((r) => r.cylinder === cylinder);
  // One that stands higher than others that agree is the reading in doubt: of no rod anything is told.
  if (!row || d.odd || (d.right === undefined && d.rows.length < 2)) return undefined;
  const least = d.right ?? Math.min(...d.rows.map((r) => r.depth));
  const reach = Math.max(1.4 * row.u, 0.25 * d.limit.value);
  return past(row.depth - least, d.limit.value, reach, latestAt(c.record.all('turn.depth')));
};

const volts: Measure = (c) => {
  const noted = [
    ...c.record.all('compression.pressure'),
    ...c.record.all('compression.pulls'),
    ...c.record.all('spark.result')
  ]
    .filter((r) => r.conditions?.volts !== undefined)
    .map((r) => ({ at: r.at, v: r.conditions!.volts! }));
  const own = c.record.last('plugs.volts');
  const all = [...noted, ...(own && typeof own.value === 'number' ? [{ at: own.at, v: own.value }] : [])];
  if (!all.length) return undefined;
  return past(-Math.min(...all.map((x) => x.v)), -ownLimits.weakVolts, 0.15, latestAt(all));
};

/** The speed as it was measured, unless the starter was looked at after that. */
const crankSpeed: Measure = (c) => {
  const w = wordOf(c, 'plugs.starterCircuit');
  const noted = crankedAt(c);
  if (noted && !(w && isAfter(w.at, noted.at))) return past(-noted.value, -ownLimits.slowCranking, 15, noted.at);
  return w && w.value !== 'nothing' ? seen(w.value === 'slow', w.at) : undefined;
};

/** What speaks for the spark of each cylinder: by the best method, not by the last look. */
const sparks = (c: Context): { cylinder: number; result: string; at: string; light: string | undefined }[] =>
  sparkSeen(c).map(({ cylinder, result, at, light }) => ({ cylinder, result, at, light }));

const noneAll: Measure = (c) => {
  const list = sparks(c);
  if (!list.length) return undefined;
  const at = latestAt(list);
  if (list.some((s) => s.result !== 'none')) return seen(false, at);
  return list.length >= Math.max(1, cylindersOf(c).length) ? seen(true, at) : undefined;
};
const ofOne =
  (word: 'none' | 'weak'): Measure =>
  (c, cylinder): Observed | undefined => {
    const list = sparks(c);
    const mine = list.find((s) => s.cylinder === cylinder);
    if (!mine) return undefined;
    // Dead wherever anybody looked says nothing about this cylinder's own parts.
    if (list.every((s) => s.result === 'none')) return undefined;
    // Nor does a poor spark of an engine that was cranked too slowly for any of them.
    const told = sparkSeen(c);
    if (told.some((s) => s.cylinder === cylinder && undrivenBy(told, s))) return undefined;
    if (word === 'weak' && mine.result === 'none') return undefined;
    return seen(mine.result === word, mine.at);
  };
/** None through the tester on a cylinder whose lead was also held to a bolt. */
const boltOnly: Measure = (c) => {
  const tried = sparkSeen(c)
    .filter((s) => s.result === 'none' && s.path === 'tester')
    .flatMap((s) => {
      const bolt = c.record
        .all('spark.result', { cylinder: s.cylinder })
        .findLast((r) => r.conditions?.path === 'bolt');
      return bolt && bolt.value !== 'unknown' ? [{ at: bolt.at, sparks: s.toBolt }] : [];
    });
  if (!tried.length) return undefined;
  const only = tried.some((t) => t.sparks);
  // One that sparks through the tester may have the same ground: then a short gap is all that a bolt shows.
  const others = sparkSeen(c).some((s) => s.result === 'good' && s.path === 'tester');
  return only && others ? leaning(0.8, 0.4, latestAt(tried)) : seen(only, latestAt(tried));
};

/** Sparks cold and not warm, at any cylinder; looked at warm and good everywhere it was. */
/** Swapped, or stood in for by the tester: where nothing comes through that either, it is not the plug. */
const movesWithPlug: Measure = (c) => {
  const swap = wordOf(c, 'spark.plugSwap');
  if (swap) return seen(swap.value === 'moves', swap.at);
  const poor = sparkSeen(c).filter((s) => s.result !== 'good');
  return poor.length > 0 && poor.every(pastPlug) ? seen(false, poor[0]!.at) : undefined;
};
const sparkWarm: Measure = (c) => {
  const list = sparkSeen(c);
  const warm = c.record.all('spark.result').filter((r) => isWarm(r) && r.value !== 'unknown');
  if (list.some((s) => s.failsWarm)) return seen(true, latestAt(warm));
  return warm.length && list.every((s) => s.result === 'good') ? seen(false, latestAt(warm)) : undefined;
};

const inSun: Measure = (c) => {
  const list = sparks(c).filter((s) => s.light === 'sun' || s.light === 'shade');
  const last = list.at(-1);
  return (
    last &&
    seen(
      list.some((s) => s.light === 'sun'),
      last.at
    )
  );
};

const oxidised: Measure = (c, cylinder) => {
  if (cylinder === undefined) return undefined;
  const { ohms, look } = pointsSeen(c, cylinder);
  const at = latestAt(
    (['spark.pointsLook', 'spark.pointsOhms'] as const).flatMap((what) => c.record.last(what, cylinder) ?? [])
  );
  // A meter says more than the eye, and a tenth of an ohm is what its leads are off by.
  if (ohms !== undefined) return past(ohms, POINTS_OHMS, 0.05, at);
  return look === undefined || look === 'unknown' ? undefined : seen(look === 'grey' || look === 'oily', at);
};

/** What a station has already judged, any of several findings. */
const judged =
  (items: readonly string[], ...ids: readonly string[]): Measure =>
  (c, _k, found) => {
    const mine = [...found].filter(([id]) => ids.some((x) => id === x || id.startsWith(`${x}.`))).map(([, is]) => is);
    const clear = mine.filter((is) => is !== 'cannot-tell');
    if (!clear.length) return undefined;
    return seen(
      clear.some((is) => is !== 'sound'),
      latestAt(items.flatMap((i) => c.record.all(i as 'spark.timing')))
    );
  };

const windings = ['spark.primary', 'spark.secondary', 'spark.charge', 'spark.trigger'] as const;

/** Rough with the gears, smooth without them: it sits in the leg. */
const roughLeg: Measure = (c) => {
  const tree = isTight(c) ? undefined : roughTree(c);
  const at = latestAt([...c.record.all('turn.roughNeutral'), ...c.record.all('turn.roughLeg')]);
  if (!tree || !at) return undefined;
  if (tree.found) return seen(tree.found.id === 'leg' || tree.found.id === 'gears', at);
  // Still rough in neutral: less likely of the gears, the rest of the leg is open.
  return c.record.value('turn.roughNeutral') === 'still' ? leaning(0.4, 1, at) : undefined;
};

/** What is left once gears, pinion and leg were taken out of it: found by elimination, or cleared by one of them. */
const roughHead: Measure = (c) => {
  const found = isTight(c) ? undefined : roughTree(c)?.found;
  const at = latestAt(
    (['turn.roughNeutral', 'turn.roughPinion', 'turn.roughLeg'] as const).flatMap((i) => c.record.all(i))
  );
  return found && at ? seen(found.id === 'head', at) : undefined;
};

/** A part of a cylinder that the eye found damaged, or whole. */
const damaged =
  (part: Damaged): Measure =>
  (c, cylinder) => {
    if (cylinder === undefined) return undefined;
    const item = part === 'lead' ? 'spark.leadLook' : 'spark.coilLook';
    const at = latestAt([...c.record.all(item, { cylinder }), ...c.record.all('spark.stray', { cylinder })]);
    if (damagedPart(c, cylinder) === part) return seen(true, at);
    return ofThisPart(c, item, cylinder) === 'whole' ? seen(false, at) : undefined;
  };

/** Fuel that reached the plugs of a start that failed, or did not. */
const noFuel: Measure = (c) => {
  const d = dryAfterStart(c);
  return d && seen(d.dry, d.at);
};

/** One crankcase that falls is there; all of them held, it is not. */
const crankcases: Measure = (c) => {
  const told = cylindersOf(c).flatMap((cylinder) => {
    const r = c.record.last('compression.crankcase', cylinder);
    return r ? [r] : [];
  });
  const falls = told.some((r) => r.value !== 'held');
  return falls || (told.length > 0 && told.length === cylindersOf(c).length) ? seen(falls, latestAt(told)) : undefined;
};

export const headMeasures: Readonly<Record<string, Measure>> = {
  'moves-with-plug': movesWithPlug,
  'turn-locked': turned('locked'),
  'turn-stiff': turned('stiff'),
  'turn-gritty': (c, k, found) => (roughOutside(c) ? undefined : turned('gritty')(c, k, found)),
  'rough-leg': roughLeg,
  'leg-frees': frees('turn.lockLeg'),
  'pinion-frees': frees('turn.lockPinion'),
  'rough-head': roughHead,
  'lead-damaged': damaged('lead'),
  'coil-damaged': damaged('coil'),
  'turn-bumps': felt,
  'felt-noise': (c, k, found) => (roughOutside(c) ? undefined : feel('noise', 'play')(c, k, found)),
  'felt-tight': (c, k, found) => (roughOutside(c) ? undefined : feel('tight')(c, k, found)),
  bumps,
  depth,
  'no-fuel': noFuel,
  crankcases,
  volts,
  'crank-speed': crankSpeed,
  'none-all': noneAll,
  none: ofOne('none'),
  weak: ofOne('weak'),
  'bolt-only': boltOnly,
  'in-sun': inSun,
  'spark-warm': sparkWarm,
  'points-oxidised': oxidised,
  timing: judged(['spark.timing'], 'spark.timing'),
  windings: judged(windings, ...windings),
  'windings-hot': judged(windings, ...windings.map((w) => w.replace('spark.', 'spark.hot-')))
};
