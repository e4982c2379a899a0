import { advise, type Advice } from '../advice/advice.ts';
import { weighing, type Weighing } from '../diagnosis/weighing.ts';
import { unliftable } from '../holds/index.ts';
import type { Judgement } from '../judge.ts';
import { planOf, type Step } from '../plan/plan.ts';
import { jobsOf } from './jobs.ts';
import { listed } from '../findings/context.ts';
import { traitsOf } from '../jobs/register.ts';
import { likelyOnly, openBefore } from './known.ts';
import { drawCosts, histogram, quantile, shareOver, type Draws, type Job, type Work } from './monte-carlo.ts';
import type { OptionId } from '../record/options.ts';
import { pertMean } from '../physics/pert.ts';
import { waysOf, type Way } from './ways.ts';

export interface OptionView {
  readonly id: OptionId;
  /** Expected value, cr; left out where the engine's worth is not known. */
  readonly value?: number;
  readonly because: string;
  /** Why it cannot be chosen. */
  readonly closed?: string;
}

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
  /**
   * Three sums that are never mixed, cr on average: what is established (service, missing parts, open jobs), what is likely and not
   * established, and the reserve for what such engines usually still hide.
   */
  readonly sums: { readonly established: number; readonly likely: number; readonly reserve: number };
  /** What is open before anything can be decided, each by its name. */
  readonly open: readonly string[];
  readonly minutes: { readonly median: number; readonly high: number };
  readonly bins: readonly { readonly from: number; readonly to: number; readonly n: number }[];
  /** Largest shares of the mean cost. */
  readonly items: readonly { readonly label: string; readonly mean: number; readonly probability: number }[];
  readonly ceiling?: number;
  readonly overCeiling?: number;
  /** What it may cost before parts are the better choice. */
  readonly breakEven?: number;
  readonly changes: readonly string[];
  readonly worthKnown: boolean;
  readonly draws: number;
  readonly seed: number;
}

/** Sunk before a stop is noticed, share of the sum (M). */
const SUNK = 0.15;
/** A spread of the sum this wide is agreed on first, where nobody named a ceiling, cr (M). */
const WIDE = 800;
/** A specialist's hour is dearer and the way is long (M). */
const ELSEWHERE = 1.25;

const cr = (x: number): string => `${Math.round(x / 5) * 5} cr`;

interface State {
  readonly w: Weighing;
  readonly jobs: readonly Job[];
  readonly draws: Draws;
  readonly never: boolean;
  readonly advice: Advice;
  readonly open: number;
  /** What is to be looked at before it is decided. */
  readonly before: readonly string[];
  readonly sums: Decision['sums'];
  /** Jobs that are open. */
  readonly listed: ReadonlySet<string>;
}

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
const upper = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** Mean price of one work, there for certain, cr. */
const priceOf = (x: Work, rate: number): number => pertMean(x.parts) + (pertMean(x.minutes) / 60) * rate;

/** The mean split in three: jobs on the list, works that are likely, and the rest. */
function sumsOf(jobs: readonly Job[], steps: readonly Step[], rate: number, mean: number): Decision['sums'] {
  const listed = new Set(steps.filter((s) => s.state === 'open').map((s) => s.id));
  let established = 0;
  let likely = 0;
  for (const job of jobs) {
    const certain = job.works.every((w) => w.probability === 1);
    const [most] = [...job.works].sort((a, b) => b.probability - a.probability);
    if (!most) continue;
    if (certain) established += job.works.reduce((sum, w) => sum + priceOf(w, rate), 0);
    else if (listed.has(job.id)) established += priceOf(most, rate);
    else if (most.probability >= LIKELY) likely += most.probability * priceOf(most, rate);
  }
  return { established, likely, reserve: Math.max(0, mean - established - likely) };
}
/** From this chance a work is called likely. */
const LIKELY = 0.5;

const serious = (w: Weighing): { label: string; p: number }[] =>
  w.position.serious
    .map((i) => ({ label: w.model.suspects[i]!.label, p: w.belief.posterior[i]! }))
    .sort((a, b) => b.p - a.p);

/** The value of each option in words and, where the engine's worth is known, in money. */
function optionViews(s: State): OptionView[] {
  const { w, draws, never } = s;
  const { money, belief, position, model } = w;
  const valued = money.worthKnown;
  const risk = model.suspects.reduce((sum, _, i) => sum + belief.posterior[i]! * position.loss[i]!, 0);
  const service = s.jobs.find((j) => j.id === 'service')!.works[0]!;
  const serviceCost = pertMean(service.parts) + (pertMean(service.minutes) / 60) * money.rate;
  const sum = money.ceiling ?? (valued ? Math.max(0, money.worth - money.salvage) : quantile(draws.costs, 0.9));
  const under = draws.costs.reduce(
    (total, c) => total + (c <= sum ? money.worth - c : money.salvage - SUNK * Math.min(c, sum)),
    0
  );
  const dear = serious(w)[0];
  const best = s.advice.checks.find((c) => c.worthIt && !c.waits);
  const view = (id: OptionId, value: number, because: string, closed?: string): OptionView => ({
    id,
    ...(valued ? { value } : {}),
    because,
    ...(closed ? { closed } : {})
  });
  const held = never ? 'A hold stands that the yard cannot lift.' : undefined;
  return [
    view(
      'service',
      money.worth - serviceCost - Math.min(risk, money.worth),
      `Service alone, and what is suspected stays in: it may cost ${cr(risk)} on average.`,
      held ??
        (s.open
          ? 'Faults are found that service does not cure.'
          : s.before.length
            ? `Not looked at enough: ${lower(s.before[0]!)} first.`
            : undefined)
    ),
    view(
      'repair',
      money.worth - draws.mean,
      `On average ${cr(draws.mean)}, one in ten over ${cr(quantile(draws.costs, 0.9))}.`,
      held
    ),
    view(
      'repair-under',
      under / draws.costs.length,
      `Up to ${cr(sum)}; ${Math.round(100 * shareOver(draws.costs, sum))} in 100 would pass it and stop there.`,
      held
    ),
    view(
      'specialist',
      money.worth - ELSEWHERE * draws.mean,
      dear
        ? `${dear.label.charAt(0).toUpperCase()}${dear.label.slice(1)} wants tools and measures of a specialist.`
        : 'Nothing here asks for one.',
      dear && dear.p >= 0.2 ? undefined : 'Nothing points to work that the yard cannot do.'
    ),
    view(
      'parts',
      money.salvage,
      money.salvageKnown
        ? 'What its parts bring.'
        : `What its parts may bring: a fifth of its worth, taken from memory.`
    ),
    view(
      'hold',
      (valued ? Math.max(money.worth - draws.mean, money.salvage) : 0) +
        (best ? best.gain - (best.minutes / 60) * money.rate : 0),
      best ? `Next: ${lower(best.title)}, ${best.minutes} min.` : 'No look is open that would change anything.',
      best || s.before.length ? undefined : 'Nothing is left to look at that pays for its minutes.'
    )
  ];
}

/** The choice, and why: holds first, then whether one more look may turn it, then money. */
function choose(s: State, views: readonly OptionView[]): { id: OptionId; because: string } {
  const { w, draws, advice } = s;
  const { money } = w;
  const of = (id: OptionId): OptionView => views.find((v) => v.id === id)!;
  const over = money.ceiling === undefined ? undefined : shareOver(draws.costs, money.ceiling);
  if (s.never) {
    const price = (of('specialist').value ?? 1) > (of('parts').value ?? 0);
    return price
      ? {
          id: 'specialist',
          because: 'A hold stands that the yard cannot lift: a specialist’s price, or it is kept for parts.'
        }
      : {
          id: 'parts',
          because: 'A hold stands that the yard cannot lift, and a specialist costs more than it is worth.'
        };
  }
  const first = advice.checks.find((c) => c.worthIt && !c.waits);
  if (first?.doubted) return { id: 'hold', because: `${first.because} Nothing is decided on it before.` };
  if (advice.hopeless)
    return { id: 'parts', because: `Mending costs more on average (${cr(draws.mean)}) than the engine gains by it.` };
  if (s.before.length) {
    const worst = quantile(draws.costs, 0.95);
    const named = s.before.slice(0, 3).map(lower);
    const rest = s.before.length - named.length;
    return {
      id: 'hold',
      because: `${upper(listed(rest > 0 ? [...named, `${rest} more`] : named))} ${s.before.length > 1 ? 'are' : 'is'} open. The least it costs is about ${cr(s.sums.established)}; at worst ${cr(worst)} are possible.`
    };
  }
  const turning = advice.checks.find((c) => c.worthIt && !c.waits && (c.ends >= 0.05 || c.turns >= 0.05));
  if (turning)
    return {
      id: 'hold',
      because: `${turning.title} comes first: it can turn the decision for ${turning.minutes} minutes.`
    };
  const dear = serious(w).find((x) => x.p >= 0.5);
  if (dear)
    return { id: 'specialist', because: `Likely ${dear.label}: a price from a specialist before more goes in.` };
  if (
    !s.open &&
    !advice.suspects.some((x) => x.raised && !x.mended && (!x.artefact || x.step) && x.chance === 'likely')
  )
    return { id: 'service', because: 'Nothing asks for repair: service items and the gates.' };
  if (over !== undefined && over > 0.75)
    return {
      id: 'repair-under',
      because: `It will probably pass the owner’s ceiling of ${cr(money.ceiling!)}: ask before anything is opened.`
    };
  if (over !== undefined && over > 0.1)
    return {
      id: 'repair-under',
      because: `Worth mending, but ${Math.round(100 * over)} in 100 pass the owner’s ceiling of ${cr(money.ceiling!)}: agree on the sum first.`
    };
  if (money.ceiling === undefined && quantile(draws.costs, 0.9) - quantile(draws.costs, 0.1) > WIDE)
    return {
      id: 'repair-under',
      because: `Worth mending, but the sum is wide (${cr(quantile(draws.costs, 0.1))} to ${cr(quantile(draws.costs, 0.9))}): agree on one first.`
    };
  const guessed = likelyOnly(advice, s.listed);
  return guessed.length
    ? {
        id: 'repair',
        because: `What is established costs about ${cr(s.sums.established)}; likely besides, and not established: ${listed(guessed.slice(0, 3))}, about ${cr(s.sums.likely)}.`
      }
    : { id: 'repair', because: `The faults are known and cost about ${cr(s.sums.established)}.` };
}

/** What would have to be otherwise for another choice: each wide suspect settled either way, and money. */
function changesOf(s: State, now: OptionId, seed: number): string[] {
  const { money } = s.w;
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
      const draws = drawCosts(jobs, money.rate, 2000, seed);
      const state = { ...s, jobs, draws, before: [], advice: { ...s.advice, checks: [] } };
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
  if (money.ceiling !== undefined && now === 'repair-under')
    out.push(`With a ceiling of ${cr(quantile(s.draws.costs, 0.9))} nine in ten would stay under it.`);
  return [...new Set(out)].slice(0, 4);
}
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
  const before = openBefore(j);
  const sums = sumsOf(jobs, steps, w.money.rate, drawn.mean);
  const state: State = {
    w,
    jobs,
    draws: drawn,
    never,
    advice,
    before,
    sums,
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
    minutes: { median: quantile(drawn.minutes, 0.5), high: quantile(drawn.minutes, 0.9) },
    bins: histogram(drawn.costs, 36),
    items,
    ...(money.ceiling === undefined
      ? {}
      : { ceiling: money.ceiling, overCeiling: shareOver(drawn.costs, money.ceiling) }),
    ...(money.worthKnown ? { breakEven: Math.max(0, money.worth - money.salvage) } : {}),
    changes: changesOf(state, chosen.id, seed),
    worthKnown: money.worthKnown,
    draws,
    seed
  };
}
