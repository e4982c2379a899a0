import { assess } from '../assess.ts';
import { flows } from '../care/flows.ts';
import { intervalsOf, type Interval } from '../care/intervals.ts';
import { moneyOf } from '../diagnosis/value.ts';
import { contextOf } from '../findings/context.ts';
import { topics, type TopicId } from '../house-rules/topics.ts';
import { school } from '../house-rules/rules.ts';
import { isJobId, jobOf, jobs } from '../jobs/register.ts';
import { costOf } from '../plan/costs.ts';
import { proceduresFor } from '../procedures/register.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import type { System } from '../units/index.ts';

/** What an engine comes to by one school of a topic. Plain data; money in cr, minutes of hands. */
export interface SchoolBeside {
  readonly choice: string;
  readonly words: string;
  /** The house follows it. */
  readonly chosen: boolean;
  /** Open jobs and what they cost by what is established. */
  readonly jobs: number;
  readonly minutes: number;
  readonly cost: number;
  /** What comes round, over a year at the hours that are assumed: hands and what they cost. */
  readonly yearMinutes: number;
  readonly yearCost: number;
  /** What is otherwise than by the school the house follows, in sentences; of the chosen one nothing. */
  readonly differs: readonly string[];
}

/** Hours of an ordinary season, where nobody knows how much it runs (M). */
export const SEASON_HOURS = 50;

/** What one survey says under one school, line by line; a line that differs is a difference. */
interface Said {
  readonly jobs: ReadonlyMap<string, string>;
  readonly holds: ReadonlyMap<string, string>;
  readonly findings: ReadonlyMap<string, string>;
  readonly care: ReadonlyMap<string, string>;
  readonly steps: ReadonlyMap<string, string>;
}

/** Visits a year by whichever of hours and months comes first. */
const visits = (i: Interval): number => Math.max(i.hours ? SEASON_HOURS / i.hours : 0, i.months ? 12 / i.months : 0);

const sayInterval = (i: Interval): string =>
  [i.hours && `${i.hours} h`, i.months && `${i.months} ${i.months === 1 ? 'month' : 'months'}`]
    .filter(Boolean)
    .join(' or ') || 'never';

/**
 * One topic's schools beside each other on one engine: what its judgement, jobs, care and procedures become under each, and what that
 * costs. Everything is worked out anew under each school, nothing is a table of its own.
 */
export function schoolsBeside(survey: SurveyFile, topic: TopicId, now: Date, units: System): SchoolBeside[] {
  const rules = survey.houseRules ?? {};
  const house = school(rules, topic);
  const views = Object.entries(topics[topic].choices).map(([choice, words]) => {
    const under: SurveyFile = {
      ...survey,
      houseRules: { ...rules, schools: { ...rules.schools, [topic]: choice } }
    };
    const a = assess(under, now, units);
    const c = contextOf(under, now, units);
    const open = a.steps.filter((s) => s.state === 'open');
    const intervals = intervalsOf(c, survey.assessment.kind === 'lay-up');
    const rate = moneyOf(a.context).rate;
    const yearMinutes = intervals.reduce(
      (sum, i) => sum + visits(i) * (jobs.find((j) => j.counts?.includes(i.id))?.minutes ?? 0),
      0
    );
    const said: Said = {
      jobs: new Map(
        open.map((s) => [
          // By what every school calls it.
          isJobId(s.id) ? jobOf(s.id).title : s.title,
          [s.how, `parts: ${[...s.parts, ...s.consumables].join(', ') || 'none'}`, `${s.minutes} min`].join(' · ')
        ])
      ),
      holds: new Map(a.holds.map((h) => [h.title, h.needs.map((n) => n.text).join('; ')])),
      findings: new Map(a.findings.map((f) => [f.id, f.sentence])),
      care: new Map(intervals.map((i) => [i.title, sayInterval(i)])),
      steps: new Map(
        [...flows, ...proceduresFor(survey.engine)].flatMap((p) =>
          p
            .steps(c)
            .map((s): [string, string] => [
              `${p.title}: ${s.id}`,
              [s.text, ...(s.branch ?? []).map((b) => `${b.seen}: ${b.then}`)].join(' · ')
            ])
        )
      )
    };
    return {
      choice,
      words,
      said,
      jobs: open.length,
      minutes: open.reduce((sum, s) => sum + s.minutes, 0),
      cost: costOf(a.context, open),
      yearMinutes,
      yearCost: (yearMinutes / 60) * rate
    };
  });
  const base = views.find((v) => v.choice === house)!;
  return views.map(({ said, ...v }) => ({
    ...v,
    chosen: v.choice === house,
    differs: v.choice === house ? [] : differences(base.said, said)
  }));
}

const kinds: Readonly<Record<keyof Said, { readonly more: string; readonly less: string; readonly other: string }>> = {
  findings: { more: 'Also found', less: 'No longer said', other: 'Said otherwise' },
  holds: { more: 'Held', less: 'Not held', other: 'Held until' },
  jobs: { more: 'Also to do', less: 'Not to do', other: 'Done otherwise' },
  care: { more: 'Comes round', less: 'Does not come round', other: 'Comes round' },
  steps: { more: 'One step more', less: 'A step less', other: 'Step' }
};

/** What one school says that the other does not, kind by kind. A procedure is the same for both engines of a pair: once is enough. */
function differences(from: Said, to: Said): string[] {
  const out = new Set<string>();
  for (const kind of Object.keys(kinds) as (keyof Said)[]) {
    const { more, less, other } = kinds[kind];
    const named = (key: string, text: string): string =>
      kind === 'findings'
        ? text
        : kind === 'steps'
          ? `${key.slice(0, key.lastIndexOf(':'))}: ${text}`
          : `${key}: ${text}`;
    for (const [key, text] of to[kind]) {
      const was = from[kind].get(key);
      if (was === undefined) out.add(`${more}: ${named(key, text)}`);
      else if (was !== text) out.add(`${other}: ${named(key, text)}`);
    }
    for (const [key, text] of from[kind]) if (!to[kind].has(key)) out.add(`${less}: ${named(key, text)}`);
  }
  return [...out];
}
