import { ownLimits } from '../../engine/limits.ts';
import { known } from '../../engine/profile.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { ranAfter } from '../../findings/ran.ts';
import { gravest } from '../../findings/finding.ts';
import { judgedBy } from '../../findings/limit.ts';
import { lastTelling, ofThisPart } from '../../findings/renewed.ts';
import { chosenSchool, ruleNumber, school } from '../../house-rules/rules.ts';
import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { tightOnes } from '../compression/analyse.ts';
import { burntCrowns } from './crowns.ts';
import { waterWas } from './water-was.ts';
import { waterComes, waterIn } from '../turn/hole-water.ts';
import { crankingFacts } from './cranking.ts';
import type { PlugAnalysed, PlugFact } from './facts.ts';
import { meaningOf, type Reach } from './meaning.ts';
import { lastSoak } from '../turn/soak.ts';
import { boreOil } from './oil-in-bores.ts';
import type { PlugSight } from './sights.ts';

/** How far a gap may lie from the manual's figure, and from what is usual where there is none, share (C, M). */
const GAP_REACH = { manual: 0.1, usual: 0.35 } as const;

/** What the plugs say, cylinder by cylinder, and what was done before the first spin. */
export function analyse(c: Context): PlugAnalysed {
  const cylinders = cylindersOf(c);
  const read = new Map<number, readonly PlugSight[]>();
  for (const k of cylinders.length ? cylinders : [1]) {
    const value = c.record.value('plugs.read', k);
    if (Array.isArray(value) && value.length) read.set(k, value);
  }
  const basis = {
    cylinders: cylinders.length,
    strokes: c.survey.engine.profile.strokes,
    read: [...read.keys()],
    circuit: c.record.value('plugs.starterCircuit'),
    direct: c.record.value('plugs.starterDirect'),
    volts: known(c.record.value('plugs.volts'))
  };
  if (!c.record.touched('plugs')) return { basis, facts: [] };
  const missing = cylinders.filter((k) => c.record.last('plugs.read', k) === undefined);
  const mixed = mixedUp(c) && read.size > 0;
  const facts: PlugFact[] = [
    ...readFacts(c, read),
    ...cleaned(c),
    ...holes(c),
    ...puddles(c),
    ...gaps(c),
    ...crankingFacts(c),
    ...rope(c),
    ...(mixed ? [{ kind: 'order', condition: 'cannot-tell', values: {} } as const] : []),
    ...(dryAfterStart(c)?.dry ? [{ kind: 'no-fuel', condition: 'watch', values: {} } as const] : []),
    ...dryBores(c, Number(known(c.survey.engine.history.yearsIdle) ?? 0)),
    ...(missing.length && read.size
      ? [{ kind: 'missing', condition: 'cannot-tell', values: { cylinders: missing } } as const]
      : [])
  ];
  const good = read.size && !missing.length && facts.every((f) => f.condition === 'sound');
  return { basis, facts: good ? [...facts, { kind: 'good', condition: 'sound', values: {} }] : facts };
}

/** Out of their order none of them speaks for its cylinder. */
export const mixedUp = (c: Context): boolean => c.record.value('plugs.order') === 'no' && cylindersOf(c).length > 1;

/** Too much fuel, wet or burnt: one and the same for whether a neighbour shows it too. */
const tooRich: readonly PlugSight[] = ['fuel', 'black'];

/**
 * How far too much fuel, or another sight of this cylinder's plug, reaches: what was read before anybody cleaned it tells. Where no
 * other plug tells, or nobody knows whose each was, 'all': nothing says that it is its own matter.
 */
export function reachOf(c: Context, cylinder: number, sight: PlugSight): Reach {
  if (mixedUp(c)) return 'all';
  const mine = lastTelling(c, 'plugs.read', cylinder);
  if (!mine) return 'all';
  const cleanedBetween = (at: Instant): boolean =>
    c.wiped('plugs.read').some((w) => isAfter(w.at, mine.at) !== isAfter(w.at, at));
  const others = cylindersOf(c)
    .filter((k) => k !== cylinder)
    .flatMap((k) => {
      const seen = lastTelling(c, 'plugs.read', k);
      return seen && Array.isArray(seen.value) && seen.value.length && !cleanedBetween(seen.at)
        ? [seen.value as readonly string[]]
        : [];
    });
  const like = others.filter((seen) =>
    (tooRich.includes(sight) ? tooRich : [sight]).some((s) => seen.includes(s))
  ).length;
  return like === others.length ? 'all' : like ? 'some' : 'one';
}

/** Plugs of which something that was seen means something. */
function readFacts(c: Context, read: ReadonlyMap<number, readonly PlugSight[]>): PlugFact[] {
  const { profile, history } = c.survey.engine;
  return [...read].flatMap(([cylinder, sights]): PlugFact[] => {
    const crownClean = ofThisPart(c, 'plugs.hole', cylinder) === 'clean';
    const meanings = sights
      .map((s) => meaningOf(s, profile, history.laidUp === 'yes', reachOf(c, cylinder, s), crownClean))
      .filter((m) => m.is !== 'sound');
    if (!meanings.length) return [];
    return [
      {
        kind: 'read',
        id: sights.includes('water') ? 'water' : sights.includes('cracked') ? 'cracked' : 'read',
        cylinder,
        condition: gravest(meanings.map((m) => m.is)),
        values: { sights, means: meanings.map((m) => m.means), ...(mixedUp(c) ? { mixed: true as const } : {}) }
      }
    ];
  });
}

/** Every plug read after a start that failed, and dry; nothing where they were read before it. */
export function dryAfterStart(c: Context): { readonly at: string; readonly dry: boolean } | undefined {
  const told = c.record.all('run.outcome').filter((r) => r.value !== 'unknown');
  const failed = told.findLast((r) => r.value === 'failed');
  // It has started since: what its plugs were then is over.
  if (failed && told.some((r) => r.value !== 'failed' && isAfter(r.at, failed.at))) return undefined;
  const read = c.record.all('plugs.read').filter((r) => failed && isAfter(r.at, failed.at) && Array.isArray(r.value));
  if (!read.length) return undefined;
  const dry = read.every((r) => (r.value as readonly string[]).every((s) => s === 'dry' || s === 'normal'));
  return { at: latestAt(read), dry };
}

/** Too much fuel was seen on a plug that is clean now: until choke and primer were moved, or it has fired, that stays open. */
function cleaned(c: Context): PlugFact[] {
  const { fuelSystem } = c.survey.engine.profile;
  if (fuelSystem !== undefined && fuelSystem !== 'unknown' && fuelSystem !== 'carburettor') return [];
  if (ranAfter(c)) return [];
  return cylindersOf(c).flatMap((cylinder): PlugFact[] => {
    const [now, told] = [c.record.last('plugs.read', cylinder), lastTelling(c, 'plugs.read', cylinder)];
    if (!told || told === now || !Array.isArray(told.value)) return [];
    const sights = told.value.filter((s) => s === 'fuel' || s === 'black');
    const alone = sights.some((s) => reachOf(c, cylinder, s) !== 'all');
    const looked = alone ? c.record.asked('spark.result', cylinder) : c.record.asked('fuel.choke');
    if (!sights.length || looked) return [];
    const values = { sights, told: told.value.map(String), ...(alone ? { alone: true as const } : {}) };
    return [{ kind: 'cleaned', cylinder, condition: 'cannot-tell', values }];
  });
}

const holeIs = { water: 'fault', rust: 'watch', debris: 'watch', scored: 'fault', holed: 'fault' } as const;

const holes = (c: Context): PlugFact[] =>
  cylindersOf(c).flatMap((cylinder): PlugFact[] => {
    const seen = ofThisPart(c, 'plugs.hole', cylinder);
    if (seen === undefined || seen === 'clean') return [];
    // A scratch that holds its pressure is lived with, and looked at again.
    const tight = (seen === 'scored' || seen === 'holed') && tightOnes(c).has(cylinder);
    // Burnt through it would not hold air: one of the two is wrong, and an engine is not run to find out which.
    const once = tight && burntCrowns(c).some((x) => x.cylinder === cylinder && !x.sure);
    return [
      {
        kind: 'hole',
        id: `hole-${seen}`,
        cylinder,
        condition: once ? 'cannot-tell' : tight ? 'watch' : holeIs[seen],
        values: { seen, tight, ...(once ? { once } : {}) }
      }
    ];
  });

/** Water that was in it and is out: the run shows whether it comes again. */
function puddles(c: Context): PlugFact[] {
  const was = waterWas(c);
  return was ? [{ kind: 'water-was', condition: 'cannot-tell', values: was }] : [];
}

function gaps(c: Context): PlugFact[] {
  const limit = judgedBy(c, 'plugs.gap', ownLimits.plugGap, 'usual, from memory');
  return cylindersOf(c).flatMap((cylinder): PlugFact[] => {
    const gap = known(c.record.value('plugs.gap', cylinder));
    if (gap === undefined) return [];
    const share = gap / limit.value - 1;
    if (Math.abs(share) <= GAP_REACH[limit.manual ? 'manual' : 'usual']) return [];
    return [
      {
        kind: 'gap',
        cylinder,
        condition: limit.manual ? 'watch' : 'cannot-tell',
        values: { gap, wide: share > 0 },
        limit
      }
    ];
  });
}

/** What is read while it spins: after that the first spin is over. */
const spun = [
  'compression.pressure',
  'compression.pulls',
  'spark.result',
  'plugs.rpm',
  'run.event',
  'run.outcome'
] as const;
/** What is seen of an engine while it runs, or of a plug after that. */
const running = [
  'run.drop',
  'run.idles',
  'run.idle',
  'run.second',
  'run.rpm',
  'run.temperature',
  'run.stream',
  'run.smoke',
  'run.exhaust',
  'run.gears',
  'run.plugAfter',
  'run.longRun'
] as const;

/** The house's school on oil before the first spin. */
function dryBores(c: Context, years: number): PlugFact[] {
  const rule = school(c.rules, 'boreOil');
  const soaked = lastSoak(c) !== '';
  if (rule === 'never' || soaked || boreOil(c) !== undefined || spun.some((item) => c.record.last(item))) return [];
  if (running.some((item) => c.record.all(item).some((r) => r.value !== 'unknown'))) return [];
  // Water comes out before oil goes in.
  if (waterIn(c).length || waterComes(c)) return [];
  const always = rule === 'always';
  if (!always && years <= ruleNumber(c.rules, 'boreOilYears')) return [];
  const values = { always, years, school: chosenSchool(c.rules, 'boreOil') };
  return [{ kind: 'dry-bores', condition: 'watch', values }];
}

/** A rope that does not catch, or does not come back: found by pulling it slowly. On an engine with a starter as well it can wait. */
function rope(c: Context): PlugFact[] {
  const said = ofThisPart(c, 'plugs.rope');
  if (said !== 'slips' && said !== 'stuck') return [];
  const condition = c.survey.engine.profile.starting === 'both' ? 'watch' : 'fault';
  return [{ kind: 'rope', condition, values: { said } }];
}
