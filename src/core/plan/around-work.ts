import { contextOf, workWhere, type Context } from '../findings/context.ts';
import { kindOf, type Finding } from '../findings/finding.ts';
import type { JobRule } from '../jobs/job.ts';
import { findingsFor } from '../judge.ts';
import type { ItemId, StationId } from '../stations/items.ts';
import { isAfter } from '../units/instant.ts';

/** Findings that can raise a step, by their kind: every rule asks for a few kinds, and there are many rules. */
const kinds = new WeakMap<readonly Finding[], Map<string, Finding[]>>();
function byKind(found: readonly Finding[]): Map<string, Finding[]> {
  const kept = kinds.get(found);
  if (kept) return kept;
  const map = new Map<string, Finding[]>();
  for (const f of found) if (f.condition !== 'sound') map.set(kindOf(f.id), [...(map.get(kindOf(f.id)) ?? []), f]);
  kinds.set(found, map);
  return map;
}

/** The findings that raise a step, in the order they were found. */
export function raisers(rule: JobRule, found: readonly Finding[]): Finding[] {
  const map = byKind(found);
  const mine = (rule.raisedBy ?? []).flatMap((r) =>
    typeof r === 'string' ? (map.get(r) ?? []) : (map.get(r.id) ?? []).filter((f) => r.only.includes(f.condition))
  );
  return mine.length > 1 ? found.filter((f) => mine.includes(f)) : mine;
}

/** The survey as it stood at a moment, for what was found before a piece of work. */
const asOf = (c: Context, at: string): Context =>
  contextOf(
    { ...c.survey, readings: c.survey.readings.filter((r) => !isAfter(r.at, at)) },
    c.now,
    c.units,
    c.fitLeaks,
    workWhere(c, `${c.basis} before ${at}`, (w) => isAfter(at, w)),
    true
  );

/** What the readings taken after a moment show by themselves. */
const since = (c: Context, at: string): Context =>
  contextOf(
    { ...c.survey, readings: c.survey.readings.filter((r) => isAfter(r.at, at)) },
    c.now,
    c.units,
    c.fitLeaks,
    workWhere(c, `after ${at}`, () => false),
    true
  );

/** The survey without what was read of some items, ever or after a moment: what is found all the same does not rest on that. */
const without = (c: Context, items: readonly string[], since = ''): Context =>
  contextOf(
    {
      ...c.survey,
      readings: c.survey.readings.filter((r) => !(items.includes(r.what) && (!since || isAfter(r.at, since))))
    },
    c.now,
    c.units,
    c.fitLeaks,
    workWhere(c, `${c.basis} without ${items.join()} ${since}`, () => true),
    true
  );

/** What follows from how long it stood, and not from a reading, is as it was before the work. */
const fromHistory = ({ values }: Finding): boolean => (values as { assumed?: boolean } | undefined)?.assumed === true;

/** A value for each key, worked out when it is first asked for. */
function remembered<T>(make: (key: string) => T): (key: string) => T {
  const kept = new Map<string, T>();
  return (key) => {
    if (!kept.has(key)) kept.set(key, make(key));
    return kept.get(key)!;
  };
}

/** What was found before a piece of work, and what has been read since then. */
export interface AroundWork {
  /** The findings that had raised a job at a moment, from what had been read by then. */
  readonly raisedAt: (rule: JobRule, at: string) => Finding[];
  /** The findings of a check that was read after a moment, from what was read then alone; none where it was not read. */
  readonly rereadAt: (at: string, station: string | undefined) => Finding[];
  /** Whether a finding of a check rests on what was read of some items after a moment. */
  readonly restsOn: (f: Finding, station: StationId, items: readonly ItemId[], at: string) => boolean;
}

/**
 * Judges the survey at earlier moments. A job is raised by findings of one check or two, so only those are judged: of a
 * long list of work, each job with a moment of its own, all eleven would be most of what a plan costs.
 */
export function aroundWork(c: Context): AroundWork {
  const before = remembered((at) => asOf(c, at));
  const after = remembered((at) => since(c, at));
  const reread = remembered((key) => {
    const [station, at] = key.split(' ', 2) as [string, string];
    return findingsFor(after(at), (s) => s === station).filter((f) => !fromHistory(f));
  });
  const others = remembered((key) => {
    const [station, items, at] = key.split(' ') as [string, string, string];
    return findingsFor(without(c, items.split(','), at), (s) => s === station);
  });
  return {
    restsOn: (f, station, items, at) => {
      const as = (x: Finding): boolean => x.id === f.id && x.condition !== 'sound';
      // Found without a word of them, it rests on something else.
      if (others(`${station} ${items.join()} `).some(as)) return false;
      return reread(`${station} ${at}`).some(as) || !others(`${station} ${items.join()} ${at}`).some(as);
    },
    raisedAt: (rule, at) => {
      const kinds = (rule.raisedBy ?? []).map((r) => (typeof r === 'string' ? r : r.id));
      return raisers(
        rule,
        findingsFor(before(at), (s) => kinds.some((kind) => kind.startsWith(`${s}.`)))
      );
    },
    rereadAt: (at, station) =>
      station && c.survey.readings.some((r) => isAfter(r.at, at) && r.what.startsWith(`${station}.`))
        ? reread(`${station} ${at}`)
        : []
  };
}
