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

/** Which variables share a factor, as a matrix; rows of variables already summed out are empty. */
interface Graph {
  readonly n: number;
  readonly linked: Uint8Array;
}
type Score = (neighbours: readonly number[], graph: Graph) => number;

/** Edges that would have to be added; the classic weight for a greedy order. */
const fill: Score = (list, { n, linked }) => {
  let missing = 0;
  for (let a = 0; a < list.length; a++)
    for (let b = a + 1; b < list.length; b++) missing += 1 - linked[list[a]! * n + list[b]!]!;
  return missing;
};
/** The same weighted by the size of the table that results. */
const weightedFill: Score = (list, graph) => fill(list, graph) * 2 ** list.length + list.length;

function greedy(scopes: readonly (readonly number[])[], score: Score, first: ReadonlySet<number>): number[] {
  const n = 1 + Math.max(-1, ...scopes.flat());
  const graph: Graph = { n, linked: new Uint8Array(n * n) };
  const left = new Set(scopes.flat());
  for (const scope of scopes) for (const v of scope) for (const u of scope) if (u !== v) graph.linked[v * n + u] = 1;
  const order: number[] = [];
  while (left.size) {
    const neighbours = (v: number): number[] => [...left].filter((u) => graph.linked[v * n + u]);
    const candidates = [...left].filter((v) => first.has(v));
    let best = -1;
    let bestScore = Infinity;
    for (const v of candidates.length ? candidates : left) {
      const s = score(neighbours(v), graph);
      if (s < bestScore) [best, bestScore] = [v, s];
    }
    const list = neighbours(best);
    for (const u of list) for (const w of list) if (w !== u) graph.linked[u * n + w] = 1;
    left.delete(best);
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

interface Sketch {
  readonly cost: number;
  readonly steps: readonly {
    readonly inputs: readonly number[];
    readonly joint: readonly number[];
    readonly shift: 0 | 1;
  }[];
  readonly scopes: readonly (readonly number[])[];
}

/** The steps of an order without their index maps: enough to know what it costs. */
function sketch(scopes: readonly (readonly number[])[], order: readonly number[]): Sketch | undefined {
  const all: (readonly number[])[] = [...scopes];
  const live = new Set(all.keys());
  const steps: { inputs: readonly number[]; joint: readonly number[]; shift: 0 | 1 }[] = [];
  let cost = 0;
  const step = (inputs: readonly number[], joint: readonly number[], shift: 0 | 1): number => {
    steps.push({ inputs, joint, shift });
    for (const k of inputs) live.delete(k);
    live.add(all.push(joint.slice(shift)) - 1);
    cost += 2 ** joint.length * inputs.length;
    return all.length - 1;
  };
  for (const v of order) {
    const mine = [...live].filter((k) => all[k]!.includes(v)).sort((a, b) => all[b]!.length - all[a]!.length);
    // Small tables are multiplied into the first one that holds their scope: cheaper than in the whole joint.
    const heads: { scope: readonly number[]; members: number[] }[] = [];
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
  return { cost, steps, scopes: all };
}

/**
 * Plans by two greedy orders, the cheaper first; none where even that is too large. `first` are variables that are summed
 * out before any other: with signed tables this keeps differences local, at a price. A plan is built when it is asked for.
 */
export function plansOf(
  scopes: readonly (readonly number[])[],
  first: ReadonlySet<number> = new Set()
): { readonly cost: number; readonly build: () => Plan }[] {
  return [fill, weightedFill]
    .flatMap((s) => sketch(scopes, greedy(scopes, s, first)) ?? [])
    .sort((a, b) => a.cost - b.cost)
    .map((k) => ({
      cost: k.cost,
      build: () => ({
        scopes,
        cost: k.cost,
        sizes: k.scopes.map((x) => 2 ** x.length),
        steps: k.steps.map(({ inputs, joint, shift }, n) => ({
          inputs,
          maps: inputs.map((f) => mapOf(joint, k.scopes[f]!)),
          joint: 2 ** joint.length,
          out: scopes.length + n,
          shift
        }))
      })
    }));
}

/** The cheaper of the two plans, where there is one. */
export const planElimination = (
  scopes: readonly (readonly number[])[],
  first?: ReadonlySet<number>
): Plan | undefined => plansOf(scopes, first)[0]?.build();

/** The tables of one plan at work: values forward, derivatives of the sum backward. */
export class Evaluation {
  private readonly tables: Float64Array[];
  private readonly adjoints: Float64Array[];
  /** Tables of no variable that nothing uses any more: their product is the sum. */
  private readonly scalars: readonly number[];

  /** Products of the first factors of each step, kept for the sweep back. */
  private readonly before: readonly (readonly Float64Array[])[];
  private readonly behind: Float64Array;

  constructor(readonly plan: Plan) {
    this.before = plan.steps.map((s) => s.inputs.map(() => new Float64Array(s.joint)));
    this.behind = new Float64Array(Math.max(2, ...plan.steps.map((s) => s.joint)));
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
    const { steps } = this.plan;
    for (let s = 0; s < steps.length; s++) {
      const { inputs, maps, joint, out, shift } = steps[s]!;
      const before = this.before[s]!;
      const n = inputs.length;
      spread(tables[inputs[0]!]!, maps[0]!, before[0]!, joint);
      for (let k = 1; k < n; k++) multiply(before[k - 1]!, tables[inputs[k]!]!, maps[k]!, before[k]!, joint);
      const whole = before[n - 1]!;
      const target = tables[out]!;
      if (shift) for (let x = 0; x < joint; x += 2) target[x >> 1] = whole[x]! + whole[x + 1]!;
      else target.set(whole);
    }
    return this.scalars.reduce((z, k) => z * tables[k]![0]!, 1);
  }

  /** ∂sum/∂(each entry of an input factor); after `sum`. */
  gradients(): readonly Float64Array[] {
    const { tables, adjoints, scalars } = this;
    const { steps } = this.plan;
    for (const a of adjoints) a.fill(0);
    for (const k of scalars) adjoints[k]![0] = scalars.reduce((z, j) => (j === k ? z : z * tables[j]![0]!), 1);
    for (let s = steps.length - 1; s >= 0; s--) {
      const { inputs, maps, joint, out, shift } = steps[s]!;
      const before = this.before[s]!;
      const above = adjoints[out]!;
      // What comes from above, times the factors behind this one; products from both sides need no division.
      const behind = this.behind;
      for (let x = 0; x < joint; x++) behind[x] = above[x >> shift]!;
      for (let k = inputs.length - 1; k >= 0; k--) {
        const at = adjoints[inputs[k]!]!;
        if (k === 0) gather(at, maps[0]!, behind, joint);
        else gatherTimes(at, maps[k]!, behind, before[k - 1]!, tables[inputs[k]!]!, joint);
      }
    }
    return adjoints;
  }
}

function spread(t: Float64Array, map: Uint32Array, out: Float64Array, n: number): void {
  for (let x = 0; x < n; x++) out[x] = t[map[x]!]!;
}
function multiply(a: Float64Array, t: Float64Array, map: Uint32Array, out: Float64Array, n: number): void {
  for (let x = 0; x < n; x++) out[x] = a[x]! * t[map[x]!]!;
}
function gather(at: Float64Array, map: Uint32Array, g: Float64Array, n: number): void {
  for (let x = 0; x < n; x++) at[map[x]!]! += g[x]!;
}
/** Adds what falls to one factor, and takes the factor itself into what is behind. */
function gatherTimes(
  at: Float64Array,
  map: Uint32Array,
  g: Float64Array,
  before: Float64Array,
  t: Float64Array,
  n: number
): void {
  for (let x = 0; x < n; x++) {
    const m = map[x]!;
    at[m]! += g[x]! * before[x]!;
    g[x]! *= t[m]!;
  }
}
