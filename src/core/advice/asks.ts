import type { Conditions } from '../record/reading.ts';
import { actionOf } from '../holds/against.ts';
import type { Action } from '../holds/hold.ts';
import type { Context } from '../findings/context.ts';
import { kindOf, type Finding } from '../findings/finding.ts';
import { jobs, type JobId } from '../jobs/register.ts';
import { allItems, stationOf, type ItemId, type StationId } from '../stations/items.ts';
import { dryAfterStart } from '../stations/plugs/analyse.ts';
import { stationIds } from '../stations/register.ts';
import { causeStations } from '../stations/run/symptoms.ts';
import { unmendedKinds } from '../stations/unmended.ts';
import { repeat, type AskKind, type AskRule } from './ask.ts';
import { headAsks } from './asks-head.ts';
import { putBackAsks } from './asks-put-back.ts';
import { turnAsks } from './asks-turn.ts';
import { coolingAsks } from './asks-cooling.ts';
import { fuelAsks } from './asks-fuel.ts';
import { placeAsks } from './asks-places.ts';
import { runAsks } from './asks-run.ts';
import { saidAsks } from './asks-said.ts';
import { engineOilAsks } from './asks-engine-oil.ts';
import { wetEndAsks } from './asks-wet-end.ts';

export interface Ask {
  readonly finding: Finding;
  readonly kind: AskKind;
  readonly title: string;
  readonly station: StationId;
  readonly minutes: number;
  /** What it reads, where that is more definite than the whole check. */
  readonly items?: readonly ItemId[];
  /** Under which conditions, where they are what makes it another measurement. */
  readonly conditions?: Conditions;
  readonly needs?: Action;
  readonly job?: JobId;
  readonly late?: true | 'start' | 'release';
  readonly doubts?: true;
  readonly first?: true;
  readonly last?: true;
  /** ISO instant before which it says nothing, where that is still to come. */
  readonly from?: string;
  /** ISO instant past which it shows nothing, where it is the next thing that its finding asks for. */
  readonly by?: string;
  readonly cylinder?: number;
}

/** What was seen and is gone, with nothing done between: the same look once more. */
const onceMore = Object.fromEntries(
  stationIds
    .flatMap(unmendedKinds)
    .map(({ kind, item }) => [
      kind,
      [repeat(`Once more: ${allItems[item].label.toLowerCase()}`, stationOf(item), 3, { items: [item] })]
    ])
);

const table: ReadonlyMap<string, readonly AskRule[]> = new Map(
  Object.entries({
    ...onceMore,
    ...turnAsks,
    ...putBackAsks,
    ...headAsks,
    ...wetEndAsks,
    ...engineOilAsks,
    ...coolingAsks,
    ...fuelAsks,
    ...runAsks,
    ...placeAsks,
    ...saidAsks
  })
);

/** Every kind of finding that asks for something, for the test that each of them exists. */
export const askingKinds: readonly string[] = [...table.keys()];

export const kindOfFinding = (f: Finding): string => kindOf(f.id);

const weight: Readonly<Record<Finding['condition'], number>> = {
  held: 0,
  fault: 1,
  'cannot-tell': 2,
  watch: 3,
  sound: 4,
  'not-looked-at': 4
};

/** Looks first; then jobs by their place in the list of all jobs. */
const orderOf = (a: Ask): number => (a.job ? 1 + jobs.findIndex((j) => j.id === a.job) : 0);

/**
 * What the findings ask for next: graver findings first; of equal ones looks before work, the shorter look, the work that comes
 * first in the trade's order.
 */
export function asksOf(c: Context, found: readonly Finding[]): Ask[] {
  const asked = found.filter((finding) => finding.condition !== 'sound').map((finding) => askedBy(c, finding));
  const groups = asked
    .map((g) => g.filter((a) => !causeFound(c, a, asked, found)))
    .filter((g) => g.length > 0)
    .sort(
      ([a], [b]) =>
        Number(b!.first ?? false) - Number(a!.first ?? false) ||
        weight[a!.finding.condition] - weight[b!.finding.condition] ||
        orderOf(a!) - orderOf(b!) ||
        a!.minutes - b!.minutes
    );
  // What each finding asks for first, then what it would ask for after that; what is written down once all of that was looked at.
  const all = [...groups.map((g) => g[0]!), ...groups.flatMap((g) => g.slice(1))];
  return [...all.filter((a) => !a.last), ...all.filter((a) => a.last)];
}

/** Kinds of finding that raise work. */
/** Found while it was dead and hot: what is still to be told of it is which part. */
const FAILS_WARM: ReadonlySet<string> = new Set(['spark.fails-warm', 'spark.fails-warm-all']);
/** What is wrong with the fuel itself, which comes all the same. */
const FUEL_ITSELF: ReadonlySet<string> = new Set(['fuel.age', 'fuel.left-old', 'fuel.jar', 'fuel.mix']);
const raising = new Set(jobs.flatMap((j) => (j.raisedBy ?? []).map((r) => (typeof r === 'string' ? r : r.id))));

/**
 * A fault that has its work on the list stands where what a run showed has its cause: that is mended, and it is run again. Of one
 * cylinder that does no work, and of an engine that shakes for it, where the fault is of a cylinder.
 */
function causeFound(
  c: Context,
  { kind, items, finding }: Ask,
  asked: readonly (readonly Ask[])[],
  found: readonly Finding[]
): boolean {
  const shown = kindOf(finding.id);
  const looks = kind === 'look' && (shown === 'run.no-work' || shown === 'run.shakes');
  // It died, or did not start: either has its cause where fuel or spark was found at fault.
  const start = kind === 'look' && (shown === 'run.failed' || shown === 'run.died');
  if (!looks && !start && !items?.includes('run.cause')) return false;
  const stations = causeStations(c, shown);
  // Plugs that came out dry say that no fuel came: what it is made of, or a spark, is not why.
  const dry = shown === 'run.failed' && dryAfterStart(c)?.dry === true;
  // Whether or not that asks for its work by itself.
  const atFault = (f: Finding): boolean =>
    f.condition === 'fault' &&
    stations.includes(f.station) &&
    !(dry && (f.station !== 'fuel' || FUEL_ITSELF.has(kindOf(f.id)))) &&
    (raising.has(kindOf(f.id)) || (shown === 'run.died' && FAILS_WARM.has(kindOf(f.id))));
  if (start) return found.some(atFault);
  return asked
    .flat()
    .some(
      (a) =>
        a.kind === 'job' &&
        a.finding.condition === 'fault' &&
        stations.includes(a.finding.station) &&
        (!looks || (a.cylinder !== undefined && (shown === 'run.shakes' || a.cylinder === finding.cylinder)))
    );
}

/** What a finding asks for: the first of its list that is still open, and where that is a look, the look or trial after it. */
function askedBy(c: Context, finding: Finding): Ask[] {
  const out: Ask[] = [];
  for (const r of table.get(kindOfFinding(finding)) ?? []) {
    if (out.length === 2) break;
    if (r.only && !r.only.includes(finding.condition)) continue;
    if (out[0] && (out[0].kind !== 'look' || (r.kind !== 'look' && r.kind !== 'continue'))) continue;
    const title = typeof r.title === 'string' ? r.title : r.title(c, finding);
    if (title === undefined || !r.open(c, finding)) continue;
    const items = typeof r.items === 'function' ? r.items(c, finding) : r.items;
    // What this engine does not have is not looked at.
    if (items?.length && !items.some((i) => allItems[i].when?.(c.survey.engine.profile) ?? true)) continue;
    // What is cranked for is cranked for under any name: a hold against it holds.
    const needs = r.needs ?? items?.map((i) => actionOf(i)).find((act) => act !== undefined);
    const from = r.from?.(c);
    const by = out[0] ? undefined : r.by?.(c);
    out.push({
      finding,
      // Behind a look of the same finding a trial is not begun yet.
      kind: out[0] ? out[0].kind : r.kind,
      title,
      station: r.station,
      minutes: typeof r.minutes === 'number' ? r.minutes : r.minutes(c, finding),
      ...(items ? { items } : {}),
      ...(r.conditions ? { conditions: r.conditions } : {}),
      ...(needs ? { needs } : {}),
      ...(r.job ? { job: r.job } : {}),
      ...(r.late ? { late: r.late } : {}),
      ...(r.doubts ? { doubts: true as const } : {}),
      ...(r.first ? { first: true as const } : {}),
      ...(r.last ? { last: true as const } : {}),
      ...(from !== undefined && !c.past(from) ? { from: new Date(from).toISOString() } : {}),
      ...(by === undefined ? {} : { by: new Date(by).toISOString() }),
      ...(finding.cylinder === undefined ? {} : { cylinder: finding.cylinder })
    });
  }
  return out;
}
