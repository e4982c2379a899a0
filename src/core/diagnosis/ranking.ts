import { drowned, mayHaveRunUnder } from '../record/drowned.ts';
import type { Context } from '../findings/context.ts';
import type { Action } from '../holds/hold.ts';
import type { ItemId, StationId } from '../stations/items.ts';
import type { Belief } from './belief.ts';
import { checks } from './knowledge/index.ts';
import { setups, type Check, type Setup } from './knowledge/shape.ts';
import { fits, type Model } from './model.ts';
import { logOdds } from './network.ts';
import type { Position } from './value.ts';

export interface RankedCheck {
  readonly id: string;
  readonly title: string;
  readonly station: StationId;
  /** With the set-up it still needs. */
  readonly minutes: number;
  readonly setup?: string;
  /** cr of better decisions, and that a minute. */
  readonly gain: number;
  readonly perMinute: number;
  /** Whether it is worth its minutes. */
  readonly worthIt: boolean;
  readonly again: boolean;
  /** A wrong measurement is likely enough to be looked for before anything else is believed. */
  readonly doubted: boolean;
  /** Chance that after it stopping is the better choice, where it is not now. */
  readonly ends: number;
  /** Chance that a suspect comes up that changes the whole plan. */
  readonly turns: number;
  /** Suspects it says most about, by what their doubt costs. */
  readonly about: readonly string[];
  /** The same by their ids. */
  readonly suspects: readonly string[];
  readonly because: string;
  /** What making it does to the engine. */
  readonly needs?: Action;
  /** The hold or the check that it waits for, where it cannot be made now. */
  readonly waits?: string;
}

/** A low reading is doubted first: from this chance of a wrong measurement it is measured again (C; the figure M). */
const DOUBTED = 0.3;
/** A bit of certainty where no money hangs on it, cr (M): it only breaks ties. */
const BIT = 0.4;
/** Signs that are less likely than this to come from a cause known here are not weighed. */
const MOOT = 0.008;
const bits = (p: number): number => (p <= 1e-9 || p >= 1 - 1e-9 ? 0 : -(p * Math.log2(p) + (1 - p) * Math.log2(1 - p)));

/** What has been set up already: plugs out, leg off, case drained, running. */
export function setupDone(c: Context): Set<Setup> {
  const done = new Set<Setup>(['none']);
  if (c.record.value('turn.plugs') === 'out' || c.record.all('plugs.read').length || c.record.touched('compression'))
    done.add('plugs-out');
  if (c.record.value('cooling.opened') === 'yes') done.add('leg-off');
  if (c.record.last('gear.drained') || c.record.last('gear.casePressure')) done.add('case-empty');
  if (c.record.last('run.outcome') || c.record.last('run.event')) done.add('running');
  return done;
}

/** Facts that checks may ask for beside signs. */
function facts(c: Context): Set<string> {
  return new Set([...(drowned(c) ? ['drowned'] : []), ...(mayHaveRunUnder(c) ? ['ran-under'] : [])]);
}

export interface Look {
  readonly check: Check;
  /** Signs of this engine that the check would show and nobody has looked at. */
  readonly signs: readonly number[];
}

/** Checks with something left to see, and whether what they hang on has been seen. One that was made is not asked again. */
export function openLooks(c: Context, model: Model, belief: Belief): Look[] {
  const known = facts(c);
  const unseen = new Map<string, number[]>();
  model.signs.forEach(({ kind }, k) => {
    const l = belief.likelihood(k);
    if (l && l.present > l.absent) known.add(kind.id);
    if (!l && model.network.signs[k]!.causes.length) unseen.set(kind.check, [...(unseen.get(kind.check) ?? []), k]);
  });
  return checks.flatMap((check) => {
    const signs = unseen.get(check.id);
    if (!signs || !fits(c, check.fits, model.cylinders)) return [];
    if (check.given && !check.given.some((g) => known.has(g))) return [];
    return check.made?.some((item) => c.record.asked(item as ItemId)) ? [] : [{ check, signs }];
  });
}

interface Weighed {
  readonly gain: number;
  /** Chance that a suspect comes up that changes the plan. */
  readonly turned: number;
  readonly ends: number;
  readonly about: readonly number[];
  /** The suspect that would end it. */
  readonly endsBy: number | undefined;
}

/** What every look is weighed against: how uncertain each suspect is, bits, and what going on is worth, cr. */
interface Standing {
  readonly certainty: Float64Array;
  readonly going: number;
}

/**
 * Expected gain of one look. Its outcomes are "the first sign there is the k-th", and "none": a partition whose
 * posteriors follow from suppositions of absence alone, so that no elimination has to be planned anew.
 */
function weigh(belief: Belief, look: Look, position: Position, now: Standing): Weighed {
  const n = belief.posterior.length;
  const { certainty, going } = now;
  let before: Float64Array = belief.posterior;
  let pBefore = 1;
  let gain = 0;
  let ends = 0;
  let turned = 0;
  const relief = new Float64Array(n);
  const dear = new Float64Array(n);
  const stopping = position.stops(going);
  const outcome = (p: number, posterior: Float64Array): void => {
    if (p < 1e-9) return;
    const then = position.going(posterior);
    const stops = !stopping && position.stops(then);
    // What the choice between going on and stopping gains, and where we go on, the doubt it takes away.
    gain += p * (position.better(then) - position.better(going));
    // Found early, a dear one saves the hours that would have gone into the rest first.
    const turn = stopping ? undefined : position.turns(belief.posterior, posterior);
    if (turn !== undefined) {
      gain += p * position.effort;
      dear[turn]! += p * position.effort;
      turned += p;
    }
    if (stops) ends += p;
    const settled = !stops && !stopping;
    for (let i = 0; i < n; i++)
      if (posterior[i] !== belief.posterior[i]) {
        const less = p * (position.doubt(i, belief.posterior[i]!) - position.doubt(i, posterior[i]!));
        relief[i]! += less;
        if (settled) gain += less;
        if (stops) dear[i]! += p * (position.known(i, posterior[i]!) - position.known(i, belief.posterior[i]!));
        gain += p * BIT * (certainty[i]! - bits(posterior[i]!));
      }
  };
  const absent: number[] = [];
  for (const s of look.signs) {
    // A sign whose causes are all out of the question will not be there; it takes no elimination to know.
    const causes = belief.network.signs[s]!.causes;
    if (causes.reduce((sum, c) => sum + belief.posterior[c.cause]! * c.strength, 0) < MOOT) continue;
    absent.push(s);
    const after = belief.withAbsent(absent);
    const pAfter = Math.min(pBefore, Math.exp(after.logZ - belief.logZ));
    const p = pBefore - pAfter;
    if (p > 1e-9) {
      const there = new Float64Array(n);
      for (let i = 0; i < n; i++)
        there[i] =
          before[i] === after.posterior[i]
            ? before[i]!
            : Math.min(1, Math.max(0, (pBefore * before[i]! - pAfter * after.posterior[i]!) / p));
      outcome(p, there);
    }
    [before, pBefore] = [after.posterior, pAfter];
  }
  outcome(pBefore, before);
  const about = [...relief.keys()]
    .filter((i) => relief[i]! > 1e-6)
    .sort((a, b) => relief[b]! - relief[a]!)
    .slice(0, 3);
  const dearest = dear.reduce((best, d, i) => (d > (dear[best] ?? 0) ? i : best), -1);
  return { gain: Math.max(0, gain), ends, turned, about, endsBy: dearest < 0 ? undefined : dearest };
}

interface Said {
  /** Suspects it says most about. */
  readonly labels: readonly string[];
  /** Wrong measurements that would look the same, where the check is made again for them. */
  readonly wrong: readonly string[];
  /** Suspects that something points to and that this check settles. */
  readonly settles: readonly string[];
  /** The one that would change everything. */
  readonly end: string | undefined;
}

/** Why this check now, in one sentence. */
function reason(check: Check, w: Weighed, { labels, wrong, settles, end }: Said): string {
  if (check.again)
    return wrong.length
      ? `Measure again before believing it: ${wrong.slice(0, 2).join(' or ')} would look the same.`
      : 'Measure again before believing it.';
  if (w.ends >= 0.02 && end !== undefined)
    return `It could end the project before money goes in: with ${end} it would not be worth mending.`;
  // Nothing is run to find out what running it would break.
  if (w.turned >= 0.02 && end !== undefined && check.setup !== 'running')
    return `${check.minutes <= 5 ? 'Cheap and decisive' : 'Decisive'}: ${end} would change the whole plan, and it is better known before the rest.`;
  if (settles.length) return `It settles whether it is ${settles.slice(0, 2).join(' or ')}.`;
  const names = labels.slice(0, 2);
  return names.length ? `Says most about ${names.join(' and ')}.` : 'Little hangs on it by now.';
}

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** A check that opens the way to a better one is worth what both give for the minutes of both. */
function opening(ranked: readonly RankedCheck[], first: ReadonlyMap<string, string>): RankedCheck[] {
  return ranked.map((r) => {
    const behind = ranked.filter((x) => first.get(x.id) === r.id);
    const best = behind.reduce((most, x) => Math.max(most, (r.gain + x.gain) / (r.minutes + x.minutes)), r.perMinute);
    const worthIt = r.worthIt || (best > r.perMinute && behind.some((x) => x.worthIt));
    return best > r.perMinute ? { ...r, perMinute: best, worthIt } : r;
  });
}

/** Open checks by gain a minute, holds and order respected; set-up that is already there costs nothing. */
export function rankChecks(
  c: Context,
  model: Model,
  belief: Belief,
  position: Position,
  blocked: (action: Action) => string | undefined,
  looks: readonly Look[] = openLooks(c, model, belief)
): RankedCheck[] {
  const open = new Map(looks.map((l) => [l.check.id, l.check.title]));
  const done = setupDone(c);
  const raised = (i: number): boolean => logOdds(belief.posterior[i]!) - logOdds(model.network.causes[i]!.prior) > 0.35;
  const labelled = (list: readonly number[]): string[] => [...new Set(list.map((i) => model.suspects[i]!.kind.label))];
  /** What each waiting check waits for. */
  const first = new Map<string, string>();
  const now: Standing = {
    certainty: Float64Array.from(belief.posterior, bits),
    going: position.going(belief.posterior)
  };
  const settledBy = new Map<string, number[]>();
  model.suspects.forEach(({ kind }, i) => {
    if (kind.settled) settledBy.set(kind.settled, [...(settledBy.get(kind.settled) ?? []), i]);
  });
  const ranked = looks.map((look): RankedCheck => {
    const { check } = look;
    const w = weigh(belief, look, position, now);
    const setup = check.setup && !done.has(check.setup) ? setups[check.setup] : undefined;
    const minutes = check.minutes + (check.perCylinder ?? 0) * model.cylinders.length + (setup?.minutes ?? 0);
    const hold = check.needs && blocked(check.needs);
    const before = (check.after ?? []).find((id) => open.has(id));
    if (before !== undefined && !hold) first.set(check.id, before);
    const settles = settledBy.get(check.id) ?? [];
    const rivals = settles.flatMap((i) => {
      const { kind, label } = model.suspects[i]!;
      return check.again && kind.artefact ? [{ label, p: belief.posterior[i]! }] : [];
    });
    const doubted = rivals.some((x) => x.p > DOUBTED);
    const perMinute = w.gain / minutes;
    return {
      id: check.id,
      title: check.title,
      station: check.station,
      minutes: Math.round(minutes),
      ...(setup ? { setup: setup.label } : {}),
      gain: w.gain,
      perMinute,
      worthIt: perMinute > position.money.rate / 60 || doubted,
      again: check.again ?? false,
      doubted,
      ends: w.ends,
      turns: w.turned,
      about: w.about.map((i) => model.suspects[i]!.label),
      suspects: w.about.map((i) => model.suspects[i]!.id),
      because: reason(check, w, {
        labels: labelled(w.about),
        wrong: rivals.filter((x) => x.p > DOUBTED / 2).map((x) => x.label),
        settles: labelled(
          settles.filter((i) => belief.posterior[i]! > 0.12 && belief.posterior[i]! < 0.95 && raised(i))
        ),
        end: w.endsBy === undefined ? undefined : model.suspects[w.endsBy]!.kind.label
      }),
      ...(check.needs ? { needs: check.needs } : {}),
      ...(hold ? { waits: hold } : before ? { waits: `first: ${lower(open.get(before)!)}` } : {})
    };
  });
  return opening(ranked, first).sort((a, b) => Number(b.doubted) - Number(a.doubted) || b.perMinute - a.perMinute);
}
