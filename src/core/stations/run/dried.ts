import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { goodRuns } from '../../findings/ran.ts';
import { ruleNumber } from '../../house-rules/rules.ts';
import { drowned } from '../../record/drowned.ts';
import type { Reading } from '../../record/reading.ts';
import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import type { ItemId } from '../items.ts';
import { changedAfter } from '../oil/changed.ts';
import { runsOf } from './runs.ts';

/** A run that dries a crankcase lasts so long, minutes (C). */
export const DRIES = 30;

/** When an engine that sank has last run warm for long enough to dry inside, an empty text where it has not. */
export function driedAt(c: Context): Instant {
  const said = c.record.all('run.longRun').filter((r) => r.value === 'yes');
  const long = goodRuns(c).filter((r) => {
    const noted = c.record.all('run.minutes').findLast((m) => ofThatRun(m.at, r.at));
    return (known(noted?.value) ?? 0) >= DRIES;
  });
  const logged = runsOf(c)
    .filter((run) => !run.silent && run.minutes >= DRIES)
    .map((run) => ({ at: new Date(run.startedAt.getTime() + run.minutes * 60_000).toISOString() }))
    .filter(({ at }) => !c.record.all('run.outcome').some((r) => ENDED_BADLY.has(r.value) && ofThatRun(r.at, at)));
  return latestAt([...said, ...long, ...logged]);
}
/** What is noted of one run stands within an hour of its end, ms (M). */
const SAME_RUN = 3_600_000;
const ofThatRun = (noted: Instant, end: Instant): boolean => Math.abs(Date.parse(noted) - Date.parse(end)) < SAME_RUN;
/** Stopped for something, or died: however long it was, it was no run to dry it by. */
const ENDED_BADLY: ReadonlySet<unknown> = new Set(['stopped', 'died', 'failed']);

/** When it is looked at again after that run, ms since 1970; nothing before there was one. */
export function dayAfterDrying(c: Context): number | undefined {
  const dried = driedAt(c);
  return dried === '' ? undefined : Date.parse(dried) + ruleNumber(c.rules, 'nextDay') * 3_600_000;
}

/** What shows water that hid, by what lies under the pistons. */
export const nextDayItems = (c: Context): readonly ItemId[] =>
  c.survey.engine.profile.strokes === 'four' ? ['turn.result', 'oil.look'] : ['turn.result', 'plugs.read'];

/** Looked at since: each of them, or the step ticked. */
function seenNextDay(c: Context, from: number): boolean {
  const since = (at: Instant): boolean => Date.parse(at) >= from;
  const told = (r: Reading): boolean => r.value !== 'unknown' && since(r.at);
  const ticked = (c.survey.steps ?? []).some(
    (s) => s.step === 'drowned.next-day' && s.state === 'done' && isAfter(s.at, driedAt(c))
  );
  return ticked || nextDayItems(c).every((item) => c.record.all(item).some(told));
}

export type Drying = 'oil' | 'long' | 'next-day';

/**
 * What is left of an engine that sank and runs again: the oil of its first run, which takes along what that drove out; the long warm run
 * that dries its crankcase; then the look of the next day, since water that hid shows overnight (C). Nothing of an engine that is here
 * for anything else, or that has not run well.
 */
export function drying(c: Context): Drying | undefined {
  const [first] = goodRuns(c);
  if (!drowned(c) || c.survey.assessment.kind !== 'drowned' || !first) return undefined;
  if (c.survey.engine.profile.strokes === 'four' && changedAfter(c, first.at) === '') return 'oil';
  const from = dayAfterDrying(c);
  if (from === undefined) return 'long';
  return seenNextDay(c, from) ? undefined : 'next-day';
}
