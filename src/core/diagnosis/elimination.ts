/**
 * Exact inference over binary variables by variable elimination. A factor is a table over its scope; bit k of a table's
 * index is the value of scope[k]. The plan (order, index maps) is made once, tables may change between evaluations.
 * P: Zhang & Poole 1996; gradients by one reverse sweep, Darwiche 2003 ("A differential approach").
 */
interface Step {
  readonly inputs: readonly number[];
  readonly maps: readonly Int32Array[];
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
function mapOf(joint: readonly number[], scope: readonly number[]): Int32Array {
  const at = scope.map((u) => joint.indexOf(u));
  const map = new Int32Array(2 ** joint.length);
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

/** The two tables whose product has the smallest scope; the first index is the lower one. */
function closest(
  tables: readonly { readonly scope: readonly number[] }[]
): { readonly of: readonly [number, number]; readonly scope: readonly number[] } | undefined {
  let best: { of: readonly [number, number]; scope: readonly number[] } | undefined;
  for (let a = 0; a < tables.length; a++)
    for (let b = a + 1; b < tables.length; b++) {
      const scope = [...new Set([...tables[a]!.scope, ...tables[b]!.scope])];
      if (!best || scope.length < best.scope.length) best = { of: [a, b], scope };
    }
  return best;
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
    const joint = [v, ...rest];
    const tables = heads.map(({ scope, members }) => ({
      scope,
      factors: heads.length > 1 && members.length > 1 ? [step(members, scope, 0)] : members
    }));
    // Two that share little of the joint are multiplied together first where that is cheaper than one more pass over all of it.
    for (let pair = closest(tables); pair && 2 ** (pair.scope.length + 1) < 2 ** joint.length; pair = closest(tables)) {
      const [a, b] = pair.of;
      const merged = step([...tables[a]!.factors, ...tables[b]!.factors], pair.scope, 0);
      tables.splice(b, 1);
      tables.splice(a, 1);
      tables.push({ scope: pair.scope, factors: [merged] });
    }
    // The variable summed out is the lowest bit, so that its two values lie side by side.
    step(
      tables.flatMap((t) => t.factors),
      joint,
      1
    );
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

/** Less than a double's rounding. */
const TRACE = 1e-18;

/** The tables of one plan at work: values forward, what each entry contributes to the sum backward. */
export class Evaluation {
  private readonly tables: Float64Array[];
  /** Of each entry of each table, the part of the sum that contains it. */
  private readonly parts: Float64Array[];
  /** Tables of no variable that nothing uses any more: their product is the sum. */
  private readonly scalars: readonly number[];
  /** The product of the factors of each step, kept for the sweep back. */
  private readonly products: readonly Float64Array[];

  constructor(readonly plan: Plan) {
    this.products = plan.steps.map((s) => new Float64Array(s.joint));
    this.tables = plan.sizes.map((n) => new Float64Array(n));
    this.parts = plan.sizes.map((n) => new Float64Array(n));
    const used = new Set(plan.steps.flatMap((s) => s.inputs));
    this.scalars = plan.sizes.flatMap((_, k) => (used.has(k) ? [] : [k]));
  }

  /** The table of an input factor, to be written before `sum`. */
  table = (factor: number): Float64Array => this.tables[factor]!;

  /** Σ over all variables of the product of all factors. */
  sum(): number {
    const { tables, products } = this;
    const { steps } = this.plan;
    for (let s = 0; s < steps.length; s++) {
      const { inputs, maps, joint, out, shift } = steps[s]!;
      const product = products[s]!;
      spread(tables[inputs[0]!]!, maps[0]!, product, joint);
      for (let k = 1; k < inputs.length; k++) multiply(product, tables[inputs[k]!]!, maps[k]!, joint);
      const target = tables[out]!;
      if (!shift) target.set(product);
      else
        for (let x = 0; x < joint; x += 2) {
          const sum = product[x]! + product[x + 1]!;
          // Two that cancel to nothing are kept apart by less than their rounding, so that `shares` can split them again.
          target[x >> 1] = sum === 0 ? TRACE * product[x]! : sum;
        }
    }
    return this.scalars.reduce((z, k) => z * tables[k]![0]!, 1);
  }

  /**
   * Of each entry of an input factor, that entry times the derivative of the sum by it: the part of the sum that contains it. After
   * `sum`, and once for each.
   */
  shares(): readonly Float64Array[] {
    const { tables, parts, scalars, products } = this;
    const { steps } = this.plan;
    for (const p of parts) p.fill(0);
    const z = scalars.reduce((product, k) => product * tables[k]![0]!, 1);
    for (const k of scalars) parts[k]![0] = z;
    for (let s = steps.length - 1; s >= 0; s--) {
      const { inputs, maps, joint, out, shift } = steps[s]!;
      const product = products[s]!;
      // What falls to an entry of the result is split among those of the joint by what each brought to it.
      const [whole, value] = [parts[out]!, tables[out]!];
      for (let y = 0; y < whole.length; y++) whole[y] = value[y] === 0 ? 0 : whole[y]! / value[y]!;
      for (let x = 0; x < joint; x++) product[x]! *= whole[x >> shift]!;
      for (let k = 0; k < inputs.length; k++) gather(parts[inputs[k]!]!, maps[k]!, product, joint);
    }
    return parts;
  }
}

/** Tables hold two entries for every variable: the loops take two at a time. */
function spread(t: Float64Array, map: Int32Array, out: Float64Array, n: number): void {
  for (let x = 0; x < n; x += 2) {
    out[x] = t[map[x]!]!;
    out[x + 1] = t[map[x + 1]!]!;
  }
}
function multiply(a: Float64Array, t: Float64Array, map: Int32Array, n: number): void {
  for (let x = 0; x < n; x += 2) {
    a[x]! *= t[map[x]!]!;
    a[x + 1]! *= t[map[x + 1]!]!;
  }
}
function gather(at: Float64Array, map: Int32Array, g: Float64Array, n: number): void {
  for (let x = 0; x < n; x += 2) {
    at[map[x]!]! += g[x]!;
    at[map[x + 1]!]! += g[x + 1]!;
  }
}
