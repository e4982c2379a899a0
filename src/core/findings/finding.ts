import type { Provenance } from '../engine/limits.ts';
import type { StationId } from '../items/register.ts';

/** Condition, always shown with shape, word and colour together. */
export const conditions = {
  'not-looked-at': 'not looked at',
  sound: 'sound',
  watch: 'watch',
  fault: 'fault',
  held: 'held',
  'cannot-tell': 'cannot tell'
} as const;
export type Condition = keyof typeof conditions;

/** Why a judgement is what it is; every field is a sentence or a figure with its unit. */
export interface Because {
  /** What went in, each as "label: value". */
  readonly inputs: readonly string[];
  /** The computed value with its uncertainty, if one was computed. */
  readonly value?: string;
  readonly uncertainty?: string;
  /** What it was judged against, and whether that came from the manual, a house rule or practice. */
  readonly limit?: string;
  readonly school?: string;
  readonly formula?: string;
  readonly provenance: Provenance;
  readonly source: string;
}

export interface Finding {
  /** Stable name of the kind of finding, with the cylinder where there is one: "compression.low.2". */
  readonly id: string;
  readonly station: StationId;
  readonly cylinder?: number;
  readonly condition: Condition;
  /** What was found, without what to do about it. */
  readonly found: string;
  /** All of it, as a colleague would say it: what was found and what to do. */
  readonly sentence: string;
  readonly because: Because;
  /** It doubts a reading, and repeating that reading as the sentence says closes the doubt. */
  readonly repeat?: true;
  /** The figures behind the sentence, SI units, of the stations that give facts. */
  readonly values?: object;
}

/** The kind of a finding, by its id: "compression.low" of "compression.low.2". */
export const kindOf = (id: string): string => id.split('.', 2).join('.');

const weight: Readonly<{ [C in Condition]: number }> = {
  held: 5,
  fault: 4,
  'cannot-tell': 3,
  watch: 2,
  sound: 1,
  'not-looked-at': 0
};

/** The condition that speaks for a group: the gravest one. */
export const gravest = (list: readonly Condition[]): Condition =>
  list.reduce<Condition>((worst, c) => (weight[c] > weight[worst] ? c : worst), 'not-looked-at');

export const byGravity = (a: Finding, b: Finding): number => weight[b.condition] - weight[a.condition];

/** Whether a check cannot tell though all that was found of it is good: only a part of it was seen. */
export const partlySeen = (condition: Condition, mine: readonly Finding[]): boolean =>
  condition === 'cannot-tell' && mine.length > 0 && mine.every((f) => f.condition === 'sound');

export const PARTLY_SEEN = 'What was seen is good; it is not the whole of this check.';
