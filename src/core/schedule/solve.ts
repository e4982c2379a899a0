import { randomLcg } from 'd3-random';
import { bestOf, hasFixed, planBy } from './board.ts';
import { deadlines, heads, lowerBound } from './bound.ts';
import { exact } from './exact.ts';
import { modelOf, type Model } from './model.ts';
import { better, type Plan, type Problem } from './problem.ts';

export interface Solution extends Plan {
  /** Minute of work before which no plan can be over: proven. */
  readonly bound: number;
  /** How far the finish may still be from the best there is, as a share of the time it takes. */
  readonly gap: number;
  readonly tries: number;
}

export interface SolveOptions {
  /** In [0, 1): the same seed and number of tries give the same plan. */
  readonly seed?: number;
  readonly tries?: number;
  /** Asked now and then whether the time is up. */
  readonly spent?: () => boolean;
  readonly onProgress?: (s: Solution) => void;
}

/** Up to so many steps every branch is tried; beyond it would not end within a second. */
const EXACT = 60;
/** Tries without anything better after which a proven plan is left as it is. */
const QUIET = 400;

/**
 * Plans all steps: earliest finish, then promised days, then every engine as early as can be. Good rules first, then
 * wishes changed at random and kept where nothing gets worse; a bound by relaxation; and, for few steps, every branch.
 * Reproducible for a seed unless `spent` cuts it short. Throws what `modelOf` throws.
 */
export function solve(problem: Problem, o: SolveOptions = {}): Solution {
  const m = modelOf(problem);
  const { spent = () => false, tries = 2000, seed = 0.42, onProgress } = o;
  let best = firstPlan(m);
  let bound = lowerBound(m, best.cost.finish);
  let count = 0;
  const now = (): Solution => ({ ...best, bound, gap: gapOf(best, bound), tries: count });
  onProgress?.(now());
  const random = randomLcg(seed);
  const search = climb(m, best, random);
  const pinned = hasFixed(m);
  const improve = (until: number, done: () => boolean): void => {
    let quiet = 0;
    while (count < until && quiet < QUIET * (best.cost.finish > bound ? 10 : 1) && !done()) {
      count++;
      const plan = search();
      if (better(plan.cost, best.cost)) {
        best = plan;
        quiet = 0;
        onProgress?.(now());
      } else quiet++;
    }
  };
  improve(tries / 4, spent);
  if (best.cost.finish > bound && m.tasks.length <= EXACT && !pinned) {
    let nodes = 0;
    const found = exact(m, best, () => spent() || ++nodes * 64 > tries * 20);
    if (found.proven) bound = found.best.cost.finish;
    if (better(found.best.cost, best.cost)) best = found.best;
    onProgress?.(now());
  }
  improve(tries, spent);
  return now();
}

const gapOf = (plan: Plan, bound: number): number =>
  plan.cost.finish > bound ? (plan.cost.finish - bound) / plan.cost.finish : 0;

/** The best of a few rules a foreman would use. */
function firstPlan(m: Model): Plan {
  const r = heads(m);
  const d = deadlines(m, Math.max(...r.map((x, k) => x + m.tasks[k]!.hands), 1) * 4);
  const work = m.groups.map((_, g) => m.tasks.reduce((s, t, k) => s + (m.group[k] === g ? t.hands : 0), 0));
  const rules: ((k: number) => number)[] = [
    (k) => d[k]! - m.tasks[k]!.hands,
    (k) => work[m.group[k]!]! * 1e5 + k,
    (k) => (Number.isFinite(m.due[m.group[k]!]!) ? m.due[m.group[k]!]! - m.now : 1e7) * 1e3 + work[m.group[k]!]!,
    (k) => -work[m.group[k]!]! * 1e5 + k,
    (k) => r[k]!
  ];
  return rules
    .map((rule) =>
      planBy(
        m,
        m.tasks.map((_, k) => rule(k))
      )
    )
    .reduce(bestOf);
}

/** One try after another: the order of the best plan, a little changed; what is not worse is where the next one starts. */
function climb(m: Model, from: Plan, random: () => number): () => Plan {
  const n = m.tasks.length;
  const at = new Map(m.tasks.map((t, k) => [t.id, k]));
  const keysOf = (p: Plan): number[] => {
    const keys = new Array<number>(n).fill(0);
    [...p.placed].sort((a, b) => a.start - b.start || a.end - b.end).forEach((x, i) => (keys[at.get(x.id)!] = i));
    return keys;
  };
  let [plan, keys] = [from, keysOf(from)];
  const pick = (): number => Math.floor(random() * n);
  return () => {
    const next = [...keys];
    const kind = random();
    if (kind < 0.4) {
      const [a, b] = [pick(), pick()];
      [next[a], next[b]] = [next[b]!, next[a]!];
    } else if (kind < 0.75) {
      next[pick()] = random() * n;
    } else {
      // A whole engine earlier or later.
      const g = Math.floor(random() * m.groups.length);
      const shift = (random() - 0.5) * n;
      for (let k = 0; k < n; k++) if (m.group[k] === g) next[k]! += shift;
    }
    const made = planBy(m, next);
    if (!better(plan.cost, made.cost)) {
      plan = made;
      keys = next;
    }
    return made;
  };
}
