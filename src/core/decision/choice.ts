import type { Advice } from '../advice/advice.ts';
import type { RankedCheck } from '../diagnosis/ranking.ts';
import type { Weighing } from '../diagnosis/weighing.ts';
import { listed } from '../findings/context.ts';
import type { Move } from '../moves/move.ts';
import { pertMean } from '../physics/pert.ts';
import type { OptionId } from '../record/options.ts';
import { likelyOnly } from './known.ts';
import type { Job } from '../plan/bill.ts';
import { CERTAIN } from '../plan/established.ts';
import { quantile, shareOver, type Draws } from './monte-carlo.ts';

/** Three sums that are never mixed, cr on average. */
export interface Sums {
  /** Service, missing parts, open jobs. */
  readonly established: number;
  /** Likely, and not established. */
  readonly likely: number;
  /** What such engines usually still hide. */
  readonly reserve: number;
}

export interface OptionView {
  readonly id: OptionId;
  /** Expected value, cr; left out where the engine's worth is not known. */
  readonly value?: number;
  readonly because: string;
  /** Why it cannot be chosen. */
  readonly closed?: string;
}

/** Chance of passing what the owner's word reaches to from which a sum is agreed on first: before a word was given, and after (M). */
const ASKED = 0.1;
const AGREED = 0.3;
/** From this chance on a dear fault that is not established is named beside what is (M). */
const LEFT = 0.2;
/** Sunk before a stop is noticed, share of the sum (M). */
const SUNK = 0.15;
/** A spread of the sum this wide is agreed on first, where nobody named a ceiling, cr (M). */
const WIDE = 800;
/** A specialist's hour is dearer and the way is long (M). */
const ELSEWHERE = 1.25;

/** A sum as it is said: to the next 5 cr. */
export const cr = (x: number): string => `${Math.round(x / 5) * 5} cr`;

/** What the options are weighed on. */
export interface State {
  readonly w: Weighing;
  readonly jobs: readonly Job[];
  readonly draws: Draws;
  readonly never: boolean;
  readonly advice: Advice;
  readonly open: number;
  /** Assessed for one piece of service or a lay-up: the rest of the engine was not asked about. */
  readonly short: boolean;
  /** Whether a fault was found, by sight or by measurement. */
  readonly found: boolean;
  /** The next look on the list of what to do now. */
  readonly next?: Move;
  /** The next look there that may turn the decision. */
  readonly turning?: RankedCheck;
  /** What is to be looked at before it is decided. */
  readonly before: readonly string[];
  readonly sums: Sums;
  /** What the owner's word reaches to, cr, less what was spent; nothing where no sum was named. */
  readonly remaining?: number;
  /** The owner has said yes to a repair. */
  readonly agreed: boolean;
  /** Jobs that are open. */
  readonly listed: ReadonlySet<string>;
}

const serious = (w: Weighing): { label: string; p: number }[] =>
  w.position.serious
    .map((i) => ({ label: w.model.suspects[i]!.label, p: w.belief.posterior[i]! }))
    .sort((a, b) => b.p - a.p);

/** Service items alone, cr on average. */
function serviceCost({ w, jobs }: State): number {
  const service = jobs.find((j) => j.id === 'service')!.works[0]!;
  return pertMean(service.parts) + (pertMean(service.minutes) / 60) * w.money.rate;
}

/** Nobody needs to know more: what was found, and is certain, costs more by itself than mending gains. */
function certainlyTooDear(s: State): boolean {
  const { money } = s.w;
  return money.worthKnown && s.found && s.sums.established - serviceCost(s) > money.worth - money.salvage;
}

/** The value of each option in words and, where the engine's worth is known, in money. */
export function optionViews(s: State): OptionView[] {
  const { w, draws, never } = s;
  const { money, belief, position, model } = w;
  const valued = money.worthKnown;
  const risk = model.suspects.reduce((sum, _, i) => sum + belief.posterior[i]! * position.loss[i]!, 0);
  const sum = s.remaining ?? (valued ? Math.max(0, money.worth - money.salvage) : quantile(draws.costs, 0.9));
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
      money.worth - serviceCost(s) - Math.min(risk, money.worth),
      `Service alone, and what is suspected stays in: it may cost ${cr(risk)} on average.`,
      held ??
        (s.found
          ? 'Faults are found that service does not cure.'
          : s.before.length
            ? `Not looked at enough yet. Open: ${s.before[0]!}.`
            : s.open
              ? 'Work is on the list that is more than service.'
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
      dear ? `Tools and measures of a specialist, if it is ${dear.label}.` : 'Nothing here asks for one.',
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
      s.next ? `Next: ${s.next.title}, ${s.next.minutes} min.` : 'No look is open that would change anything.',
      s.next || s.before.length ? undefined : 'Nothing is left to look at that pays for its minutes.'
    )
  ];
}

/** The choice, and why: holds first, then whether one more look may turn it, then money. */
export function choose(s: State, views: readonly OptionView[]): { id: OptionId; because: string } {
  const { w, draws, advice } = s;
  const of = (id: OptionId): OptionView => views.find((v) => v.id === id)!;
  const over = s.remaining === undefined ? undefined : shareOver(draws.costs, s.remaining);
  const word = s.remaining === undefined ? '' : `the ${cr(s.remaining)} that the owner’s word still reaches to`;
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
  if (s.next?.class === 4) return { id: 'hold', because: `${s.next.because} Nothing is decided on it before.` };
  if (advice.hopeless)
    return { id: 'parts', because: `Mending costs more on average (${cr(draws.mean)}) than the engine gains by it.` };
  // What is certain alone ends it: nothing that is still open makes it cheaper.
  if (certainlyTooDear(s))
    return {
      id: 'parts',
      because: `What is certain alone costs about ${cr(s.sums.established)}; mended it is worth ${cr(w.money.worth)}, and ${cr(w.money.salvage)} as parts.`
    };
  if (s.before.length) {
    const worst = quantile(draws.costs, 0.95);
    const named = s.before.slice(0, 3);
    const rest = s.before.length - named.length;
    return {
      id: 'hold',
      because: `Open: ${named.join('; ')}${rest > 0 ? `; and ${rest} more` : ''}. The least it costs is about ${cr(s.sums.established)}; at worst ${cr(worst)} are possible.`
    };
  }
  const { turning } = s;
  if (turning)
    return {
      id: 'hold',
      because: `${turning.title}: this comes first: it can turn the decision for ${turning.minutes} minutes.`
    };
  const dear = serious(w).find((x) => x.p >= 0.5);
  if (dear)
    return {
      id: 'specialist',
      because: `${dear.p >= CERTAIN ? 'Almost certainly' : 'Likely'} ${dear.label}: a price from a specialist before more goes in.`
    };
  if (
    !s.open &&
    !advice.suspects.some((x) => x.raised && !x.mended && (!x.artefact || x.step) && x.chance === 'likely')
  )
    return {
      id: 'service',
      because: s.short
        ? 'Nothing that was found asks for repair; the rest of the engine is no part of this job.'
        : 'Nothing asks for repair: service items and the gates.'
    };
  if (over !== undefined && over > 0.75)
    return {
      id: 'repair-under',
      because: `It will probably pass ${word}: ask before anything more is opened.`
    };
  if (over !== undefined && over > ASKED)
    return {
      id: 'repair-under',
      because:
        s.agreed && over <= AGREED
          ? `Agreed on; ${Math.round(100 * over)} in 100 pass ${word}: ask again before that.`
          : `Worth mending, but ${Math.round(100 * over)} in 100 pass ${word}: agree on the sum first.`
    };
  if (s.remaining === undefined && quantile(draws.costs, 0.9) - quantile(draws.costs, 0.1) > WIDE)
    return {
      id: 'repair-under',
      because: `Worth mending, but the sum is wide (${cr(quantile(draws.costs, 0.1))} to ${cr(quantile(draws.costs, 0.9))}): agree on one first.`
    };
  const guessed = likelyOnly(advice, s.listed);
  const left = serious(w).find((x) => x.p >= LEFT);
  if (!guessed.length && left)
    return {
      id: 'repair',
      because: `What is established costs about ${cr(s.sums.established)}. It may not end there: ${left.label}, ${Math.round(100 * left.p)} in 100, is neither ruled out nor in that sum.`
    };
  return guessed.length
    ? {
        id: 'repair',
        because: `What is established costs about ${cr(s.sums.established)}; likely besides, and not established: ${listed(guessed.slice(0, 3))}, about ${cr(s.sums.likely)}.`
      }
    : {
        id: 'repair',
        because: s.found
          ? `The faults are known and cost about ${cr(s.sums.established)}.`
          : `No fault stands against it; the work on the list, with service, costs about ${cr(s.sums.established)}.`
      };
}
