import { isShortJob } from '../moves/short-job.ts';
import { advise, type Advice } from '../advice/advice.ts';
import { weighing } from '../diagnosis/weighing.ts';
import { gatesOf, ready } from '../gates/gates.ts';
import { unliftable } from '../holds/against.ts';
import type { Judgement } from '../judge.ts';
import { traitsOf } from '../jobs/register.ts';
import { authorityOf } from '../moves/authority.ts';
import { mendFirst, moves } from '../moves/moves.ts';
import { pertMean } from '../physics/pert.ts';
import { billOf, jobsOf, type Job } from '../plan/bill.ts';
import { spentOn } from '../plan/costs.ts';
import { planOf, type Step } from '../plan/plan.ts';
import type { OptionId } from '../record/options.ts';
import { choose, cr, optionViews, type OptionView, type State, type Sums } from './choice.ts';
import { openBefore } from './known.ts';
import { drawCosts, histogram, quantile, shareOver } from './monte-carlo.ts';
import { latestOf } from '../units/instant.ts';
import { waysOf, type Way } from './ways.ts';

export interface Decision {
  readonly recommended: OptionId;
  readonly because: string;
  readonly options: readonly OptionView[];
  /** Troubles with more than one way out, each way with its price. */
  readonly ways: readonly Way[];
  readonly cost: {
    readonly mean: number;
    readonly deviation: number;
    readonly low: number;
    readonly median: number;
    readonly high: number;
  };
  readonly sums: Sums;
  /** What is open before anything can be decided, each by its name. */
  readonly open: readonly string[];
  /** The next look, by its name. */
  readonly next?: string;
  readonly minutes: { readonly median: number; readonly high: number };
  readonly bins: readonly { readonly from: number; readonly to: number; readonly n: number }[];
  /** Largest shares of the mean cost. */
  readonly items: readonly { readonly label: string; readonly mean: number; readonly probability: number }[];
  /** What the owner's word reaches to in all, cr, and what of it is left. */
  readonly ceiling?: number;
  readonly remaining?: number;
  /** The owner has said yes to a repair, and what is certain stays within his word. */
  readonly agreed: boolean;
  /** What was put into it already, cr. */
  readonly spent: number;
  readonly overCeiling?: number;
  /** What it may cost before parts are the better choice. */
  readonly breakEven?: number;
  readonly changes: readonly string[];
  readonly worthKnown: boolean;
  readonly draws: number;
  readonly seed: number;
}

/** What would have to be otherwise for another choice: each wide suspect settled either way, and money. */
function changesOf(s: State, now: OptionId, seed: number): string[] {
  const { money } = s.w;
  const few = Math.max(FEW, s.draws.costs.length / 10);
  const out: string[] = [];
  const wide = s.jobs
    .flatMap((job) => job.works)
    .filter((x) => x.probability > 0.04 && x.probability < 0.96)
    .sort((a, b) => spread(b, money.rate) - spread(a, money.rate))
    .slice(0, 3);
  for (const x of wide)
    for (const there of [true, false]) {
      const jobs = s.jobs.map((job) => ({
        ...job,
        works: job.works.map((y) => (y === x ? { ...y, probability: there ? 1 : 0 } : y))
      }));
      const draws = drawCosts(jobs, money.rate, few, seed);
      const state = { ...s, jobs, draws, before: [], next: undefined, turning: undefined };
      const then = choose(state, optionViews(state)).id;
      // A dear one found sends a repair to a specialist; what is given up or held stays so.
      const dear = there && s.w.position.serious.some((i) => s.w.model.suspects[i]!.label === x.label);
      const choice = dear && !s.never && now !== 'parts' ? 'specialist' : then;
      if (choice !== now && now !== 'hold')
        out.push(`${there ? 'If' : 'Without'} ${x.label}${there ? ' is found' : ''}: ${wordsOf[choice]}.`);
    }
  if (money.worthKnown && now !== 'parts') {
    const floor = money.salvage + s.draws.mean;
    if (floor < money.worth) out.push(`Worth under ${cr(floor)} in running order, it would be kept for parts.`);
  }
  if (s.remaining !== undefined && now === 'repair-under')
    out.push(`With ${cr(quantile(s.draws.costs, 0.9))} from here on nine in ten would stay under it.`);
  return [...new Set(out)].slice(0, 4);
}
/** What would change a choice is drawn a tenth as often, and so often at the least. */
const FEW = 200;
/** Moves that are looks. */
const LOOKS: ReadonlySet<string> = new Set(['look', 'repeat', 'continue']);
/** Chance from which a look may turn the decision (M). */
const TURNING = 0.05;

const wordsOf: Readonly<Record<OptionId, string>> = {
  service: 'service and release',
  repair: 'repair',
  'repair-under': 'repair if it stays under a sum',
  specialist: 'a specialist',
  parts: 'kept for parts',
  hold: 'not known enough yet'
};
const spread = (x: Job['works'][number], rate: number): number =>
  Math.sqrt(x.probability * (1 - x.probability)) * (pertMean(x.parts) + (pertMean(x.minutes) / 60) * rate);

/** What to do with the engine: cost with its spread, options side by side, and what would change the choice. */
export function decide(
  j: Judgement & { readonly advice?: Advice; readonly steps?: readonly Step[] },
  draws = 20_000,
  seed = 0.42
): Decision {
  const w = weighing(j.context, j.findings);
  // An assessment has them already.
  const advice = j.advice ?? advise(j, w);
  const steps = j.steps ?? planOf(j.context, j.findings, advice.suspects);
  const jobs = jobsOf(j.context, w, steps);
  const drawn = drawCosts(jobs, w.money.rate, draws, seed);
  const never = unliftable(j.holds);
  const gates = gatesOf(j.context, j.findings, j.holds, steps);
  const position = { ...j, advice, steps, gates, ready: ready(gates) };
  const list = moves(position);
  const place = new Map(list.map((m, k) => [m.title, m.waits ? list.length + k : k]));
  const rank = (title: string): number => place.get(title) ?? 2 * list.length;
  // What would only show once more what is mended first decides nothing.
  const mend = mendFirst(position);
  const again = new Set(list.flatMap((m) => (mend && m.waits === mend ? [m.title] : [])));
  // As they stand on the list of what to do now.
  const before = openBefore(position)
    .filter((title) => !again.has(title))
    .toSorted((a, b) => rank(a) - rank(b));
  const looks = list.filter((m) => !m.waits && m.class >= 3 && m.class <= 7 && LOOKS.has(m.kind));
  const turning = advice.checks.find(
    (x) => (x.ends >= TURNING || x.turns >= TURNING) && looks.some((m) => m.id === `look:${x.id}`)
  );
  const bill = billOf(jobs, steps, w.money.rate);
  const sums = { ...bill, reserve: Math.max(0, drawn.mean - bill.established - bill.likely) };
  const spent = spentOn(j.context, steps);
  const ceiling = authorityOf(j.context, steps);
  const remaining = ceiling === undefined ? undefined : Math.max(0, ceiling - spent);
  const state: State = {
    w,
    jobs,
    draws: drawn,
    never,
    short: isShortJob(j),
    advice,
    before,
    sums,
    ...(remaining === undefined ? {} : { remaining }),
    agreed: ['repair', 'repair-under', 'specialist'].includes(latestOf(j.context.survey.decisions ?? [])?.option ?? ''),
    found: j.findings.some((f) => f.condition === 'fault'),
    ...(looks[0] ? { next: looks[0] } : {}),
    ...(turning ? { turning } : {}),
    listed: new Set(steps.filter((x) => x.state === 'open').map((x) => x.id)),
    open: steps.filter((x) => x.state === 'open' && !x.by && traitsOf(x.id).phase !== 'repeat').length
  };
  const views = optionViews(state);
  const chosen = choose(state, views);
  const { money } = w;
  const items = jobs
    .flatMap((job) => job.works)
    .map((x) => ({
      label: x.label,
      probability: x.probability,
      mean: x.probability * (pertMean(x.parts) + (pertMean(x.minutes) / 60) * money.rate)
    }))
    .sort((a, b) => b.mean - a.mean)
    .slice(0, 7);
  return {
    recommended: chosen.id,
    because: chosen.because,
    options: views,
    ways: waysOf(j.context, j.findings, state.listed, w.money),
    cost: {
      mean: drawn.mean,
      deviation: drawn.deviation,
      low: quantile(drawn.costs, 0.1),
      median: quantile(drawn.costs, 0.5),
      high: quantile(drawn.costs, 0.9)
    },
    sums,
    open: before,
    ...(looks[0] ? { next: looks[0].title } : {}),
    minutes: { median: quantile(drawn.minutes, 0.5), high: quantile(drawn.minutes, 0.9) },
    bins: histogram(drawn.costs, 36),
    items,
    spent,
    agreed: state.agreed && (remaining === undefined || sums.established <= remaining),
    ...(remaining === undefined ? {} : { ceiling, remaining, overCeiling: shareOver(drawn.costs, remaining) }),
    ...(money.worthKnown ? { breakEven: Math.max(0, money.worth - money.salvage) } : {}),
    changes: changesOf(state, chosen.id, seed),
    worthKnown: money.worthKnown,
    draws,
    seed
  };
}
