import { Evaluation, plansOf } from './elimination.ts';
import type { Network } from './network.ts';

/**
 * Signed sums cancel. Two orders of elimination round differently: where they differ by more than this share, the form
 * that keeps every difference local is taken instead, unless it would cost more than so many multiplications.
 */
const AGREE = 1e-7;
const AFFORDABLE = 150_000;
/** A plan dearer than this is not evaluated hundreds of times while somebody waits. */
const DEAREST = 200_000;

/** Too much is there at once to be weighed exactly: the signs that hang together too closely. */
export class TooClose extends Error {
  constructor(readonly signs: readonly number[]) {
    super('These signs hang together too closely to be weighed exactly.');
  }
}

/** A cause seen in up to this many signs here is one table over them; beyond, it is a variable of its own. */
const TABLE = 8;

/** Causes seen in one sign only, as two lists side by side: they are gone through in every evaluation. */
interface Leaves {
  readonly causes: Int32Array;
  readonly keeps: Float64Array;
}
/** Π(1 − strength) of a cause over the signs in their second state: a constant of the network. */
interface Shared {
  readonly cause: number;
  readonly signs: readonly { readonly sign: number; readonly keeps: number }[];
  readonly kept: Float64Array;
}

function sharedOf(cause: number, signs: readonly { readonly sign: number; readonly keeps: number }[]): Shared {
  const kept = new Float64Array(signs.length <= TABLE ? 2 ** signs.length : 0);
  for (let x = 0; x < kept.length; x++) kept[x] = signs.reduce((p, s, b) => ((x >> b) & 1 ? p * s.keeps : p), 1);
  return { cause, signs, kept };
}

/** The factors of one way of writing a component down. `tabled` are causes summed out beforehand. */
interface Form {
  readonly run: Evaluation;
  /** Factor of each shared cause, and whether it is a table over signs or the cause's own two weights. */
  readonly factor: readonly number[];
  readonly tabled: readonly boolean[];
}

/** The ways of writing a component down: by the cheaper order, by the other, and with every difference kept local. Each is made once. */
interface Ways {
  readonly first: Form;
  readonly second: (() => Form) | undefined;
  readonly local: () => { readonly cost: number; readonly form: () => Form } | undefined;
}

function once<T>(make: () => T): () => T {
  let made: { readonly value: T } | undefined;
  return () => (made ??= { value: make() }).value;
}

/**
 * Causes and signs that hang together. Each sign is a variable of two signed states; a cause that shows in one of them
 * only is folded into that state, one that shows in a few is a table over them, the rest are variables.
 */
export class Component {
  /** Every cause here, in a fixed order. */
  private readonly causes: Int32Array;
  /** The weights of its causes and signs that `kept` belongs to. */
  private base: Float64Array | undefined;
  private readonly kept = new Map<string, { readonly z: number; readonly posterior: Float64Array }>();
  private readonly shared: readonly Shared[];
  private readonly leaves: readonly Leaves[];
  private readonly ways: Ways;
  private form: Form;

  /** `like`: one of the same signs in the same network, under other weights: how it is written down is taken over from it. */
  constructor(
    network: Network,
    readonly signs: readonly number[],
    like?: Component
  ) {
    if (like) {
      ({ causes: this.causes, shared: this.shared, leaves: this.leaves, ways: this.ways } = like);
      this.form = this.ways.first;
      return;
    }
    const at = new Map<number, { sign: number; keeps: number }[]>();
    signs.forEach((s, sign) => {
      for (const { cause, strength } of network.signs[s]!.causes) {
        const mine = at.get(cause) ?? [];
        mine.push({ sign, keeps: 1 - strength });
        at.set(cause, mine);
      }
    });
    this.causes = Int32Array.from(at.keys());
    this.shared = [...at].filter(([, list]) => list.length > 1).map(([cause, list]) => sharedOf(cause, list));
    this.leaves = signs.map((_, sign) => {
      const own = [...at].filter(([, list]) => list.length === 1 && list[0]!.sign === sign);
      return {
        causes: Int32Array.from(own, ([cause]) => cause),
        keeps: Float64Array.from(own, ([, list]) => list[0]!.keeps)
      };
    });
    const fast = this.formsOf(true);
    const [first, second] = fast.length ? fast : this.formsOf(false);
    if (!first || first.cost > DEAREST) throw new TooClose(signs);
    this.form = first.build();
    this.ways = {
      first: this.form,
      second: second && once(second.build),
      local: once(() => {
        const local = this.formsOf(false)[0];
        return local && { cost: local.cost, form: once(local.build) };
      })
    };
  }

  /** Fast: causes as tables over signs. Otherwise every cause is a variable and signs are summed out first. */
  private formsOf(fast: boolean): { readonly cost: number; readonly build: () => Form }[] {
    const n = this.signs.length;
    const scopes: number[][] = this.signs.map((_, k) => [k]);
    const pairs: { factor: number; keeps: number }[] = [];
    const tabled = this.shared.map((c) => fast && c.kept.length > 0);
    const factor = this.shared.map((c, k) => {
      if (tabled[k]) return scopes.push(c.signs.map((s) => s.sign)) - 1;
      for (const s of c.signs) pairs.push({ factor: scopes.push([s.sign, n + k]) - 1, keeps: s.keeps });
      return scopes.push([n + k]) - 1;
    });
    return plansOf(scopes, fast ? undefined : new Set(this.signs.keys())).map(({ cost, build }) => ({
      cost,
      build: () => {
        const run = new Evaluation(build());
        for (const p of pairs) run.table(p.factor).set([1, 1, 1, p.keeps]);
        return { run, factor, tabled };
      }
    }));
  }

  private fillIn(form: Form, w0: Float64Array, w1: Float64Array, a: Float64Array, b: Float64Array): void {
    const { run, factor, tabled } = form;
    for (let k = 0; k < this.signs.length; k++) {
      const s = this.signs[k]!;
      let off = a[s]!;
      let on = b[s]!;
      const { causes, keeps } = this.leaves[k]!;
      for (let n = 0; n < causes.length; n++) {
        const p0 = w0[causes[n]!]!;
        const p1 = w1[causes[n]!]!;
        off *= p0 + p1;
        on *= p0 + p1 * keeps[n]!;
      }
      const t = run.table(k);
      t[0] = off;
      t[1] = on;
    }
    for (let k = 0; k < this.shared.length; k++) {
      const { cause, kept } = this.shared[k]!;
      const t = run.table(factor[k]!);
      const p0 = w0[cause]!;
      const p1 = w1[cause]!;
      if (tabled[k]) for (let x = 0; x < t.length; x++) t[x] = p0 + p1 * kept[x]!;
      else {
        t[0] = p0;
        t[1] = p1;
      }
    }
  }

  /** Looks once whether two orders agree here, and changes to the local form where rounding has eaten the answer. */
  private settle(w0: Float64Array, w1: Float64Array, a: Float64Array, b: Float64Array): void {
    const { first, second, local } = this.ways;
    if (!second || this.signs.length < 6) return;
    const [z, again] = [first, second()].map((f) => {
      this.fillIn(f, w0, w1, a, b);
      return f.run.sum();
    }) as [number, number];
    if (z > 0 && Math.abs(z - again) <= AGREE * z) return;
    const other = local();
    if (other && (other.cost <= AFFORDABLE || !(z > 0))) this.form = other.form();
  }

  private weightsOf(w0: Float64Array, w1: Float64Array, a: Float64Array, b: Float64Array): Float64Array {
    const [n, m] = [this.causes.length, this.signs.length];
    const weights = new Float64Array(2 * (n + m));
    for (let k = 0; k < n; k++) {
      weights[k] = w0[this.causes[k]!]!;
      weights[n + k] = w1[this.causes[k]!]!;
    }
    for (let k = 0; k < m; k++) {
      weights[2 * n + k] = a[this.signs[k]!]!;
      weights[2 * n + m + k] = b[this.signs[k]!]!;
    }
    return weights;
  }

  /** Settles on the weights that changes are supposed on, once. */
  rest(w0: Float64Array, w1: Float64Array, a: Float64Array, b: Float64Array): void {
    this.base = this.weightsOf(w0, w1, a, b);
    this.settle(w0, w1, a, b);
  }

  /** Whether these are the weights it rests on: what was worked out for them then still holds. */
  restsOn(w0: Float64Array, w1: Float64Array, a: Float64Array, b: Float64Array): boolean {
    const { base } = this;
    return base !== undefined && this.weightsOf(w0, w1, a, b).every((x, k) => x === base[k]);
  }

  /** As `evaluate`, for a change of the weights at rest that a name tells: worked out once. */
  supposed(
    name: string,
    w0: Float64Array,
    w1: Float64Array,
    a: Float64Array,
    b: Float64Array,
    posterior: Float64Array
  ): number {
    const old = this.kept.get(name);
    if (old) {
      for (let k = 0; k < this.causes.length; k++) posterior[this.causes[k]!] = old.posterior[k]!;
      return old.z;
    }
    const z = this.evaluate(w0, w1, a, b, posterior);
    const own = new Float64Array(this.causes.length);
    for (let k = 0; k < own.length; k++) own[k] = posterior[this.causes[k]!]!;
    this.kept.set(name, { z, posterior: own });
    return z;
  }

  /** The sum over everything here; posteriors of its causes are written where they belong. */
  evaluate(w0: Float64Array, w1: Float64Array, a: Float64Array, b: Float64Array, posterior: Float64Array): number {
    this.fillIn(this.form, w0, w1, a, b);
    const { run, factor, tabled } = this.form;
    const z = run.sum();
    const shares = run.shares();
    for (let k = 0; k < this.shared.length; k++) {
      const { cause, kept } = this.shared[k]!;
      const [p0, p1] = [w0[cause]!, w1[cause]!];
      const own = shares[factor[k]!]!;
      let there = 0;
      if (tabled[k])
        for (let x = 0; x < own.length; x++) {
          const mine = p1 * kept[x]!;
          if (mine) there += (own[x]! * mine) / (p0 + mine);
        }
      else there = own[1]!;
      posterior[cause] = there / z;
    }
    for (let k = 0; k < this.signs.length; k++) {
      const [off, on] = [shares[k]![0]!, shares[k]![1]!];
      const { causes, keeps } = this.leaves[k]!;
      for (let n = 0; n < causes.length; n++) {
        const p0 = w0[causes[n]!]!;
        const p1 = w1[causes[n]!]!;
        const kept = p1 * keeps[n]!;
        const rest = p0 + kept;
        posterior[causes[n]!] = ((off * p1) / (p0 + p1) + (rest === 0 ? 0 : (on * kept) / rest)) / z;
      }
    }
    return z;
  }
}
