import type { StationId } from '../items/register.ts';
import type { System } from '../units/index.ts';
import type { Judged } from './limit.ts';
import type { Because, Condition, Finding } from './finding.ts';

/** What a station has established, as data: figures in SI units and names, no text. Its sentence stands in the station's `words.ts`. */
export interface Fact<Kind extends string = string, Values extends object = object> {
  /** Which sentence says it. */
  readonly kind: Kind;
  /** Name within the station, where one kind is said of several things: "lash-intake". The kind where left out. */
  readonly id?: string;
  readonly cylinder?: number;
  readonly condition: Condition;
  readonly values: Values;
  readonly limit?: Judged;
  /** It doubts a reading, and repeating that reading as it says closes the doubt: nothing is built on it meanwhile. */
  readonly repeat?: true;
}

/** Every kind of fact of a station, from a map of each kind to its values. */
export type FactOf<V> = {
  readonly [K in keyof V & string]: Fact<K, V[K] & object>;
}[keyof V & string];

/** What an analysis established, and what the whole of it rests on. */
export interface Analysed<V, Basis> {
  readonly basis: Basis;
  readonly facts: readonly FactOf<V>[];
}

/** How a fact is said. */
export interface Words {
  /** What was found: stands in the owner's page as well. */
  readonly found: string;
  /** What the technician does about it. */
  readonly advice?: string | undefined;
  readonly because: Because;
}

/** One function for every kind of fact. Nothing decides by what it returns. */
export type WordsOf<V, Basis> = {
  readonly [K in keyof V & string]: (fact: Fact<K, V[K] & object>, basis: Basis, units: System) => Words;
};

/** The facts of a station as findings, in the reader's units. */
export function spoken<V, Basis>(
  station: StationId,
  { basis, facts }: Analysed<V, Basis>,
  words: WordsOf<V, Basis>,
  units: System
): Finding[] {
  return facts.map((fact) => {
    const say = words[fact.kind] as (fact: FactOf<V>, basis: Basis, units: System) => Words;
    const { found, advice, because } = say(fact, basis, units);
    const name = `${station}.${fact.id ?? fact.kind}`;
    return {
      id: fact.cylinder === undefined ? name : `${name}.${fact.cylinder}`,
      station,
      ...(fact.cylinder === undefined ? {} : { cylinder: fact.cylinder }),
      condition: fact.condition,
      found,
      sentence: advice ? `${found} ${advice}` : found,
      because,
      ...(fact.repeat ? { repeat: true as const } : {}),
      values: fact.values
    };
  });
}
