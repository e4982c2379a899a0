import type { NextCheck } from '../../../core/plan/next-check.ts';
import { judge } from '../../../core/judge.ts';
import { planOf } from '../../../core/plan/plan.ts';
import { drownedClock, type DrownedClock } from '../../../core/survey/clock.ts';
import type { Condition } from '../../../core/survey/finding.ts';
import type { Profile } from '../../../core/engine/profile.ts';
import { runningWaits } from '../../../core/survey/wait.ts';
import type { CaseKind } from '../../../core/engine/case-kind.ts';
import type { System } from '../../../core/units/index.ts';
import type { StoreOptions } from './context.ts';
import { stations } from '../../../core/stations/register.ts';
import { adviceOf } from '../advice.ts';
import { currentRules } from './house-rules.ts';
import { loadSurvey, openSurveys } from './surveys.ts';

export interface YardRow {
  readonly surveyId: string;
  readonly engineId: string;
  readonly tag: string;
  readonly name: string;
  readonly owner: string;
  readonly serial: string;
  readonly kind: CaseKind;
  readonly startedAt: string;
  readonly profile: Profile;
  readonly stations: readonly { readonly id: string; readonly title: string; readonly condition: Condition }[];
  readonly holds: readonly { readonly title: string; readonly overridden: boolean }[];
  readonly clock?: Pick<DrownedClock, 'hoursLeft' | 'sentence'> & { readonly until: string };
  readonly next?: NextCheck;
  /** The likeliest thing that something points to, in a few words. */
  readonly suspect?: string;
  readonly waits: readonly { readonly label: string; readonly until: string }[];
  readonly openJobs: number;
  /** A job that cannot wait until tomorrow. */
  readonly today?: string;
  readonly gravest?: string;
  readonly releasedAt: string | null;
  readonly pressing: number;
}

const cache = new Map<string, { key: string; row: YardRow }>();
const MINUTE = 60_000;

/** Every engine under way, most pressing first. Judgements are kept until something they rest on changes. */
export function yard(units: System, o: StoreOptions = {}): YardRow[] {
  const now = o.now ?? new Date();
  const { seq: ruleSeq } = currentRules(o);
  const rows = openSurveys(o).map((s) => {
    const key = [s.id, s.entrySeq, s.factSeq, ruleSeq, s.releasedAt, Math.floor(now.getTime() / MINUTE)].join('|');
    const kept = cache.get(`${s.id}|${units}`);
    if (kept?.key === key && !o.db) return kept.row;
    const row = rowOf(s.id, s.releasedAt, now, units, o);
    cache.set(`${s.id}|${units}`, { key, row });
    return row;
  });
  return rows.sort((a, b) => b.pressing - a.pressing || (a.startedAt < b.startedAt ? -1 : 1));
}

function rowOf(surveyId: string, releasedAt: string | null, now: Date, units: System, o: StoreOptions): YardRow {
  const { head, survey } = loadSurvey(surveyId, o)!;
  const j = judge(survey, now, units);
  const advice = adviceOf(survey, j, units);
  const { identity, profile } = survey.engine;
  const clock = drownedClock(j.context);
  const holds = j.holds.filter((h) => !h.standing);
  const faults = j.findings.filter((f) => f.condition === 'fault' || f.condition === 'held');
  const open = planOf(j.context, j.findings, advice.suspects).filter((s) => s.state === 'open');
  const suspect = advice.suspects.find((x) => x.raised && !x.mended && x.chance === 'likely');
  const today = open.find((s) => s.id === 'frost');
  const worst = faults.find((f) => f.id === 'gear.frost') ?? faults[0];
  return {
    surveyId,
    engineId: head.engineId,
    tag: identity.tag ?? 'no tag',
    name: [identity.maker, identity.model].filter(Boolean).join(' ') || 'unknown make',
    owner: identity.owner ?? '',
    serial: identity.serial ?? '',
    kind: head.kind,
    startedAt: head.startedAt,
    profile,
    stations: j.stations.map((s) => ({ id: s.id, title: stations[s.id].text.short, condition: s.condition })),
    holds: holds.map((h) => ({ title: h.title, overridden: h.override !== undefined })),
    ...(clock
      ? { clock: { hoursLeft: clock.hoursLeft, sentence: clock.sentence, until: clock.until.toISOString() } }
      : {}),
    ...(advice.next ? { next: advice.next } : {}),
    ...(suspect ? { suspect: suspect.label } : {}),
    waits: runningWaits(survey.waits).map((w) => ({ label: w.wait.label, until: w.until.toISOString() })),
    openJobs: open.length,
    ...(today ? { today: today.title } : {}),
    ...(worst ? { gravest: worst.sentence } : {}),
    releasedAt,
    pressing: pressing(
      releasedAt,
      clock,
      holds.filter((h) => !h.override).length,
      faults.some((f) => f.id === 'gear.frost'),
      faults.length
    )
  };
}

/** A clock beats frost, frost beats holds, holds beat faults; what is back in service comes last. */
function pressing(
  released: string | null,
  clock: DrownedClock | undefined,
  holds: number,
  frost: boolean,
  faults: number
): number {
  if (released) return -1;
  return (
    (clock ? 1000 - Math.min(500, Math.max(-100, clock.hoursLeft)) : 0) +
    (frost ? 300 : 0) +
    20 * Math.min(holds, 5) +
    Math.min(faults, 15)
  );
}
