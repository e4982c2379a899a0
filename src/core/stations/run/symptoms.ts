import { plugAfterRun, plugsAfterRun } from '../../findings/plug-after-run.ts';
import { muffsWereIt } from '../cooling/supply.ts';
import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import type { Context } from '../../findings/context.ts';
import type { ItemId, StationId } from '../../items/register.ts';
import { smokesOfMixture } from '../fuel/mixture.ts';
import { charging } from './charging.ts';
import { lampSeen, lampTold } from './lamp.ts';
import { runsOf } from './runs.ts';

/** What a run can show that is no measure of its own, and stays open until it is explained. */
export type SymptomId =
  | 'dies-warm'
  | 'kicks'
  | 'spits'
  | 'shakes'
  | 'steam'
  | 'no-water'
  | 'died'
  | 'undercharge'
  | 'overcharge';

export interface Symptom {
  readonly id: SymptomId;
  /** When it was last seen. */
  readonly at: Instant;
  /** When it was first seen, of the times with no work between them where its cause lies. */
  readonly since: Instant;
  /** A cause was written down, or work was done, after it. */
  readonly explained: boolean;
  /** The same run was made again without it. */
  readonly repeated: boolean;
}

interface Rule {
  readonly id: SymptomId;
  readonly item: ItemId;
  readonly shows: string;
  /** The answer that says the same run went without it. */
  readonly without: string;
}
const rules: readonly Rule[] = [
  { id: 'dies-warm', item: 'run.idles', shows: 'hot', without: 'even' },
  { id: 'kicks', item: 'run.idles', shows: 'kicks', without: 'even' },
  { id: 'spits', item: 'run.idles', shows: 'spits', without: 'even' },
  { id: 'shakes', item: 'run.idles', shows: 'shakes', without: 'even' },
  { id: 'steam', item: 'run.exhaust', shows: 'steam', without: 'yes' },
  { id: 'no-water', item: 'run.exhaust', shows: 'none', without: 'yes' },
  { id: 'died', item: 'run.outcome', shows: 'died', without: 'ran' }
];

/** What somebody tapped as the reason for stopping names what was seen, not what caused it. */
const reasons: ReadonlySet<string> = new Set([
  'temperature',
  'stream gone',
  'lamp or horn',
  'smoke',
  'a leak',
  'noise',
  'ran out of fuel'
]);

/** Words that say that nobody knows. */
const untold = /^(unknown|not known|no idea|don.?t know|nothing( found)?|none|[?.-]+)$/i;

const tells = (text: string): boolean => text !== '' && !reasons.has(text) && !untold.test(text);

/** Asked for the cause of what was shown at an instant, somebody said that he does not know it. */
export const causeUntold = (c: Context, shown: Instant): boolean => {
  const last = c.record.all('run.cause').findLast((r) => typeof r.value === 'string' && r.value.trim() !== '');
  return !!last && !tells(String(last.value).trim()) && !isAfter(shown, last.at);
};

/** The last that was said of a cause is that nobody knows it, and it was not run since. */
export const causeLookedFor = (c: Context): boolean => {
  const ran = c.record.last('run.outcome');
  return ran !== undefined && causeUntold(c, ran.at);
};

/** When a cause was last written down, an empty text where none was: the reason for stopping is none. */
export const causeAt = (c: Context): Instant =>
  latestAt(c.record.all('run.cause').filter((r) => typeof r.value === 'string' && tells(r.value.trim())));

/** Where the causes of each lie: work that is proved at another check explains nothing (C). */
const causesAt: Readonly<Record<SymptomId, readonly StationId[]>> = {
  'dies-warm': ['spark', 'fuel', 'compression'],
  kicks: ['spark'],
  spits: ['fuel', 'spark', 'compression'],
  shakes: ['spark', 'fuel', 'compression'],
  steam: ['cooling', 'compression'],
  'no-water': ['cooling'],
  died: ['fuel', 'spark', 'cooling'],
  undercharge: [],
  overcharge: []
};

/** A belt was seen slack or jumped. */
const beltAtFault = (c: Context): boolean => c.record.all('turn.belt').some((r) => r.value === 'slack');

/** A cause written down, or work done where its causes lie, at or after an instant. */
const explainedSince = (c: Context, id: SymptomId, at: Instant): boolean => {
  // What charges it is mended by a job of its own, whose proof is the run.
  const charger = id === 'undercharge' || id === 'overcharge' ? c.renewed('run.volts') : [];
  // What draws air at the intake or into the crankcase is proved while it runs.
  const joint = id === 'spits' || id === 'died' ? [...c.renewed('run.air'), ...c.renewed('compression.crankcase')] : [];
  const worked = causesAt[id].flatMap((s) => c.worked(s));
  // A belt that jumped fires it at the wrong moment, and is proved by hand.
  const belt = id === 'kicks' ? c.touched('turn.belt').filter(() => beltAtFault(c)) : [];
  // A bent propeller and soft mounts shake it as well; nothing else of the look-over does.
  const shaken = id === 'shakes' ? [...c.touched('look.propeller'), ...c.touched('look.mounts')] : [];
  return [causeAt(c), ...charger, ...joint, ...belt, ...shaken, ...worked].some((x) => x !== '' && !isAfter(at, x));
};

/** Everything that a run showed and that is not closed: explained, and the same run made again without it. */
export function symptoms(c: Context): Symptom[] {
  const seen = rules.flatMap(({ id, item, shows, without }): Symptom[] => {
    const answers = c.record.all(item).filter((r) => r.value !== 'unknown');
    // Water with the exhaust may take its first half minute.
    const early = (at: Instant): boolean =>
      id === 'no-water' &&
      runsOf(c).some(({ startedAt, untimed }) => {
        if (untimed) return false;
        const seconds = (Date.parse(at) - startedAt.getTime()) / 1000;
        return seconds >= 0 && seconds <= 30;
      });
    const last = answers.findLast((r) => r.value === shows && !early(r.at));
    if (!last) return [];
    const repeated = answers.some((r) => r.value === without && isAfter(r.at, last.at));
    const since = shownSince(c, `run.${id}`, item, shows) ?? last.at;
    return [{ id, at: last.at, since, explained: explainedSince(c, id, last.at), repeated }];
  });
  const charge = charging(c);
  const off = charge.filter((x) => x.verdict === 'under' || x.verdict === 'over').at(-1);
  const id = off?.verdict === 'under' ? 'undercharge' : 'overcharge';
  if (off)
    seen.push({
      id,
      at: off.at,
      since: off.at,
      explained: explainedSince(c, id, off.at),
      repeated: charge.some((x) => x.verdict === 'good' && isAfter(x.at, off.at))
    });
  return seen.filter((s) => !s.explained || !s.repeated);
}

/** What a run shows by one answer of its own, and stays open until its cause is found. */
export type LapsedId = 'stopped' | 'lamp' | 'smoke' | 'leaks' | 'noise' | 'gears' | 'plug-wet';

interface Lapsing {
  /** Of its finding. */
  readonly id: LapsedId;
  readonly item: ItemId;
  readonly bad: readonly string[];
  /** Another item whose answer says that the same was made without it; the item itself where left out. */
  readonly better?: { readonly item: ItemId; readonly value: string };
  /** Where work is proved that cures it. */
  readonly cured: readonly StationId[];
}
/** What each is shown by, and where its cause lies (C). Running out of fuel is its own cause. */
const lapsing: readonly Lapsing[] = [
  {
    id: 'stopped',
    item: 'run.reason',
    bad: ['temperature', 'stream', 'lamp', 'smoke', 'leak', 'noise'],
    better: { item: 'run.outcome', value: 'ran' },
    cured: ['cooling', 'oil', 'fuel', 'spark', 'compression', 'gear', 'turn', 'look']
  },
  { id: 'lamp', item: 'run.lamp', bad: ['came'], cured: ['cooling', 'oil'] },
  {
    id: 'smoke',
    item: 'run.smoke',
    bad: ['keeps'],
    cured: ['cooling', 'compression', 'fuel', 'oil', 'plugs']
  },
  {
    id: 'leaks',
    item: 'run.leaks',
    bad: ['fuel', 'oil', 'water'],
    cured: ['fuel', 'oil', 'gear', 'cooling', 'look']
  },
  {
    id: 'noise',
    item: 'run.noise',
    bad: ['head', 'valves', 'flywheel', 'leg'],
    cured: ['turn', 'compression', 'gear', 'spark', 'plugs', 'look', 'cooling']
  },
  { id: 'gears', item: 'run.gears', bad: ['fails'], cured: ['turn', 'gear', 'look'] },
  { id: 'plug-wet', item: 'run.plugAfter', bad: ['wet'], cured: ['cooling', 'compression'] }
];

const WATER: readonly StationId[] = ['cooling'];
/** Where the cause of a stop lies, by what it was stopped for (C). */
const stoppedAt: ReadonlyMap<string, readonly StationId[]> = new Map([
  ['temperature', WATER],
  ['stream', WATER],
  ['fuel', ['fuel']],
  ...(['lamp', 'smoke', 'noise'] as const).map((id) => [id, curedAt(id)] as const),
  ['leak', curedAt('leaks')]
]);
function curedAt(id: LapsedId): readonly StationId[] {
  return lapsing.find((l) => l.id === id)?.cured ?? [];
}
const causes: ReadonlyMap<string, readonly StationId[]> = new Map([
  ...lapsing.map((l) => [l.id, l.cured] as const),
  ...Object.entries(causesAt),
  ['lamp-cool', curedAt('lamp')],
  ['failed', ['fuel', 'spark', 'plugs', 'compression', 'turn']],
  ['no-work', ['fuel', 'spark', 'compression', 'plugs']]
]);

/** Where the cause of a finding of the run lies, by its kind ("run.shakes"); of a stop, by what it was stopped for. */
export function causeStations(c: Context, kind: string): readonly StationId[] {
  const id = kind.slice('run.'.length);
  const reason = id === 'stopped' ? stoppedAt.get(String(c.record.value('run.reason'))) : undefined;
  return reason ?? causes.get(id) ?? [];
}

/** When an answer of a run was first given, of those alike with no work between them where its cause lies: one cause is looked for. */
export function shownSince(
  c: Context,
  kind: string,
  item: ItemId,
  value: unknown,
  cylinder?: number
): Instant | undefined {
  const worked = causeStations(c, kind).flatMap((s) => c.worked(s));
  return c.record
    .all(item, cylinder === undefined ? {} : { cylinder })
    .find((r) => r.value === value && !worked.some((at) => isAfter(at, r.at)))?.at;
}

/** It keeps smoking, and by what it was mixed at it would: nothing that gets in is looked for before that is right. */
export function smokesOfItsOil(c: Context): ReturnType<typeof smokesOfMixture> {
  const smoked = c.record.last('run.smoke');
  if (smoked?.value !== 'keeps' || plugAfterRun(c) === 'wet') return undefined;
  return smokesOfMixture(c, smoked.at);
}

/** What a run was stopped for, each with its moment, while no work was done since where the cause of that lies. */
export function stopsUnmended(c: Context): { readonly at: Instant; readonly reason: string }[] {
  return c.record
    .all('run.reason')
    .filter((r) => !(stoppedAt.get(String(r.value)) ?? []).some((s) => c.worked(s).some((at) => isAfter(at, r.at))))
    .map((r) => ({ at: r.at, reason: String(r.value) }));
}

/** Work was done where a lamp has its cause, after it came on: it is run again. */
export function lampWorkedOn(c: Context): boolean {
  const came = lampTold(c).findLast((r) => r.value === 'came');
  // A sender is proved by the run alone.
  // One that told of no heat is not explained by work on the water.
  const where: readonly StationId[] = lampSeen(c)?.notHeat ? ['oil'] : curedAt('lamp');
  const work = [...c.renewed('run.lamp'), ...where.flatMap((s) => c.worked(s))];
  return !!came && work.some((at) => isAfter(at, came.at));
}

/** Water was seen inside after the latest steam, on a plug or as air that leaves a cylinder for the water: that is what steams. */
export function waterInside(c: Context): boolean {
  const steam = c.record.all('run.exhaust').findLast((r) => r.value === 'steam')?.at;
  return (
    steam !== undefined &&
    (plugsAfterRun(c).some((r) => r.value === 'wet' && isAfter(r.at, steam)) ||
      c.record.all('compression.escape').some((r) => [r.value].flat().includes('water') && isAfter(r.at, steam)))
  );
}

/** What is told in more than one way. */
type Telling = (c: Context) => readonly { readonly at: Instant; readonly value: unknown }[];
const derived: ReadonlyMap<ItemId, Telling> = new Map<ItemId, Telling>([
  ['run.plugAfter', plugsAfterRun],
  ['run.lamp', lampTold]
]);

/** What an earlier run showed and the latest answer does not, though no cause was written down and no work was done where it lies. */
export function lapsed(c: Context): { readonly id: LapsedId; readonly was: string }[] {
  return lapsing.flatMap(({ id, item, bad, better, cured }) => {
    const told: readonly { readonly at: Instant; readonly value: unknown }[] =
      derived.get(item)?.(c) ?? c.record.all(item);
    const seen = told.findLast((r) => bad.includes(String(r.value)));
    if (!seen) return [];
    // Too little water came by the muffs, and other water showed it.
    if ((seen.value === 'stream' || seen.value === 'temperature') && muffsWereIt(c, seen.at)) return [];
    // What the latest answer says stands as its own finding; of a later round it is the later one, whatever its time.
    // Told in another way as well, the latest of both; else by the rounds.
    const more = told.length > c.record.all(item).filter((r) => r.value !== 'unknown').length;
    const now = derived.has(item) && more ? told.at(-1) : c.record.last(item);
    const without = better
      ? c.record.all(better.item).some((r) => r.value === better.value && isAfter(r.at, seen.at))
      : !bad.includes(String(now?.value));
    if (!without) return [];
    const found = [causeAt(c), ...c.renewed(item), ...cured.flatMap((s) => c.worked(s))];
    return found.some((at) => at !== '' && !isAfter(seen.at, at)) ? [] : [{ id, was: String(seen.value) }];
  });
}

/** What a run shows, by its answers, and those that show nothing. */
export const SHOWN: readonly (readonly [ItemId, readonly string[]])[] = [
  ['run.outcome', ['ran']],
  ['run.idles', ['even']],
  ['run.noise', ['none']],
  ['run.smoke', ['none', 'first']],
  ['run.plugAfter', ['dry']],
  ['run.exhaust', ['yes']],
  ['run.lamp', ['none']],
  ['run.leaks', ['none']]
];
/** Whether a run after an instant shows what one before it had shown; what is new then was never run again. */
export const showsAgain = (c: Context, at: Instant): boolean =>
  SHOWN.some(([item, fine]) => {
    const told = c.record.all(item).filter((r) => r.value !== 'unknown');
    const last = told.at(-1);
    return (
      last !== undefined &&
      !fine.includes(String(last.value)) &&
      isAfter(last.at, at) &&
      told.some((r) => r.value === last.value && !isAfter(r.at, at))
    );
  });
