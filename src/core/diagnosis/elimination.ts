/**
 * Exact inference over binary variables by variable elimination. A factor is a table over its scope; bit k of a table's
 * index is the value of scope[k]. The plan (order, index maps) is made once, tables may change between evaluations.
 * P: Zhang & Poole 1996; gradients by one reverse sweep, Darwiche 2003 ("A differential approach").
 */
interface Step {
  readonly inputs: readonly number[];
  readonly maps: readonly Uint32Array[];
  readonly joint: number;
  readonly out: number;
  /** 1 where the lowest variable is summed out, 0 where tables are only multiplied together. */
  readonly shift: 0 | 1;
}

export interface Plan {
  readonly scopes: readonly (readonly number[])[];
  readonly steps: readonly Step[];
  /** Numbers multiplied out in one evaluation. */
  readonly cost: number;
  readonly sizes: readonly number[];
}

type Score = (neighbours: ReadonlySet<number>, graph: ReadonlyMap<number, ReadonlySet<number>>) => number;

/** Edges that would have to be added; the classic weight for a greedy order. */
const fill: Score = (n, graph) => {
  const list = [...n];
  let missing = 0;
  for (let a = 0; a < list.length; a++)
    for (let b = a + 1; b < list.length; b++) if (!graph.get(list[a]!)!.has(list[b]!)) missing++;
  return missing;
};
/** The same weighted by the size of the table that results. */
const weightedFill: Score = (n, graph) => fill(n, graph) * 2 ** n.size + n.size;

function greedy(scopes: readonly (readonly number[])[], score: Score, first: ReadonlySet<number>): number[] {
  const graph = new Map<number, Set<number>>();
  for (const scope of scopes)
    for (const v of scope) {
      const mine = graph.get(v) ?? new Set<number>();
      for (const u of scope) if (u !== v) mine.add(u);
      graph.set(v, mine);
    }
  const order: number[] = [];
  while (graph.size) {
    let best = -1;
    let bestScore = Infinity;
    const candidates = [...graph.keys()].filter((v) => first.has(v));
    for (const v of candidates.length ? candidates : graph.keys()) {
      const s = score(graph.get(v)!, graph);
      if (s < bestScore) [best, bestScore] = [v, s];
    }
    const n = graph.get(best)!;
    for (const u of n) {
      const other = graph.get(u)!;
      other.delete(best);
      for (const w of n) if (w !== u) other.add(w);
    }
    graph.delete(best);
    order.push(best);
  }
  return order;
}

/** Tables larger than this are not built (2^22 numbers, 32 MB). */
const LARGEST = 22;

/** Where each entry of a joint table lies in a table over some of its variables. */
function mapOf(joint: readonly number[], scope: readonly number[]): Uint32Array {
  const at = scope.map((u) => joint.indexOf(u));
  const map = new Uint32Array(2 ** joint.length);
  for (let x = 0; x < map.length; x++) {
    let index = 0;
    for (let b = 0; b < at.length; b++) index |= ((x >> at[b]!) & 1) << b;
    map[x] = index;
  }
  return map;
}

function planFor(scopes: readonly (readonly number[])[], order: readonly number[]): Plan | undefined {
  const all: number[][] = scopes.map((s) => [...s]);
  const live = new Set(all.keys());
  const steps: Step[] = [];
  let cost = 0;
  const step = (inputs: readonly number[], joint: readonly number[], shift: 0 | 1): number => {
    const size = 2 ** joint.length;
    all.push(joint.slice(shift));
    steps.push({ inputs, maps: inputs.map((k) => mapOf(joint, all[k]!)), joint: size, out: all.length - 1, shift });
    for (const k of inputs) live.delete(k);
    live.add(all.length - 1);
    cost += size * inputs.length;
    return all.length - 1;
  };
  for (const v of order) {
    const mine = [...live].filter((k) => all[k]!.includes(v)).sort((a, b) => all[b]!.length - all[a]!.length);
    // Small tables are multiplied into the first one that holds their scope: cheaper than in the whole joint.
    const heads: { scope: number[]; members: number[] }[] = [];
    for (const k of mine) {
      const head = heads.find((h) => all[k]!.every((u) => h.scope.includes(u)));
      if (head) head.members.push(k);
      else heads.push({ scope: all[k]!, members: [k] });
    }
    const rest = [...new Set(heads.flatMap((h) => h.scope))].filter((u) => u !== v);
    if (rest.length + 1 > LARGEST) return undefined;
    const inputs =
      heads.length === 1
        ? heads[0]!.members
        : heads.map((h) => (h.members.length > 1 ? step(h.members, h.scope, 0) : h.members[0]!));
    // The variable summed out is the lowest bit, so that its two values lie side by side.
    step(inputs, [v, ...rest], 1);
  }
  return { scopes, steps, cost, sizes: all.map((s) => 2 ** s.length) };
}

/**
 * The cheaper plan of two greedy orders; undefined where even that is too large. `first` are variables that are summed
 * out before any other: with signed tables this keeps differences local, at a price.
 */
export function planElimination(
  scopes: readonly (readonly number[])[],
  first: ReadonlySet<number> = new Set()
): Plan | undefined {
  const plans = [fill, weightedFill].map((s) => planFor(scopes, greedy(scopes, s, first)));
  return plans.reduce((a, b) => (a && (!b || a.cost <= b.cost) ? a : b));
}

/** The tables of one plan at work: values forward, derivatives of the sum backward. */
export class Evaluation {
  private readonly tables: Float64Array[];
  private readonly adjoints: Float64Array[];
  /** Tables of no variable that nothing uses any more: their product is the sum. */
  private readonly scalars: readonly number[];

  constructor(readonly plan: Plan) {
    this.tables = plan.sizes.map((n) => new Float64Array(n));
    this.adjoints = plan.sizes.map((n) => new Float64Array(n));
    const used = new Set(plan.steps.flatMap((s) => s.inputs));
    this.scalars = plan.sizes.flatMap((_, k) => (used.has(k) ? [] : [k]));
  }

  /** The table of an input factor, to be written before `sum`. */
  table = (factor: number): Float64Array => this.tables[factor]!;

  /** Σ over all variables of the product of all factors. */
  sum(): number {
    const { tables } = this;
    for (const { inputs, maps, joint, out, shift } of this.plan.steps) {
      const target = tables[out]!;
      target.fill(0);
      const [t0, m0] = [tables[inputs[0]!]!, maps[0]!];
      for (let x = 0; x < joint; x++) {
        let p = t0[m0[x]!]!;
        for (let k = 1; k < inputs.length; k++) p *= tables[inputs[k]!]![maps[k]![x]!]!;
        target[x >> shift]! += p;
      }
    }
    return this.scalars.reduce((z, k) => z * tables[k]![0]!, 1);
  }

  /** ∂sum/∂(each entry of an input factor); after `sum`. */
  gradients(): readonly Float64Array[] {
    const { tables, adjoints, scalars } = this;
    for (const a of adjoints) a.fill(0);
    for (const k of scalars) adjoints[k]![0] = scalars.reduce((z, j) => (j === k ? z : z * tables[j]![0]!), 1);
    const before = new Float64Array(1 + Math.max(0, ...this.plan.steps.map((s) => s.inputs.length)));
    for (let s = this.plan.steps.length - 1; s >= 0; s--) {
      const { inputs, maps, joint, out, shift } = this.plan.steps[s]!;
      const above = adjoints[out]!;
      const n = inputs.length;
      for (let x = 0; x < joint; x++) {
        const g = above[x >> shift]!;
        if (g === 0) continue;
        // Products of all others, from both sides: no division, zeros do no harm.
        before[0] = g;
        for (let k = 0; k < n - 1; k++) before[k + 1] = before[k]! * tables[inputs[k]!]![maps[k]![x]!]!;
        let after = 1;
        for (let k = n - 1; k >= 0; k--) {
          const at = maps[k]![x]!;
          adjoints[inputs[k]!]![at]! += before[k]! * after;
          after *= tables[inputs[k]!]![at]!;
        }
      }
    }
    return adjoints;
  }
}
