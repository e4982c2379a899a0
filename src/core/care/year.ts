import { caseKinds } from '../engine/case-kind.ts';
import type { Context } from '../findings/context.ts';
import { lineName } from '../history/trend-words.ts';
import { trendsOf } from '../history/trends.ts';
import { isWork } from '../jobs/done.ts';
import { isJobId, jobOf } from '../jobs/register.ts';
import type { HouseRules } from '../house-rules/rules.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { say, type System } from '../units/index.ts';
import { isAfter } from '../units/instant.ts';
import { flowById } from './flows.ts';
import { serviceFlows } from './flows-service.ts';
import { firstOil, intervalsOf } from './intervals.ts';
import { loggedOutings, totalsOf, type Logged, type OutingTotals } from './outings.ts';

/** Something that happened on a day of the year. */
export interface YearEvent {
  /** "2026-05-01". */
  readonly on: string;
  readonly title: string;
  /** Engine hours then, where they were noted. */
  readonly hours?: number;
}

/** A quantity measured this year, and the last time before that it may be compared with. Shown, with its unit. */
export interface YearFigure {
  readonly label: string;
  readonly value: string;
  readonly on: string;
  readonly before?: { readonly value: string; readonly on: string };
  /** The change is more than scatter, and for the worse. */
  readonly worse: boolean;
}

/** What one engine did and had done to it in a year, as its owner keeps it. */
export interface EngineYear {
  readonly year: number;
  /** Every year of which something is known, newest first. */
  readonly years: readonly number[];
  readonly totals: OutingTotals;
  /** Hours of each month, January first; outings of unknown length count nothing. */
  readonly months: readonly number[];
  /** The meter at the year's first and last reading of it. */
  readonly meter?: { readonly from: number; readonly to: number };
  /** Outings whose stream was weak or missing; in salt or brackish water; of those not noted as flushed. */
  readonly weak: number;
  readonly salt: number;
  readonly unflushed: number;
  readonly done: readonly YearEvent[];
  readonly assessed: readonly YearEvent[];
  readonly figures: readonly YearFigure[];
}

const byDay = (a: YearEvent, b: YearEvent): number => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0);
const yearIn = (day: string): number => Number(day.slice(0, 4));

/** What a mark is called: a service, a short job or work by its title, work added by hand by the name it was given. */
function titleOf(survey: SurveyFile, step: string, services: ReadonlyMap<string, string>): string | undefined {
  const [kind, id] = [step.slice(0, step.indexOf('.')), step.slice(step.indexOf('.') + 1)];
  if (kind === 'care') return services.get(id);
  // A short job that is a service stands there as one.
  if (kind === 'flow') return serviceFlows.some((f) => f.id === id) ? undefined : flowById(id)?.title;
  if (isJobId(step)) return jobOf(step).title;
  return survey.jobs?.findLast((j) => j.step === step && j.title)?.title;
}

/** Everything that was done and not opened again, once for each day. */
function doneIn(surveys: readonly SurveyFile[], contexts: readonly Context[], rules: HouseRules): YearEvent[] {
  const services = new Map<string, string>(
    contexts.slice(-1).flatMap((c) => [firstOil(rules), ...intervalsOf(c, true)].map((i) => [i.id, i.title] as const))
  );
  services.set('flush', 'Flushed with fresh water');
  const seen = new Set<string>();
  return surveys
    .flatMap((s) => {
      const marks = s.steps ?? [];
      return marks
        .filter((m) => isWork(m) && !marks.some((o) => o.step === m.step && o.state === 'open' && isAfter(o.at, m.at)))
        .flatMap((m): YearEvent[] => {
          const title = titleOf(s, m.step, services);
          return title ? [{ on: m.at.slice(0, 10), title, ...(m.hours === undefined ? {} : { hours: m.hours }) }] : [];
        });
    })
    .filter(({ on, title }) => {
      const key = `${on} ${title}`;
      return seen.has(key) ? false : seen.add(key);
    })
    .sort(byDay);
}

/** What was measured in the year beside the last comparable time before it, in words of a unit system. */
function figuresIn(contexts: readonly Context[], year: number, units: System): YearFigure[] {
  return trendsOf(contexts).flatMap((t) =>
    t.lines.flatMap((l): YearFigure[] => {
      const k = l.points.findLastIndex((p) => yearIn(p.at) === year);
      const now = l.points[k];
      if (!now) return [];
      const before = l.points.slice(0, k).findLast((p) => yearIn(p.at) < year);
      const name = lineName(l);
      const shown = (si: number): string => say(si, t.dimension, units);
      return [
        {
          label: name ? `${t.label}, ${name}` : t.label,
          value: shown(now.value),
          on: now.at.slice(0, 10),
          ...(before ? { before: { value: shown(before.value), on: before.at.slice(0, 10) } } : {}),
          worse: l.change?.worse === true
        }
      ];
    })
  );
}

function meterIn(list: readonly Logged[], year: number): EngineYear['meter'] {
  const told = list.filter((o) => o.meter !== undefined && !o.backward);
  const mine = told.filter((o) => yearIn(o.on) === year);
  if (!mine.length) return undefined;
  // Where it stood when the year began, else at its first reading.
  const [first, last] = [told.findLast((o) => yearIn(o.on) < year) ?? mine[0]!, mine.at(-1)!];
  // Another meter was fitted meanwhile: what it shows is told from its own first reading.
  return { from: (first.meter! > last.meter! ? mine[0]! : first).meter!, to: last.meter! };
}

/**
 * The year of an engine from its log, its assessments and the work on it. Pure; days are those of the entries, whatever the clock's zone.
 * @param surveys its assessments, oldest first
 * @param contexts the same with the work done on them
 * @param year of the calendar; without one, the latest of which anything is known
 * @returns nothing where the engine has no assessment at all
 */
export function yearOf(
  surveys: readonly SurveyFile[],
  contexts: readonly Context[],
  rules: HouseRules,
  units: System,
  year?: number
): EngineYear | undefined {
  const latest = surveys.at(-1);
  if (!latest) return undefined;
  const list = loggedOutings(latest.engine);
  const changed = list.filter((o) => o.changed).map((o): YearEvent => ({ on: o.on, title: 'Engine oil changed' }));
  const done = [...doneIn(surveys, contexts, rules), ...changed].sort(byDay);
  const assessed = surveys.map(({ assessment: a }): YearEvent => ({
    on: a.startedAt.slice(0, 10),
    title: caseKinds[a.kind].label
  }));
  const years = [...new Set([...list, ...done, ...assessed].map((e) => yearIn(e.on)))].sort((a, b) => b - a);
  const asked = year ?? years[0]!;
  const mine = list.filter((o) => yearIn(o.on) === asked);
  const wet = mine.filter((o) => ['salt', 'brackish'].includes(o.water ?? String(latest.engine.history.runsIn)));
  const meter = meterIn(list, asked);
  return {
    year: asked,
    years,
    totals: totalsOf(mine),
    months: Array.from({ length: 12 }, (_, k) =>
      mine.filter((o) => Number(o.on.slice(5, 7)) === k + 1).reduce((sum, o) => sum + (o.hours ?? 0), 0)
    ),
    ...(meter ? { meter } : {}),
    weak: mine.filter((o) => o.stream === 'weak' || o.stream === 'none').length,
    salt: wet.length,
    unflushed: wet.filter((o) => !o.flushed).length,
    done: done.filter((e) => yearIn(e.on) === asked),
    assessed: assessed.filter((e) => yearIn(e.on) === asked),
    figures: figuresIn(contexts, asked, units)
  };
}
