import { Component } from './component.ts';
import type { Evidence, Likelihood, Network } from './network.ts';

export interface Outcome {
  /** Of every cause, given the evidence and what was supposed on top of it. */
  readonly posterior: Float64Array;
  /** ln of the probability of the evidence, and of what was supposed with it. */
  readonly logZ: number;
}

/** A change of one evaluation: signs taken as absent besides, or evidence of one sign left out. */
interface Weights {
  readonly w0: Float64Array;
  readonly w1: Float64Array;
  readonly a: Float64Array;
  readonly b: Float64Array;
}

/**
 * What follows from evidence, exactly. Signs that are absent only scale the odds of their causes and are absorbed first;
 * so is a sign with one cause. What is left falls into components, each a difference of two products per sign (two
 * signed states): 1·λ₁ + (λ₀ − λ₁)·P(absent | causes). One elimination and one reverse sweep give all posteriors of one.
 */
export class Belief implements Outcome {
  readonly posterior: Float64Array;
  readonly logZ: number;
  /** False where the evidence cannot be: probability zero or not a number. The priors then stand. */
  readonly possible: boolean;
  private readonly base: Weights;
  private readonly constant: number;
  private readonly components: readonly Component[];
  private readonly componentOf: Int32Array;
  private readonly zs: Float64Array;
  /** Signs absorbed into one cause: what they multiplied it by. */
  private readonly absorbed = new Map<number, { cause: number; by0: number; by1: number }>();

  /** `earlier`: one in the same network, most of whose evidence is the same; what it worked out is taken over as far as it holds. */
  constructor(
    readonly network: Network,
    readonly evidence: Evidence,
    earlier?: Belief
  ) {
    const n = network.causes.length;
    const w0 = new Float64Array(n);
    const w1 = new Float64Array(n);
    network.causes.forEach((c, i) => {
      w1[i] = c.prior;
      w0[i] = 1 - c.prior;
    });
    const a = new Float64Array(network.signs.length).fill(1);
    const b = new Float64Array(network.signs.length);
    const lifted: number[] = [];
    let constant = 0;
    for (const [s, { present, absent }] of evidence) {
      const sign = network.signs[s]!;
      const causes = sign.causes;
      a[s] = present;
      b[s] = (absent - present) * (1 - sign.leak);
      if (present === 0) {
        constant += Math.log(absent * (1 - sign.leak));
        for (const { cause, strength } of causes) w1[cause]! *= 1 - strength;
      } else if (causes.length === 0) constant += Math.log(a[s]! + b[s]!);
      else if (causes.length === 1) {
        const { cause, strength } = causes[0]!;
        const by0 = a[s]! + b[s]!;
        const by1 = a[s]! + b[s]! * (1 - strength);
        w0[cause]! *= by0;
        w1[cause]! *= by1;
        this.absorbed.set(s, { cause, by0, by1 });
      } else lifted.push(s);
    }
    this.base = { w0, w1, a, b };
    this.constant = constant;
    this.componentOf = new Int32Array(n).fill(-1);
    const same = earlier?.network.signs === network.signs ? earlier.components : [];
    const known = new Map(same.map((c) => [c.signs.join(), c]));
    this.components = componentsOf(network, lifted, this.componentOf).map((signs) => {
      const old = known.get(signs.join());
      if (old?.restsOn(w0, w1, a, b)) return old;
      const made = new Component(network, signs, old);
      made.rest(w0, w1, a, b);
      return made;
    });
    this.zs = new Float64Array(this.components.length);
    this.posterior = new Float64Array(n);
    this.components.forEach((c, k) => {
      this.zs[k] = c.supposed('', w0, w1, a, b, this.posterior);
    });
    for (let i = 0; i < n; i++) if (this.componentOf[i]! < 0) this.posterior[i] = w1[i]! / (w0[i]! + w1[i]!);
    this.logZ = this.total(this.base, this.zs);
    this.possible = Number.isFinite(this.logZ) && this.posterior.every((p) => p >= -1e-6 && p <= 1 + 1e-6);
    if (!this.possible) network.causes.forEach((c, i) => (this.posterior[i] = c.prior));
    else clamp(this.posterior);
  }

  private total({ w0, w1 }: Weights, zs: Float64Array): number {
    let sum = this.constant;
    for (const z of zs) sum += Math.log(z);
    for (let i = 0; i < w0.length; i++) if (this.componentOf[i]! < 0) sum += Math.log(w0[i]! + w1[i]!);
    return sum;
  }

  private again(name: string, weights: Weights, touched: ReadonlySet<number>, constant: number): Outcome {
    const posterior = this.posterior.slice();
    const dirty = new Set<number>();
    let logZ = this.logZ + constant;
    for (const i of touched) {
      const k = this.componentOf[i]!;
      if (k >= 0) dirty.add(k);
      else {
        const whole = weights.w0[i]! + weights.w1[i]!;
        posterior[i] = weights.w1[i]! / whole;
        logZ += Math.log(whole / (this.base.w0[i]! + this.base.w1[i]!));
      }
    }
    for (const k of dirty) {
      const z = this.components[k]!.supposed(name, weights.w0, weights.w1, weights.a, weights.b, posterior);
      logZ += Math.log(z / this.zs[k]!);
    }
    clamp(posterior);
    return { posterior, logZ };
  }

  /** With signs not looked at yet found absent; its logZ less this one's is ln P(all absent | evidence). */
  withAbsent(signs: readonly number[]): Outcome {
    const w1 = this.base.w1.slice();
    const touched = new Set<number>();
    let constant = 0;
    for (const s of signs) {
      const sign = this.network.signs[s]!;
      constant += Math.log(1 - sign.leak);
      for (const { cause, strength } of sign.causes) {
        w1[cause]! *= 1 - strength;
        touched.add(cause);
      }
    }
    return this.again(`absent ${signs.join(' ')}`, { ...this.base, w1 }, touched, constant);
  }

  /** As if one sign had not been looked at. */
  without(s: number): Outcome {
    const sign = this.network.signs[s]!;
    const touched = new Set(sign.causes.map((c) => c.cause));
    const known = this.evidence.get(s)!;
    const own = this.absorbed.get(s);
    if (known.present === 0) {
      const w1 = this.base.w1.slice();
      for (const { cause, strength } of sign.causes) w1[cause]! /= 1 - strength;
      return this.again(`without ${s}`, { ...this.base, w1 }, touched, -Math.log(known.absent * (1 - sign.leak)));
    }
    if (own) {
      const w0 = this.base.w0.slice();
      const w1 = this.base.w1.slice();
      w0[own.cause]! /= own.by0;
      w1[own.cause]! /= own.by1;
      return this.again(`without ${s}`, { ...this.base, w0, w1 }, touched, 0);
    }
    const a = this.base.a.slice();
    const b = this.base.b.slice();
    a[s] = 1;
    b[s] = 0;
    return this.again(`without ${s}`, { ...this.base, a, b }, touched, 0);
  }

  likelihood = (s: number): Likelihood | undefined => this.evidence.get(s);
}

function clamp(list: Float64Array): void {
  for (let i = 0; i < list.length; i++) list[i] = Math.min(1, Math.max(0, list[i]!));
}

/** Causes tied together by a sign that is not plainly absent. */
function componentsOf(network: Network, lifted: readonly number[], componentOf: Int32Array): number[][] {
  const root = new Map<number, number>();
  const find = (i: number): number => {
    const up = root.get(i) ?? i;
    if (up === i) return i;
    const top = find(up);
    root.set(i, top);
    return top;
  };
  for (const s of lifted) {
    const [first, ...rest] = network.signs[s]!.causes;
    for (const c of rest) root.set(find(c.cause), find(first!.cause));
  }
  const groups = new Map<number, number[]>();
  for (const s of lifted) {
    const top = find(network.signs[s]!.causes[0]!.cause);
    groups.set(top, [...(groups.get(top) ?? []), s]);
  }
  return [...groups.values()].map((signs, k) => {
    for (const s of signs) for (const { cause } of network.signs[s]!.causes) componentOf[cause] = k;
    return signs;
  });
}
