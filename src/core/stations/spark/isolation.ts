import type { Profile } from '../../engine/profile.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import { eliminate, type Elimination, type Trial } from '../../findings/elimination.ts';
import { isAfter, latestInstant, type Instant } from '../../units/instant.ts';
import type { ItemId } from '../items.ts';
import { isSlow, type SparkReading } from './measure.ts';
import type { Seen } from './facts.ts';
import { sparkSeen } from './seen.ts';
import { deadTogether } from './shared-part.ts';

export type SparkPart =
  | 'switch'
  | 'stop'
  | 'speed'
  | 'fuse'
  | 'ground'
  | 'plug'
  | 'lead'
  | 'points'
  | 'condenser'
  | 'coil'
  | 'key'
  | 'charge'
  | 'trigger'
  | 'pack';

type Part = { readonly id: SparkPart; readonly label: string };
const part = (id: SparkPart, label: string): Part => ({ id, label });
const toSwitch = part('switch', 'lanyard or stop switch');
const stop = part('stop', 'stop wire and stop circuit');
const speed = part('speed', 'slow cranking');
const fuse = part('fuse', 'main fuse and supply');
const ground = part('ground', 'engine ground');
const points = part('points', 'points');
const condenser = part('condenser', 'condenser');
const key = part('key', 'flywheel key or magnets');
const coils = part('coil', 'coils under the flywheel');
const charge = part('charge', 'charge coil');
const trigger = part('trigger', 'trigger');
const sensor = part('trigger', 'crank sensor');
const pack = part('pack', 'power pack');
const unit = part('pack', 'control unit');

/** What every cylinder shares, by kind of ignition, cheapest to clear first (C). */
const shared: Readonly<Record<string, readonly Part[]>> = {
  points: [toSwitch, stop, ground, points, condenser, key, coils],
  cdi: [toSwitch, speed, stop, ground, charge, trigger, pack],
  digital: [toSwitch, speed, fuse, stop, ground, sensor, unit],
  'coil-on-plug': [toSwitch, speed, fuse, stop, ground, sensor, unit]
};
/** What one cylinder has to itself (C). */
const own: Readonly<Record<string, readonly Part[]>> = {
  points: [part('plug', 'its plug'), part('lead', 'its lead or cap'), points, condenser, part('coil', 'its coil')],
  cdi: [
    part('plug', 'its plug'),
    part('lead', 'its lead or cap'),
    part('coil', 'its coil'),
    part('trigger', 'its trigger'),
    part('pack', 'its output of the power pack')
  ],
  digital: [
    part('plug', 'its plug'),
    part('lead', 'its lead or cap'),
    part('coil', 'its coil'),
    part('pack', 'its output of the control unit')
  ],
  'coil-on-plug': [
    part('plug', 'its plug'),
    part('coil', 'its coil'),
    part('pack', 'its connector, or its output of the control unit')
  ]
};
/** What the cylinders of one bank share, where all of them are dead and the other bank fires (C). */
const ofBank: readonly Part[] = [
  part('charge', 'charge coil of that bank'),
  part('trigger', 'trigger of that bank'),
  part('pack', 'power pack of that bank')
];
const ofBankDriven: readonly Part[] = [
  part('fuse', 'supply of that bank’s coils'),
  part('pack', 'output of the control unit')
];
/** What two cylinders that fail together share, where no whole bank does: neither has its lead in common with the other (C). */
const ofPair: readonly Part[] = [
  part('plug', 'plugs of both'),
  part('coil', 'coil they share'),
  part('trigger', 'trigger they share'),
  part('pack', 'output of the power pack to both')
];
const ofPairDriven: readonly Part[] = [
  part('plug', 'plugs of both'),
  part('coil', 'coil they share'),
  part('pack', 'output of the control unit to both')
];
const sharedUnknown: readonly Part[] = [
  toSwitch,
  speed,
  fuse,
  stop,
  ground,
  part('trigger', 'trigger or points'),
  part('pack', 'coil or power pack')
];

/** What a part is called by itself, whichever ignition it is of. */
export const partName: Readonly<Record<SparkPart, string>> = {
  switch: 'lanyard or stop switch',
  stop: 'stop circuit',
  speed: 'cranking speed',
  fuse: 'main fuse and supply',
  ground: 'engine ground',
  plug: 'plug',
  lead: 'lead or cap',
  points: 'set of points',
  condenser: 'condenser',
  coil: 'coil',
  key: 'flywheel key',
  charge: 'charge coil',
  trigger: 'trigger or sensor',
  pack: 'power pack or control unit'
};

const returns = (item: ItemId, id: SparkPart, minutes: number, why: string): Trial<SparkPart> => ({
  item,
  why,
  minutes,
  clears: { still: [id] },
  accuses: { returns: id }
});
const within = (item: ItemId, id: SparkPart, minutes: number, why: string): Trial<SparkPart> => ({
  item,
  why,
  minutes,
  clears: { within: [id] },
  accuses: { outside: id }
});
const moves = (item: ItemId, id: SparkPart, minutes: number, why: string): Trial<SparkPart> => ({
  item,
  why,
  minutes,
  clears: { stays: [id] },
  accuses: { moves: id }
});

/** Trials in the order of what they cost; each separates one part from the rest. C: common practice. */
export const sparkTrials: readonly Trial<SparkPart>[] = [
  {
    item: 'spark.lanyard',
    why: 'Forgetting the lanyard or the switch is the commonest “no spark”, and costs a look.',
    minutes: 1,
    clears: { yes: ['switch'] },
    accuses: { no: 'switch' }
  },
  {
    item: 'spark.brisk',
    why: 'Electronic ignition gives nothing below its minimum speed: that looks like a dead part and is a tired battery or arm.',
    minutes: 3,
    clears: { yes: ['speed'] },
    accuses: { no: 'speed' }
  },
  {
    item: 'spark.supply',
    why: 'A box without battery voltage cannot spark; the fuse and its connector are the cheapest of the dear-looking faults.',
    minutes: 2,
    clears: { yes: ['fuse'] },
    accuses: { no: 'fuse' }
  },
  {
    item: 'spark.groundWire',
    why: 'A tester on paint or a block without ground shows nothing however good the ignition is.',
    minutes: 2,
    clears: { still: ['ground'] },
    accuses: { returns: 'ground' }
  },
  {
    ...returns(
      'spark.stopWire',
      'stop',
      3,
      'One connector separates the whole stop circuit (switch, lanyard, harness, chafed wire) from the ignition.'
    ),
    clears: { still: ['stop', 'switch'] }
  },
  moves(
    'spark.plugSwap',
    'plug',
    3,
    'The fault that moves with the plug is the plug, and a plug is the cheapest part there is.'
  ),
  moves(
    'spark.leadSwap',
    'lead',
    5,
    'Lead, cap or connector: what moves with it is it. Look in the dark for sparks astray.'
  ),
  returns(
    'spark.pointsClean',
    'points',
    20,
    'Oxide on points is a thousandth of a millimetre of insulation: the usual end of a long rest.'
  ),
  within(
    'spark.chargeTest',
    'charge',
    20,
    'The charge coil feeds everything: its resistance, and its peak volts while cranking, against the manual.'
  ),
  within(
    'spark.triggerTest',
    'trigger',
    20,
    'Without a trigger a good pack waits for ever: resistance, peak volts and air gap against the manual.'
  ),
  moves(
    'spark.coilSwap',
    'coil',
    15,
    'Coils are alike: what moves with the coil is the coil. Measure it cold and warm as well.'
  ),
  returns(
    'spark.condenserSwap',
    'condenser',
    20,
    'A tired condenser burns the points and eats the spark; it is tried by a known good one.'
  ),
  {
    item: 'spark.keyLook',
    why: 'A sheared key puts the magnets in the wrong place; the mark shows it before the flywheel is pulled.',
    minutes: 10,
    clears: { sound: ['key'] },
    accuses: { sheared: 'key' }
  },
  returns('spark.packSwap', 'pack', 30, 'Dear, and last: only a known good one proves it.')
];

/** Coils that sit on their plugs are changed over in a minute: before anything is measured. */
const ON_PLUG = 2;
const trialsOf = (p: Profile, pattern: SparkPattern): readonly Trial<SparkPart>[] => {
  const own = p.ignition === 'coil-on-plug';
  const list = own
    ? sparkTrials.map((t) => (t.item === 'spark.coilSwap' ? { ...t, minutes: ON_PLUG } : t))
    : sparkTrials;
  // Two that fail together: the coil that may fire both is changed over before anything is measured.
  return pattern === 'pair'
    ? list.toSorted((a, b) => Number(measuring.has(a.item)) - Number(measuring.has(b.item)))
    : list;
};
const measuring: ReadonlySet<string> = new Set(['spark.chargeTest', 'spark.triggerTest', 'spark.packSwap']);

export type SparkPattern = 'all' | 'bank' | 'pair' | 'one';

const deadNow = (seen: readonly Seen[]): number[] => seen.flatMap((s) => (s.result === 'none' ? [s.cylinder] : []));

/** What the results over the cylinders say about where to look: every cylinder dead, one whole bank, two that share a part, or some of them only. */
export function sparkPattern(c: Context): SparkPattern | undefined {
  const seen = sparkSeen(c);
  const none = seen.filter((s) => s.result === 'none').length;
  if (!none) return undefined;
  if (none === seen.length && seen.length === cylindersOf(c).length) return 'all';
  const shared = deadTogether(c, seen);
  // With another one dead for a reason of its own, the trials are of each.
  if (!shared || shared.dead.length !== none) return 'one';
  return shared.part === 'coil' ? 'pair' : 'bank';
}

/** Cylinders without spark at an instant, by the last look at each until then; one to a bolt does not bring it back through the tester. */
export const deadAt = (c: Context, at: string): number[] => showedAt(c, at, 'none');

/** Cylinders of which the best look by an instant showed no spark, or a weak one. */
export function showedAt(c: Context, at: string, result: 'none' | 'weak'): number[] {
  return cylindersOf(c).filter((cylinder) => {
    const looks = c.record.all('spark.result', { cylinder }).filter((r) => r.value !== 'unknown' && !isAfter(r.at, at));
    const better = looks.filter((r) => r.conditions?.path !== 'bolt');
    return (better.length ? better : looks).at(-1)?.value === result;
  });
}

/** What tells only on an engine without spark: whether it returns, or moves with a part. */
const needsDead: ReadonlySet<ItemId> = new Set([
  ...(['spark.brisk', 'spark.groundWire', 'spark.stopWire', 'spark.plugSwap', 'spark.leadSwap'] as const),
  ...(['spark.pointsClean', 'spark.coilSwap', 'spark.condenserSwap', 'spark.packSwap'] as const)
]);
/** Spark was seen by then, at whatever cylinder. */
const sparked = (c: Context, at: Instant): boolean =>
  c.record.all('spark.result').some((r) => r.value !== 'unknown' && !isAfter(r.at, at));

/** Every dead cylinder was looked at since with its speed noted, and fast enough: it is not the speed, asked for or not. */
const briskSince = (c: Context, dead: readonly number[], worked: Instant, no: Instant | undefined): boolean =>
  dead.length > 0 &&
  dead.every((cylinder) =>
    (c.record.all('spark.result', { cylinder }) as readonly SparkReading[]).some(
      (r) =>
        r.value !== 'good' &&
        r.conditions?.rpm !== undefined &&
        !isSlow(r) &&
        !isAfter(worked, r.at) &&
        (!no || isAfter(r.at, no))
    )
  );

/**
 * The answer to a trial as far as it is of what is dead now: of the cylinder it was said of, else of the one that was dead
 * when it was given. What was tried at one cylinder says nothing of another.
 */
function trialAnswer(c: Context, item: ItemId, dead: readonly number[]): string | undefined {
  const round = c.record.round('spark.result');
  // Asked anew after work, once spark was looked at again: until then it stands as it was.
  const looked = c.record.all('spark.result').at(-1)?.at ?? '';
  const worked = latestInstant([...c.worked('spark'), ...c.renewed(item)].filter((w) => isAfter(looked, w)));
  const mine = c.record.all(item, { fromRound: round }).filter((r) => {
    if (worked && !isAfter(r.at, worked)) return false;
    if (r.cylinder !== undefined) return dead.length === 1 && r.cylinder === dead[0];
    const then = deadAt(c, r.at);
    if (then.length) return then.join() === dead.join();
    // That it returned, or moved, is only said of one that was dead; that it did not tells nothing where there was spark.
    const found = r.value === 'returns' || r.value === 'moves';
    return found || !needsDead.has(item) || !sparked(c, r.at);
  });
  const last = mine.findLast((r) => r.value !== 'unknown') ?? mine.at(-1);
  const value = last?.value;
  if (item === 'spark.brisk' && value !== 'yes' && briskSince(c, dead, worked, value === 'no' ? last?.at : undefined))
    return 'yes';
  return typeof value === 'string' ? value : undefined;
}

/** On a single every cylinder is dead when one is: what it has to itself is as likely, and cheaper to try. */
function partsOf(p: Profile, pattern: SparkPattern, single: boolean): readonly Part[] {
  const mine = own[p.ignition ?? ''] ?? own.cdi!;
  if (pattern === 'one') return mine;
  const driven = p.ignition === 'digital' || p.ignition === 'coil-on-plug';
  if (pattern === 'bank') return driven ? ofBankDriven : ofBank;
  // Points fire what they fire: two of them share no more than one has to itself.
  if (pattern === 'pair')
    return p.ignition === 'points' ? mine.filter((x) => x.id !== 'lead') : driven ? ofPairDriven : ofPair;
  const all = shared[p.ignition ?? ''] ?? sharedUnknown;
  const alone = (x: Part): boolean => (x.id === 'lead' || x.id === 'coil') && !all.some((y) => y.id === x.id);
  return single && p.ignition !== 'points' ? [...all, ...mine.filter(alone)] : all;
}

/** The tester stood in the plug's place: what is missing there is missing without it. */
export const pastPlug = (seen: Pick<Seen, 'path'>): boolean => seen.path === 'tester';

/** The isolation as it stands: what is cleared, what is left, and what to try next; nothing while there is spark. */
export function isolation(c: Context): Elimination<SparkPart> | undefined {
  const pattern = sparkPattern(c);
  if (!pattern) return undefined;
  const seen = sparkSeen(c);
  const dead = deadNow(seen);
  const single = cylindersOf(c).length === 1;
  const { profile } = c.survey.engine;
  const answer = (item: ItemId): string | undefined => trialAnswer(c, item, dead);
  const noPlug = answer('spark.plugSwap') !== 'moves' && seen.filter((s) => s.result === 'none').every(pastPlug);
  const parts = partsOf(profile, pattern, single).filter((p) => !(noPlug && p.id === 'plug'));
  return eliminate(parts, trialsOf(profile, pattern), answer);
}

/** The pack is what is left over, and nobody has tried a known good one: it is tried before it is bought. */
export function packUntried(c: Context): boolean {
  const found = isolation(c)?.found;
  return (
    found?.id === 'pack' &&
    found.by === 'elimination' &&
    trialAnswer(c, 'spark.packSwap', deadNow(sparkSeen(c))) === undefined
  );
}
