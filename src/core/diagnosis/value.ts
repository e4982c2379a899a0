import { known } from '../engine/profile.ts';
import { pertMean } from '../physics/pert.ts';
import { ruleNumber } from '../house-rules/rules.ts';
import type { Context } from '../findings/context.ts';
import type { SuspectKind } from './knowledge/shape.ts';
import { stakes } from './knowledge/shape.ts';
import type { Model } from './model.ts';

/** Parts of a large engine cost more: against 15 kW, by the square root (M). */
export function partsScale(c: Context): number {
  const power = known(c.survey.engine.identity.power);
  return power === undefined ? 1 : Math.min(2.5, Math.max(0.6, Math.sqrt(power / 15_000)));
}

export interface Money {
  /** cr; what was entered, else an estimate. */
  readonly worth: number;
  readonly salvage: number;
  readonly worthKnown: boolean;
  readonly salvageKnown: boolean;
  readonly ceiling: number | undefined;
  /** cr an hour of hands. */
  readonly rate: number;
  readonly scale: number;
}

/** The engine's worth and the shop's rate. An engine nobody has priced is taken at 700 cr and 90 cr a kilowatt (M). */
export function moneyOf(c: Context): Money {
  const { worth, salvage, ceiling } = c.survey.engine.history;
  const power = known(c.survey.engine.identity.power) ?? 11_000;
  const w = known(worth) ?? 700 + (90 * power) / 1000;
  return {
    worth: w,
    salvage: Math.min(known(salvage) ?? 0.2 * w, Math.max(w, known(salvage) ?? 0)),
    worthKnown: known(worth) !== undefined,
    salvageKnown: known(salvage) !== undefined,
    ceiling: known(ceiling),
    rate: ruleNumber(c.rules, 'labourRate'),
    scale: partsScale(c)
  };
}

/** Mean price of a cure, cr: parts at this engine's size and hands at the shop's rate. */
export const cureCost = (kind: SuspectKind, m: Money): number =>
  pertMean(kind.parts) * m.scale + (pertMean(kind.minutes) / 60) * m.rate;

/** What it costs to leave it in, cr. A fault that wrecks the engine costs most of its worth. */
export const leftIn = (kind: SuspectKind, m: Money): number =>
  kind.stake === 'engine' ? Math.max(stakes.strands.loss, 0.6 * m.worth) : stakes[kind.stake].loss;

/**
 * The value of where we stand, cr. Going on is worth the engine less what its faults cost to cure; stopping is worth its
 * parts, and is always open. Where we go on, doubt costs besides: for each suspect, how much dearer the better of "mend
 * it on suspicion" and "live with the risk" is than knowing.
 * P: Heckerman, Breese & Rommelse 1995, "Decision-theoretic troubleshooting", CACM 38(3), in our own simple form.
 */
export class Position {
  readonly cure: Float64Array;
  readonly loss: Float64Array;
  /** Suspects of one job: its hands are paid once. */
  private readonly jobs: readonly (readonly number[])[];
  /** Suspects that change the whole plan: a specialist's work, or dearer than a third of what the engine is worth. */
  readonly serious: readonly number[];
  /** What goes on being spent on an engine nobody has turned away: five hours of hands, cr (M). */
  readonly effort: number;
  /** What stopping is worth, cr; nobody stops for the sake of a worth that nobody has named. */
  readonly parts: number;

  constructor(
    model: Model,
    readonly money: Money,
    mended: ReadonlySet<string>
  ) {
    const n = model.suspects.length;
    this.cure = new Float64Array(n);
    this.loss = new Float64Array(n);
    model.suspects.forEach(({ id, kind }, i) => {
      if (kind.artefact || mended.has(id)) return;
      this.cure[i] = cureCost(kind, money);
      this.loss[i] = leftIn(kind, money);
    });
    const jobs = new Map<string, number[]>();
    model.suspects.forEach(({ kind, id }, i) => {
      const job = kind.step ?? id;
      if (this.cure[i]! > 0) jobs.set(job, [...(jobs.get(job) ?? []), i]);
    });
    this.jobs = [...jobs.values()];
    this.serious = model.suspects.flatMap(({ kind }, i) =>
      this.cure[i]! > 0 && (kind.specialist || this.cure[i]! > 0.33 * money.worth) ? [i] : []
    );
    this.effort = 5 * Math.max(money.rate, 30);
    this.parts = money.worthKnown ? money.salvage : -Infinity;
  }

  /** What a suspect costs on average once it is known whether it is there. */
  known = (i: number, p: number): number => p * Math.min(this.loss[i]!, this.cure[i]!);
  /** What not knowing adds to it. */
  doubt = (i: number, p: number): number => Math.min(p * this.loss[i]!, this.cure[i]!) - this.known(i, p);

  /** Going on, before doubt is counted: each job once, at what its suspects cost on average. */
  going(posterior: Float64Array): number {
    let cost = 0;
    for (const job of this.jobs) {
      let none = 1;
      let sum = 0;
      let weight = 0;
      for (const i of job) {
        const p = posterior[i]!;
        none *= 1 - p;
        weight += p;
        sum += this.known(i, p);
      }
      if (weight > 0) cost += ((1 - none) * sum) / weight;
    }
    return this.money.worth - cost;
  }

  /** Going on or stopping, whichever is worth more. */
  better = (going: number): number => Math.max(this.parts, going);
  stops = (going: number): boolean => going <= this.parts;

  /** A suspect that changes the plan has come up: the owner is asked, or a specialist. */
  turns(before: Float64Array, after: Float64Array): number | undefined {
    return this.serious.find((i) => after[i]! >= 0.35 && before[i]! < 0.35);
  }
}
